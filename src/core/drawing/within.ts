import { intersectionPath, rectPath, type Rect } from '../layout';
import type { Drawing, Frame, Item } from './drawing';

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

const frameWithin = ({ items, bounds }: Frame, box: Rect): readonly Item[] =>
  isIn(bounds, box) ? items : items.map((item) => clippedTo(item, box));

/** What a drawing lays on paper within a box, lowest first: what reaches beyond it is cut there. */
export const itemsWithin = ({ repeated, frames, reserved }: Drawing, box: Rect): readonly Item[] => [
  ...repeated.map((item) => clippedTo(item, box)),
  ...frames.flatMap((frame) => frameWithin(frame, box)),
  ...reserved,
];

/** Frames after one another that are all the same as in another drawing of the side, or all of this one alone. */
export interface Stretch {
  /** Two stretches of one key lay down the same; undefined for what is of this drawing alone. */
  readonly key: string | undefined;
  readonly items: readonly Item[];
}

/**
 * The same in stretches, so that what many drawings have in common is written once.
 * @param like frames of the same side that others are compared with
 */
export function stretchesWithin(drawing: Drawing, like: readonly Frame[], box: Rect): readonly Stretch[] {
  const known = new Set(like);
  const runs: Frame[][] = [];
  for (const frame of drawing.frames) {
    const last = runs.at(-1);
    if (last?.[0] && known.has(last[0]) === known.has(frame)) last.push(frame);
    else runs.push([frame]);
  }
  const { repeated, reserved } = drawing;
  return [
    ...(repeated.length > 0 ? [{ key: undefined, items: repeated.map((item) => clippedTo(item, box)) }] : []),
    ...runs.map((frames): Stretch => {
      const isKnown = frames[0] !== undefined && known.has(frames[0]);
      return {
        key: isKnown ? frames.map(({ element }) => element).join('\n') : undefined,
        items: frames.flatMap((frame) => frameWithin(frame, box)),
      };
    }),
    ...(reserved.length > 0 ? [{ key: undefined, items: reserved }] : []),
  ];
}
