import 'server-only';
import { createHash } from 'node:crypto';
import type { Job, JobReading } from '@/core/job';
import { knownContent } from '@/core/save';
import { readUnpacked, unpacked } from '@/upkeep';
import { ask } from './ask';
import { jobOf } from './packed';
import { stateFrom, type State } from './state';

/** What is longer as JSON is read by a process of the pool, characters: others would wait for it. */
const LONG_JOB = 1_000_000;
/** So is what has a longer decision, an outline say, that a blank is made of. */
const LONG_DECISION = 10_000;

/** A state of a job, read. @throws Problem where it is no job */
export async function readState(document: unknown): Promise<State> {
  const text = JSON.stringify(document ?? null);
  if (text.length < LONG_JOB && !hasLongDecision(document)) return stateFrom(document, text);
  const key = createHash('sha256').update(text).digest('hex');
  const state = await ask('readJobText', { text }, { key });
  knownContent(state.job, state.hash);
  return { ...state, document: Buffer.from(state.document) };
}

/** What is longer as it is kept is longer as JSON, bytes. */
const LONG_KEPT = 100_000;

/** A state as it is kept: the job, or what is wrong with it. */
export async function readKept(document: Uint8Array): Promise<JobReading> {
  const state = document.length < LONG_KEPT ? unpacked(document) : undefined;
  if (document.length < LONG_KEPT && !hasLongDecision(state)) return readUnpacked(state);
  const key = createHash('sha256').update(document).digest('hex');
  return ask('readKeptState', { document }, { key });
}

/** @throws Problem when it can no longer be read */
export const keptJob = async (document: Uint8Array): Promise<Job> => jobOf(await readKept(document));

function hasLongDecision(document: unknown): boolean {
  if (typeof document !== 'object' || document === null || !('pieces' in document)) return false;
  const pieces: readonly unknown[] = Array.isArray(document.pieces) ? document.pieces : [];
  return pieces.some(
    (piece) =>
      typeof piece === 'object' &&
      piece !== null &&
      [piece, 'decisions' in piece ? piece.decisions : undefined].some(hasLongText),
  );
}

/** A file of an earlier version has its decisions among the facts of the piece. */
const hasLongText = (record: unknown): boolean =>
  typeof record === 'object' &&
  record !== null &&
  Object.values(record).some((decision) => typeof decision === 'string' && decision.length > LONG_DECISION);
