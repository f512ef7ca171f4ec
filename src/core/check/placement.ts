import { boxName, isMissing, overlaps, restate, solve } from '../layout';
import { framed, replace, type Report, type Rule } from './rule';

/** What no longer fits after a change of size or grid. */
export const placementRule: Rule = {
  id: 'placement',
  title: 'Out of place',
  why: 'After a change of size or grid, something has no room any more or stands where nothing is printed.',
  check: (subject) =>
    framed(subject).flatMap(({ element, frame }): Report[] => {
      const { boxes } = subject.drawing;
      const { placement } = element;
      const plain = solve(placement, boxes);
      const where = frame.rect;
      if (plain.width < 0 || plain.height < 0) {
        const axis = plain.width < 0 ? 'across' : 'down';
        const message = `No room left ${axis} in ${boxName(placement.against)}: its edges pass each other. Give smaller distances.`;
        return [{ severity: 'fault', element: element.id, where, message }];
      }
      if (isMissing(placement.against, boxes)) {
        const safe = { ...element, placement: restate(placement, { box: 'safe' }, boxes) };
        const message = `It stands against ${boxName(placement.against)}, which this side no longer has.`;
        return [
          {
            severity: 'warning',
            element: element.id,
            where,
            message,
            fixes: [replace('Hold it in the safe area', safe)],
          },
        ];
      }
      if (frame.items.length > 0 && !overlaps(frame.bounds, boxes.bleed)) {
        const message = 'It lies wholly outside the piece and is not printed.';
        return [{ severity: 'warning', element: element.id, where, message }];
      }
      return [];
    }),
};
