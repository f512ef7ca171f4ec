import { overCell, type Cell, type CellChanges } from '../../cell';
import type { Paragraph } from '../../paragraph';
import type { CellBook } from '../define';
import type { TextElement } from '../text/schema';
import { cellId, cellText, seenCells } from './cells-of';
import type { TableElement } from './schema';

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

/** The cell with what was changed of its text; what was not changed still follows from table, row and column. */
function cellWith(cell: Cell, before: TextElement, { style, look, paragraphs, vertical, inset }: TextElement): Cell {
  const own = {
    ...(style !== before.style && { style }),
    ...(look !== before.look && { look }),
    ...(vertical !== before.vertical && vertical !== 'spread' && { vertical }),
    ...(inset !== before.inset && { inset }),
  };
  return {
    ...cell,
    paragraphs: [...paragraphs],
    cell: Object.keys(own).length > 0 ? overCell(cell.cell, own) : cell.cell,
  };
}

/** A table with the text of each seen cell changed; the same object where none was. */
export function mapCellTexts(
  table: TableElement,
  book: CellBook,
  change: (text: TextElement) => TextElement,
): TableElement {
  const seen = new Set(seenCells(table).map((place) => cellId(table.id, place)));
  const rows = table.rows.map((row, r) => {
    const content = row.content.map((cell, c) => {
      const place = { row: r, column: c };
      if (!seen.has(cellId(table.id, place))) return cell;
      const before = cellText(table, place, book);
      const after = change(before);
      return after === before ? cell : cellWith(cell, before, after);
    });
    if (content.every((cell, c) => cell === row.content[c])) return row;
    return { ...row, content };
  });
  return rows.every((row, r) => row === table.rows[r]) ? table : { ...table, rows };
}
