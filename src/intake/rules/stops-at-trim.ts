import type { Rect } from '../../core/geometry';
import type { Painted } from '../painted';
import { paintedOf, perPage, trimOf, wantedBleed, type IntakeRule } from '../rule';

/** What ends so near the trim was meant to run over it, pt (0.5 mm) [cp]. */
const MEANT = 1.42;
/** What is shorter has to end at the trim to a hair, pt, and be no dot, share of the edge [own]. */
const [EXACT, SOME] = [0.1, 0.03];
/** What is longer than this share of the edge runs along it. */
const ALONG = 0.2;
/** What is thinner than this is a line, not an area, pt. */
const AREA = 6;

/** So much of an edge has to be gone on from. */
const ALIKE = 0.95;

const EDGES = ['left', 'right', 'bottom', 'top'] as const;

/** How far a box reaches past an edge of the trim, pt; negative inside. */
function past(edge: Edge, box: Rect, trim: Rect): number {
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

type Edge = (typeof EDGES)[number];
type Area = Extract<Painted, { kind: 'fill' | 'picture' | 'shading' }>;
/** An area that ends at an edge, and where it stands among those that are painted. */
type Short = Area & { readonly edge: Edge; readonly at: number };

const areaOf = ({ width, height }: Rect): number => width * height;

/** The same colour, or pictures of as many pixels: one goes on from the other. */
function looksAlike(a: Area, b: Area): boolean {
  if (a.kind !== b.kind) return false;
  if (a.kind === 'picture' && b.kind === 'picture') return a.width === b.width && a.height === b.height;
  return JSON.stringify(a.colour) === JSON.stringify(b.colour);
}

/** Whether one lies along an edge for as long as the other does. */
function isBeside(edge: Edge, { box: one }: Area, { box: other }: Area): boolean {
  const isUpright = edge === 'left' || edge === 'right';
  const [from, to, long] = isUpright
    ? [Math.max(one.y, other.y), Math.min(one.y + one.height, other.y + other.height), other.height]
    : [Math.max(one.x, other.x), Math.min(one.x + one.width, other.x + other.width), other.width];
  return to - from >= ALIKE * long;
}

/** A place is shown so long and so deep, pt. */
const [LONG, DEEP] = [60, 12];

/** Where it is seen best: a piece of the edge that it ends at, in its middle. */
function atEdge({ box, edge }: Short): Rect {
  const isUpright = edge === 'left' || edge === 'right';
  const long = Math.min(LONG, isUpright ? box.height : box.width);
  const x = isUpright ? (edge === 'left' ? box.x : box.x + box.width) - DEEP / 2 : box.x + (box.width - long) / 2;
  const y = isUpright ? box.y + (box.height - long) / 2 : (edge === 'bottom' ? box.y : box.y + box.height) - DEEP / 2;
  return { x, y, width: isUpright ? DEEP : long, height: isUpright ? long : DEEP };
}

/** Areas and pictures that reach the trim and do not bleed. */
export const stopsAtTrimRule: IntakeRule = {
  id: 'stops-at-trim',
  title: 'Stops at the trim',
  wish: () => 'What reaches the trim runs on to the bleed: the knife wanders, and a white hairline shows.',
  look: ({ file, house }) => {
    // What is laid on thinly may be meant to end there: a shadow, a glow, a veil.
    const areas = paintedOf(file, 'fill', 'picture', 'shading').filter(({ isTransparent }) => !isTransparent);
    const short = areas.flatMap((thing, at) => {
      const page = file.pages[thing.page - 1];
      const { box } = thing;
      if (!page || box.width < AREA || box.height < AREA) return [];
      const trim = trimOf(page);
      const edge = EDGES.find((side) => {
        const reach = past(side, box, trim);
        const isUpright = side === 'left' || side === 'right';
        const along = isUpright ? box.height / trim.height : box.width / trim.width;
        const isMeant = along >= ALONG ? reach > -MEANT : Math.abs(reach) < EXACT && along >= SOME;
        return isMeant && reach < wantedBleed(house) - 0.1;
      });
      return edge ? [{ ...thing, edge, at }] : [];
    });
    const trimOn = (page: number): Rect | undefined => {
      const facts = file.pages[page - 1];
      return facts && trimOf(facts);
    };
    // What lies under another that bleeds there is not seen; what goes on in the same look beyond the trim bleeds.
    const isSound = ({ at, edge, ...thing }: Short) => {
      const trim = trimOn(thing.page);
      return areas.some(
        (other, i) =>
          trim !== undefined &&
          i !== at &&
          other.page === thing.page &&
          past(edge, other.box, trim) >= wantedBleed(house) - 0.1 &&
          ((i > at && areaOf(other.box) > 0.5 * areaOf(trim)) ||
            (looksAlike(other, thing) && isBeside(edge, other, thing))),
      );
    };
    return perPage(
      short.filter((thing) => !isSound(thing)).map((thing) => ({ ...thing, box: atEdge(thing) })),
      ({ edge }) => ({
        weight: 'fault',
        found: `Something ends at the ${edge} edge and does not bleed.`,
      }),
    );
  },
};
