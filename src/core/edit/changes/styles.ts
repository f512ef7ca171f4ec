import { z } from 'zod';
import { CellStyle, TypeStyle } from '../../job';
import { putCellStyle, putStyle, withoutCellStyle, withoutStyle } from '../styles';
import { defineChange } from './change';

const Id = z.string().min(1);

export const styleChanges = [
  defineChange({
    do: 'put style',
    about: 'Makes a paragraph or character style, or changes the one of that id and all that is set in it.',
    fields: { style: TypeStyle },
    example: { style: { of: 'paragraph', id: 'body', name: 'Body', look: { family: 'Lora', sizePt: 10 } } },
    run: ({ job }, { style }) => putStyle(job, style),
  }),
  defineChange({
    do: 'remove style',
    about: 'Takes a style off; what was set in it looks as before.',
    fields: { style: Id },
    example: { style: 'body' },
    run: ({ job }, { style }) => withoutStyle(job, style),
  }),
  defineChange({
    do: 'put cell style',
    about: 'Makes a style of cells, or changes the one of that id and all cells in it.',
    fields: { style: CellStyle },
    example: { style: { id: 'times', name: 'Times', cell: { vertical: 'middle' } } },
    run: ({ job }, { style }) => putCellStyle(job, style),
  }),
  defineChange({
    do: 'remove cell style',
    about: 'Takes a style of cells off; they look as before.',
    fields: { style: Id },
    example: { style: 'times' },
    run: ({ job }, { style }) => withoutCellStyle(job, style),
  }),
];
