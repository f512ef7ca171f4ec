import type { Job, JobReading } from '@/core/job';
import { readPacked } from '@/upkeep';
import { broken } from './problems';

/** The job of a state that is kept. @throws Problem when it can no longer be read */
export function jobOf(read: JobReading): Job {
  if (read.ok) return read.job;
  throw broken.state(read.problems);
}

/** A state of a job as it is kept, read here. @throws Problem when it can no longer be read */
export const unpack = (document: Uint8Array): Job => jobOf(readPacked(document));
