import type { Rect } from '../../core/geometry';
import { paintedOf, perPage, trimOf, wantedBleed, type IntakeRule } from '../rule';

/** What ends so near the trim was meant to run over it, pt (0.5 mm) [cp]. */
const MEANT = 1.42;
/** What is longer than this share of the edge runs along it. */
const ALONG = 0.2;
/** What is thinner than this is a line, not an area, pt. */
const AREA = 6;

const EDGES = ['left', 'right', 'bottom', 'top'] as const;

/** How far a box reaches past an edge of the trim, pt; negative inside. */
function past(edge: (typeof EDGES)[number], box: Rect, trim: Rect): number {
  switch (edge) {
    case 'left':
      return trim.x - box.x;
    case 'right':
      return box.x + box.width - trim.x - trim.width;
    case 'bottom':
      return trim.y - box.y;
    case 'top':
      return box.y + box.height - trim.y - trim.height;
  }
}

/** Areas and pictures that reach the trim and do not bleed. */
export const stopsAtTrimRule: IntakeRule = {
  id: 'stops-at-trim',
  title: 'Stops at the trim',
  wish: () => 'What reaches the trim runs on to the bleed: the knife wanders, and a white hairline shows.',
  look: ({ file, house }) => {
    const short = paintedOf(file, 'fill', 'picture', 'shading').flatMap((thing) => {
      const page = file.pages[thing.page - 1];
      const { box } = thing;
      if (!page || box.width < AREA || box.height < AREA) return [];
      const trim = trimOf(page);
      const edge = EDGES.find((side) => {
        const reach = past(side, box, trim);
        const isUpright = side === 'left' || side === 'right';
        const along = isUpright ? box.height / trim.height : box.width / trim.width;
        return along >= ALONG && reach > -MEANT && reach < wantedBleed(house) - 0.1;
      });
      return edge ? [{ ...thing, edge }] : [];
    });
    // What lies under another that bleeds there is not seen.
    const bleeds = (page: number, edge: (typeof EDGES)[number]) => {
      const facts = file.pages[page - 1];
      return (
        facts !== undefined &&
        paintedOf(file, 'fill', 'picture', 'shading').some(
          (other) =>
            other.page === page &&
            past(edge, other.box, trimOf(facts)) >= wantedBleed(house) - 0.1 &&
            other.box.width * other.box.height > 0.5 * trimOf(facts).width * trimOf(facts).height,
        )
      );
    };
    return perPage(
      short.filter(({ page, edge }) => !bleeds(page, edge)),
      ({ edge }) => ({
        weight: 'fault',
        found: `Something ends at the ${edge} edge and does not bleed.`,
      }),
    );
  },
};
