import { overlaps, pathBounds } from '../layout';
import type { Rule } from './rule';

/** Glue holds on paper, not on what seals it. */
export const coatOnGlueRule: Rule = {
  id: 'coat-on-glue',
  title: 'A coating where it is glued',
  why: 'Glue does not hold on varnish, foil or film: the flap comes open.',
  check: ({ blank, side, drawing, rules }) => {
    const glued = (blank.surfaces.find((s) => s.name === side)?.zones ?? []).filter((z) => z.kind === 'no-ink');
    return drawing.coats.flatMap((coat) =>
      glued
        .filter((zone) => coat.coating !== 'white' && overlaps(pathBounds(coat.path), pathBounds(zone.outline)))
        .map((zone) => ({
          severity: 'fault' as const,
          element: null,
          where: pathBounds(zone.outline),
          message:
            `${rules.coatings[coat.coating].title} reaches onto “${zone.name}”. Let it follow shapes that stop ` +
            'short of it.',
        })),
    );
  },
};
