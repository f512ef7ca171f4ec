import {
  blockOf,
  cellId,
  cellOver,
  elementsOn,
  emptied,
  seenCells,
  withColumn,
  withRow,
  type CellPlace,
  type ElementOf,
} from '@/core/job';
import { pieceOf, withElements, type JobStore } from '../job/store';
import type { Command } from './commands';

type Make = (id: string, title: string, keys: readonly string[], run: () => void, enabled: boolean) => Command;

/** What can be done with the cells of the table that is selected. They come before others that have the same keys. */
export function tableCommands(store: JobStore, make: Make): readonly Command[] {
  const { selection, side, job, cells, station, chooseCells, type, replace } = store.getState();
  const only = selection.length === 1 ? elementsOn(pieceOf(job), side).find((e) => e.id === selection[0]) : undefined;
  const table = only?.kind === 'table' && station === 'lay-out' ? only : undefined;
  const on = table !== undefined && cells !== undefined;
  const set = (label: string, change: (t: ElementOf<'table'>) => ElementOf<'table'>) => () =>
    replace(
      label,
      withElements(job, side, (e) => (e.kind === 'table' && e.id === table?.id ? change(e) : e)),
    );
  const choose = (place: CellPlace, extend = false) =>
    chooseCells({ from: extend && cells ? cells.from : place, to: place });
  const first = { row: 0, column: 0 };

  const step = (dx: number, dy: number, extend: boolean) => () => {
    if (!table || !cells) return;
    const over = extend ? undefined : cellOver(table, cells.to);
    // Past a span as a whole.
    const from =
      over && (dx > 0 || dy > 0)
        ? { row: over.row + (dy > 0 ? over.down - 1 : 0), column: over.column + (dx > 0 ? over.across - 1 : 0) }
        : cells.to;
    const to = {
      row: Math.min(Math.max(from.row + dy, 0), table.rows.length - 1),
      column: Math.min(Math.max(from.column + dx, 0), table.columns.length - 1),
    };
    const seen = extend ? to : (cellOver(table, to) ?? to);
    choose({ row: seen.row, column: seen.column }, extend);
  };
  const inOrder = (by: 1 | -1) => () => {
    if (!table || !cells) return;
    const all = seenCells(table);
    const at = all.findIndex((c) => c.row === cells.to.row && c.column === cells.to.column);
    const next = all[(at + by + all.length) % all.length];
    if (next) choose({ row: next.row, column: next.column });
  };
  const open = () => {
    if (!table || !cells) return;
    const over = cellOver(table, cells.to);
    if (over) type(cellId(table.id, over));
  };
  const block = cells && blockOf(cells);

  return [
    make('cells', 'Choose cells of the table', ['Enter'], () => choose(first), table !== undefined && !on),
    make('cell-type', 'Type in the cell', ['Enter'], open, on),
    make('cells-none', 'Choose no cells', ['Escape'], () => chooseCells(undefined), on),
    make('cell-next', 'Next cell', ['Tab'], inOrder(1), on),
    make('cell-before', 'Cell before', ['Shift+Tab'], inOrder(-1), on),
    make(
      'cells-all',
      'Choose all cells',
      ['Ctrl+A'],
      () => table && chooseCells({ from: first, to: { row: table.rows.length - 1, column: table.columns.length - 1 } }),
      on,
    ),
    make(
      'cells-empty',
      'Empty the cells',
      ['Delete', 'Backspace'],
      set('Empty cells', (t) => (cells ? emptied(t, cells) : t)),
      on,
    ),
    ...(
      [
        ['Left', -1, 0],
        ['Right', 1, 0],
        ['Up', 0, -1],
        ['Down', 0, 1],
      ] as const
    ).flatMap(([name, dx, dy]) => [
      make(`cell-${name}`, `Cell ${name.toLowerCase()}`, [`Arrow${name}`], step(dx, dy, false), on),
      make(
        `cells-${name}`,
        `Choose cells as far as the next ${name.toLowerCase()}`,
        [`Shift+Arrow${name}`],
        step(dx, dy, true),
        on,
      ),
    ]),
    make(
      'row-below',
      'Put in a row below',
      ['Ctrl+ArrowDown'],
      set('Row below', (t) => withRow(t, (block?.rows[1] ?? t.rows.length - 1) + 1)),
      on,
    ),
    make(
      'row-above',
      'Put in a row above',
      ['Ctrl+ArrowUp'],
      set('Row above', (t) => withRow(t, block?.rows[0] ?? 0)),
      on,
    ),
    make(
      'column-right',
      'Put in a column to the right',
      ['Ctrl+ArrowRight'],
      set('Column right', (t) => withColumn(t, (block?.columns[1] ?? t.columns.length - 1) + 1)),
      on,
    ),
    make(
      'column-left',
      'Put in a column to the left',
      ['Ctrl+ArrowLeft'],
      set('Column left', (t) => withColumn(t, block?.columns[0] ?? 0)),
      on,
    ),
  ];
}
