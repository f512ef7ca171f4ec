import { z } from 'zod';
import { blockOf, CellChanges, Length, withCells, type CellBlock, type TableElement } from '../../job';
import { withFlow } from '../flow';
import { pieceOf } from '../on-side';
import { CannotChange, defineChange } from './change';
import { LOOK, typeOfLine, paintOf } from './look';
import { asKind, changeOne, PICK, pickedOne } from './pick';

const CellAt = z.strictObject({ row: z.int().min(0), column: z.int().min(0) });

export const textChanges = [
  defineChange({
    do: 'column widths',
    about: 'Gives the columns of a table widths, mm; null shares what is left.',
    fields: { ...PICK, widths: z.array(Length.nullable()).min(1) },
    example: { on: 'Times', widths: [16, null] },
    run: ({ job }, { widths, ...pick }) => {
      const { side, element } = pickedOne(job, pick);
      const table = asKind(element, 'table');
      if (widths.length !== table.columns.length)
        throw new CannotChange(`The table has ${table.columns.length} columns; give each a width, or null.`);
      const columns = table.columns.map((column, i) => ({ ...column, width: widths[i] ?? null }));
      return changeOne(job, side, table.id, () => ({ ...table, columns }));
    },
  }),
  defineChange({
    do: 'cells',
    about: 'Changes how cells of a table look, from one to another; rows and columns are counted from 0.',
    fields: {
      ...PICK,
      from: CellAt,
      to: CellAt.optional(),
      in: LOOK.in,
      ink: LOOK.ink,
      cell: CellChanges.optional().describe('Facts of the cells as a job file holds them.'),
    },
    example: { on: 'Times', from: { row: 0, column: 0 }, to: { row: 2, column: 0 }, in: '600 10/12', ink: '0 0 0 60' },
    run: ({ job }, { from, to, in: line, ink, cell, ...pick }) => {
      const { side, element } = pickedOne(job, pick);
      const table = asKind(element, 'table');
      const block = blockIn(table, { from, to: to ?? from });
      const look = {
        ...cell?.look,
        ...(line !== undefined && typeOfLine(job, table, line)),
        ...(ink !== undefined && { paint: paintOf(job, ink) }),
      };
      const isTypeSaid = Object.keys(look).length > 0;
      return changeOne(job, side, table.id, () => withCells(table, block, { ...cell, ...(isTypeSaid && { look }) }));
    },
  }),
  defineChange({
    do: 'flow',
    about: 'Lets a text frame take up what another has no room for; null lets it go.',
    fields: { ...PICK, from: z.string().nullable() },
    example: { on: 'More notes', from: 'Notes' },
    run: ({ job }, { from, ...pick }) => {
      const { element } = pickedOne(job, pick);
      const before = from === null ? null : pickedOne(job, { on: from }).element.id;
      const flowing = withFlow(job, pieceOf(job).id, element.id, before);
      if (!flowing) throw new CannotChange('The text would flow in a circle.');
      return flowing;
    },
  }),
];

/** Cells that a table has. @throws CannotChange */
function blockIn(table: TableElement, block: CellBlock): CellBlock {
  const { rows, columns } = blockOf(block);
  if (rows[1] < table.rows.length && columns[1] < table.columns.length) return block;
  throw new CannotChange(`The table has ${table.rows.length} rows and ${table.columns.length} columns.`);
}
