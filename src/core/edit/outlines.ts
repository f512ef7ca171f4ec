import { elementsOn, Element, withSide, type ElementOf, type Job, type SolidPaint, withPiece } from '../job';
import { paintOfInk } from '../compose';
import { leavesOf, type Item } from '../drawing';
import { mapPath, multiply, pathBounds, pathText, placed, type Path } from '../layout';
import { freshId } from './new-element';
import type { DrawnJob } from './drawn-job';
import { asShares } from '../element';

/** Most segments of one path: an element holds no endless one. */
const MOST = 4_000;

const paintOf = (item: Item): SolidPaint | undefined => {
  const ink = item.kind === 'glyphs' ? item.ink : item.kind === 'path' ? item.fill : undefined;
  return ink?.kind === 'process' ? paintOfInk(ink) : undefined;
};

/**
 * A text as plain shapes, one or more for each of its colours, where its letters stood. It can be cut and bent as any
 * path; its words can be typed no more.
 */
export function outlined(
  desk: DrawnJob,
  text: ElementOf<'text'>,
): { readonly job: Job; readonly ids: readonly string[] } {
  const { drawing, job, piece, surface, resources } = desk;
  const frame = drawing.frames.find((f) => f.element === text.id);
  const found: { readonly paint: SolidPaint; readonly key: string; path: Path }[] = [];
  for (const item of leavesOf(frame?.items ?? [])) {
    const paint = paintOf(item);
    if (!paint) continue;
    const key = JSON.stringify(paint);
    const outline = outlineOf(item, resources);
    const open = found.findLast((part) => part.key === key);
    if (open && open.path.length + outline.length <= MOST) open.path = [...open.path, ...outline];
    else found.push({ paint, key, path: outline });
  }
  const parts = found.filter(({ path }) => path.length > 0);
  const group = parts.length > 1 ? freshId() : null;
  const shapes = parts.map(({ paint, path }, i) => {
    const rect = pathBounds(path);
    const data = pathText(asShares(path, rect));
    const placement = placed(rect, text.placement.against, drawing.boxes);
    const name = parts.length > 1 ? `${frame?.name ?? 'Text'}, part ${i + 1}` : (frame?.name ?? '');
    return Element.parse({
      kind: 'shape',
      id: freshId(),
      name,
      placement,
      shape: { form: 'path', data },
      fill: paint,
      atTrim: 'stops',
      layer: text.layer,
      opacity: text.opacity,
      blend: text.blend,
      effects: text.effects,
      group,
    });
  });
  if (shapes.length === 0) return { job, ids: [text.id] };
  const groups = group ? [...piece.groups, { id: group, name: frame?.name ?? 'Outlines' }] : piece.groups;
  const elements = elementsOn(piece, surface.name).flatMap((e) => (e.id === text.id ? shapes : [e]));
  return {
    job: withPiece(job, { ...withSide(piece, surface.name, elements), groups }),
    ids: shapes.map((s) => s.id),
  };
}

function outlineOf(item: Item, { fonts }: DrawnJob['resources']): Path {
  if (item.kind === 'path') return mapPath(item.path, item.matrix);
  if (item.kind !== 'glyphs') return [];
  const font = fonts.file(item.font);
  if (!font) return [];
  const scale = item.size / font.unitsPerEm;
  return item.glyphs.flatMap((g) =>
    mapPath(font.outline(g.gid), multiply(item.matrix, [scale, 0, 0, -scale, g.x, g.y])),
  );
}
