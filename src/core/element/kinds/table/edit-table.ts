import type { Cell, CellChanges } from '../../cell';
import { overCell } from '../../cell';
import type { CellPlace } from './cells-of';
import { plainParagraphs } from '../../paragraph';
import { MOST_COLUMNS, MOST_ROWS, type TableColumn, type TableLine, type TableRow, type TableElement } from './schema';

/** Some cells of a table: a block from one corner to the other, both counted from 0. */
export interface CellBlock {
  readonly from: CellPlace;
  readonly to: CellPlace;
}

/** First and last row and column of a block, whichever corner was named first. */
export const blockOf = ({ from, to }: CellBlock) => ({
  rows: [Math.min(from.row, to.row), Math.max(from.row, to.row)] as const,
  columns: [Math.min(from.column, to.column), Math.max(from.column, to.column)] as const,
});

export const isInBlock = (block: CellBlock, { row, column }: CellPlace): boolean => {
  const { rows, columns } = blockOf(block);
  return row >= rows[0] && row <= rows[1] && column >= columns[0] && column <= columns[1];
};

const emptyCell = (like?: Cell): Cell => ({
  paragraphs: [{ ...(like?.paragraphs[0]?.style !== undefined && { style: like.paragraphs[0].style }), runs: [] }],
  across: 1,
  down: 1,
  named: like?.named ?? null,
  cell: like?.cell ?? {},
});

export const emptyColumn = (): TableColumn => ({ width: null, cells: {} });
export const emptyRow = (columns: number): TableRow => ({
  height: null,
  cells: {},
  content: Array.from({ length: columns }, () => emptyCell()),
});

/** Columns and rows of plain words; short rows are filled up with empty cells. */
export function tableOfWords(words: readonly (readonly string[])[]): Pick<TableElement, 'columns' | 'rows'> {
  const width = Math.min(MOST_COLUMNS, Math.max(1, ...words.map((row) => row.length)));
  const rows = words.slice(0, MOST_ROWS).map((row): TableRow => ({
    ...emptyRow(width),
    content: Array.from({ length: width }, (_, c) => ({ ...emptyCell(), paragraphs: plainParagraphs(row[c] ?? '') })),
  }));
  return { columns: Array.from({ length: width }, emptyColumn), rows: rows.length > 0 ? rows : [emptyRow(width)] };
}

/** The table with other words and as many rows and columns as they take; looks stay where their rows and columns do. */
export function withTableWords(table: TableElement, words: readonly (readonly string[])[]): TableElement {
  const { columns, rows } = tableOfWords(words);
  const last = table.rows.at(-1);
  return {
    ...table,
    columns: columns.map((column, c) => table.columns[c] ?? column),
    rows: rows.map((row, r): TableRow => {
      const like = table.rows[r] ?? last;
      if (!like) return row;
      return {
        ...like,
        content: row.content.map((cell, c) => ({
          ...(like.content[c] ?? cell),
          across: 1,
          down: 1,
          paragraphs: styledAs(like.content[c], cell),
        })),
      };
    }),
  };
}

/** New words in the paragraph style that stood in their place. */
function styledAs(before: Cell | undefined, { paragraphs }: Cell): Cell['paragraphs'] {
  const style = before?.paragraphs[0]?.style;
  return style === undefined ? paragraphs : paragraphs.map((p) => ({ ...p, style }));
}

const inserted = <T>(list: readonly T[], at: number, item: T): T[] => [...list.slice(0, at), item, ...list.slice(at)];

/** Lines and spans after tracks were put in or taken out at a place. @param by how many: negative where taken out */
function shiftedLines(lines: readonly TableLine[], axis: 'x' | 'y', at: number, by: number): TableLine[] {
  const moved = (n: number, isEnd: boolean) => (n > at || (n === at && !isEnd && by > 0) ? Math.max(at, n + by) : n);
  return lines.flatMap((line) => {
    if (line.axis === axis) return [{ ...line, at: moved(line.at, true) }];
    const next = { ...line, from: moved(line.from, false), to: moved(line.to, true) };
    return next.to > next.from ? [next] : [];
  });
}

/** A span grows when something is put into it. */
const grown = (cells: readonly Cell[], at: number): readonly Cell[] =>
  cells.map((cell, c) => (c < at && c + cell.across > at ? { ...cell, across: cell.across + 1 } : cell));

/** One more row, looking like the one before it, or else the one after. */
export function withRow(table: TableElement, at: number): TableElement {
  if (table.rows.length >= MOST_ROWS) return table;
  // A header gives its look only to what is put within it.
  const like =
    table.rows[at - 1 >= table.header.rows || at <= table.header.rows - 1 ? at - 1 : at] ??
    table.rows[at] ??
    table.rows[at - 1];
  const row: TableRow = {
    height: like?.height ?? null,
    cells: like?.cells ?? {},
    content: table.columns.map((_, c) => emptyCell(like?.content[c])),
  };
  const rows = table.rows.map((r, i) => ({
    ...r,
    content: r.content.map((cell) => (i < at && i + cell.down > at ? { ...cell, down: cell.down + 1 } : cell)),
  }));
  const header = at < table.header.rows ? { ...table.header, rows: table.header.rows + 1 } : table.header;
  return {
    ...table,
    header,
    rows: inserted(rows, at, row),
    borders: { ...table.borders, lines: shiftedLines(table.borders.lines, 'y', at, 1) },
  };
}

