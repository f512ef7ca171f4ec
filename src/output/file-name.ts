import { plainStem, type Job } from '../core/job';
import type { DeskSide } from './desk';

/** A name that any file system takes. */
export const fileStem = (name: string): string => plainStem(name) || 'job';

/**
 * The beginning of a file's name for each side: job and side, the piece too where the job has several, and no name
 * twice.
 */
export function sideStems(job: Job, sides: readonly DeskSide[]): readonly string[] {
  const stem = fileStem(job.name);
  const given = new Set<string>();
  return sides.map(({ piece, surface }) => {
    const named = [stem, ...(job.pieces.length > 1 ? [fileStem(piece.name)] : []), fileStem(surface.name)].join('-');
    let free = named;
    for (let n = 2; given.has(free); n += 1) free = `${named}-${n}`;
    given.add(free);
    return free;
  });
}
