import type { Resources, Story } from '../compose';
import type { Drawing } from '../drawing';
import type { Blank, BlankSurface } from '../format';
import type { Job, Piece } from '../job';
import type { Rules } from '../rules';

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
