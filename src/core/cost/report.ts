import type { Job } from '../job';
import type { House } from '../shop';
import { cheapest, crossings, isBetter, quantities, waysAt, type Crossing } from './compare';
import { carried, type Carried, type Cost } from './cost';
import type { Way } from './way';

/** What a job costs at a house in its cheapest way there. */
export interface HouseCost {
  readonly house: string;
  /** Why it cannot be printed or priced there; else what it costs. */
  readonly problem: string | undefined;
  readonly cost: Cost | undefined;
  /** The sheet of the cheapest way, mm. */
  readonly sheet: { readonly width: number; readonly height: number } | undefined;
  readonly leadDays: number | undefined;
}

/** What one copy costs at a quantity, by house. */
export interface CurvePoint {
  readonly copies: number;
  readonly each: Readonly<Record<string, number>>;
}

export interface CostReport {
  /** The cheapest first; those at which it cannot be printed last. */
  readonly houses: readonly HouseCost[];
  readonly curve: readonly CurvePoint[];
  /** From which quantity on which house is the cheapest. */
  readonly crossings: readonly Crossing[];
  readonly carried: Carried | undefined;
}

/** Points of a curve, and how far it goes beyond the quantity. */
const [POINTS, BEYOND] = [60, 20];

/**
 * What a job costs at each house that could print it.
 * @param inks plates of each side by its name
 * @param copies of each that is printed; of records, how often each is wanted
 */
export function costReport(
  job: Job,
  houses: readonly House[],
  inks: Readonly<Record<string, number>>,
  copies: number,
): CostReport {
  const inksOf = (surface: string): number => inks[surface] ?? 4;
  const all = houses.map((house) => ({ house, ways: waysAt(job, house, inksOf) }));
  const costs = all
    .map(({ house, ways }) => atHouse(house, ways, copies))
    .sort((a, b) => (!a.cost ? 1 : !b.cost ? -1 : isBetter(a.cost, b.cost) ? -1 : 1));
  const priced = all.filter(({ house, ways }) => house.prices !== undefined && ways.length > 0);
  const most = Math.max(1000, copies * BEYOND);
  const curve = quantities(Math.max(1, Math.round(copies / BEYOND)), most, POINTS).map((n): CurvePoint => ({
    copies: n,
    each: Object.fromEntries(
      priced.flatMap(({ house, ways }) => {
        const best = cheapest(ways, n);
        return best ? [[house.name, best.cost.each]] : [];
      }),
    ),
  }));
  const [first] = all.flatMap(({ ways }) => ways);
  return {
    houses: costs,
    curve,
    crossings: crossings(
      priced.map(({ ways }) => ways),
      most,
    ),
    carried: first && carried(first, copies),
  };
}

function atHouse(house: House, ways: readonly Way[], copies: number): HouseCost {
  const { name, leadDays } = house;
  const none = { house: name, cost: undefined, sheet: undefined, leadDays };
  if (!house.prices) return { ...none, problem: 'no prices are known' };
  const best = cheapest(ways, copies);
  if (!best) return { ...none, problem: 'it fits on none of its sheets' };
  const [sheet] = best.way.sheets;
  return { house: name, problem: undefined, cost: best.cost, sheet: sheet?.size, leadDays };
}
