import { leavesOf } from '../drawing';
import { mapLooks } from '../element';
import { formatNumber, mmToPt } from '../measure';
import { framed, replace, type Rule } from './rule';

/** Letters are read from no further than this many times the height of their capitals: about 12 minutes of arc [cp]. */
const TIMES = 300;
/** Height of capitals, as a share of the size [cp]. */
const CAPITALS = 0.7;

/** Smallest size that is read from a distance, pt. @param distance mm */
export const readableFrom = (distance: number): number => mmToPt(distance / TIMES / CAPITALS);

/** Type that is read from afar is large enough for it. */
export const typeDistanceRule: Rule = {
  id: 'type-distance',
  title: 'Small for its distance',
  why: 'What is read from across a room needs larger letters than what is held in the hand.',
  check: (subject) => {
    const { readingDistance } = subject.job;
    const least = readableFrom(readingDistance) / subject.blank.scale;
    return framed(subject).flatMap(({ element, frame }) => {
      if (element.kind !== 'text') return [];
      const sizes = leavesOf(frame.items).flatMap((item) =>
        item.kind === 'glyphs' && item.glyphs.length > 0 ? [mmToPt(item.size)] : [],
      );
      const smallest = Math.min(...sizes);
      if (sizes.length === 0 || smallest >= least - 1e-6) return [];
      return [
        {
          severity: 'note',
          element: element.id,
          where: frame.bounds,
          message:
            `${formatNumber(smallest, 1)} pt is small from ${formatNumber(readingDistance / 1000, 2)} m; ` +
            `${formatNumber(least, 1)} pt can be read from there.`,
          fixes: [
            replace(
              `Set it in ${formatNumber(least, 1)} pt`,
              mapLooks(element, subject.book, (look) => (look.sizePt < least ? { sizePt: least } : {})),
            ),
          ],
        },
      ];
    });
  },
};
