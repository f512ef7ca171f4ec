import type { z } from 'zod';
import type { Occasion, Day } from '../dates';
import type { Measured } from '../figure';
import type { FigureUnit } from '../figure';
import type { JobUnit, Mm } from '../measure';
import { Impossible, shapeOf, type Parameters, type ValuesOf } from '../parameter';
import { inside } from './inside';
import type { FaceName, Mark } from './mark';
import type { Box } from './box';

export const PRINTABLE_GROUPS = ['rulings', 'grids', 'lists', 'planners', 'calendars', 'handwriting', 'forms'] as const;
export type PrintableGroup = (typeof PRINTABLE_GROUPS)[number];

/** A typeface as one lays out with it; everything as a share of the em. */
export interface Lettering {
  readonly xHeight: number;
  readonly capHeight: number;
  /** Height of l, above the baseline. */
  readonly ascender: number;
  /** Depth of p, below the baseline; positive. */
  readonly descender: number;
  /** Length of words that are set on a line. */
  readonly width: (text: string) => number;
}

/** The page of a sequence of pages that show the same printable, such as those that follow one base layout. */
export interface Turn {
  /** Counted from 0. */
  readonly index: number;
  /** A left-hand page of a spread. */
  readonly isLeft: boolean;
}

/** What a printable may look at beside its decisions and its box. */
export interface PrintableContext {
  readonly unit: JobUnit;
  /** A length in words, in the job’s unit. */
  readonly write: (mm: Mm) => string;
  /** BCP 47. */
  readonly language: string;
  readonly turn: Turn;
  readonly lettering: (face: FaceName, bold: boolean) => Lettering;
  /** Holidays of a country or region such as GB or GB-SCT in a year; none where they are not at hand. */
  readonly holidays: (region: string, year: number) => readonly Occasion[];
}

/** A number that a printable found, with the working that led to it. */
export interface Finding {
  readonly id: string;
  readonly name: string;
  readonly value: number;
  readonly unit: FigureUnit;
  readonly working: readonly string[];
  readonly rule: string;
  /** Along the height (y) or the width (x) of the box, mm from its edge. */
  readonly stops?: Pick<Extract<Measured, { kind: 'stops' }>, 'axis' | 'stops'>;
}

/** Starts and sizes along an axis, mm from the edge of the box. */
export interface Track {
  readonly start: Mm;
  readonly size: Mm;
}

/** A printable worked out in its box. */
export interface Solved {
  readonly marks: readonly Mark[];
  readonly findings: readonly Finding[];
  /** Columns and rows that other elements can stand in. */
  readonly tracks?: { readonly columns: readonly Track[]; readonly rows: readonly Track[] };
  /** What found no place, in words. */
  readonly left?: readonly string[];
  /** Days that it shows, each once, for those who compare them. */
  readonly days?: readonly Day[];
}

/** A printable as the gallery shows it: a kind with some of its decisions made, as one would type them. */
export interface Preset {
  readonly id: string;
  readonly title: string;
  readonly about: string;
  readonly decisions: Readonly<Record<string, string>>;
  /** A kind of piece that it is usually made as, with that kind’s decisions; left out, a worksheet. */
  readonly piece?: Readonly<Record<string, string>> & { readonly kind: string };
}

/** A kind of printable: its decisions, and how they become marks in a box. */
export interface Printable {
  readonly kind: string;
  readonly group: PrintableGroup;
  /** The first is the kind as it is. */
  readonly presets: readonly Preset[];
  readonly parameters: Parameters;
  readonly shape: Readonly<Record<string, z.ZodType>>;
  /** @throws Impossible when the decisions cannot be in this box, naming the one to change */
  readonly solve: (decisions: Readonly<Record<string, unknown>>, box: Box, context: PrintableContext) => Solved;
  /** Holidays that its decisions ask for. */
  readonly regions: (
    decisions: Readonly<Record<string, unknown>>,
  ) => readonly { readonly region: string; readonly years: readonly number[] }[];
}

interface Definition<P> {
  readonly kind: string;
  readonly group: PrintableGroup;
  readonly presets: readonly [Preset, ...Preset[]];
  readonly parameters: P;
  readonly solve: (decisions: ValuesOf<P>, box: Box, context: PrintableContext) => Solved;
  readonly regions?: (decisions: ValuesOf<P>) => ReturnType<Printable['regions']>;
}

/** Nothing is laid out in less, mm. */
const LEAST_BOX = 5;

/** Puts a kind of printable into the common form. */
export function definePrintable<P extends Parameters>(definition: Definition<P>): Printable {
  const { parameters, solve, regions, ...about } = definition;
  return {
    ...about,
    parameters,
    shape: shapeOf(parameters),
    // The element was read by the schema of these very parameters.
    solve: (decisions, box, context) => {
      if (Math.min(box.width, box.height) < LEAST_BOX)
        throw new Impossible(
          Object.keys(parameters)[0] ?? '',
          `The box is ${context.write(box.width)} × ${context.write(box.height)}: at least ` +
            `${context.write(LEAST_BOX)} each way is wanted.`,
        );
      const solved = solve(decisions as ValuesOf<P>, box, context);
      return { ...solved, marks: solved.marks.map((mark) => inside(mark, box)) };
    },
    regions: (decisions) => regions?.(decisions as ValuesOf<P>) ?? [],
  };
}
