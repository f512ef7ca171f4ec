import type { EdgeLengths, Rect } from './geometry';

/** Bleeds of neighbours meet where the other begins to be nearer, mm of rounding left out. */
const HAIR = 1e-6;

/**
 * How much of its bleed each of several pieces keeps beside the others: where two meet, each ends half way, and at the
 * edge of the room all end. Lengths in mm.
 * @param trims where each is trimmed
 * @param bleed what each would have alone
 */
export const meetingBleeds = (trims: readonly Rect[], bleed: EdgeLengths, room: Rect): readonly EdgeLengths[] =>
  trims.map((trim) => {
    const left = nearest(trim, trims, (a, b) => a.x - b.x - b.width, 'level');
    const right = nearest(trim, trims, (a, b) => b.x - a.x - a.width, 'level');
    const top = nearest(trim, trims, (a, b) => a.y - b.y - b.height, 'upright');
    const bottom = nearest(trim, trims, (a, b) => b.y - a.y - a.height, 'upright');
    const kept = (own: number, between: number, toEdge: number) => Math.max(0, Math.min(own, between / 2, toEdge));
    return {
      left: kept(bleed.left, left, trim.x - room.x),
      right: kept(bleed.right, right, room.x + room.width - trim.x - trim.width),
      top: kept(bleed.top, top, trim.y - room.y),
      bottom: kept(bleed.bottom, bottom, room.y + room.height - trim.y - trim.height),
    };
  });

/** Distance to the nearest that lies beside, or above and below; Infinity where none does. */
function nearest(
  own: Rect,
  others: readonly Rect[],
  distance: (own: Rect, other: Rect) => number,
  facing: 'level' | 'upright',
): number {
  let least = Infinity;
  for (const other of others) {
    const meets =
      facing === 'level'
        ? other.y < own.y + own.height && own.y < other.y + other.height
        : other.x < own.x + own.width && own.x < other.x + other.width;
    const far = distance(own, other);
    if (meets && far > -HAIR && far < least) least = Math.max(0, far);
  }
  return least;
}
