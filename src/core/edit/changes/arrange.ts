import { z } from 'zod';
import { Group } from '../../job';
import { alignSelection, distributeSelection, type Reference } from '../arrange';
import { groupOf, groupSelection, ungroupSelection, withGroup } from '../groups';
import { moveBy } from '../gestures';
import { pieceOf } from '../on-side';
import { CannotChange, defineChange } from './change';
import { picked, PICK } from './pick';

const Against = z
  .union([z.literal(['trim', 'safe', 'bleed']), z.strictObject({ element: z.string() })])
  .default('trim')
  .describe('A box of the side, or an element by its id.');

const asReference = (against: z.output<typeof Against>): Reference =>
  typeof against === 'string' ? { box: against } : against;

export const arrangeChanges = [
  defineChange({
    do: 'move',
    about: 'Moves elements, mm; each stays held by the same edges.',
    fields: { ...PICK, right: z.number().default(0), down: z.number().default(0) },
    example: { on: 'Moon', right: 4, down: -2.5 },
    run: async ({ job, draw }, { right, down, ...pick }) => {
      const { side, ids } = picked(job, pick);
      const { drawing } = await draw(side);
      return moveBy(job, side, drawing.boxes, ids, right, down);
    },
  }),
  defineChange({
    do: 'align',
    about: 'Aligns elements with an edge or the middle of a box or of another element.',
    fields: {
      ...PICK,
      edge: z.enum(['left', 'centre', 'right', 'top', 'middle', 'bottom']),
      against: Against,
    },
    example: { on: ['Moon', 'Star'], edge: 'middle', against: 'safe' },
    run: async ({ job, draw }, { edge, against, ...pick }) => {
      const { side, ids } = picked(job, pick);
      return alignSelection(await draw(side), ids, asReference(against), edge);
    },
  }),
  defineChange({
    do: 'distribute',
    about: 'Makes the gaps between elements equal: between the outermost two, or within a box.',
    fields: { ...PICK, axis: z.enum(['x', 'y']), against: Against.optional() },
    example: { on: ['Moon', 'Star'], axis: 'x', against: 'trim' },
    run: async ({ job, draw }, { axis, against, ...pick }) => {
      const { side, ids } = picked(job, pick);
      return distributeSelection(await draw(side), ids, axis, against && asReference(against));
    },
  }),
  defineChange({
    do: 'group',
    about: 'Groups elements; a group can keep them in a row at equal or given gaps.',
    fields: {
      ...PICK,
      name: z.string().min(1).max(60).optional(),
      row: Group.shape.row,
    },
    example: { on: ['Moon', 'Star'], name: 'Sky', row: { axis: 'x', in: { box: 'safe' }, gap: 'equal' } },
    run: ({ job }, { name, row, ...pick }) => {
      const { side, ids } = picked(job, pick);
      if (ids.length < 2) throw new CannotChange('A group has at least two elements.');
      const grouped = groupSelection(job, side, ids);
      const group = groupOf(pieceOf(grouped), picked(grouped, { on: [...ids], side }).elements);
      return group ? withGroup(grouped, { ...group, ...(name && { name }), ...(row && { row }) }) : grouped;
    },
  }),
  defineChange({
    do: 'ungroup',
    about: 'Takes elements out of their group.',
    fields: PICK,
    example: { on: ['Moon', 'Star'] },
    run: ({ job }, pick) => {
      const { side, ids } = picked(job, pick);
      return ungroupSelection(job, side, ids);
    },
  }),
];
