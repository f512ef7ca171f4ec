import { roughBoxes } from '../compose';
import { baseOfSide, elementsOn, sidesLaid, type Element, type Job, type SideName } from '../job';
import { boxName, isMissing, overlaps, insets, turnedBounds, TOUCH, type SurfaceBoxes } from '../layout';
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
 * without room, off the piece, or past the trim. What content takes plays no part in it.
 */
export function lostByChange(before: Job, after: Job): readonly Lost[] {
  const [old] = before.pieces;
  const [piece] = after.pieces;
  if (!old || !piece) return [];
  const was = roughBoxes(before, old);
  const is = roughBoxes(after, piece);
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
