import type { Job } from '../job';
import type { House } from '../shop';
import { cheapest, crossings, isBetter, quantities, waysAt, type Crossing, type FoundWays } from './compare';
import { carried, type Carried, type Cost } from './cost';

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
 * @param copies of all records together, where it has some
 */
export function costReport(
  job: Job,
  houses: readonly House[],
  inks: Readonly<Record<string, number>>,
  copies: number,
): CostReport {
  const inksOf = (surface: string): number => inks[surface] ?? 4;
  const all = houses.map((house) => ({ house, ...waysAt(job, house, inksOf) }));
  const costs = all
    .map((one) => atHouse(one, copies))
    .sort((a, b) => (!a.cost ? 1 : !b.cost ? -1 : isBetter(standing(a.cost), standing(b.cost)) ? -1 : 1));
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

const standing = ({ undone, total }: Cost) => ({ undone: undone.length, total });

function atHouse(at: FoundWays & { readonly house: House }, copies: number): HouseCost {
  const { name, leadDays, prices } = at.house;
  const none = { house: name, cost: undefined, sheet: undefined, leadDays };
  if (at.message !== undefined) return { ...none, problem: at.message };
  const best = cheapest(at.ways, copies);
  if (!prices || !best) return { ...none, problem: 'No prices are known. Set them under Books.' };
  const [sheet] = best.way.sheets;
  return { house: name, problem: undefined, cost: best.cost, sheet: sheet?.size, leadDays };
}
