import { z } from 'zod';
import { Extent, Length } from './length';

const degrees = z.number().min(-360).max(360);
const sides = z.number().int().min(3).max(100);

export const RIBBON_ENDS = ['flat', 'notched', 'pointed'] as const;
export const RibbonEnd = z.enum(RIBBON_ENDS);
export type RibbonEnd = z.infer<typeof RibbonEnd>;

export const BUBBLE_SIDES = ['bottom', 'top', 'left', 'right'] as const;

/** What a shape is within its box. */
export const Form = z.discriminatedUnion('form', [
  z.strictObject({
    form: z.literal('rectangle'),
    radius: z
      .union([Extent, z.tuple([Extent, Extent, Extent, Extent])])
      .default(0)
      .describe('Corner radius; four are for the corners clockwise from the top left.'),
  }),
  z.strictObject({ form: z.literal('ellipse') }),
  z
    .strictObject({ form: z.literal('polygon'), sides: sides.default(6) })
    .describe('Regular where its box is square; one corner up.'),
  z.strictObject({
    form: z.literal('star'),
    points: sides.default(5),
    inner: z.number().min(1).max(100).default(40).describe('Percent of the way out at which the inner corners lie.'),
  }),
  z.strictObject({
    form: z.literal('arc'),
    from: degrees.default(0).describe('Degrees clockwise from the top.'),
    sweep: degrees.default(90).describe('Degrees clockwise.'),
    ends: z.enum(['open', 'chord', 'pie']).default('open'),
  }),
  z
    .strictObject({
      form: z.literal('arrow'),
      shaft: Extent.default(2).describe('Thickness.'),
      head: Extent.default(6).describe('Length of the head; it is as wide as the box is high.'),
      tail: z.enum(['plain', 'notched', 'head']).default('plain'),
      bend: Length.default(0).describe(
        'How far the middle of the shaft lies above (or, negative, below) the straight line.',
      ),
    })
    .describe('Runs to the right, from the left to the right edge of its box.'),
  z.strictObject({
    form: z.literal('ribbon'),
    left: RibbonEnd.default('notched'),
    right: RibbonEnd.default('notched'),
    depth: Extent.default(4).describe(
      'Depth of the notch or point: a length, so that a shorter ribbon keeps its ends.',
    ),
  }),
  z.strictObject({
    form: z.literal('bubble'),
    radius: Extent.default(3),
    side: z.enum(BUBBLE_SIDES).default('bottom').describe('From which its tail grows, outside the box.'),
    at: z.number().min(0).max(100).default(30).describe('Where on that side, percent.'),
    width: Extent.default(5),
    length: Extent.default(7),
    lean: Length.default(-3).describe('How far the tip stands beside the middle of its root.'),
  }),
  z.strictObject({
    form: z.literal('path'),
    data: z
      .string()
      .max(400_000)
      .regex(/^[MLCZ\d\s.,eE+-]*$/)
      .describe('M, L, C and Z with absolute coordinates: 0 to 1 across and down the box.'),
    rule: z.enum(['nonzero', 'evenodd']).default('nonzero').describe('What counts as inside where it crosses itself.'),
  }),
]);
export type Form = z.infer<typeof Form>;
export type FormKind = Form['form'];
export type FormOf<K extends FormKind> = Extract<Form, { form: K }>;
