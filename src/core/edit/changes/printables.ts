import { z } from 'zod';
import { Placement, type PrintableContent } from '../../job';
import { readTyped } from '../../parameter';
import { printableOf } from '../../printable';
import { printableNamed } from '../begin';
import { withDecisions } from '../decide-printable';
import { freshId } from '../new-element';
import { added, changePiece } from '../on-side';
import { printableContent, printableElement } from '../put-printable';
import { CannotChange, defineChange } from './change';
import { asKind, freeId, PICK, pickedOne, Side, sideOf } from './pick';
import { Typed } from './typed';

export const printableChanges = [
  defineChange({
    do: 'add printable',
    about: 'Lays a printable of the gallery above all else on a side; `ys printables` shows their decisions.',
    fields: {
      printable: z.string(),
      side: Side.optional(),
      id: z.string().optional(),
      name: z.string().optional(),
      set: Typed,
      placement: Placement.prefault({ against: { box: 'safe' }, x: { start: 0, end: 0 }, y: { start: 0, end: 0 } }),
    },
    example: { printable: 'staves', id: 'staves', side: 'back', set: { spacing: '2mm' } },
    run: ({ job }, { printable, side, id, name, set, placement }) => {
      const at = sideOf(job, side);
      const entry = printableNamed(printable);
      const made = printableContent(entry, set, job.unit);
      if (!made.ok) throw new CannotChange(`${made.parameter}: ${made.error.message}`);
      if (!made.content) throw new CannotChange(`“${printable}” cannot be made of this.`);
      const element = printableElement(freeId(job, id, freshId), name ?? entry.title, made.content, placement);
      return added(job, at, [element]).job;
    },
  }),
  defineChange({
    do: 'decide printable',
    about: 'Changes decisions of a printable, for all pages that show it.',
    fields: { ...PICK, set: Typed },
    example: { on: 'staves', set: { spacing: '2.5mm' } },
    run: ({ job }, { set, ...pick }) => {
      const { side, element } = pickedOne(job, pick);
      const { content, id } = asKind(element, 'printable');
      const parameters = printableOf(content.of).parameters;
      const read = readTyped(parameters, set, { unit: job.unit, ppi: 300 }, `A ${content.of}`);
      if (!read.ok) throw new CannotChange(`${read.parameter}: ${read.error.message}`);
      const decided = (before: PrintableContent): PrintableContent => ({ ...before, ...read.values });
      return changePiece(job, (piece) => withDecisions(piece, side, id, decided));
    },
  }),
];
