import type { Job } from '@/core/job';
import { readPacked } from '@/upkeep';
import { Problem } from './problem';

/** A state of a job as it is kept. @throws Problem when it can no longer be read */
export function unpack(document: Uint8Array): Job {
  const read = readPacked(document);
  if (read.ok) return read.job;
  throw new Problem(500, 'A saved state can no longer be read.', 'Restore an earlier revision.', {
    problems: read.problems,
  });
}
