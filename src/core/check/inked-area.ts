import { totalLaid } from '../colour';
import { leavesOf, type Drawing, type Frame } from '../drawing';
import { areaOf, intersection, type Rect } from '../layout';
import { inksOf } from './paints';

/**
 * The largest area of a side, within its trim, on which so much ink lies; undefined where none does. Words are none:
 * little of their box is inked.
 * @param least percent on each other
 */
export function largestInked({ frames, boxes }: Drawing, least: number): Rect | undefined {
  const areas = frames.flatMap((frame) => (isInked(frame, least) ? [intersection(frame.ink, boxes.trim)] : []));
  return areas.sort((a, b) => areaOf(b) - areaOf(a))[0];
}

/** The share of the trimmed side that a box covers, 0 to 1. */
export const shareOf = (box: Rect | undefined, { boxes }: Drawing): number =>
  box ? areaOf(box) / areaOf(boxes.trim) : 0;

function isInked(frame: Frame, least: number): boolean {
  if (frame.kind === 'text' || frame.kind === 'table') return false;
  const pictured = leavesOf(frame.items).some((item) => item.kind === 'picture' && (item.inkMost ?? 0) >= least);
  return pictured || inksOf(frame).some((ink) => totalLaid(ink) >= least);
}
