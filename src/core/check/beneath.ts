import Flatbush from 'flatbush';
import { overlaps, type Rect } from '../layout';

/**
 * Finds what lies beneath a thing without looking at everything on the side.
 * @param rects of things in the order in which they lie, lowest first, mm
 * @returns for the place of a thing in that order, the places of those below it that it overlaps, uppermost first
 */
export function beneath(rects: readonly Rect[]): (upper: number) => readonly number[] {
  const reach = reaching(rects);
  return (upper) => {
    const rect = rects[upper];
    if (!rect) return [];
    return reach(rect)
      .filter((i) => i < upper && overlaps(rects[i] ?? NOWHERE, rect))
      .sort((a, b) => b - a);
  };
}

/** @returns for a rectangle, the places of those that touch it, in no order */
export function reaching(rects: readonly Rect[]): (rect: Rect) => readonly number[] {
  if (rects.length === 0) return () => [];
  const index = new Flatbush(rects.length);
  for (const { x, y, width, height } of rects) index.add(x, y, x + width, y + height);
  index.finish();
  return ({ x, y, width, height }) => index.search(x, y, x + width, y + height);
}

const NOWHERE: Rect = { x: NaN, y: NaN, width: 0, height: 0 };
