import type { Figure } from '../figure';
import type { SideName } from '../job';
import type { EdgeLengths, Point, Rect, SurfaceBoxes } from '../layout';
import type { Size } from '../paper';

/** A part of a side that the reader meets as one. */
export interface Panel extends Rect {
  readonly name: string;
}

/** A line that a machine follows. */
export interface ProcessLine {
  readonly process: 'cut' | 'fold';
  readonly from: Point;
  readonly to: Point;
}

export interface BlankSurface {
  readonly name: SideName;
  readonly panels: readonly Panel[];
  readonly processLines: readonly ProcessLine[];
  readonly boxes: SurfaceBoxes;
}

/** The flat piece of paper as the format and the rules dictate it. */
export interface Blank {
  readonly id: string;
  readonly name: string;
  readonly finished: Size;
  readonly flat: Size;
  readonly withBleed: Size;
  readonly bleed: EdgeLengths;
  readonly safe: EdgeLengths;
  readonly pixels: { readonly ppi: number; readonly finished: Size; readonly withBleed: Size };
  readonly surfaces: readonly BlankSurface[];
  readonly figures: readonly Figure[];
}
