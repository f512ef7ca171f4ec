import { z } from 'zod';
import { Length } from './length';
import { BoxRef } from './placement';

const copies = z.number().int().min(1).max(500);

/** How many on an axis: a number, or as many as the box holds. */
export const Copies = z.union([copies, z.literal('fill')]);
export type Copies = z.infer<typeof Copies>;

/** The gap between copies: a length, or the one with which the last ends at the box’s edge. */
export const Gap = z.union([Length, z.literal('even')]);
export type Gap = z.infer<typeof Gap>;

/** An element set down again: it stays one element, and every copy follows it. */
export const Repeat = z.discriminatedUnion('way', [
  z
    .strictObject({
      way: z.literal('rows'),
      in: BoxRef.describe('The box that `fill` fills and `even` reaches the end of.'),
      across: Copies.default(1),
      down: Copies.default(1),
      gapAcross: Gap.default(2),
      gapDown: Gap.default(2),
    })
    .describe('In a line or in rows and columns.'),
  z
    .strictObject({
      way: z.literal('around'),
      in: BoxRef.describe('It goes around the centre of this box.'),
      count: copies.default(6),
      through: z
        .number()
        .min(-3600)
        .max(3600)
        .default(360)
        .describe('Degrees from the first to where the first would come again.'),
      upright: z.boolean().default(false).describe('Copies keep standing as the first does.'),
      grow: z.number().min(10).max(1000).default(100).describe('Size of each as percent of the one before.'),
      out: Length.default(0).describe('How much further out each lies than the one before.'),
    })
    .describe('Around a point.'),
  z
    .strictObject({
      way: z.literal('mirror'),
      in: BoxRef.describe('Mirrored across the centre of this box.'),
      axis: z.enum(['x', 'y']).default('x').describe('`x`: left and right change places; `y`: top and bottom.'),
      upright: z.boolean().default(false).describe('Only its place is mirrored; type and pictures stay readable.'),
    })
    .describe('A mirror image that follows.'),
]);
export type Repeat = z.infer<typeof Repeat>;
export type RepeatOf<W extends Repeat['way']> = Extract<Repeat, { way: W }>;
