import type { Rect } from '../geometry';
import type { Mm } from '../measure';
import type { Size } from '../paper';
import type { Cut } from './cutting';

/** A pile as the guillotine knows it: a rectangle of paper, lying some way round. */
interface Lying {
  readonly rect: Rect;
  /** Which edge of the sheet lies against the gauge: 0 its top, then clockwise by quarters 1 left, 2 foot, 3 right. */
  readonly turned: number;
}

/** A programme that cannot be run; the message says at which cut and why. */
export class CannotCut extends Error {}

/**
 * The simulated guillotine: runs a programme on a sheet and gives back the piles. It knows nothing of what is printed:
 * only which pile is laid how against the gauge, and how far that is from the knife.
 * @param off how far a cut lies off its gauge, mm, larger outward; left out, none is
 * @throws CannotCut where a pile is not there, or is smaller than its gauge
 */
export function runProgramme(
  sheet: Size,
  cuts: readonly Cut[],
  off: (cut: Cut) => Mm = () => 0,
): ReadonlyMap<number, Rect> {
  const piles = new Map<number, Lying>([[0, { rect: { x: 0, y: 0, ...sheet }, turned: 0 }]]);
  for (const cut of cuts) {
    const pile = piles.get(cut.pile);
    if (!pile) throw new CannotCut(`Cut ${cut.number}: there is no pile ${cut.pile}.`);
    const turned = (pile.turned + cut.turn / 90) % 4;
    const { rect } = pile;
    const isUpright = turned % 2 === 1;
    const long = isUpright ? rect.width : rect.height;
    if (cut.gauge >= long || cut.gauge <= 0)
      throw new CannotCut(`Cut ${cut.number}: pile ${cut.pile} is ${long} mm deep, its gauge is ${cut.gauge} mm.`);
    const stays = cut.gauge + off(cut);
    const [behind, front] = [side(rect, turned, 0, stays), side(rect, turned, stays, long)];
    piles.set(cut.pile, { rect: behind, turned });
    if (cut.front.is === 'pile') piles.set(cut.front.number, { rect: front, turned });
  }
  return new Map([...piles].map(([number, { rect }]) => [number, rect]));
}

/** What of a rectangle lies between two distances from the edge at the gauge. */
function side({ x, y, width, height }: Rect, turned: number, from: Mm, to: Mm): Rect {
  const deep = to - from;
  switch (turned) {
    case 0:
      return { x, y: y + from, width, height: deep };
    case 1:
      return { x: x + from, y, width: deep, height };
    case 2:
      return { x, y: y + height - to, width, height: deep };
    default:
      return { x: x + width - to, y, width: deep, height };
  }
}
