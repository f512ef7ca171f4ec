import type { CellChanges } from './cell';
import type { TableElement } from './cells-of';
import type { Paragraph } from './paragraph';

/**
 * A table with what is said of its cells changed wherever it is said: of all, of columns, rows, the header, or a cell.
 */
export const mapSaid = (table: TableElement, change: (said: CellChanges) => CellChanges): TableElement => ({
  ...table,
  cells: change(table.cells),
  columns: table.columns.map((c) => ({ ...c, cells: change(c.cells) })),
  rows: table.rows.map((r) => ({
    ...r,
    cells: change(r.cells),
    content: r.content.map((c) => ({ ...c, cell: change(c.cell) })),
  })),
  header: { ...table.header, cells: change(table.header.cells) },
});

/** A table with the paragraphs of all its cells changed, those beneath a span too. */
export const mapCellWords = (table: TableElement, change: (p: Paragraph) => Paragraph): TableElement => ({
  ...table,
  rows: table.rows.map((r) => ({
    ...r,
    content: r.content.map((c) => ({ ...c, paragraphs: c.paragraphs.map(change) })),
  })),
});
