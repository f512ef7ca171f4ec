import { pathBounds } from '../layout';
import { finishingNamed, refinish, type Rule } from './rule';

/** What is laid on a print must not take the print away. */
export const coatKnocksOutRule: Rule = {
  id: 'coat-knocks-out',
  title: 'A coating that knocks out',
  why: 'Beneath it the sheet stays bare: the varnish lies on white paper, and the smallest shift shows a white rim.',
  check: (subject) =>
    subject.drawing.coats.flatMap((coat) => {
      const finishing = finishingNamed(subject, coat.id);
      if (!coat.knocksOut || finishing?.does !== 'coat') return [];
      const { title } = subject.rules.coatings[coat.coating];
      return [
        {
          severity: 'fault',
          element: null,
          where: pathBounds(coat.path),
          message: `${title} cuts a white hole into the print beneath it.`,
          fixes: [refinish(subject, 'Let it overprint', coat.id, { ...finishing, knocksOut: undefined })],
        },
      ];
    }),
};
