import { evenTracks } from '../compose';
import { baseOfSide, blankOf, elementsOn, sidesLaid, type Element, type Job, type Piece, type SideName } from '../job';
import { boxName, isMissing, overlaps, insets, solveLayout, turnedBounds, TOUCH, type SurfaceBoxes } from '../layout';
import { nameOf } from '../element';

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
  const sides = sidesLaid(piece).filter((side) => baseOfSide(side) === undefined);
  return sides.flatMap((side) =>
    elementsOn(piece, side).flatMap((element): Lost[] => {
      const now = is.get(side);
      const earlier = was.get(side);
      // What had no side before cannot lose it.
      if (!now)
        return earlier
          ? [{ side, element: element.id, name: nameOf(element), why: `there is no ${side} any more` }]
          : [];
      const why = trouble(element, now);
      if (!why || (earlier && trouble(element, earlier))) return [];
      return [{ side, element: element.id, name: nameOf(element), why }];
    }),
  );
}

/** Sides with everything on them placed. What content takes is not measured here: it plays no part in what is lost. */
const boxesOf = (job: Job, piece: Piece): ReadonlyMap<string, SurfaceBoxes> =>
  new Map(
    blankOf(job, piece).surfaces.map((s) => {
      const layout = { side: s.name, elements: elementsOn(piece, s.name), ...piece };
      return [s.name, solveLayout(s.boxes, layout, { name: nameOf, size: () => UNMEASURED, tracks: evenTracks })];
    }),
  );

const UNMEASURED = 1;

/** What is wrong with where an element stands; undefined when nothing is. */
function trouble({ id, placement }: Element, boxes: SurfaceBoxes): string | undefined {
  const gone = [placement.x.of, placement.y.of, placement.against].find((ref) => ref && isMissing(ref, boxes));
  if (gone) return `it stands against ${boxName(gone, boxes)}, which is gone`;
  const rect = boxes.placed[id];
  if (!rect) return 'it has no place';
  if (rect.width < 0 || rect.height < 0) return `no room is left in ${boxName(placement.against, boxes)}`;
  const bounds = turnedBounds(rect, placement.rotate);
  if (!overlaps(bounds, boxes.bleed)) return 'it lies wholly outside the piece';
  const past = Object.values(insets(bounds, boxes.trim)).some((inside) => inside < -TOUCH);
  return past ? 'it reaches past the trim' : undefined;
}
