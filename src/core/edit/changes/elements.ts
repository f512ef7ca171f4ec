import { z } from 'zod';
import { tableOfWords, withTableWords, type Element } from '../../job';
import { freshId } from '../new-element';
import { added, changePiece, changeSide } from '../on-side';
import { withoutElements } from '../flow';
import { copyOf } from '../new-element';
import { filling, inOrder, ORDERS } from '../order';
import { defineChange } from './change';
import { LOOK, readElement, withLook } from './look';
import { asKind, changeOne, freeId, picked, PICK, pickedOne, Side, sideOf } from './pick';

const Rows = z.array(z.array(z.string()).min(1)).min(1).describe('The words of a table, row by row.');
const Id = z.string().optional().describe('What later changes call it by, beside its name.');

export const elementChanges = [
  defineChange({
    do: 'add',
    about: 'Lays an element above all others of a side.',
    fields: {
      side: Side.optional(),
      id: Id,
      name: z.string().default(''),
      element: z
        .looseObject({ kind: z.string() })
        .describe(
          'As a job file holds it, without its id; `ys schema` shows every kind. What is not said is as usual.',
        ),
      rows: Rows.optional(),
      ...LOOK,
    },
    example: {
      side: 'front',
      id: 'band',
      name: 'Band',
      element: {
        kind: 'shape',
        shape: { form: 'rectangle' },
        placement: { against: { box: 'trim' }, x: { start: 0, end: 0 }, y: { end: 0, size: 24 } },
      },
      fill: '0 14 78 0',
    },
    run: ({ job }, { side, id, name, element, rows, ...look }) => {
      const at = sideOf(job, side);
      const usual = USUAL[element.kind] ?? {};
      const made = readElement({
        ...usual,
        ...element,
        ...(rows && tableOfWords(rows)),
        id: freeId(job, id, freshId),
        name,
      });
      return added(job, at, [withLook(job, made, look)]).job;
    },
  }),
  defineChange({
    do: 'change',
    about: 'Changes how elements look and where they stand.',
    fields: { ...PICK, name: z.string().optional(), ...LOOK },
    example: { on: 'Band', fill: '4 62 68 0', set: { placement: { y: { end: 0, size: 30 } } } },
    run: ({ job }, { on, side, name, ...look }) => {
      const found = picked(job, { on, side });
      return changeSide(job, found.side, (list) =>
        list.map((e) => (found.ids.includes(e.id) ? withLook(job, name === undefined ? e : { ...e, name }, look) : e)),
      );
    },
  }),
  defineChange({
    do: 'copy',
    about: 'Lays an element again in the same place, above all others of its side, with what differs.',
    fields: { ...PICK, id: Id, name: z.string().optional(), ...LOOK },
    example: { on: 'Band', id: 'head', name: 'Head band', set: { placement: { y: { start: 0, size: 30 } } } },
    run: ({ job }, { on, side, id, name, ...look }) => {
      const found = pickedOne(job, { on, side });
      const copy: Element = {
        ...copyOf(found.element),
        id: freeId(job, id, freshId),
        name: name ?? found.element.name,
      };
      return added(job, found.side, [withLook(job, copy, look)]).job;
    },
  }),
  defineChange({
    do: 'order',
    about: 'Brings elements above or beneath the others of their side.',
    fields: { ...PICK, to: z.enum(ORDERS) },
    example: { on: 'head', to: 'back' },
    run: ({ job }, { on, side, to }) => {
      const found = picked(job, { on, side });
      return changeSide(job, found.side, (list) => inOrder(list, found.ids, to));
    },
  }),
  defineChange({
    do: 'fill box',
    about: 'Lets elements fill the box they stand in.',
    fields: PICK,
    example: { on: 'head' },
    run: ({ job }, pick) => {
      const found = picked(job, pick);
      return changeSide(job, found.side, (list) => list.map((e) => (found.ids.includes(e.id) ? filling(e) : e)));
    },
  }),
  defineChange({
    do: 'rows',
    about: 'Puts words into the cells of a table; it takes as many rows and columns as they need.',
    fields: { ...PICK, rows: Rows },
    example: {
      on: 'Times',
      rows: [
        ['20:30', 'Gates'],
        ['21:00', 'Talk'],
        ['22:30', 'Counting'],
      ],
    },
    run: ({ job }, { rows, ...pick }) => {
      const { side, element } = pickedOne(job, pick);
      const table = asKind(element, 'table');
      return changeOne(job, side, table.id, () => withTableWords(table, rows));
    },
  }),
  defineChange({
    do: 'remove',
    about: 'Takes elements off. Words are not lost while another frame takes them up.',
    fields: PICK,
    example: { on: 'head' },
    run: ({ job }, pick) => {
      const { ids } = picked(job, pick);
      return changePiece(job, (piece) => withoutElements(piece, ids));
    },
  }),
];

/** What a kind of element needs to be at all, where nothing is said of it. */
const USUAL: Readonly<Record<string, object>> = {
  shape: { fill: null },
  picture: { picture: null },
};
