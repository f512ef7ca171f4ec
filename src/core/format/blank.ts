import type { Figure } from '../figure';
import type { Folding } from '../fold';
import type { EdgeLengths, Path, Point, Rect, SurfaceBoxes } from '../layout';
import type { Mm } from '../measure';
import type { Size } from '../paper';
import type { ProcessLine } from '../shop';
import type { Binding } from './binding';

/** A part of a side that the reader meets as one. */
export interface Panel extends Rect {
  readonly name: string;
  /** Read upside down on the flat sheet. */
  readonly turned?: true;
  /** Lies folded in between others. */
  readonly tucked?: true;
}

export type { ProcessLine } from '../shop';

/** Where something may not stand, or where no ink may lie. */
export interface Zone {
  readonly name: string;
  readonly kind: 'keep-clear' | 'no-ink' | 'hidden';
  readonly outline: Path;
  readonly why: string;
}

/** Another surface’s artwork, set down at each of these places (top-left corner of its trim). */
export interface Repeats {
  readonly surface: string;
  readonly at: readonly Point[];
}

export interface BlankSurface {
  readonly name: string;
  /** Trimmed outline. */
  readonly outline: Path;
  /** The outline out to the bleed. */
  readonly bleedOutline: Path;
  readonly panels: readonly Panel[];
  readonly processLines: readonly ProcessLine[];
  readonly zones: readonly Zone[];
  readonly boxes: SurfaceBoxes;
  readonly repeats?: Repeats;
}

/** Something about the blank itself that the press, the folder or the knife will trip over. */
export interface BlankProblem {
  readonly severity: 'fault' | 'warning' | 'note';
  readonly message: string;
  /** The decision to change. */
  readonly parameter?: string;
}

/** How a piece lies on a sheet of the press. */
export interface SheetFit {
  readonly sheet: string;
  readonly width: Mm;
  readonly height: Mm;
  /** How many across and down, as plain rows and columns. */
  readonly across: number;
  readonly down: number;
  /** Whether the piece is turned a quarter. */
  readonly turned: boolean;
  readonly up: number;
  /** Share of the sheet that pieces cover, 0 to 1. */
  readonly used: number;
  /** From the sheet’s edge to the trim when one piece is centred: left and top, mm. */
  readonly left: Mm;
  readonly top: Mm;
  /** Why not, where none fits. */
  readonly why?: string;
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
  readonly problems: readonly BlankProblem[];
  readonly sheets: readonly SheetFit[];
  /** What lies on those sheets, life size. */
  readonly pressed: { readonly trim: Size; readonly withBleed: Size };
  /** How it folds, where it does. */
  readonly folding?: Folding;
  /** What its edges are made by, where no knife cuts them. */
  readonly edges?: 'hem';
  /** Why it is never laid on a press sheet with others, as a sentence. */
  readonly byItself?: string;
  /** How its pages become a book. */
  readonly bound?: Binding;
  /** Drawn this many times smaller than life; figures give both. */
  readonly scale: number;
}
