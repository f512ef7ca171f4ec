import { EDGE_NAMES, insets, type EdgeLengths, type Rect } from '../layout';
import type { Mm } from '../measure';
import { RARE, edgeAt, edgeMiddles } from './chance';
import type { DriftSide } from './side';

/** Wider than so many times the border across from it, a border looks crooked [own]. */
export const CROOKED = 1.5;
/** A border is no wider than this, mm; what stands further in does not look like one [own]. */
const WIDEST = 12;
/** Two borders that are meant to be equal differ by no more, mm [own]. */
const ALIKE = 0.5;

/** A border between the edge of a piece and what runs around it. */
export interface Border {
  /** The narrowest of its pairs, as it is meant, mm. */
  readonly width: Mm;
  /** Share of copies on which it looks crooked. */
  readonly chance: number;
  /** As wide as this, that is one copy in a thousand, mm. */
  readonly clearance: Mm;
  /** The copy on which it is most uneven, and what is left and right, or above and below, on it. */
  readonly worst: { readonly copy: number; readonly narrow: Mm; readonly wide: Mm };
}

const PAIRS = [
  ['left', 'right'],
  ['top', 'bottom'],
] as const;

/** The border that an element leaves around itself; undefined where it leaves none that is meant to be even. */
export function borderOf(side: DriftSide, ink: Rect): Border | undefined {
  const meant = insets(ink, side.trim);
  const pairs = PAIRS.filter(
    ([a, b]) => meant[a] > 0 && meant[a] <= WIDEST && meant[b] > 0 && Math.abs(meant[a] - meant[b]) <= ALIKE,
  );
  // Only what runs all around is a border.
  if (pairs.length < PAIRS.length) return undefined;
  const middles = edgeMiddles(side.trim);
  const offs = side.copies().map((copy): EdgeLengths => {
    const at = (edge: (typeof EDGE_NAMES)[number]) => edgeAt(copy, edge, side.trim, middles[edge], side.isBack);
    return { top: at('top'), right: at('right'), bottom: at('bottom'), left: at('left') };
  });
  const borders = offs.map((off) => widestOver(meant, off, 0));
  const crooked = (wider: Mm) =>
    offs.filter((off) => widestOver(meant, off, wider).ratio > CROOKED).length / offs.length;
  const worst = borders.reduce((most, b, i) => (b.ratio > (borders[most]?.ratio ?? 0) ? i : most), 0);
  const width = Math.min(...EDGE_NAMES.map((edge) => meant[edge]));
  const { narrow = 0, wide = 0 } = borders[worst] ?? {};
  return { width, chance: crooked(0), clearance: width + widened(crooked), worst: { copy: worst, narrow, wide } };
}

/** The least by which a border has to be wider to be crooked on no more than one copy in a thousand, mm. */
function widened(crooked: (wider: Mm) => number): Mm {
  if (crooked(0) <= RARE) return 0;
  let [low, high] = [0, 1];
  while (crooked(high) > RARE && high < 1000) [low, high] = [high, high * 2];
  for (let i = 0; i < 20; i += 1) {
    const middle = (low + high) / 2;
    if (crooked(middle) > RARE) low = middle;
    else high = middle;
  }
  return high;
}

/** The most uneven pair of borders on a copy. @param wider how much wider than meant all of them are, mm */
function widestOver(meant: EdgeLengths, off: EdgeLengths, wider: Mm) {
  const pairs = PAIRS.map(([a, b]) => {
    const [one, two] = [meant[a] + wider + off[a], meant[b] + wider + off[b]];
    const [narrow, wide] = [Math.max(0, Math.min(one, two)), Math.max(one, two)];
    return { narrow, wide, ratio: narrow > 0 ? wide / narrow : Infinity };
  });
  return pairs.reduce((most, pair) => (pair.ratio > most.ratio ? pair : most));
}
