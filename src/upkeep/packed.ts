import { deflateRawSync, inflateRawSync } from 'node:zlib';
import { readJob, type Job } from '../core/job';

/** How a state of a job is kept. */
export const pack = (job: Job): Buffer => deflateRawSync(JSON.stringify(job));

/** What was packed; undefined when its bytes are damaged. */
export function unpacked(document: Uint8Array): object | undefined {
  try {
    const state: unknown = JSON.parse(inflateRawSync(document).toString('utf8'));
    return typeof state === 'object' && state !== null ? state : undefined;
  } catch {
    return undefined;
  }
}

/** Reads a state as it is kept: the job, or what is wrong with it. */
export function readPacked(document: Uint8Array): ReturnType<typeof readJob> {
  const state = unpacked(document);
  return state ? readJob(state) : { ok: false, problems: ['Its bytes are damaged.'] };
}
