/**
 * Breaking a paragraph by looking at the whole of it.
 *
 * D. E. Knuth and M. F. Plass, “Breaking Paragraphs into Lines”, Software: Practice and Experience 11 (1981),
 * 1119–1184: a paragraph is a row of boxes, glue and penalties; of all ways to break it, the one with the least sum
 * of demerits is taken.
 */

/** What a paragraph is made of, widths in any one unit. */
export type Material =
  /** Letters may give a little too, where the space between them may. */
  | { readonly kind: 'box'; readonly width: number; readonly stretch?: number; readonly shrink?: number }
  | { readonly kind: 'glue'; readonly width: number; readonly stretch: number; readonly shrink: number }
  | {
      readonly kind: 'penalty';
      /** Set when the line ends here. */
      readonly width: number;
      /** Infinite: never; minus infinite: always. */
      readonly cost: number;
      /** A hyphen: two lines in a row that end so are disliked. */
      readonly flagged: boolean;
    };

export interface Taste {
  /** How far a line may be stretched, as a multiple of what its glue likes. */
  readonly tolerance: number;
  /** Demerits for two hyphens in a row. */
  readonly twoHyphens: number;
  /** Demerits for a tight line next to a loose one. */
  readonly uneven: number;
  /** Demerits that every line has, before they are squared. */
  readonly line: number;
}

/** Values of plain TeX (from memory), tolerance as the stretch ratio of a badness of 800. */
export const TASTE: Taste = { tolerance: 2, twoHyphens: 10_000, uneven: 10_000, line: 10 };

export interface Break {
  /** Index of the material the line ends at. */
  readonly at: number;
  /** Stretch (positive) or shrink of its glue, as a multiple of what that likes. */
  readonly ratio: number;
}

interface Active {
  readonly at: number;
  readonly line: number;
  readonly fitness: number;
  readonly width: number;
  readonly stretch: number;
  readonly shrink: number;
  readonly demerits: number;
  readonly ratio: number;
  readonly before: Active | undefined;
}

/** No line is worse than this. Far beyond what TeX counts: one dreadful line must not be the price of fine ones. */
const WORST = 1e9;

/** Tight, decent, loose, very loose. */
const fitnessOf = (ratio: number): number => (ratio < -0.5 ? 0 : ratio <= 0.5 ? 1 : ratio <= 1 ? 2 : 3);

const isBreak = (materials: readonly Material[], i: number): boolean => {
  const m = materials[i];
  if (m?.kind === 'penalty') return m.cost < Infinity;
  return m?.kind === 'glue' && materials[i - 1]?.kind === 'box';
};

/**
 * The breaks of least demerits.
 * @param widthOf width of each line, counted from 0
 * @param isUniform whether all lines are equally wide; then fewer ways have to be kept apart
 * @returns the last of each line, or undefined where no way stays within the tolerance
 */
export function totalFit(
  materials: readonly Material[],
  widthOf: (line: number) => number,
  isUniform: boolean,
  taste: Taste = TASTE,
): readonly Break[] | undefined {
  let active: Active[] = [
    { at: -1, line: 0, fitness: 1, width: 0, stretch: 0, shrink: 0, demerits: 0, ratio: 0, before: undefined },
  ];
  let [width, stretch, shrink] = [0, 0, 0];
  for (let i = 0; i < materials.length; i += 1) {
    const m = materials[i];
    if (m && isBreak(materials, i)) {
      const made = breakAt(materials, i, active, { width, stretch, shrink }, widthOf, isUniform, taste);
      active = made.active;
      if (active.length === 0) return undefined;
    }
    if (m) ({ width, stretch, shrink } = plus({ width, stretch, shrink }, m));
  }
  const best = active.filter((a) => a.at === materials.length - 1).sort((a, b) => a.demerits - b.demerits)[0];
  const breaks: Break[] = [];
  for (let a = best; a && a.at >= 0; a = a.before) breaks.unshift({ at: a.at, ratio: a.ratio });
  return best ? breaks : undefined;
}

interface Sums {
  readonly width: number;
  readonly stretch: number;
  readonly shrink: number;
}

