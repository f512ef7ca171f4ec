import { USUAL_CELL, overCell, type Cell, type CellChanges, type CellLook } from '../../cell';
import type { TextElement } from '../text/schema';
import type { TableElement } from './schema';
import type { StyleBook } from '../../type-style';

/** A place in a table, counted from 0. */
export interface CellPlace {
  readonly row: number;
  readonly column: number;
}

/** A cell that is seen, and how far it reaches: never past the table’s last row or column. */
export interface SeenCell extends CellPlace {
  readonly cell: Cell;
  readonly across: number;
  readonly down: number;
}

/** Cells in reading order, without those that lie beneath a span. */
export function seenCells({ columns, rows }: Pick<TableElement, 'columns' | 'rows'>): readonly SeenCell[] {
  const hidden = new Set<number>();
  return rows.flatMap((line, row) =>
    line.content.flatMap((cell, column): SeenCell[] => {
      if (hidden.has(row * columns.length + column)) return [];
      // Never onto a cell that another span took first.
      let across = 1;
      while (
        across < cell.across &&
        column + across < columns.length &&
        !hidden.has(row * columns.length + column + across)
      )
        across += 1;
      const down = Math.min(cell.down, rows.length - row);
      for (let r = row; r < row + down; r += 1)
        for (let c = column; c < column + across; c += 1) hidden.add(r * columns.length + c);
      return [{ row, column, cell, across, down }];
    }),
  );
}

/** The cell that is seen at a place: itself, or the one whose span lies over it. */
export const cellOver = (
  table: Pick<TableElement, 'columns' | 'rows'>,
  { row, column }: CellPlace,
): SeenCell | undefined =>
  seenCells(table).find(
    (s) => row >= s.row && row < s.row + s.down && column >= s.column && column < s.column + s.across,
  );

/** Whether a row below the header is tinted. */
function isTinted({ header, tint }: Pick<TableElement, 'header' | 'tint'>, row: number): boolean {
  if (!tint || row < header.rows) return false;
  const turn = Math.floor((row - header.rows) / tint.every) % 2;
  return (turn === 0) === tint.first;
}

/** The whole look of a cell: of the table, its tint, its column, its row, the header, its style, and its own. */
export function cellLook(table: TableElement, { row, column }: CellPlace, book: Pick<StyleBook, 'cell'>): CellLook {
  const line = table.rows[row];
  const cell = line?.content[column];
  const said: readonly (CellChanges | undefined)[] = [
    table.cells,
    isTinted(table, row) && table.tint ? { fill: table.tint.fill } : undefined,
    table.columns[column]?.cells,
    line?.cells,
    row < table.header.rows ? table.header.cells : undefined,
    cell && book.cell(cell.named),
    cell?.cell,
  ];
  return said.reduce<CellLook>(overCell, USUAL_CELL);
}

/** By what the text of a cell is known: no element has a full stop in its id. */
export const cellId = (table: string, { row, column }: CellPlace): string => `${table}.${row}.${column}`;

export function placeOfCell(id: string): (CellPlace & { readonly table: string }) | undefined {
  const [table, row, column] = id.split('.');
  return table && row && column ? { table, row: Number(row), column: Number(column) } : undefined;
}

/** The words of a cell as a text frame of their own, so that all that is done with text is done with them. */
export function cellText(table: TableElement, place: CellPlace, book: Pick<StyleBook, 'cell'>): TextElement {
  const cell = table.rows[place.row]?.content[place.column];
  const { style, look, vertical, inset } = cellLook(table, place, book);
  return {
    kind: 'text',
    id: cellId(table.id, place),
    name: '',
    placement: table.placement,
    opacity: 1,
    blend: 'normal',
    layer: table.layer,
    group: null,
    clipTo: null,
    effects: [],
    wrap: null,
    repeat: [],
    style: style ?? table.style,
    // What a style of its own says is not overruled by the table’s.
    look: style === null ? { ...table.look, ...look } : look,
    paragraphs: cell?.paragraphs ?? [{ runs: [] }],
    vertical,
    inset,
    columns: 1,
    columnGap: 0,
    balance: false,
    fit: null,
    along: null,
    after: null,
    language: table.language,
  };
}
