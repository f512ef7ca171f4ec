import { pathBounds } from '../layout';
import { formatNumber, mmToPt } from '../measure';
import { finishingNamed, refinish, type Report, type Rule } from './rule';

/** A coating unit knows yes and no, and areas. */
export const coatSolidRule: Rule = {
  id: 'coat-solid',
  title: 'A coating in tints or strokes',
  why: 'Varnish, foil and white are laid on or not: a tint turns into dots, a stroke into a hair that does not hold.',
  check: (subject) =>
    subject.drawing.coats.flatMap((coat): Report[] => {
      const finishing = finishingNamed(subject, coat.id);
      if (finishing?.does !== 'coat') return [];
      const { title } = subject.rules.coatings[coat.coating];
      const solid = { ...finishing, tint: undefined, strokePt: undefined };
      const where = pathBounds(coat.path);
      const fixes = [refinish(subject, 'Make it solid, without a stroke', coat.id, solid)];
      const about = { severity: 'fault', element: null, where, fixes } as const;
      return [
        ...(coat.tint === undefined
          ? []
          : [{ ...about, message: `${title} is at ${formatNumber(coat.tint, 0)} %; it can only be at 100 %.` }]),
        ...(coat.stroke === undefined
          ? []
          : [
              {
                ...about,
                message: `${title} is stroked, ${formatNumber(mmToPt(coat.stroke), 2)} pt; it has to be areas alone.`,
              },
            ]),
      ];
    }),
};
