import { intersectionPath, rectPath, type Rect } from '../layout';
import type { Drawing, Item } from './drawing';

const isIn = (inner: Rect, outer: Rect): boolean =>
  inner.x >= outer.x - HAIR &&
  inner.y >= outer.y - HAIR &&
  inner.x + inner.width <= outer.x + outer.width + HAIR &&
  inner.y + inner.height <= outer.y + outer.height + HAIR;

/** Room for rounding, mm. */
const HAIR = 1e-6;

function clippedTo(item: Item, box: Rect): Item {
  const rect = rectPath(box);
  const { clip } = item;
  if (!clip) return { ...item, clip: { path: rect, rule: 'nonzero' } };
  return { ...item, clip: { path: intersectionPath(clip.path, rect, clip.rule), rule: 'nonzero' } };
}

/** What a drawing lays on paper within a box, lowest first: what reaches beyond it is cut there. */
export const itemsWithin = ({ repeated, frames, reserved }: Drawing, box: Rect): readonly Item[] => [
  ...repeated.map((item) => clippedTo(item, box)),
  ...frames.flatMap(({ items, bounds }) => (isIn(bounds, box) ? items : items.map((item) => clippedTo(item, box)))),
  ...reserved,
];
