import { boxName, isMissing, overlaps, restate } from '../layout';
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
      const plain = boxes.placed[element.id] ?? frame.rect;
      const where = frame.rect;
      if (plain.width < 0 || plain.height < 0) {
        const axis = plain.width < 0 ? 'across' : 'down';
        const message =
          `No room left ${axis} in ${boxName(placement.against, boxes)}: its edges pass each other. Give ` +
          'smaller distances.';
        return [{ severity: 'fault', element: element.id, where, message }];
      }
      if (boxes.circular.includes(element.id)) {
        const free = { ...element, placement: restate(placement, { box: 'safe' }, boxes, frame.rect) };
        const message = 'It waits for an element that waits for it. Hold one of them against a box of the piece.';
        return [
          {
            severity: 'fault',
            element: element.id,
            where,
            message,
            fixes: [replace('Hold it in the safe area', free)],
          },
        ];
      }
      const gone = [placement.x.of, placement.y.of, placement.against].find((ref) => ref && isMissing(ref, boxes));
      if (gone) {
        const safe = { ...element, placement: restate(placement, { box: 'safe' }, boxes, frame.rect) };
        const message = `It stands against ${boxName(gone, boxes)}, which this side no longer has.`;
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