function breakAt(
  materials: readonly Material[],
  i: number,
  active: readonly Active[],
  sums: Sums,
  widthOf: (line: number) => number,
  isUniform: boolean,
  taste: Taste,
): { readonly active: Active[] } {
  const m = materials[i];
  const penalty = m?.kind === 'penalty' ? m : undefined;
  const kept: Active[] = [];
  const best = new Map<number, { from: Active; demerits: number; ratio: number; fitness: number }>();
  for (const a of active) {
    const target = widthOf(a.line);
    const natural = sums.width - a.width + (penalty?.width ?? 0);
    const ratio = ratioOf(target - natural, sums.stretch - a.stretch, sums.shrink - a.shrink);
    const isForced = penalty?.cost === -Infinity;
    if (ratio >= -1 && !isForced) kept.push(a);
    if (ratio < -1 || ratio > taste.tolerance) continue;
    const fitness = fitnessOf(ratio);
    const demerits = a.demerits + demeritsOf(ratio, penalty, a, fitness, materials, taste);
    // Ways that end here alike are one: with lines of one width, whatever their number.
    const key = isUniform ? fitness : a.line * 4 + fitness;
    const before = best.get(key);
    if (!before || demerits < before.demerits) best.set(key, { from: a, demerits, ratio, fitness });
  }
  if (best.size > 0) {
    const after = afterBreak(materials, i, sums);
    for (const { from, demerits, ratio, fitness } of best.values()) {
      kept.push({ at: i, line: from.line + 1, fitness, ...after, demerits, ratio, before: from });
    }
  }
  return { active: kept };
}

function ratioOf(room: number, stretch: number, shrink: number): number {
  if (Math.abs(room) < 1e-9) return 0;
  if (room > 0) return stretch > 0 ? room / stretch : Infinity;
  return shrink > 0 ? room / shrink : -Infinity;
}

function demeritsOf(
  ratio: number,
  penalty: Extract<Material, { kind: 'penalty' }> | undefined,
  from: Active,
  fitness: number,
  materials: readonly Material[],
  taste: Taste,
): number {
  const badness = Math.min(WORST, 100 * Math.abs(ratio) ** 3);
  const cost = penalty?.cost ?? 0;
  const own = (taste.line + badness) ** 2;
  const basic = cost >= 0 ? (taste.line + badness + cost) ** 2 : cost > -Infinity ? own - cost ** 2 : own;
  const earlier = materials[from.at];
  const hyphens = penalty?.flagged && earlier?.kind === 'penalty' && earlier.flagged ? taste.twoHyphens : 0;
  const uneven = Math.abs(fitness - from.fitness) > 1 ? taste.uneven : 0;
  return basic + hyphens + uneven;
}

/** Sums up to the first box after a break: glue and penalties there belong to no line. */
function afterBreak(materials: readonly Material[], i: number, sums: Sums): Sums {
  let after = sums;
  for (let j = i; j < materials.length; j += 1) {
    const m = materials[j];
    if (!m || m.kind === 'box') break;
    if (m.kind === 'penalty' && m.cost === -Infinity && j > i) break;
    after = plus(after, m);
  }
  return after;
}

/**
 * The breaks that a line takes one by one: each as much as fits at its natural width.
 * @returns the last of each line; a line with nowhere to break goes past its width
 */
export function firstFit(materials: readonly Material[], widthOf: (line: number) => number): readonly Break[] {
  const breaks: Break[] = [];
  let start: Sums = { width: 0, stretch: 0, shrink: 0 };
  let sums: Sums = start;
  let best: { at: number; sums: Sums } | undefined;
  const take = (at: number, there: Sums) => {
    breaks.push({ at, ratio: 0 });
    start = afterBreak(materials, at, there);
    best = undefined;
  };
  for (let i = 0; i < materials.length; i += 1) {
    const m = materials[i];
    if (m && isBreak(materials, i)) {
      const width = sums.width - start.width + (m.kind === 'penalty' ? m.width : 0);
      if (width > widthOf(breaks.length) + 1e-9 && best) {
        const { at, sums: there } = best;
        take(at, there);
        // What was passed since that break is looked at again, from there.
        i = at;
        sums = there;
        const again = materials[at];
        if (again) sums = plus(sums, again);
        continue;
      }
      if (m.kind === 'penalty' && m.cost === -Infinity) take(i, sums);
      else best = { at: i, sums };
    }
    if (m) sums = plus(sums, m);
  }
  return breaks;
}

function plus(sums: Sums, m: Material): Sums {
  switch (m.kind) {
    case 'box':
    case 'glue':
      return {
        width: sums.width + m.width,
        stretch: sums.stretch + (m.stretch ?? 0),
        shrink: sums.shrink + (m.shrink ?? 0),
      };
    case 'penalty':
      return sums;
  }
}
