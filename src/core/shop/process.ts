import type { Path, Point } from '../geometry';

/** What a machine does along a line or in an area. */
export const PROCESSES = ['cut', 'kiss-cut', 'fold', 'score', 'perforation', 'drill', 'glue'] as const;
export type Process = (typeof PROCESSES)[number];

/** How a process line is drawn, so that it is told from the others without colour. */
export const LINE_FORMS = ['solid', 'dashed', 'dotted', 'dash-dot', 'long-dashed'] as const;
export type LineForm = (typeof LINE_FORMS)[number];

/** Dash and gap of each form, mm; solid has none. */
export const DASHES: Readonly<Record<LineForm, readonly number[]>> = {
  solid: [],
  dashed: [3, 1.5],
  dotted: [0.5, 1],
  'dash-dot': [4, 1.2, 0.6, 1.2],
  'long-dashed': [8, 2],
};

/** How a house wants a process line to be drawn and named. */
export interface LineCode {
  readonly form: LineForm;
  /** Name of the spot plate. */
  readonly spot: string;
  /** The build that shows it, where it is not the usual one. */
  readonly shown?: (typeof SHOWN)[Process];
}

/** A line that a machine follows. */
export interface ProcessLine {
  readonly process: Process;
  readonly from: Point;
  readonly to: Point;
  /** Given when it is not the straight line between the two points. */
  readonly path?: Path;
  /** Which way a fold or score bends, as the viewer of this side sees it. */
  readonly direction?: 'up' | 'down';
}

/**
 * Solid = cut, dashed = fold and score, dotted = perforation; one spot a purpose [cp].
 * The other forms are ours, where the trade has no habit.
 */
export const COMMON_CODES: Readonly<Record<Process, LineCode>> = {
  cut: { form: 'solid', spot: 'Cut' },
  'kiss-cut': { form: 'long-dashed', spot: 'Kiss-cut' },
  fold: { form: 'dashed', spot: 'Fold' },
  score: { form: 'dashed', spot: 'Score' },
  perforation: { form: 'dotted', spot: 'Perforation' },
  drill: { form: 'solid', spot: 'Drill' },
  glue: { form: 'dash-dot', spot: 'Glue' },
};

/** The build that shows each line on a screen or a proof: far from most artwork, and each its own [cp]. */
export const SHOWN: Readonly<Record<Process, { c: number; m: number; y: number; k: number }>> = {
  cut: { c: 0, m: 100, y: 0, k: 0 },
  'kiss-cut': { c: 0, m: 60, y: 100, k: 0 },
  fold: { c: 100, m: 0, y: 0, k: 0 },
  score: { c: 100, m: 60, y: 0, k: 0 },
  perforation: { c: 60, m: 90, y: 0, k: 0 },
  drill: { c: 0, m: 100, y: 100, k: 20 },
  glue: { c: 60, m: 0, y: 100, k: 0 },
};

/** Processing step of each line by ISO 19593-1, group Structural (from memory). */
export const STEP_TYPES: Readonly<Record<Process, string>> = {
  cut: 'Cutting',
  'kiss-cut': 'PartialCutting',
  fold: 'Folding',
  score: 'Creasing',
  perforation: 'Perforating',
  drill: 'Drilling',
  glue: 'Gluing',
};
