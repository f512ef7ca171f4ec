import type { BUBBLE_SIDES } from '../element';
import { rectPath, rotation, mapPath, type Path, type Rect, type Segment } from '../layout';
import type { Mm } from '../measure';

export interface BubbleMeasures {
  readonly radius: Mm;
  readonly side: (typeof BUBBLE_SIDES)[number];
  /** Share along that side at which the tail’s root has its middle. */
  readonly at: number;
  readonly width: Mm;
  readonly length: Mm;
  readonly lean: Mm;
}

const TURNS: Readonly<Record<BubbleMeasures['side'], number>> = { bottom: 0, left: 90, top: 180, right: 270 };

/** A speech bubble: a rounded box with a tail that grows out of one of its sides. */
export function bubblePath(r: Rect, bubble: BubbleMeasures): Path {
  const degrees = TURNS[bubble.side];
  const centre = { x: r.x + r.width / 2, y: r.y + r.height / 2 };
  const sideways = degrees % 180 !== 0;
  // Drawn with its tail at the bottom, then turned about its middle.
  const [w, h] = sideways ? [r.height, r.width] : [r.width, r.height];
  const box: Rect = { x: centre.x - w / 2, y: centre.y - h / 2, width: w, height: h };
  return mapPath(withTail(box, bubble), rotation(degrees, centre));
}

function withTail(box: Rect, { radius, at, width, length, lean }: BubbleMeasures): Path {
  const round = Math.min(radius, box.width / 2, box.height / 2);
  const room = box.width - 2 * round;
  const root = Math.min(width, room);
  const middle = box.x + round + root / 2 + (room - root) * at;
  const bottom = box.y + box.height;
  const tail: readonly Segment[] = [
    ['L', middle + root / 2, bottom],
    ['L', middle + lean, bottom + length],
    ['L', middle - root / 2, bottom],
  ];
  const outline = rectPath(box, round);
  // The bottom side is drawn from right to left: the tail comes before the step that ends it.
  const end = outline.findIndex(
    (s) => s[0] === 'L' && Math.abs(s[2] - bottom) < 1e-9 && Math.abs(s[1] - box.x - round) < 1e-9,
  );
  return [...outline.slice(0, end), ...tail, ...outline.slice(end)];
}
