import { z } from 'zod';
import { Insets } from './grid';
import { ParagraphChanges } from './look';
import { SolidPaint } from './paint';
import { Paragraph } from './paragraph';
import { id } from './placement';

/** How a cell stands, every fact given but those of its type, which come from styles. */
const cell = {
  style: id.nullable().describe('The paragraph style of its words.'),
  look: ParagraphChanges.describe('What of its type differs from the style.'),
  fill: SolidPaint.nullable(),
  vertical: z.enum(['top', 'middle', 'bottom']),
  inset: Insets,
} as const;

export const CellLook = z.strictObject(cell);
export type CellLook = z.infer<typeof CellLook>;

/** What of a cell’s look is said; the rest comes from its row, its column and the table. */
export const CellChanges = CellLook.partial();
export type CellChanges = z.infer<typeof CellChanges>;

/** A look of cells with a name. */
export const CellStyle = z.strictObject({
  id,
  name: z.string().min(1).max(60),
  basedOn: id.nullable().default(null).describe('The cell style that says what this one does not.'),
  cell: CellChanges.default({}),
});
export type CellStyle = z.infer<typeof CellStyle>;

const span = z.number().int().min(1).max(500).default(1);

export const Cell = z.strictObject({
  paragraphs: z
    .array(Paragraph)
    .min(1)
    .max(2000)
    .default([{ runs: [] }]),
  across: span.describe('Columns that it spans; cells beneath it keep their words, unseen.'),
  down: span.describe('Rows that it spans.'),
  named: id.nullable().default(null).describe('A cell style.'),
  cell: CellChanges.default({}).describe('What differs from that style.'),
});
export type Cell = z.infer<typeof Cell>;

/** The look of a cell of which nothing is said [cp]. */
export const USUAL_CELL: CellLook = {
  style: null,
  look: {},
  fill: null,
  vertical: 'top',
  inset: { top: 1, right: 1.5, bottom: 1, left: 1.5 },
};

/** One look of cells laid over another; of type, fact by fact. */
export const overCell = <L extends CellChanges>(look: L, changes: CellChanges | undefined): L => {
  if (!changes || Object.keys(changes).length === 0) return look;
  return { ...look, ...changes, ...(changes.look && { look: { ...look.look, ...changes.look } }) };
};
