import type { Element } from '../job';
import { moveTo, pathBounds, pathText, type Path, type Point, type Segment, type SurfaceBoxes } from '../layout';
import { asShares } from '../element';

/** A point of a path that can be dragged: where a step ends, or one of the two handles of a curve. */
export interface PathHandle {
  readonly step: number;
  readonly part: 'end' | 'first' | 'second';
}

export interface PlacedHandle extends PathHandle {
  readonly at: Point;
}

const endOf = (s: Segment | undefined): Point | undefined =>
  s && s[0] !== 'Z' ? { x: Number(s.at(-2)), y: Number(s.at(-1)) } : undefined;

/** Every point and handle of a path, with where it stands. */
export const handlesOf = (path: Path): readonly PlacedHandle[] =>
  path.flatMap((s, step): PlacedHandle[] => {
    const at = endOf(s);
    if (!at) return [];
    const end: PlacedHandle = { step, part: 'end', at };
    if (s[0] !== 'C') return [end];
    return [{ step, part: 'first', at: { x: s[1], y: s[2] } }, { step, part: 'second', at: { x: s[3], y: s[4] } }, end];
  });

/** The path with a point elsewhere; the handles beside it go with it. */
export function movePoint(path: Path, { step, part }: PathHandle, to: Point): Path {
  const from = endOf(path[step]);
  return path.map((s, i): Segment => {
    if (part !== 'end') {
      if (i !== step || s[0] !== 'C') return s;
      return part === 'first' ? ['C', to.x, to.y, s[3], s[4], s[5], s[6]] : ['C', s[1], s[2], to.x, to.y, s[5], s[6]];
    }
    const [dx, dy] = [to.x - (from?.x ?? 0), to.y - (from?.y ?? 0)];
    if (i === step) {
      if (s[0] === 'C') return ['C', s[1], s[2], s[3] + dx, s[4] + dy, to.x, to.y];
      return s[0] === 'Z' ? s : [s[0], to.x, to.y];
    }
    // The handle that leaves the point.
    return i === step + 1 && s[0] === 'C' ? ['C', s[1] + dx, s[2] + dy, s[3], s[4], s[5], s[6]] : s;
  });
}

/** The path without a point; one with fewer than two left stays as it was. */
export function removePoint(path: Path, { step, part }: PathHandle): Path {
  if (part !== 'end') return switchCurve(path, { step, part: 'end' });
  if (path.filter((s) => s[0] !== 'Z').length <= 2) return path;
  const rest = path.filter((_, i) => i !== step);
  // Whatever comes first begins the path.
  return rest.map((s, i): Segment => {
    const at = endOf(s);
    return i === 0 && at && s[0] !== 'M' ? ['M', at.x, at.y] : s;
  });
}

/** A straight step bent, its handles at its thirds; a bent one made straight. */
export function switchCurve(path: Path, { step }: PathHandle): Path {
  return path.map((s, i): Segment => {
    const from = endOf(path[i - 1]);
    if (i !== step || !from) return s;
    if (s[0] === 'C') return ['L', s[5], s[6]];
    if (s[0] !== 'L') return s;
    const at = (t: number): Point => ({ x: from.x + (s[1] - from.x) * t, y: from.y + (s[2] - from.y) * t });
    const [a, b] = [at(1 / 3), at(2 / 3)];
    return ['C', a.x, a.y, b.x, b.y, s[1], s[2]];
  });
}

const mix = (a: Point, b: Point, t: number): Point => ({ x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t });

/** The step nearest to a point and how far along it; undefined for a path without steps. */
export function nearestOn(
  path: Path,
  p: Point,
): { readonly step: number; readonly t: number; readonly distance: number } | undefined {
  let best: { step: number; t: number; distance: number } | undefined;
  path.forEach((s, step) => {
    const from = endOf(path[step - 1]);
    const to = endOf(s);
    if (!from || !to || s[0] === 'M') return;
    for (let i = 1; i < 64; i += 1) {
      const t = i / 64;
      const at = s[0] === 'C' ? curveAt(from, s, t) : mix(from, to, t);
      const distance = Math.hypot(at.x - p.x, at.y - p.y);
      if (!best || distance < best.distance) best = { step, t, distance };
    }
  });
  return best;
}

type Cubic = Extract<Segment, { 0: 'C' }>;

function curveAt(from: Point, [, ax, ay, bx, by, x, y]: Cubic, t: number): Point {
  const [a, b, e] = [
    { x: ax, y: ay },
    { x: bx, y: by },
    { x, y },
  ];
  const [ab, bc, cd] = [mix(from, a, t), mix(a, b, t), mix(b, e, t)];
  return mix(mix(ab, bc, t), mix(bc, cd, t), t);
}

/** The path with one more point on a step; its form stays the same (de Casteljau). */
export function insertPoint(path: Path, step: number, t: number): Path {
  return path.flatMap((s, i): Segment[] => {
    const from = endOf(path[i - 1]);
    const to = endOf(s);
    if (i !== step || !from || !to || s[0] === 'M') return [s];
    if (s[0] !== 'C') {
      const m = mix(from, to, t);
      return [['L', m.x, m.y], s];
    }
    const [a, b] = [
      { x: s[1], y: s[2] },
      { x: s[3], y: s[4] },
    ];
    const [ab, bc, cd] = [mix(from, a, t), mix(a, b, t), mix(b, to, t)];
    const [abc, bcd] = [mix(ab, bc, t), mix(bc, cd, t)];
    const m = mix(abc, bcd, t);
    return [
      ['C', ab.x, ab.y, abc.x, abc.y, m.x, m.y],
      ['C', bcd.x, bcd.y, cd.x, cd.y, to.x, to.y],
    ];
  });
}

/** A path element with another path, its box around it. */
export function withPath(element: Element, path: Path, boxes: SurfaceBoxes): Element {
  if (element.kind !== 'shape' || element.shape.form !== 'path') return element;
  const bounds = pathBounds(path);
  const data = pathText(asShares(path, bounds));
  return {
    ...element,
    shape: { ...element.shape, data },
    placement: moveTo(element.placement, bounds, boxes),
  };
}
