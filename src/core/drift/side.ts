import type { Drawing } from '../drawing';
import type { Blank } from '../format';
import { TOUCH, pathBounds, type EdgeName, type Point, type Rect } from '../layout';
import { linesOn } from '../marks';
import type { Rules } from '../rules';
import type { Press, ProcessLine } from '../shop';
import { RARE, cutChance, cutClearance, edgeAt, exceededBy } from './chance';
import { drawCopies, type Copy, type Line } from './copies';
import { drawnAt, trimmingOf } from './trimming';

/** Copies that chances are counted in, where no formula gives them. */
export const COPIES = 1000;

/** Part of the answer: the same job always draws the same copies. */
export const SEED = 2026;

/** A side as the machines of its house bring it to its size. */
export interface DriftSide {
  readonly line: Line;
  readonly trim: Rect;
  /** Printed second: it lies off the front as well. */
  readonly isBack: boolean;
  /** The folds that run straight across, in the order in which they lie. */
  readonly folds: readonly ProcessLine[];
  /** What is drilled or punched out of it. */
  readonly holes: readonly Rect[];
  /** A thousand copies, drawn when they are first asked for. */
  readonly copies: () => readonly Copy[];
}

/** What is known of a side and its house. */
export interface SideFacts {
  readonly blank: Blank;
  readonly drawing: Drawing;
  readonly rules: Rules;
  readonly press: Press | undefined;
}

/** Puts together what a side runs through. @returns undefined where the drawing is of no side of the blank */
export function driftSide({ blank, drawing, rules, press }: SideFacts): DriftSide | undefined {
  const at = blank.surfaces.findIndex((s) => s.name === drawing.surface);
  const surface = blank.surfaces[at];
  if (!surface) return undefined;
  const lines = linesOn(surface, drawing);
  const folds = lines.filter(isStraightFold).sort(byPlace);
  const holes = holesIn(lines);
  const line: Line = {
    trimming: trimmingOf(blank, surface, rules, press === 'wide-format'),
    back: drawnAt(rules.machines.backing.value, blank.scale),
    folder: drawnAt(rules.machines.folder.value, blank.scale),
    folds: folds.length,
    passes: drawing.coats.map((coat) => rules.coatings[coat.coating].tolerance / blank.scale),
    drill: holes.length > 0 ? drawnAt(rules.machines.drill.value, blank.scale) : undefined,
    thickness: rules.thickness.value,
  };
  let copies: readonly Copy[] | undefined;
  return {
    line,
    trim: surface.boxes.trim,
    isBack: at % 2 === 1 && !surface.repeats,
    folds,
    holes,
    copies: () => (copies ??= drawCopies(line, { copies: COPIES, seed: SEED })),
  };
}

const isStraightFold = ({ process, path, from, to }: ProcessLine): boolean =>
  (process === 'fold' || process === 'score') &&
  !path &&
  (Math.abs(from.x - to.x) < TOUCH || Math.abs(from.y - to.y) < TOUCH);

const holesIn = (lines: readonly ProcessLine[]): readonly Rect[] =>
  lines.flatMap(({ process, path }) => (process === 'drill' && path ? [pathBounds(path)] : []));

const byPlace = (a: ProcessLine, b: ProcessLine): number => a.from.x + a.from.y - (b.from.x + b.from.y);

/** How likely something is, and from which distance on it is one in a thousand. */
export interface Chance {
  /** 0 to 1. */
  readonly chance: number;
  /** mm, as drawn. */
  readonly clearance: number;
  /** By formula; otherwise counted in a thousand copies. */
  readonly isExact: boolean;
}

/**
 * How likely a cut lies further off than a distance, to the inside or to the outside.
 * @param distance from the edge to what must not be reached, mm as drawn
 * @param at       where on the edge
 */
export function chanceOfCut(side: DriftSide, edge: EdgeName, at: Point, distance: number, way: 'in' | 'out'): Chance {
  const { trimming } = side.line;
  // One drift alone is a formula; a die that turns, or a back that lies off its front, is not.
  if (trimming.moves === 'edges' && !side.isBack) {
    const { figures } = trimming;
    return { chance: cutChance(distance, figures), clearance: cutClearance(RARE, figures), isExact: true };
  }
  const sign = way === 'in' ? -1 : 1;
  const offs = side.copies().map((copy) => sign * edgeAt(copy, edge, side.trim, at, side.isBack));
  return {
    chance: offs.filter((off) => off > distance).length / offs.length,
    clearance: Math.max(0, exceededBy(offs, RARE)),
    isExact: false,
  };
}

/** In words: how many of a thousand copies. */
export function inAThousand(chance: number): string {
  const copies = chance * 1000;
  if (copies <= 0) return 'no copy in 1,000';
  if (copies < 1) return 'fewer than 1 in 1,000 copies';
  return `${Math.round(copies)} in 1,000 copies`;
}
