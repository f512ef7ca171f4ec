import { promisify } from 'node:util';
import { deflateRaw, inflateRawSync } from 'node:zlib';
import { readJob, type JobReading } from '../core/job';

const deflated = promisify(deflateRaw);

/** How a state of a job is kept. @param text the job as JSON */
export const pack = (text: string): Promise<Buffer> => deflated(text);

/** What was packed; undefined when its bytes are damaged. */
export function unpacked(document: Uint8Array): object | undefined {
  try {
    const state: unknown = JSON.parse(inflateRawSync(document).toString('utf8'));
    return typeof state === 'object' && state !== null ? state : undefined;
  } catch {
    return undefined;
  }
}

/** Reads what was packed: the job, or what is wrong with it. */
export const readUnpacked = (state: object | undefined): JobReading =>
  state ? readJob(state) : { ok: false, problems: ['Its bytes are damaged.'] };

/** Reads a state as it is kept. */
export const readPacked = (document: Uint8Array): JobReading => readUnpacked(unpacked(document));
