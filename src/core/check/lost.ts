import { nameOf } from '../compose';
import { blankOf, elementsOn, type Element, type Job, type Piece, type SideName } from '../job';
import { boxName, isMissing, overlaps, insets, solve, turnedBounds, TOUCH, type SurfaceBoxes } from '../layout';

/** Something that a change of size, kind or fold leaves without its place. */
export interface Lost {
  readonly side: SideName;
  readonly element: string;
  readonly name: string;
  readonly why: string;
}

/**
 * What no longer fits after a change and did before: content on a side that is gone, held against a box that is gone,
 * without room, off the piece, or past the trim.
 */
export function lostByChange(before: Job, after: Job): readonly Lost[] {
  const [old] = before.pieces;
  const [piece] = after.pieces;
  if (!old || !piece) return [];
  const was = boxesOf(before, old);
  const is = boxesOf(after, piece);
  return Object.keys(piece.surfaces).flatMap((side) =>
    elementsOn(piece, side).flatMap((element): Lost[] => {
      const now = is.get(side);
      const earlier = was.get(side);
      // What had no side before cannot lose it.
      if (!now) return earlier ? [{ side, element: element.id, name: nameOf(element), why: `there is no ${side} any more` }] : [];
      const why = trouble(element, now);
      if (!why || (earlier && trouble(element, earlier))) return [];
      return [{ side, element: element.id, name: nameOf(element), why }];
    }),
  );
} // prettier-ignore

const boxesOf = (job: Job, piece: Piece): ReadonlyMap<string, SurfaceBoxes> =>
  new Map(blankOf(job, piece).surfaces.map((s) => [s.name, s.boxes]));

/** What is wrong with where an element stands; undefined when nothing is. */
function trouble({ placement }: Element, boxes: SurfaceBoxes): string | undefined {
  if (isMissing(placement.against, boxes)) return `it stands against ${boxName(placement.against)}, which is gone`;
  const rect = solve(placement, boxes);
  if (rect.width < 0 || rect.height < 0) return `no room is left in ${boxName(placement.against)}`;
  const bounds = turnedBounds(rect, placement.rotate);
  if (!overlaps(bounds, boxes.bleed)) return 'it lies wholly outside the piece';
  const past = Object.values(insets(bounds, boxes.trim)).some((inside) => inside < -TOUCH);
  return past ? 'it reaches past the trim' : undefined;
}
