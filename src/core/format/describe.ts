import type { Job } from '../job';
import type { Mm } from '../measure';
import type { EdgeLengths, Point } from '../layout';
import type { Size } from '../paper';
import { blankOf } from './registry';

/** What `ys describe --json` prints for each piece; lengths in mm from the trimmed top-left corner, y down. */
export interface Description {
  readonly id: string;
  readonly name: string;
  readonly finished: Size;
  readonly flat: Size;
  readonly withBleed: Size;
  readonly bleed: EdgeLengths;
  readonly safe: EdgeLengths;
  readonly pixels: { readonly ppi: number; readonly finished: Size; readonly withBleed: Size };
  readonly surfaces: readonly {
    readonly name: string;
    readonly panels: readonly { name: string; x: Mm; y: Mm; width: Mm; height: Mm }[];
    readonly processLines: readonly { process: string; from: Point; to: Point }[];
  }[];
  readonly figures: readonly {
    readonly name: string;
    readonly value: number | readonly number[];
    readonly unit: string;
    readonly working: readonly string[];
  }[];
}

export const describeJob = (job: Job): readonly Description[] =>
  job.pieces.map((piece) => {
    const { surfaces, figures, ...blank } = blankOf(job, piece);
    return {
      ...blank,
      surfaces: surfaces.map(({ name, panels, processLines }) => ({ name, panels, processLines })),
      figures: figures.map(({ name, value, unit, working, rule }) => ({
        name,
        value,
        unit,
        working: [...working, rule],
      })),
    };
  });
