import { z } from 'zod';
import { extent } from './placement';

export const Edges = z.strictObject({ top: extent, right: extent, bottom: extent, left: extent });
export type Edges = z.infer<typeof Edges>;

/** Equal columns and rows across the safe area, mm between them. */
export const Grid = z.strictObject({
  columns: z.number().int().min(1).max(100).default(1),
  gutter: extent.default(4),
  rows: z.number().int().min(1).max(100).default(1),
  rowGutter: extent.default(4),
});
export type Grid = z.infer<typeof Grid>;
