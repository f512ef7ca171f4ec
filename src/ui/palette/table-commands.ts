import {
  blockOf,
  cellId,
  cellOver,
  emptied,
  seenCells,
  withColumn,
  withRow,
  type CellBlock,
  type CellPlace,
  type ElementOf,
} from '@/core/job';
import { type JobState } from '../open-job/store';
import { withElements } from '@/core/edit';
import { inGroup, type Command, type Entry } from '../open-job/command';
import type { Present } from './context';
import { WAYS } from './ways';

type Table = ElementOf<'table'>;

const FIRST: CellPlace = { row: 0, column: 0 };

/** What can be done with the cells of the table that is selected. They come before others that have the same keys. */
export function tableCommands({ state, only, isLayingOut }: Present): readonly Command[] {
  const { cells } = state;
  const table = only?.kind === 'table' && isLayingOut ? only : undefined;
  const isAmong = table !== undefined && cells !== undefined;
  const within = table && cells ? { state, table, cells } : undefined;
  return inGroup('Table', [
    {
      id: 'cells',
      title: 'Choose cells of the table',
      keys: ['Enter'],
      enabled: table !== undefined && !isAmong,
      run: () => state.chooseCells({ from: FIRST, to: FIRST }),
    },
    ...entriesWithin(within),
  ]);
}

/** Cells of a table that are chosen. */
interface Within {
  readonly state: JobState;
  readonly table: Table;
  readonly cells: CellBlock;
}

function entriesWithin(within: Within | undefined): readonly Entry[] {
  const enabled = within !== undefined;
  const entry = (id: string, title: string, keys: readonly string[], run: (within: Within) => void): Entry => ({
    id,
    title,
    keys,
    enabled,
    run: () => within && run(within),
  });
  return [
    entry('cell-type', 'Type in the cell', ['Enter'], typeInCell),
    entry('cells-none', 'Choose no cells', ['Escape'], ({ state }) => state.chooseCells(undefined)),
    entry('cell-next', 'Next cell', ['Tab'], (w) => stepInOrder(w, 1)),
    entry('cell-before', 'Cell before', ['Shift+Tab'], (w) => stepInOrder(w, -1)),
    entry('cells-all', 'Choose all cells', ['Ctrl+A'], ({ state, table }) =>
      state.chooseCells({ from: FIRST, to: { row: table.rows.length - 1, column: table.columns.length - 1 } }),
    ),
    entry('cells-empty', 'Empty the cells', ['Delete', 'Backspace'], (w) =>
      changeTable(w, 'Empty cells', (t) => emptied(t, w.cells)),
    ),
    ...WAYS.flatMap(([name, dx, dy]) => [
      entry(`cell-${name}`, `Cell ${name.toLowerCase()}`, [`Arrow${name}`], (w) => step(w, dx, dy)),
      entry(`cells-${name}`, `Choose cells as far as the next ${name.toLowerCase()}`, [`Shift+Arrow${name}`], (w) =>
        extend(w, dx, dy),
      ),
    ]),
    entry('row-below', 'Put in a row below', ['Ctrl+ArrowDown'], (w) =>
      changeTable(w, 'Row below', (t) => withRow(t, blockOf(w.cells).rows[1] + 1)),
    ),
    entry('row-above', 'Put in a row above', ['Ctrl+ArrowUp'], (w) =>
      changeTable(w, 'Row above', (t) => withRow(t, blockOf(w.cells).rows[0])),
    ),
    entry('column-right', 'Put in a column to the right', ['Ctrl+ArrowRight'], (w) =>
      changeTable(w, 'Column right', (t) => withColumn(t, blockOf(w.cells).columns[1] + 1)),
    ),
    entry('column-left', 'Put in a column to the left', ['Ctrl+ArrowLeft'], (w) =>
      changeTable(w, 'Column left', (t) => withColumn(t, blockOf(w.cells).columns[0])),
    ),
  ];
}

const changeTable = ({ state, table }: Within, label: string, recipe: (t: Table) => Table): void =>
  state.change(label, (now) =>
    withElements(now, state.side, (e) => (e.kind === 'table' && e.id === table.id ? recipe(e) : e)),
  );

/** The cell beside the one that is chosen, past a span as a whole. */
function step({ state, table, cells }: Within, dx: number, dy: number): void {
  const over = cellOver(table, cells.to);
  const from =
    over && (dx > 0 || dy > 0)
      ? { row: over.row + (dy > 0 ? over.down - 1 : 0), column: over.column + (dx > 0 ? over.across - 1 : 0) }
      : cells.to;
  const to = beside(table, from, dx, dy);
  const { row, column } = cellOver(table, to) ?? to;
  state.chooseCells({ from: { row, column }, to: { row, column } });
}

/** As many cells as before, and those as far as the next. */
const extend = ({ state, table, cells }: Within, dx: number, dy: number): void =>
  state.chooseCells({ from: cells.from, to: beside(table, cells.to, dx, dy) });

const beside = (table: Table, { row, column }: CellPlace, dx: number, dy: number): CellPlace => ({
  row: Math.min(Math.max(row + dy, 0), table.rows.length - 1),
  column: Math.min(Math.max(column + dx, 0), table.columns.length - 1),
});

function stepInOrder({ state, table, cells }: Within, by: 1 | -1): void {
  const all = seenCells(table);
  const at = all.findIndex((c) => c.row === cells.to.row && c.column === cells.to.column);
  const next = all[(at + by + all.length) % all.length];
  if (!next) return;
  const { row, column } = next;
  state.chooseCells({ from: { row, column }, to: { row, column } });
}

function typeInCell({ state, table, cells }: Within): void {
  const over = cellOver(table, cells.to);
  if (over) state.type(cellId(table.id, over));
}
