import type { Grid, Measures } from '../element';
import type { Mm } from '../measure';

/** What every piece decides beside the decisions of its kind. */
export interface PieceCommons {
  readonly id: string;
  readonly name: string;
  readonly grid: Grid;
  readonly measures: Measures;
  readonly readingDistance: Mm;
}
