import { z } from 'zod';
import { Extent, extent, extentOf, type Measures } from './length';
import { BoxRef, id } from './placement';

/** Four lengths in mm: bleed, safe margins. */
export const Edges = z.strictObject({ top: extent, right: extent, bottom: extent, left: extent });
export type Edges = z.infer<typeof Edges>;

export const Insets = z.strictObject({ top: Extent, right: Extent, bottom: Extent, left: Extent });
export type Insets = z.infer<typeof Insets>;

export const insetsOf = (insets: Insets, measures: Measures): Edges => ({
  top: extentOf(insets.top, measures),
  right: extentOf(insets.right, measures),
  bottom: extentOf(insets.bottom, measures),
  left: extentOf(insets.left, measures),
});

const count = z.number().int().min(1).max(100);

/** Widths given one by one; `null` takes an equal share of what is left. */
export const TrackSizes = z
  .array(z.union([Extent, z.null()]))
  .min(1)
  .max(100);
export type TrackSizes = z.infer<typeof TrackSizes>;

const tracks = {
  columns: count.default(1),
  gutter: Extent.default(4),
  rows: count.default(1),
  rowGutter: Extent.default(4),
  columnWidths: TrackSizes.optional().describe('Instead of equal columns.'),
  rowHeights: TrackSizes.optional().describe('Instead of equal rows.'),
  margins: Insets.optional().describe('From the box’s edges; left out, the safe area or the whole box.'),
  facing: z.boolean().optional().describe('On facing pages the left margin is the inner one: at the spine on both.'),
};

/** Columns and rows with gutters: equal parts, or given sizes. */
export const Grid = z.strictObject(tracks);
export type Grid = z.infer<typeof Grid>;

/** A grid laid into any box: a panel, a column, another element. */
export const NamedGrid = z.strictObject({
  id,
  name: z.string().min(1).max(60),
  side: z.string().min(1).max(60).optional().describe('Left out, on every side that has the box.'),
  in: BoxRef,
  ...tracks,
});
export type NamedGrid = z.infer<typeof NamedGrid>;

/** A line to catch on and to see by, at a place of a box. */
export const Guide = z.strictObject({
  id,
  side: z.string().min(1).max(60).optional(),
  axis: z.enum(['x', 'y']).describe('`x`: an upright line at a distance across; `y`: a level one.'),
  in: BoxRef,
  at: z.discriminatedUnion('how', [
    z.strictObject({ how: z.literal('from-start'), distance: Extent }).describe('Inside the left or top edge.'),
    z.strictObject({ how: z.literal('from-end'), distance: Extent }).describe('Inside the right or bottom edge.'),
    z.strictObject({ how: z.literal('centre') }),
    z
      .strictObject({ how: z.literal('parts'), parts: z.number().int().min(2).max(100) })
      .describe('Every part of an equal division.'),
  ]),
});
export type Guide = z.infer<typeof Guide>;