/** One more column, looking like its neighbour. */
export function withColumn(table: TableElement, at: number): TableElement {
  if (table.columns.length >= MOST_COLUMNS) return table;
  const like = table.columns[Math.max(0, at - 1)];
  const column: TableColumn = { width: null, cells: like?.cells ?? {} };
  const rows = table.rows.map((row) => ({
    ...row,
    content: inserted(grown(row.content, at), at, emptyCell(row.content[Math.max(0, at - 1)])),
  }));
  return {
    ...table,
    columns: inserted(table.columns, at, column),
    rows,
    borders: { ...table.borders, lines: shiftedLines(table.borders.lines, 'x', at, 1) },
  };
}

/** Without some rows; at least one stays. */
export function withoutRows(table: TableElement, first: number, last: number): TableElement {
  const gone = Math.min(last, table.rows.length - 1) - first + 1;
  if (gone >= table.rows.length || gone < 1) return table;
  const rows = table.rows
    .map((row, i) => ({
      ...row,
      content: row.content.map((cell) => ({ ...cell, down: shrunk(i, cell.down, first, gone) })),
    }))
    .filter((_, i) => i < first || i >= first + gone);
  const inHeader = Math.max(0, Math.min(table.header.rows, first + gone) - first);
  const header = { ...table.header, rows: table.header.rows - inHeader };
  return {
    ...table,
    header,
    rows,
    borders: { ...table.borders, lines: shiftedLines(table.borders.lines, 'y', first, -gone) },
  };
}

/** Without some columns; at least one stays. */
export function withoutColumns(table: TableElement, first: number, last: number): TableElement {
  const gone = Math.min(last, table.columns.length - 1) - first + 1;
  if (gone >= table.columns.length || gone < 1) return table;
  const stays = (_: unknown, c: number) => c < first || c >= first + gone;
  const rows = table.rows.map((row) => ({
    ...row,
    content: row.content.map((cell, c) => ({ ...cell, across: shrunk(c, cell.across, first, gone) })).filter(stays),
  }));
  const columns = table.columns.filter(stays);
  return {
    ...table,
    columns,
    rows,
    borders: { ...table.borders, lines: shiftedLines(table.borders.lines, 'x', first, -gone) },
  };
}

/** A span from a track over so many, after some tracks were taken out. */
const shrunk = (at: number, span: number, first: number, gone: number): number =>
  Math.max(1, span - Math.max(0, Math.min(at + span, first + gone) - Math.max(at, first)));

const mapCells = (table: TableElement, change: (cell: Cell, place: CellPlace) => Cell): TableElement => ({
  ...table,
  rows: table.rows.map((row, r) => ({
    ...row,
    content: row.content.map((cell, c) => change(cell, { row: r, column: c })),
  })),
});

/** The cells of a block as one, with the words of the first; the others keep theirs, unseen. */
export function joined(table: TableElement, block: CellBlock): TableElement {
  const { rows, columns } = blockOf(block);
  return mapCells(table, (cell, place) => {
    if (!isInBlock(block, place)) return cell;
    const isFirst = place.row === rows[0] && place.column === columns[0];
    return { ...cell, across: isFirst ? columns[1] - columns[0] + 1 : 1, down: isFirst ? rows[1] - rows[0] + 1 : 1 };
  });
}

/** Spans of a block parted again. */
export const parted = (table: TableElement, block: CellBlock): TableElement =>
  mapCells(table, (cell, place) => (isInBlock(block, place) ? { ...cell, across: 1, down: 1 } : cell));

/** The cells of a block with some of their look changed. */
export const withCells = (table: TableElement, block: CellBlock, changes: CellChanges): TableElement =>
  mapCells(table, (cell, place) => (isInBlock(block, place) ? { ...cell, cell: overCell(cell.cell, changes) } : cell));

/** The cells of a block in a cell style; what they said themselves goes. */
export const withCellStyle = (table: TableElement, block: CellBlock, named: string | null): TableElement =>
  mapCells(table, (cell, place) => (isInBlock(block, place) ? { ...cell, named, cell: {} } : cell));

/** The cells of a block without words. */
export const emptied = (table: TableElement, block: CellBlock): TableElement =>
  mapCells(table, (cell, place) =>
    isInBlock(block, place) ? { ...cell, paragraphs: styledAs(cell, emptyCell()) } : cell,
  );

/** Which lines of a block: around it, or between its cells. */
export type LineSide = 'top' | 'right' | 'bottom' | 'left' | 'rows' | 'columns';

/** The lines of a block with a stroke, or none. */
export function withLines(
  table: TableElement,
  block: CellBlock,
  sides: readonly LineSide[],
  stroke: TableLine['stroke'],
): TableElement {
  const { rows, columns } = blockOf(block);
  const across = { from: columns[0], to: columns[1] + 1 };
  const down = { from: rows[0], to: rows[1] + 1 };
  const between = (
    axis: 'x' | 'y',
    [first, last]: readonly [number, number],
    run: { from: number; to: number },
  ): TableLine[] => Array.from({ length: last - first }, (_, i) => ({ axis, at: first + 1 + i, ...run, stroke }));
  const lines = sides.flatMap((side): TableLine[] => {
    switch (side) {
      case 'top':
        return [{ axis: 'y', at: rows[0], ...across, stroke }];
      case 'bottom':
        return [{ axis: 'y', at: rows[1] + 1, ...across, stroke }];
      case 'left':
        return [{ axis: 'x', at: columns[0], ...down, stroke }];
      case 'right':
        return [{ axis: 'x', at: columns[1] + 1, ...down, stroke }];
      case 'rows':
        return between('y', rows, across);
      case 'columns':
        return between('x', columns, down);
    }
  });
  // A line that the new one covers whole has nothing more to say.
  const isCovered = (old: TableLine) =>
    lines.some((l) => l.axis === old.axis && l.at === old.at && l.from <= old.from && l.to >= old.to);
  return {
    ...table,
    borders: { ...table.borders, lines: [...table.borders.lines.filter((l) => !isCovered(l)), ...lines] },
  };
}
