import { z } from 'zod';
import { arcSegments, polygonPath, type Path, type Point, type Rect, type Segment } from '../../geometry';
import type { Mm } from '../../measure';
import { Extent, extentOf, Length, mmOf } from '../length';
import { defineForm, fieldsOf } from './define';

const TAILS = ['plain', 'notched', 'head'] as const;

const schema = z
  .strictObject({
    form: z.literal('arrow'),
    shaft: Extent.default(2).describe('Thickness.'),
    head: Extent.default(6).describe('Length of the head; it is as wide as the box is high.'),
    tail: z.enum(TAILS).default('plain'),
    bend: Length.default(0).describe(
      'How far the middle of the shaft lies above (or, negative, below) the straight line.',
    ),
  })
  .describe('Runs to the right, from the left to the right edge of its box.');
type Arrow = z.infer<typeof schema>;

const { extent, length, choice } = fieldsOf<Arrow>();

export const arrow = defineForm({
  schema,
  label: 'Arrow',
  words: 'an arrow',
  key: 'A',
  proportions: [1.5, 0.35],
  fields: [extent('shaft', 'shaft'), extent('head', 'head'), length('bend', 'bend'), choice('tail', 'tail', TAILS, 92)],
  outline: ({ shaft, head, tail, bend }, box, measures) =>
    arrowPath(box, {
      shaft: extentOf(shaft, measures),
      head: extentOf(head, measures),
      tail,
      bend: mmOf(bend, measures),
    }),
});

interface ArrowMeasures {
  /** Thickness of the shaft. */
  readonly shaft: Mm;
  /** Length of a head; its width is the box’s height. */
  readonly head: Mm;
  readonly tail: 'plain' | 'notched' | 'head';
  /** Rise of the shaft’s middle above the straight line between its ends. */
  readonly bend: Mm;
}

/** An arrow from the left to the right edge of its box, its shaft straight or an arc of a circle. */
function arrowPath(r: Rect, arrow: ArrowMeasures): Path {
  return Math.abs(arrow.bend) < 1e-6 ? straight(r, arrow) : curved(r, arrow);
}

function straight(r: Rect, { shaft, head, tail }: ArrowMeasures): Path {
  const middle = r.y + r.height / 2;
  const half = Math.min(shaft, r.height) / 2;
  const [left, right, bottom] = [r.x, r.x + r.width, r.y + r.height];
  const heads = tail === 'head' ? 2 : 1;
  const length = Math.min(head, r.width / heads);
  const neck = right - length;
  const tip: readonly Point[] = [
    { x: neck, y: middle - half },
    { x: neck, y: r.y },
    { x: right, y: middle },
    { x: neck, y: bottom },
    { x: neck, y: middle + half },
  ];
  const end: readonly Point[] =
    tail === 'head'
      ? [
          { x: left + length, y: middle + half },
          { x: left + length, y: bottom },
          { x: left, y: middle },
          { x: left + length, y: r.y },
          { x: left + length, y: middle - half },
        ]
      : [
          { x: left, y: middle + half },
          ...(tail === 'notched' ? [{ x: left + Math.min(half, neck - left), y: middle }] : []),
          { x: left, y: middle - half },
        ];
  return polygonPath([...tip, ...end]);
}

/** A frame along a circle: where, and which way is onward. */
interface Along {
  readonly centre: Point;
  readonly radius: Mm;
  /** Degrees clockwise from the right, y down. */
  readonly degrees: number;
  /** 1 when the arc runs clockwise. */
  readonly way: 1 | -1;
}

/** A point beside the arc: further out by `out`, further on by `on`. */
function beside({ centre, radius, degrees, way }: Along, out: Mm, on: Mm): Point {
  const a = (degrees * Math.PI) / 180;
  const [cos, sin] = [Math.cos(a), Math.sin(a)];
  return {
    x: centre.x + (radius + out) * cos - way * on * sin,
    y: centre.y + (radius + out) * sin + way * on * cos,
  };
}

/** With the chord c and the rise s the radius is (c²/4 + s²) ÷ 2s. */
function curved(r: Rect, { shaft, head, tail, bend }: ArrowMeasures): Path {
  const rise = Math.min(Math.abs(bend), r.width / 2);
  const up = bend > 0;
  const middle = r.y + r.height / 2;
  const radius = (r.width ** 2 / 4 + rise ** 2) / (2 * rise);
  const centre = { x: r.x + r.width / 2, y: up ? middle - rise + radius : middle + rise - radius };
  const angleOf = (x: Mm) => (Math.atan2(middle - centre.y, x - centre.x) * 180) / Math.PI;
  const way = up ? 1 : -1;
  const [from, to] = [angleOf(r.x), angleOf(r.x + r.width)];
  // Clockwise angles grow when it bends up; an angle past half a turn is brought round.
  const sweep = up ? (((to - from) % 360) + 360) % 360 : -((((from - to) % 360) + 360) % 360);
  const whole = (Math.abs(sweep) * Math.PI * radius) / 180;
  const heads = tail === 'head' ? 2 : 1;
  const length = Math.min(head, whole / heads);
  const headSweep = (way * length * 180) / (Math.PI * radius);
  const begin = tail === 'head' ? from + headSweep : from;
  const neck = from + sweep - headSweep;
  const half = Math.min(shaft, r.height, 2 * radius) / 2;
  const wide = r.height / 2;
  const at = (degrees: number): Along => ({ centre, radius, degrees, way });
  const corner = (p: Point): Segment => ['L', p.x, p.y];
  const start = beside(at(begin), half, 0);
  const path: Segment[] = [
    ['M', start.x, start.y],
    ...arcSegments(centre, radius + half, begin, neck),
    corner(beside(at(neck), wide, 0)),
    corner(beside(at(neck), 0, length)),
    corner(beside(at(neck), -wide, 0)),
    corner(beside(at(neck), -half, 0)),
    ...arcSegments(centre, radius - half, neck, begin),
  ];
  if (tail === 'head')
    path.push(
      corner(beside(at(begin), -wide, 0)),
      corner(beside(at(begin), 0, -length)),
      corner(beside(at(begin), wide, 0)),
    );
  if (tail === 'notched') path.push(corner(beside(at(begin), 0, half)));
  return [...path, ['Z']];
}
