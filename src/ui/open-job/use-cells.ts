import { cellId, elementsOn, placeOfCell, seenCells, withRow, type ElementOf } from '@/core/job';
import { useJob, useJobStore } from './context';
import { useDesk } from './use-desk';
import { withElements } from '@/core/edit';

/** The table that is selected alone. */
export function useTable(): ElementOf<'table'> | undefined {
  const { piece } = useDesk();
  const side = useJob((s) => s.side);
  const selection = useJob((s) => s.selection);
  const only = selection.length === 1 ? elementsOn(piece, side).find((e) => e.id === selection[0]) : undefined;
  return only?.kind === 'table' ? only : undefined;
}

/** Goes on typing in the next cell, or the one before; past the last there is a new row. */
export function useNextCell(): (id: string, by: 1 | -1) => void {
  const store = useJobStore();
  const table = useTable();
  return (id, by) => {
    const place = placeOfCell(id);
    if (!table || !place) return;
    const { type, chooseCells, change, side } = store.getState();
    const cells = seenCells(table);
    const at = cells.findIndex((c) => c.row === place.row && c.column === place.column);
    const isPastEnd = at + by >= cells.length;
    if (isPastEnd)
      change('New row', (now) =>
        withElements(now, side, (el) => (el.id === table.id && el.kind === 'table' ? withRow(el, el.rows.length) : el)),
      );
    const next = isPastEnd ? { row: table.rows.length, column: 0 } : cells[at + by];
    if (!next) return;
    const to = { row: next.row, column: next.column };
    chooseCells({ from: to, to });
    type(cellId(table.id, to));
  };
}
