import type { Gradient } from '../element';
import { framed, replace, type Report, type Rule } from './rule';

const isOver = ({ paint }: Gradient['stops'][number]): boolean => paint.kind !== 'paper' && paint.overprint === true;

/** A gradient whose stops are all told the same. */
const told = (gradient: Gradient, overprint: boolean): Gradient => ({
  ...gradient,
  stops: gradient.stops.map((stop) =>
    stop.paint.kind === 'paper' ? stop : { ...stop, paint: { ...stop.paint, overprint } },
  ),
});

/** A gradient is one shading in the file: all of it is laid over what is beneath, or none of it. */
export const gradientOverprintRule: Rule = {
  id: 'gradient-overprint',
  title: 'A gradient that overprints in part',
  why:
    'A press file can lay a gradient over what is beneath or let it knock that out, but not change from one to ' +
    'the other along it.',
  check: (subject) =>
    framed(subject).flatMap(({ element, frame }): readonly Report[] => {
      if (element.kind !== 'shape' || element.fill?.kind !== 'gradient') return [];
      const { fill } = element;
      const over = fill.stops.filter(isOver).length;
      if (over === 0 || over === fill.stops.length) return [];
      const canAll = fill.stops.every(({ paint }) => paint.kind !== 'paper');
      return [
        {
          severity: 'warning',
          element: element.id,
          where: frame.rect,
          message: 'Some of the colours of this gradient overprint and some do not; all of it knocks out.',
          fixes: [
            ...(canAll ? [replace('Let all of it overprint', { ...element, fill: told(fill, true) })] : []),
            replace('Let all of it knock out', { ...element, fill: told(fill, false) }),
          ],
        },
      ];
    }),
};
