import { isDied } from '../format';
import type { FinishKind } from '../shop';
import { blankOf } from './blank-of';
import type { Job } from './schema';

/** What is done to a job once it is printed: cut, folded, coated, bound; each once, in no order. */
export function finishesOf(job: Job): ReadonlySet<FinishKind> {
  const found = new Set<FinishKind>();
  for (const piece of job.pieces) {
    const { bound, surfaces } = blankOf(job, piece);
    if (bound || surfaces.some((surface) => !isDied(surface))) found.add('trim');
    if (bound) found.add(bound);
    // Signatures are folded before they are stitched or glued; wire holds single leaves.
    if (bound === 'saddle' || bound === 'perfect') found.add('fold');
    for (const { processLines } of surfaces) for (const { process } of processLines) found.add(process);
    for (const one of Object.values(piece.finish ?? {}).flat())
      found.add(one.does === 'line' ? one.process : 'coating');
  }
  return found;
}
