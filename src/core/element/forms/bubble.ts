import { z } from 'zod';
import { rectPath, rotation, mapPath, type Path, type Rect, type Segment } from '../../geometry';
import type { Mm } from '../../measure';
import { Extent, extentOf, Length, mmOf } from '../length';
import { defineForm, fieldsOf } from './define';

const SIDES = ['bottom', 'top', 'left', 'right'] as const;

const schema = z.strictObject({
  form: z.literal('bubble'),
  radius: Extent.default(3),
  side: z.enum(SIDES).default('bottom').describe('From which its tail grows, outside the box.'),
  at: z.number().min(0).max(100).default(30).describe('Where on that side, percent.'),
  width: Extent.default(5),
  length: Extent.default(7),
  lean: Length.default(-3).describe('How far the tip stands beside the middle of its root.'),
});
type Bubble = z.infer<typeof schema>;

const { extent, length, number, choice } = fieldsOf<Bubble>();

export const bubble = defineForm({
  schema,
  label: 'Speech bubble',
  words: 'a speech bubble',
  proportions: [1.4, 0.8],
  fields: [extent('radius', 'corners')],
  behind: {
    label: 'Tail',
    fields: [
      choice('side', 'side', SIDES, 92),
      number('at', 'at', { least: 0, most: 100, width: 62, after: ' %' }),
      extent('width', 'root'),
      extent('length', 'length'),
      length('lean', 'lean'),
    ],
  },
  outline: (form, box, measures) =>
    bubblePath(box, {
      radius: extentOf(form.radius, measures),
      side: form.side,
      at: form.at / 100,
      width: extentOf(form.width, measures),
      length: extentOf(form.length, measures),
      lean: mmOf(form.lean, measures),
    }),
  // A tip that leans by a named measure leans the same way both ways.
  mirrored: (form) => (typeof form.lean === 'number' ? { ...form, at: 100 - form.at, lean: -form.lean } : form),
});

interface BubbleMeasures {
  readonly radius: Mm;
  readonly side: (typeof SIDES)[number];
  /** Share along that side at which the tail’s root has its middle. */
  readonly at: number;
  readonly width: Mm;
  readonly length: Mm;
  readonly lean: Mm;
}

const TURNS: Readonly<Record<BubbleMeasures['side'], number>> = { bottom: 0, left: 90, top: 180, right: 270 };

/** A speech bubble: a rounded box with a tail that grows out of one of its sides. */
function bubblePath(r: Rect, bubble: BubbleMeasures): Path {
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
