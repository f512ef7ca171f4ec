import type { Size } from '../paper';
import type { Layout } from './guillotine';
import { piecesIn } from './guillotine';
import { packMixed, type Item } from './pack';

/** What one job wants of a gang. */
export interface Demand extends Size {
  /** Copies of it. */
  readonly quantity: number;
  readonly turns: boolean;
}

/** One layout of plates, printed so many times. */
export interface Form {
  readonly layout: Layout;
  /** Sheets. */
  readonly run: number;
  /** How often each demand lies on it, in their order. */
  readonly up: readonly number[];
}

export interface Gang {
  readonly forms: readonly Form[];
  /** Sheets of all forms. */
  readonly sheets: number;
  /** Fewer sheets than this no layout can do: by the area of all copies, and one sheet at least for each form. */
  readonly leastSheets: number;
  /** Share of the paper that no piece comes from, 0 to 1. */
  readonly waste: number;
  /** Copies beyond what was asked for, in the order of the demands; never fewer. */
  readonly over: readonly number[];
}

export interface GangLimits {
  /** Most forms, that is sets of plates. */
  readonly forms: number;
  /** What another form costs, in sheets: make-ready and plates. */
  readonly formCosts: number;
}

/**
 * Several jobs on sheets together: which of them lie on which form how often, and how many sheets of each are printed,
 * so that nothing is printed short.
 * @param room     what can be cut from a sheet, mm
 * @param demands  sizes with their gaps, mm
 * @returns undefined where something does not fit the room at all
 */
export function gangUp(room: Size, demands: readonly Demand[], limits: GangLimits): Gang | undefined {
  if (demands.length === 0) return undefined;
  const area = room.width * room.height;
  const copies = demands.reduce((sum, d) => sum + d.quantity * d.width * d.height, 0);
  // Those of like quantity go together: on one form each is printed as often as the others.
  const sorted = demands.map((_, i) => i).sort((a, b) => (demands[b]?.quantity ?? 0) - (demands[a]?.quantity ?? 0));
  let best: { readonly forms: readonly Form[]; readonly groups: readonly Group[]; readonly costs: number } | undefined;
  for (const groups of splits(sorted, demands, limits.forms)) {
    const forms = groups.map((group) => quickForm(room, demands, group));
    if (!forms.every((form): form is Form => form !== undefined)) continue;
    const costs = forms.reduce((sum, form) => sum + form.run + limits.formCosts, 0);
    if (!best || costs < best.costs) best = { forms, groups, costs };
  }
  if (!best) return undefined;
  // Only what is taken is searched for long.
  const { groups } = best;
  const forms = best.forms.map((form, i) => shortened(room, demands, groups[i] ?? [], form));
  const sheets = forms.reduce((sum, form) => sum + form.run, 0);
  const made = demands.map((_, i) => forms.reduce((sum, { up, run }) => sum + (up[i] ?? 0) * run, 0));
  return {
    forms,
    sheets,
    leastSheets: Math.max(1, Math.ceil(copies / area - 1e-9)),
    waste: 1 - demands.reduce((sum, d, i) => sum + (made[i] ?? 0) * d.width * d.height, 0) / (sheets * area),
    over: demands.map((d, i) => (made[i] ?? 0) - d.quantity),
  };
}

/** Ways to part the demands into so many forms: where the quantities of neighbours differ most. */
function splits(sorted: Group, demands: readonly Demand[], most: number): readonly (readonly Group[])[] {
  const ratio = (i: number) => (demands[sorted[i - 1] ?? 0]?.quantity ?? 1) / (demands[sorted[i] ?? 0]?.quantity ?? 1);
  const steps = sorted.map((_, i) => i).slice(1);
  const byRatio = [...steps].sort((a, b) => ratio(b) - ratio(a));
  const cutAt = (at: readonly number[]) => {
    const ends = [...at].sort((a, b) => a - b);
    return [...ends, sorted.length].map((end, i) => sorted.slice(ends[i - 1] ?? 0, end));
  };
  const even = (n: number) => Array.from({ length: n - 1 }, (_, i) => Math.round(((i + 1) * sorted.length) / n));
  const ways: number[][] = [[]];
  for (let n = 2; n <= Math.min(most, sorted.length); n += 1)
    ways.push(
      byRatio.slice(0, n - 1),
      [...new Set(even(n))].filter((at) => at > 0 && at < sorted.length),
    );
  return ways.map(cutAt);
}

/** Those that lie on one form, by their places among the demands. */
type Group = readonly number[];

/** A form on which each of a group lies as often as a run of so many sheets asks; undefined where they do not fit. */
function formAt(room: Size, demands: readonly Demand[], group: Group, run: number, steps?: number): Form | undefined {
  const up = group.map((i) => Math.ceil((demands[i]?.quantity ?? 1) / run));
  const area = up.reduce((sum, many, n) => sum + many * sizeOf(demands[group[n] ?? 0]), 0);
  if (area > room.width * room.height + 1e-6) return undefined;
  const items = group.flatMap((i, n): readonly Item[] => {
    const demand = demands[i];
    return demand ? Array.from({ length: up[n] ?? 0 }, () => ({ ...demand, kind: i })) : [];
  });
  const { layout, left } = packMixed(room, items, steps === undefined ? {} : { steps });
  if (left.length > 0) return undefined;
  const pieces = piecesIn(layout);
  return { layout, run, up: demands.map((_, i) => pieces.filter(({ kind }) => kind === i).length) };
}

/** The form of a group that is printed on the fewest sheets, by the plain orders alone. */
function quickForm(room: Size, demands: readonly Demand[], group: Group): Form | undefined {
  // One of each is the least that lies there: whatever does so in the longest run may in a shorter one.
  let high = Math.max(...group.map((i) => demands[i]?.quantity ?? 1));
  let form = formAt(room, demands, group, high, 0);
  if (!form) form = formAt(room, demands, group, high);
  if (!form) return undefined;
  let low = 1;
  while (low < high) {
    const middle = Math.floor((low + high) / 2);
    const found = formAt(room, demands, group, middle, 0);
    if (found) [form, high] = [found, middle];
    else low = middle + 1;
  }
  return form;
}

/** A run is tried to be so much shorter, as long as that goes. */
const SHORTER = 0.97;
/** How often it may fail, each time by half the way. */
const FAILURES = 3;

/** A form whose run a longer search makes shorter, where it can. */
function shortened(room: Size, demands: readonly Demand[], group: Group, form: Form): Form {
  let [best, step] = [form, 1 - SHORTER];
  for (let failed = 0; failed < FAILURES;) {
    const run = Math.min(best.run - 1, Math.floor(best.run * (1 - step)));
    const found = run >= 1 ? formAt(room, demands, group, run) : undefined;
    if (found) best = found;
    else [failed, step] = [failed + 1, step / 2];
  }
  return best;
}

const sizeOf = (size: Size | undefined): number => (size ? size.width * size.height : 0);
