import type { Size } from '../paper';
import type { Job } from '../job';
import type { House } from '../shop';
import { costOf, standingOf, type Cost, type Standing } from './cost';
import { wayOf, type InksOf, type Way } from './way';

/** A way with what it costs at a quantity. */
export interface PricedWay {
  readonly way: Way;
  readonly cost: Cost;
}

/** Every way to print a job at a house, on each of its sheets, each way round; or why there is none. */
export type FoundWays = { readonly ways: readonly Way[]; readonly message: string | undefined };

export function waysAt(job: Job, house: House, inksOf: InksOf): FoundWays {
  const sizes = house.sheets.flatMap(({ width, height }): readonly Size[] => [
    { width, height },
    { width: height, height: width },
  ]);
  const found = sizes.map((sheet) => wayOf(job, house, inksOf, sheet));
  const ways = found.flatMap((one) => (one.ok ? [one.way] : []));
  const [refused] = found.flatMap((one) => (one.ok ? [] : [one.message]));
  return { ways, message: ways.length > 0 ? undefined : (refused ?? 'It has no sheets. Set them under Books.') };
}

/**
 * The cheapest of some ways: of those at which all is done that has to be done, as long as there are any.
 * @returns undefined where none has prices
 */
export function cheapest(ways: readonly Way[], copies: number): PricedWay | undefined {
  const way = cheapestWay(ways, copies);
  const made = way && costOf(way, copies);
  return way && made?.ok ? { way, cost: made.cost } : undefined;
}

function cheapestWay(ways: readonly Way[], copies: number): Way | undefined {
  let best: { readonly way: Way; readonly standing: Standing } | undefined;
  for (const way of ways) {
    const standing = standingOf(way, copies);
    if (standing && (!best || isBetter(standing, best.standing))) best = { way, standing };
  }
  return best?.way;
}

/** Whether a price is to be preferred: what is left undone there comes before money. */
export const isBetter = (a: Standing, b: Standing): boolean =>
  a.undone === b.undone ? a.total < b.total : a.undone < b.undone;

/** A quantity from which another house is the cheapest. */
export interface Crossing {
  readonly from: number;
  readonly house: string;
}

/** Steps by which quantities are looked through; between two of them the first one is found by halving. */
const STEPS = 240;

/**
 * Which house is the cheapest from which quantity on.
 * @param houses ways of each
 * @param to     the largest quantity
 */
export function crossings(houses: readonly (readonly Way[])[], to: number): readonly Crossing[] {
  const bestAt = (copies: number): string | undefined => cheapestWay(houses.flat(), copies)?.house.name;
  const found: Crossing[] = [];
  let [before, last] = [1, bestAt(1)];
  if (last === undefined) return [];
  found.push({ from: 1, house: last });
  for (const copies of quantities(1, to, STEPS)) {
    const now = bestAt(copies);
    if (now !== undefined && now !== last) {
      found.push({ from: firstOf(before, copies, (n) => bestAt(n) === now), house: now });
      last = now;
    }
    before = copies;
  }
  return found;
}

/** The first whole number of a range for which something holds, that holds at its end and not at its beginning. */
function firstOf(from: number, to: number, holds: (n: number) => boolean): number {
  let [low, high] = [from, to];
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (holds(middle)) high = middle;
    else low = middle;
  }
  return high;
}

/** Whole numbers from one to another, evenly apart by their ratio. */
export function quantities(from: number, to: number, steps: number): readonly number[] {
  const all = Array.from({ length: steps + 1 }, (_, i) => Math.round(from * (to / from) ** (i / steps)));
  return [...new Set(all)];
}
