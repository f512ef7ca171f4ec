import { withFinish, finishOn, type Finishing, type Job, type SideName } from '../job';

/** A job with other lines and coatings on a side of a piece. */
export const editFinish = (
  job: Job,
  piece: string,
  side: SideName,
  change: (list: readonly Finishing[]) => readonly Finishing[],
): Job => ({
  ...job,
  pieces: job.pieces.map((p) => (p.id === piece ? withFinish(p, side, change(finishOn(p, side))) : p)),
});

/** The list with one of it a place earlier or later. */
export function movedFinishing(list: readonly Finishing[], id: string, by: 1 | -1): readonly Finishing[] {
  const at = list.findIndex((f) => f.id === id);
  const to = at + by;
  const [one, two] = [list[at], list[to]];
  return one && two ? list.map((f, i) => (i === at ? two : i === to ? one : f)) : list;
}
