import { z } from 'zod';

/** Most records that one job is made of. */
export const MOST_RECORDS = 100_000;

/** What differs from copy to copy: rows of a file, or numbers that count on. */
export const Records = z.discriminatedUnion('from', [
  z
    .strictObject({
      from: z.literal('file'),
      file: z.string().regex(/^[0-9a-f]{64}$/),
    })
    .describe('The rows of a file, each a record; its first row names the columns.'),
  z
    .strictObject({
      from: z.literal('count'),
      first: z.number().int().min(0).max(1e15).default(1),
      step: z.number().int().min(1).max(1_000_000).default(1),
      count: z.number().int().min(1).max(MOST_RECORDS),
      digits: z.number().int().min(1).max(20).default(1).describe('Filled up with noughts in front to so many.'),
    })
    .describe('Numbers in a column that is called “number”.'),
]);
export type Records = z.infer<typeof Records>;
