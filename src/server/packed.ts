import type { Job, JobReading } from '@/core/job';
import { readPacked } from '@/upkeep';
import { Problem } from './problem';

/** The job of a state that is kept. @throws Problem when it can no longer be read */
export function jobOf(read: JobReading): Job {
  if (read.ok) return read.job;
  throw new Problem(500, 'A saved state can no longer be read.', 'Restore an earlier revision.', {
    problems: read.problems,
  });
}

/** A state of a job as it is kept, read here. @throws Problem when it can no longer be read */
export const unpack = (document: Uint8Array): Job => jobOf(readPacked(document));
