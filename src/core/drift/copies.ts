import { FIGURE, seededRandom, truncatedNormal, type Random } from '../chance';
import type { EdgeLengths } from '../layout';
import type { Mm } from '../measure';
import type { MachineFigures } from '../shop';
import type { Trimming } from './trimming';

/** Laid off its place: a shift, mm, and a turn about the middle of the side, degrees. */
export interface Shift {
  readonly x: Mm;
  readonly y: Mm;
  readonly turn: number;
}

/** One copy, by what each machine was off on it. */
export interface Copy {
  /** How far each cut lies outside its place, mm; negative inside. Of a die that moves as one, nothing. */
  readonly cut: EdgeLengths;
  /** The die against the print. */
  readonly die: Shift;
  /** The print of the back against that of the front. */
  readonly back: Shift;
  /** Each fold against its place, one after the other, adding up, mm; positive toward larger x or y. */
  readonly folds: readonly Mm[];
  /** Each second pass (varnish, foil, …) against the print, in the order of the passes. */
  readonly passes: readonly Shift[];
  /** The holes against the print. */
  readonly holes: Shift;
}

/** What copies are drawn from. */
export interface Line {
  readonly trimming: Trimming;
  readonly back: MachineFigures;
  readonly folder: MachineFigures;
  /** How many times it is folded. */
  readonly folds: number;
  /** How far each second pass lies off, ± mm. */
  readonly passes: readonly Mm[];
  /** Left out where no hole is made. */
  readonly drill?: MachineFigures | undefined;
  /** Caliper of a sheet, mm: how many of them are a pile. */
  readonly thickness: Mm;
}

export interface Drawn {
  readonly copies: number;
  /** The same seed draws the same copies. */
  readonly seed: number;
  /** How careful the house is: 1 as its figures say, 2 twice as far off. */
  readonly care?: number;
  /** Whether they come one under the other from one pile, or each from a pile of its own. */
  readonly from?: 'one pile' | 'many piles';
}

const STILL: Shift = { x: 0, y: 0, turn: 0 };

/** Copies as the machines make them. */
export function drawCopies(line: Line, { copies, seed, care = 1, from = 'many piles' }: Drawn): readonly Copy[] {
  const random = seededRandom(seed);
  const off = (figure: number) => (figure === 0 ? 0 : (truncatedNormal(random) * figure * care) / FIGURE);
  const shift = ({ drift, turn }: Pick<MachineFigures, 'drift' | 'turn'>): Shift => ({
    x: off(drift),
    y: off(drift),
    turn: off(turn),
  });
  const cuts = pileOf(line, random, from);
  const holes = holesOf(line, seededRandom(seed + 1), care);
  return Array.from({ length: copies }, (_, i): Copy => {
    const cut = cuts(i, care);
    const die = line.trimming.moves === 'outline' ? shift(line.trimming.figures) : STILL;
    const back = shift(line.back);
    let at = 0;
    const folds = Array.from({ length: line.folds }, () => (at += off(line.folder.drift)));
    const passes = line.passes.map((drift) => shift({ drift, turn: 0 }));
    return { cut, die, back, folds, passes, holes: holes(cut, die) };
  });
}

const EDGES_CUT = ['top', 'right', 'bottom', 'left'] as const;

/** The cuts of a pile: all its copies are off the same way, the more the deeper they lie in it. */
function pileOf({ trimming, thickness }: Line, random: Random, from: 'one pile' | 'many piles') {
  const { drift, deeper, pile } = trimming.figures;
  const inPile = Math.max(1, Math.floor(pile / thickness));
  let knife: Record<(typeof EDGES_CUT)[number], number> = { top: 0, right: 0, bottom: 0, left: 0 };
  const none = { ...knife };
  return (i: number, care: number): EdgeLengths => {
    if (trimming.moves === 'outline') return none;
    const isNew = from === 'many piles' || pile === 0 || i % inPile === 0;
    if (isNew) for (const edge of EDGES_CUT) knife = { ...knife, [edge]: truncatedNormal(random) };
    const deep = pile === 0 ? 0 : from === 'many piles' ? random() * pile : (i % inPile) * thickness;
    const sigma = (figureAt(drift, deeper, deep) * care) / FIGURE;
    const { top, right, bottom, left } = knife;
    return { top: top * sigma, right: right * sigma, bottom: bottom * sigma, left: left * sigma };
  };
}

/**
 * Holes are made in what is cut, laid against its left and its top edge [cp]: they are off by what those are, and by
 * the drill. Its numbers come from a row of their own, so that what else is drawn does not hang on whether it is
 * drilled.
 */
function holesOf({ drill }: Line, random: Random, care: number) {
  return (cut: EdgeLengths, die: Shift): Shift => {
    if (!drill) return STILL;
    const off = () => (truncatedNormal(random) * drill.drift * care) / FIGURE;
    return { x: off() + die.x - cut.left, y: off() + die.y - cut.top, turn: 0 };
  };
}

/** How far a cut is off at a depth of the pile, ± mm. */
export const figureAt = (drift: Mm, deeper: Mm, deep: Mm): Mm => drift + (deeper * deep) / 20;
