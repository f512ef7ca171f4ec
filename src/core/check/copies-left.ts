import { noted, type Rule } from './rule';

/** Every copy that was asked for is drawn. */
export const copiesLeftRule: Rule = {
  id: 'copies-left',
  title: 'Copies left out',
  why: 'What is copied without measure fills the memory of every machine that draws it, the press’s too.',
  check: (subject) =>
    noted(subject, 'copies-left').map(({ note: { asked, drawn }, element, frame }) => ({
      severity: 'fault',
      element: element.id,
      where: frame.rect,
      message:
        `Only ${drawn} of ${asked} copies are drawn: with what is in it there would be too much. Repeat ` +
        'something simpler, or fewer times.',
    })),
};
