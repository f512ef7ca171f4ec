import { writeBuild, writeHex } from '../colour';
import { repaint } from '../job';
import { formatNumber } from '../measure';
import { asPaint, inksOf } from './paints';
import { framed, replace, type Rule } from './rule';

/** What the screen shows and the paper cannot. */
export const outOfGamutRule: Rule = {
  id: 'out-of-gamut',
  title: 'A colour that this paper cannot show',
  why: 'It will look duller in print than on the screen. Better to know, and to choose the printed colour oneself.',
  check: (subject) =>
    framed(subject).flatMap(({ element, frame }) => {
      const worst = inksOf(frame)
        .filter((ink) => ink.lost !== undefined)
        .sort((a, b) => (b.lost ?? 0) - (a.lost ?? 0))[0];
      if (!worst?.from || worst.lost === undefined) return [];
      const hex = writeHex(worst.from);
      const { c, m, y, k } = worst.build;
      const build = { c: Math.round(c), m: Math.round(m), y: Math.round(y), k: Math.round(k) };
      const mended = repaint(element, subject.book, (paint) =>
        paint.kind === 'rgb' && writeHex(paint) === hex ? asPaint(build) : paint,
      );
      return [
        {
          severity: 'note',
          element: element.id,
          where: frame.bounds,
          message: `${hex} moves by ΔE ${formatNumber(worst.lost, 1)} and becomes ${writeBuild(build)}.`,
          fixes: [replace(`Take ${writeBuild(build)}`, mended)],
        },
      ];
    }),
};
