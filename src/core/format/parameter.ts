import type { JobUnit } from '../measure';
import type { Piece } from '../job';
import type { Size } from '../paper';

/** A decision of a format, with the plain name it has everywhere. */
export interface Parameter {
  readonly name: string;
  readonly label: string;
  readonly kind: 'size' | 'length' | 'edges' | 'count';
  readonly help: string;
  /** As one would type it. */
  readonly default: string;
  readonly least?: number;
  readonly most?: number;
}

/** A parameter value, read: mm, a size, or a count. */
export type ParameterValue =
  | { readonly kind: 'size'; readonly size: Size }
  | { readonly kind: 'length'; readonly mm: number }
  | { readonly kind: 'count'; readonly count: number };

export interface FormatStart {
  readonly id: string;
  readonly unit: JobUnit;
  readonly values: Readonly<Record<string, ParameterValue>>;
}

/** A kind of piece: its decisions, and how they become a piece of a job. */
export interface Format {
  readonly kind: Piece['kind'];
  readonly title: string;
  readonly about: string;
  readonly parameters: readonly Parameter[];
  readonly start: (start: FormatStart) => Piece;
}
