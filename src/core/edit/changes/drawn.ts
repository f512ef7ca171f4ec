import { frozenCopies } from '../freeze';
import { frozenPrintable } from '../frozen-printable';
import { outlined } from '../outlines';
import { withPlaceholder } from '../placeholder';
import { ungrouped } from '../ungroup';
import { CannotChange, defineChange } from './change';
import { asKind, PICK, pickedOne } from './pick';

/** What is made of what was drawn. */
export const drawnChanges = [
  defineChange({
    do: 'placeholder',
    about: 'Fills a text with placeholder words, as many as its frame holds.',
    fields: PICK,
    example: { on: 'Notes' },
    run: async ({ job, draw }, pick) => {
      const { side, element } = pickedOne(job, pick);
      return withPlaceholder(await draw(side), asKind(element, 'text'));
    },
  }),
  defineChange({
    do: 'outlines',
    about: 'Turns a text into outlines; its words can no longer be typed.',
    fields: PICK,
    example: { on: 'Notes' },
    run: async ({ job, draw }, pick) => {
      const { side, element } = pickedOne(job, pick);
      return outlined(await draw(side), asKind(element, 'text')).job;
    },
  }),
  defineChange({
    do: 'freeze copies',
    about: 'Makes the copies of a repeated element elements of their own.',
    fields: PICK,
    example: { on: 'Star' },
    run: async ({ job, draw }, pick) => {
      const { side, element } = pickedOne(job, pick);
      return frozenCopies(await draw(side), element).job;
    },
  }),
  defineChange({
    do: 'freeze printable',
    about: 'Makes a printable plain lines, shapes and texts; it counts no more.',
    fields: PICK,
    example: { on: 'staves' },
    run: async ({ job, draw }, pick) => {
      const { side, element } = pickedOne(job, pick);
      return frozenPrintable(await draw(side), asKind(element, 'printable')).job;
    },
  }),
  defineChange({
    do: 'take apart',
    about: 'Makes a drawing that was brought in a group of shapes.',
    fields: PICK,
    example: { on: 'Crescent' },
    run: async ({ job, draw }, pick) => {
      const { side, element } = pickedOne(job, pick);
      const vector = asKind(element, 'vector');
      const drawn = await draw(side);
      const art = drawn.resources.art(vector.drawing);
      if (!art) throw new CannotChange('The file of this drawing is not here. Bring it in again.');
      return ungrouped(drawn, vector, art).job;
    },
  }),
];
