import Flatbush from 'flatbush';
import type { EdgeLengths, Rect } from './geometry';

/** Bleeds of neighbours meet where the other begins to be nearer, mm of rounding left out. */
const HAIR = 1e-6;

/**
 * How much of its bleed each of several pieces keeps beside the others: where two meet, each ends half way, and at the
 * edge of the room all end. Lengths in mm.
 * @param trims where each is trimmed
 * @param bleed what each would have alone
 */
export function meetingBleeds(trims: readonly Rect[], bleed: EdgeLengths, room: Rect): readonly EdgeLengths[] {
  if (trims.length === 0) return [];
  const index = new Flatbush(trims.length);
  for (const { x, y, width, height } of trims) index.add(x, y, x + width, y + height);
  index.finish();
  // What is farther away than two bleeds takes nothing of one.
  const near = ({ x, y, width, height }: Rect) =>
    index
      .search(x - 2 * bleed.left, y - 2 * bleed.top, x + width + 2 * bleed.right, y + height + 2 * bleed.bottom)
      .flatMap((at) => trims[at] ?? []);
  return trims.map((trim) => {
    const others = near(trim);
    const left = nearest(trim, others, (a, b) => a.x - b.x - b.width, 'level');
    const right = nearest(trim, others, (a, b) => b.x - a.x - a.width, 'level');
    const top = nearest(trim, others, (a, b) => a.y - b.y - b.height, 'upright');
    const bottom = nearest(trim, others, (a, b) => b.y - a.y - a.height, 'upright');
    const kept = (own: number, between: number, toEdge: number) => Math.max(0, Math.min(own, between / 2, toEdge));
    return {
      left: kept(bleed.left, left, trim.x - room.x),
      right: kept(bleed.right, right, room.x + room.width - trim.x - trim.width),
      top: kept(bleed.top, top, trim.y - room.y),
      bottom: kept(bleed.bottom, bottom, room.y + room.height - trim.y - trim.height),
    };
  });
}

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
