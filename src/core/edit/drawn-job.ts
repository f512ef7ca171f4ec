import type { Resources, Story } from '../compose';
import type { Drawing } from '../drawing';
import type { Blank, BlankSurface } from '../format';
import type { Job, Piece } from '../job';
import type { Rules } from '../rules';
import { pieceOf } from './on-side';

/** A job and a side of it as it is drawn: what lies where can be asked. */
export interface DrawnJob {
  readonly job: Job;
  readonly piece: Piece;
  readonly blank: Blank;
  readonly rules: Rules;
  /** The side that is shown. */
  readonly surface: BlankSurface;
  readonly drawing: Drawing;
  readonly resources: Resources;
  /** The text that an element shows, or shows a part of. */
  readonly story: (id: string) => Story | undefined;
}

/** What was drawn, with the job as it is by now: an edit changes the newest job, and measures what was seen. */
export const withJob = <D extends DrawnJob>(drawn: D, job: Job): D =>
  drawn.job === job ? drawn : { ...drawn, job, piece: pieceOf(job) };
