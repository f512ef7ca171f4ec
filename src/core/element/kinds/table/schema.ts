import { z } from 'zod';
import { Cell, CellChanges } from '../../cell';
import { Extent } from '../../length';
import { ParagraphChanges } from '../../look';
import { SolidPaint } from '../../paint';
import { id } from '../../placement';
import { Stroke } from '../../stroke';
import { common } from '../common';

export const MOST_COLUMNS = 60;
export const MOST_ROWS = 500;
/** As much of a file as a table takes. */
export const TABLE_BOUNDS = { rows: MOST_ROWS, columns: MOST_COLUMNS } as const;

const track = z.number().int().min(0).max(MOST_ROWS);

export const TableColumn = z.strictObject({
  width: z
    .union([Extent, z.literal('content'), z.null()])
    .default(null)
    .describe('`content`: as wide as its longest line; null: an equal share of what is left.'),
  cells: CellChanges.default({}).describe('What its cells look like.'),
});
export type TableColumn = z.infer<typeof TableColumn>;

export const TableRow = z.strictObject({
  height: Extent.nullable().default(null).describe('Null: what its words take, and a share of what is left.'),
  cells: CellChanges.default({}).describe('What its cells look like.'),
  content: z.array(Cell).min(1).max(MOST_COLUMNS).describe('One for each column.'),
});
export type TableRow = z.infer<typeof TableRow>;

const stroke = Stroke.nullable().default(null);

/** Some lines of a table, otherwise than its sets say. */
export const TableLine = z.strictObject({
  axis: z.enum(['x', 'y']).describe('`x`: an upright line, between columns; `y`: a level one.'),
  at: track.describe('Which line, from 0 at the left or top edge.'),
  from: track.describe('The first row or column that it runs along, from 0.'),
  to: track.describe('The one before which it ends.'),
  stroke: Stroke.nullable(),
});
export type TableLine = z.infer<typeof TableLine>;

export const Borders = z.strictObject({
  top: stroke,
  right: stroke,
  bottom: stroke,
  left: stroke,
  rows: stroke.describe('Between rows.'),
  columns: stroke.describe('Between columns.'),
  header: stroke.describe('Beneath the header.'),
  lines: z.array(TableLine).max(2000).default([]).describe('Single lines; a later one counts.'),
});
export type Borders = z.infer<typeof Borders>;

/** Every row has a cell for each column. */
const isWhole = (table: {
  readonly columns: readonly unknown[];
  readonly rows: readonly { readonly content: readonly unknown[] }[];
}): boolean => table.rows.every((row) => row.content.length === table.columns.length);

/** Words in rows and columns; its cells are boxes that other elements can stand in. */
export const Table = z
  .strictObject({
    kind: z.literal('table'),
    ...common,
    style: id.nullable().default(null).describe('The paragraph style of cells that say nothing themselves.'),
    look: ParagraphChanges.default({}).describe('What differs from the style.'),
    cells: CellChanges.default({}).describe('What all cells look like.'),
    columns: z.array(TableColumn).min(1).max(MOST_COLUMNS),
    rows: z.array(TableRow).min(1).max(MOST_ROWS),
    header: z
      .strictObject({ rows: z.number().int().min(0).max(50), cells: CellChanges.default({}) })
      .prefault({ rows: 0 })
      .describe('First rows that name the columns.'),
    tint: z
      .strictObject({
        fill: SolidPaint,
        every: z.number().int().min(1).max(100).default(1).describe('Rows tinted, then as many not.'),
        first: z.boolean().default(false).describe('Whether the first row below the header is tinted.'),
      })
      .nullable()
      .default(null),
    heights: z
      .enum(['even', 'content'])
      .default('content')
      .describe(
        'Rows without a height, in a table that is higher than they need: all alike, or each given an equal share.',
      ),
    borders: Borders.prefault({}),
    language: z.string().max(20).nullable().default(null).describe('BCP 47; null is the job’s.'),
  })
  .refine(isWhole, { error: 'Every row needs one cell for each column.' });
export type TableElement = z.infer<typeof Table>;
