import type { Job } from '../job';
import type { Figure } from '../figure';
import type { Blank, BlankSurface } from './blank';
import { blankOf } from './registry';

/** What `ys describe --json` prints for each piece; lengths in mm from the trimmed top-left corner, y down. */
export interface Description extends Omit<Blank, 'surfaces' | 'figures'> {
  readonly surfaces: readonly Pick<BlankSurface, 'name' | 'panels' | 'processLines'>[];
  readonly figures: readonly Pick<Figure, 'name' | 'value' | 'unit' | 'working'>[];
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
