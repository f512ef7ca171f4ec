import { deflateRawSync, inflateRawSync } from 'node:zlib';
import { readJob, type Job } from '@/core/job';
import { Problem } from './problem';

/** How a state is kept. */
export const pack = (job: Job): Buffer => deflateRawSync(JSON.stringify(job));

/** A state of a job as it is kept. @throws Problem when it can no longer be read */
export function unpack(document: Uint8Array): Job {
  const problem = (problems: readonly string[]) =>
    new Problem(500, 'A saved state can no longer be read.', 'Restore an earlier revision.', { problems });
  let state: unknown;
  try {
    state = JSON.parse(inflateRawSync(document).toString('utf8'));
  } catch {
    throw problem(['Its bytes are damaged.']);
  }
  const read = readJob(state);
  if (!read.ok) throw problem(read.problems);
  return read.job;
}
