import { mirrorPath, rectPath, ellipsePath, type Path, type Rect } from '../layout';
import type { Mm } from '../measure';
import type { Size } from '../paper';
import type { Process } from '../shop';
import type { Panel, ProcessLine, Zone } from './blank';
import type { SurfacePlan } from './format';
import { count } from '../parameter';

/** What stands on one face of a sheet. */
export type Face = Omit<SurfacePlan, 'name' | 'size'>;

const flipped = { up: 'down', down: 'up' } as const;

const mirrorRect = (r: Rect, width: Mm): Rect => ({ ...r, x: width - r.x - r.width });

export const mirrorPanel = (panel: Panel, width: Mm): Panel => ({ ...panel, ...mirrorRect(panel, width) });

/** A line as it is seen from the other face: left and right change places, and what rose now falls away. */
export const mirrorLine = (line: ProcessLine, width: Mm): ProcessLine => ({
  ...line,
  from: { x: width - line.from.x, y: line.from.y },
  to: { x: width - line.to.x, y: line.to.y },
  ...(line.path && { path: mirrorPath(line.path, width) }),
  ...(line.direction && { direction: flipped[line.direction] }),
});

export const mirrorZone = (zone: Zone, width: Mm): Zone => ({ ...zone, outline: mirrorPath(zone.outline, width) });

/** The same piece of paper seen from its other face. */
export const otherFace = (face: Face, width: Mm): Face => ({
  ...face,
  ...(face.outline && { outline: mirrorPath(face.outline, width) }),
  ...(face.panels && { panels: face.panels.map((p) => mirrorPanel(p, width)) }),
  ...(face.processLines && { processLines: face.processLines.map((l) => mirrorLine(l, width)) }),
  ...(face.zones && { zones: face.zones.map((z) => mirrorZone(z, width)) }),
  ...(face.clear && { clear: { ...face.clear, left: face.clear.right ?? 0, right: face.clear.left ?? 0 } }),
  ...(face.bleed && { bleed: { ...face.bleed, ...swapped(face.bleed) } }),
});

const swapped = ({ left, right }: NonNullable<Face['bleed']>) => ({
  ...(right !== undefined && { left: right }),
  ...(left !== undefined && { right: left }),
});

export const sides = (preset: '1' | '2') => count('Printed sides', preset, 'One or two.', 1, 2);

/** A sheet with a front, and a back where it has one. */
export function frontAndBack(size: Size, printed: number, face: Face = {}): readonly SurfacePlan[] {
  const front: SurfacePlan = { name: 'front', size, ...face };
  return printed === 1 ? [front] : [front, { name: 'back', size, ...otherFace(face, size.width) }];
}

export const upright = (process: Process, x: Mm, height: Mm, from: Mm = 0): ProcessLine => ({
  process,
  from: { x, y: from },
  to: { x, y: height },
});

export const level = (process: Process, y: Mm, width: Mm, from: Mm = 0): ProcessLine => ({
  process,
  from: { x: from, y },
  to: { x: width, y },
});

/** A line along a path, from its first point to its last. */
export function shaped(process: Process, path: Path): ProcessLine {
  const [first] = path;
  const last = path.at(-1);
  const from = first && first[0] !== 'Z' ? { x: Number(first.at(-2)), y: Number(first.at(-1)) } : { x: 0, y: 0 };
  const to = last && last[0] !== 'Z' ? { x: Number(last.at(-2)), y: Number(last.at(-1)) } : from;
  return { process, from, to, path };
}

/** A hole drilled through every sheet. */
export const hole = (x: Mm, y: Mm, diameter: Mm): ProcessLine =>
  shaped('drill', ellipsePath({ x: x - diameter / 2, y: y - diameter / 2, width: diameter, height: diameter }));

export const zone = (kind: Zone['kind'], name: string, rect: Rect, why: string): Zone => ({
  kind,
  name,
  outline: rectPath(rect),
  why,
});
