import { totalLaid } from '../colour';
import { repaint } from '../job';
import { inksOf } from './paints';
import { framed, replace, type Rule } from './rule';

/** White is paper: it can only be left bare. */
export const whiteOverprintsRule: Rule = {
  id: 'white-overprints',
  title: 'White that overprints',
  why: 'A white that overprints lays down nothing and leaves what is beneath: on the press it vanishes.',
  check: (subject) =>
    framed(subject).flatMap(({ element, frame }) => {
      if (!inksOf(frame).some((ink) => ink.overprint && totalLaid(ink) === 0)) return [];
      const mended = repaint(element, subject.book, (paint) => {
        if (paint.kind !== 'process' || paint.overprint !== true || paint.c + paint.m + paint.y + paint.k > 0)
          return paint;
        return { kind: 'paper' };
      });
      return [
        {
          severity: 'fault',
          element: element.id,
          where: frame.bounds,
          message: 'Its white is told to overprint: it will not be seen.',
          fixes: [replace('Knock it out', mended)],
        },
      ];
    }),
};
