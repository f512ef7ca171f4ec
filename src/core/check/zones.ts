import { overlaps, pathBounds, type Rect } from '../layout';
import { framed, type Report, type Rule } from './rule';

const contains = (outer: Rect, inner: Rect): boolean =>
  outer.x <= inner.x && outer.y <= inner.y && outer.x + outer.width >= inner.x + inner.width && outer.y + outer.height >= inner.y + inner.height; // prettier-ignore

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
      return zones
        .filter(({ box }) => overlaps(frame.bounds, box))
        // A background that covers the whole zone is no mistake; type always is.
        .filter(({ box }) => element.kind === 'text' || !contains(frame.bounds, box))
        .map(({ zone }) => ({
          severity: element.kind === 'text' ? 'fault' : 'warning',
          element: element.id,
          where: frame.bounds,
          message: `It reaches into the zone “${zone.name}”. ${zone.why}`,
        }));
    });
  },
}; // prettier-ignore
