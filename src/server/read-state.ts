import 'server-only';
import { createHash } from 'node:crypto';
import { knownContent } from '@/core/save';
import { ask } from './ask';
import { stateFrom, type State } from './state';

/** What is longer as JSON is read by a process of the pool, characters: others would wait for it. */
const LONG_JOB = 1_000_000;
/** So is what has a longer decision, an outline say, that a blank is made of. */
const LONG_DECISION = 10_000;

/** A state of a job, read. @throws Problem where it is no job */
export async function readState(document: unknown): Promise<State> {
  const text = JSON.stringify(document ?? null);
  if (text.length < LONG_JOB && !hasLongDecision(document)) return stateFrom(document);
  const key = createHash('sha256').update(text).digest('hex');
  const state = await ask('readJobText', { text }, { key });
  knownContent(state.job, state.hash);
  return { ...state, document: Buffer.from(state.document) };
}

function hasLongDecision(document: unknown): boolean {
  if (typeof document !== 'object' || document === null || !('pieces' in document)) return false;
  const pieces: readonly unknown[] = Array.isArray(document.pieces) ? document.pieces : [];
  return pieces.some(
    (piece) =>
      typeof piece === 'object' &&
      piece !== null &&
      Object.values(piece).some((decision) => typeof decision === 'string' && decision.length > LONG_DECISION),
  );
}
