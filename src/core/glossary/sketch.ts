/** What a line or an area of a sketch stands for: each has its own look on the page and on paper. */
export type SketchInk = 'paper' | 'art' | 'bleed' | 'trim' | 'safe' | 'fold' | 'cut' | 'measure' | 'mark';

/** A mark of a sketch, in units of which the sketch is 120 × 72. */
export type SketchMark =
  | {
      readonly is: 'box';
      readonly at: readonly [x: number, y: number, width: number, height: number];
      readonly as: SketchInk;
    }
  | {
      readonly is: 'line';
      readonly at: readonly [x1: number, y1: number, x2: number, y2: number];
      readonly as: SketchInk;
    }
  | { readonly is: 'round'; readonly at: readonly [x: number, y: number, radius: number]; readonly as: SketchInk }
  | { readonly is: 'word'; readonly at: readonly [x: number, y: number]; readonly word: string };

/** A small drawing that shows what a word means. */
export type Sketch = readonly SketchMark[];

export const SKETCH = { width: 120, height: 72 } as const;

/** How a mark is drawn: fill, line and dashes, told apart by shape as well as by colour. */
export interface SketchLook {
  readonly fill: string;
  readonly stroke: string;
  readonly width: number;
  readonly dash?: string;
}

const INK = '#1b2334';

export const SKETCH_LOOKS: Readonly<Record<SketchInk, SketchLook>> = {
  paper: { fill: '#ffffff', stroke: '#8b8f98', width: 0.6 },
  art: { fill: '#7d86a8', stroke: 'none', width: 0 },
  bleed: { fill: '#cfd3e2', stroke: '#8a5a00', width: 0.8, dash: '3 2' },
  trim: { fill: 'none', stroke: INK, width: 1.2 },
  safe: { fill: 'none', stroke: '#0b7369', width: 0.9, dash: '1.2 1.8' },
  fold: { fill: 'none', stroke: '#7b2f6b', width: 1, dash: '6 2 1.5 2' },
  cut: { fill: 'none', stroke: '#b3261e', width: 1, dash: '5 1.5' },
  measure: { fill: 'none', stroke: INK, width: 0.6 },
  mark: { fill: 'none', stroke: INK, width: 0.8 },
};
