import { noted, type Report, type Rule } from './rule';

/** A printable finds room for what was decided. */
export const printableImpossibleRule: Rule = {
  id: 'printable-impossible',
  title: 'Printable without room',
  why: 'What cannot be worked out in its box is not printed at all.',
  check: (subject) =>
    noted(subject, 'printable-impossible').map(({ note, element, frame }): Report => ({
      severity: 'fault',
      element: element.id,
      where: frame.rect,
      message: note.message,
    })),
};
