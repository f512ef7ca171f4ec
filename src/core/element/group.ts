import { z } from 'zod';
import { Length } from './length';
import { BoxRef, id } from './placement';

/** A sheet of a side on which elements lie; later ones lie above earlier ones. */
export const Layer = z.strictObject({
  id,
  name: z.string().min(1).max(60),
  locked: z.boolean().default(false).describe('What lies on it cannot be changed on the bench.'),
  hidden: z.boolean().default(false).describe('Neither shown nor printed.'),
});
export type Layer = z.infer<typeof Layer>;

export const ARTWORK = 'artwork';

/** Elements that are chosen and moved together; a row also keeps them at equal or given gaps. */
export const Group = z.strictObject({
  id,
  name: z.string().min(1).max(60),
  row: z
    .strictObject({
      axis: z.enum(['x', 'y']),
      in: BoxRef,
      gap: z
        .union([Length, z.literal('equal')])
        .describe('`equal`: the first at one end of the box, the last at the other.'),
      from: z
        .enum(['start', 'centre', 'end'])
        .default('start')
        .describe('Where a row with a given gap stands in its box.'),
    })
    .optional()
    .describe('Its members one after another, in the order of the side.'),
});
export type Group = z.infer<typeof Group>;
export type Row = NonNullable<Group['row']>;
