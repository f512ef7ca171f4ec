import { z } from 'zod';
import { bringIn } from '../bring-in';
import { defineChange } from './change';
import { Side, sideOf } from './pick';

export const fileChanges = [
  defineChange({
    do: 'bring',
    about: 'Brings a picture, drawing, PDF, font or output profile into the job.',
    fields: {
      file: z.string().describe('Its path, beside the file of changes.'),
      side: Side.optional(),
      into: z.string().optional().describe('The element that takes it; otherwise it gets one of its own.'),
      page: z.int().min(1).default(1).describe('The page of a PDF.'),
      id: z.string().optional(),
      name: z.string().optional(),
    },
    example: { file: 'crescent.svg', side: 'front', id: 'crescent', name: 'Crescent' },
    run: ({ job, file }, { file: path, side, into, page, id, name }) => {
      const { sha, asset } = file(path);
      return bringIn(job, { sha, asset }, { side: sideOf(job, side), into, page, id, name }).job;
    },
  }),
];
