import type { Mm } from '../measure';

/** What a figure's number counts. */
export type FigureUnit = 'mm' | 'px' | 'ppi' | '%' | 'pt' | 'count' | 'kg' | 'g/m²' | 'lb';

/** A measure on the bench that a figure speaks of, so that pointing at the figure can light it up. */
export type Measured =
  | { readonly kind: 'box'; readonly box: 'trim' | 'bleed' | 'safe' }
  | { readonly kind: 'columns' }
  | { readonly kind: 'marks' }
  /** The piece on a sheet of the press, counted from 0. */
  | { readonly kind: 'sheet'; readonly sheet: number }
  /**
   * Distances between stops along the width (x) or the height (y), mm from the trimmed corner; `surface` tells of which
   * side.
   */
  | { readonly kind: 'stops'; readonly axis: 'x' | 'y'; readonly stops: readonly Mm[]; readonly surface?: string };

/** Headings of the sheet, in the order in which the work is done. */
export const FIGURE_GROUPS = ['size', 'panels', 'grid', 'on the sheet', 'picture and ink', 'output'] as const;
export type FigureGroup = (typeof FIGURE_GROUPS)[number];

/** One line of the yellow sheet: a value with the working that led to it. */
export interface Figure {
  readonly id: string;
  readonly group: FigureGroup;
  readonly name: string;
  /** One number, width and height, or top, right, bottom, left. */
  readonly value: number | readonly number[];
  readonly unit: FigureUnit;
  /** Formula and inputs, a step a line, in the unit the reader asked for. */
  readonly working: readonly string[];
  /** The rule or school it came from. */
  readonly rule: string;
  readonly measured?: Measured;
  /** Set when the designer replaced the computed value; `computed` is what it would be. */
  readonly override?: { readonly field: OverrideField; readonly computed: number | readonly number[] };
  /** The field of the job that an override writes, where one may be written. */
  readonly overridable?: OverrideField;
}

/** Fields of the job that, when given, replace a computed figure. */
export const OVERRIDE_FIELDS = ['bleed', 'safe', 'ppi', 'inkLimit', 'minTypePt', 'minLinePt', 'markOffset'] as const;
export type OverrideField = (typeof OVERRIDE_FIELDS)[number];

/** Writes lengths into workings, in the job's unit. */
export type WriteLength = (mm: Mm) => string;
