import { overlaps, pathBounds, type Point, type Rect } from '../layout';
import { typePoints } from './type-in';
import { framed, type Report, type Rule } from './rule';

const isWithin = ({ x, y }: Point, box: Rect): boolean =>
  box.x <= x && x <= box.x + box.width && box.y <= y && y <= box.y + box.height;

const contains = (outer: Rect, inner: Rect): boolean =>
  isWithin(inner, outer) && isWithin({ x: inner.x + inner.width, y: inner.y + inner.height }, outer);

/** What has to be read or seen whole may not stand where it is drilled, hidden, glued or covered. */
export const zonesRule: Rule = {
  id: 'zones',
  title: 'In a zone that is taken',
  why: 'Holes, wires, glue, windows and what a stand hides take parts of the piece; what stands there is lost.',
  check: (subject) => {
    const surface = subject.blank.surfaces.find((s) => s.name === subject.side);
    const zones = (surface?.zones ?? []).map((zone) => ({ zone, box: pathBounds(zone.outline) }));
    if (zones.length === 0) return [];
    return framed(subject).flatMap(({ element, frame }): Report[] => {
      if (frame.items.length === 0) return [];
      const type = element.kind === 'text' ? [] : typePoints(frame.items);
      return zones
        .filter(({ box }) => overlaps(frame.bounds, box))
        .flatMap(({ zone, box }): Report[] => {
          const isType = element.kind === 'text' || type.some((point) => isWithin(point, box));
          // A background that covers the whole zone is no mistake; type always is, in whatever it stands.
          if (!isType && contains(frame.bounds, box)) return [];
          const message = `It reaches into the zone “${zone.name}”. ${zone.why}`;
          return [{ severity: isType ? 'fault' : 'warning', element: element.id, where: frame.bounds, message }];
        });
    });
  },
};
