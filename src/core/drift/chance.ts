import { FIGURE, truncatedQuantile, truncatedTail } from '../chance';
import { centreOf, type EdgeName, type Point, type Rect } from '../layout';
import type { Mm } from '../measure';
import type { MachineFigures } from '../shop';
import { figureAt, type Copy, type Shift } from './copies';

/** A chance that is small enough: one copy in a thousand. */
export const RARE = 1 / 1000;

/** Depths of the pile that the chance of a copy is averaged over. */
const DEPTHS = 40;

/**
 * Chance that one cut lies further off to one side than a distance: the tail of the distribution, averaged over where
 * in the pile a copy lies. Exact.
 * @param distance mm; negative on the other side
 * @param care     how careful the house is: 1 as its figures say
 */
export function cutChance(distance: Mm, { drift, deeper, pile }: MachineFigures, care = 1): number {
  const at = (deep: Mm) => {
    const figure = figureAt(drift, deeper, deep) * care;
    if (figure === 0) return distance < 0 ? 1 : 0;
    return truncatedTail((distance * FIGURE) / figure);
  };
  if (pile === 0 || deeper === 0) return at(0);
  let sum = 0;
  for (let i = 0; i < DEPTHS; i += 1) sum += at(((i + 0.5) / DEPTHS) * pile);
  return sum / DEPTHS;
}

/** The distance that is exceeded with a chance, mm. */
export function cutClearance(chance: number, figures: MachineFigures, care = 1): Mm {
  const { drift, deeper, pile } = figures;
  const worst = (truncatedQuantile(chance) * figureAt(drift, deeper, pile) * care) / FIGURE;
  let [low, high] = [0, Math.max(worst, 0)];
  for (let i = 0; i < 50; i += 1) {
    const middle = (low + high) / 2;
    if (cutChance(middle, figures, care) > chance) low = middle;
    else high = middle;
  }
  return high;
}

/** How far a shift moves a point of a side outward, mm. @param outward of length 1 */
export function movedBy({ x, y, turn }: Shift, point: Point, middle: Point, outward: Point): Mm {
  const angle = (turn * Math.PI) / 180;
  return (x - (point.y - middle.y) * angle) * outward.x + (y + (point.x - middle.x) * angle) * outward.y;
}

const OUTWARD: Readonly<Record<EdgeName, Point>> = {
  top: { x: 0, y: -1 },
  right: { x: 1, y: 0 },
  bottom: { x: 0, y: 1 },
  left: { x: -1, y: 0 },
};

/** How far the edge of a copy lies outside its place beside what is printed there, mm; negative inside. */
export function edgeAt(copy: Copy, edge: EdgeName, trim: Rect, at: Point, isBack: boolean): Mm {
  const middle = centreOf(trim);
  const cut = copy.cut[edge] + movedBy(copy.die, at, middle, OUTWARD[edge]);
  return isBack ? cut - movedBy(copy.back, at, middle, OUTWARD[edge]) : cut;
}

/** The middle of each edge of a box. */
export const edgeMiddles = ({ x, y, width, height }: Rect): Readonly<Record<EdgeName, Point>> => ({
  top: { x: x + width / 2, y },
  right: { x: x + width, y: y + height / 2 },
  bottom: { x: x + width / 2, y: y + height },
  left: { x, y: y + height / 2 },
});

/** Of so many numbers, the one that only a share of them exceeds. */
export function exceededBy(numbers: readonly number[], share: number): number {
  const sorted = [...numbers].sort((a, b) => b - a);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0;
}
