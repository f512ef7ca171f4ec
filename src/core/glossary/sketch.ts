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
interface SketchLook {
  readonly fill: string;
  readonly stroke: string;
  readonly width: number;
  readonly dash?: string;
}

const INK = '#1b2334';

const SKETCH_LOOKS: Readonly<Record<SketchInk, SketchLook>> = {
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

/** A drawing to scale: marks in mm, from its upper left corner. */
export interface ScaleDrawing {
  readonly width: number;
  readonly height: number;
  readonly marks: Sketch;
}

/** Marks so many times as large. */
export const enlarged = (sketch: Sketch, times: number): Sketch =>
  sketch.map((mark): SketchMark => {
    switch (mark.is) {
      case 'box':
      case 'line': {
        const [a, b, c, d] = mark.at;
        return { ...mark, at: [a * times, b * times, c * times, d * times] };
      }
      case 'round': {
        const [x, y, radius] = mark.at;
        return { ...mark, at: [x * times, y * times, radius * times] };
      }
      case 'word': {
        const [x, y] = mark.at;
        return { ...mark, at: [x * times, y * times] };
      }
    }
  });

/** A mark as an element of SVG. */
export interface SketchShape {
  readonly tag: 'rect' | 'line' | 'circle' | 'text';
  readonly attributes: Readonly<Record<string, string | number>>;
  readonly text?: string;
}

/** What a sketch is drawn of, for whoever writes SVG. @param type size of its words */
export const sketchShapes = (sketch: Sketch, type = 8): readonly SketchShape[] =>
  sketch.map((mark) => shapeOf(mark, type));

const WORD = { fontFamily: 'Barlow, sans-serif', fill: INK } as const;

function shapeOf(mark: SketchMark, fontSize: number): SketchShape {
  if (mark.is === 'word') {
    const [x, y] = mark.at;
    return { tag: 'text', attributes: { x, y, fontSize, ...WORD }, text: mark.word };
  }
  const { fill, stroke, width, dash } = SKETCH_LOOKS[mark.as];
  const look = { fill, stroke, strokeWidth: width, ...(dash !== undefined && { strokeDasharray: dash }) };
  switch (mark.is) {
    case 'box': {
      const [x, y, w, h] = mark.at;
      return { tag: 'rect', attributes: { x, y, width: w, height: h, ...look } };
    }
    case 'line': {
      const [x1, y1, x2, y2] = mark.at;
      return { tag: 'line', attributes: { x1, y1, x2, y2, ...look } };
    }
    case 'round': {
      const [cx, cy, r] = mark.at;
      return { tag: 'circle', attributes: { cx, cy, r, ...look } };
    }
  }
}
