import isSame from 'fast-deep-equal';
import { boardFacts, readJob, type Job } from '@/core/job';
import { contentHash } from '@/core/save';
import { pack } from '@/upkeep';
import { Problem } from './problem';

/** A state of a job, with what is kept of it. */
export interface State {
  readonly job: Job;
  /** Its content. */
  readonly hash: string;
  /** How it is kept. */
  readonly document: Buffer;
  /** What the board shows of it. */
  readonly facts: ReturnType<typeof boardFacts>;
}

export const stateOf = (job: Job): State => kept(job, boardFacts(job));

/** The same state as another job’s: nothing that the board shows comes of an id. */
export const underId = ({ job, facts }: State, id: string): State => kept({ ...job, id }, facts);

const kept = (job: Job, facts: State['facts']): State => ({
  job,
  hash: contentHash(job),
  document: pack(job),
  facts,
});

function trusted(document: unknown): Job {
  const read = readJob(document);
  if (read.ok) return read.job;
  throw new Problem(422, 'This is not a job that can be saved.', read.problems.join(' '), { problems: read.problems });
}

/**
 * A state from outside. Where reading it changes nothing it stays the same thing, whose content may be known already.
 * @throws Problem where it is no job
 */
export function stateFrom(document: unknown): State {
  const job = trusted(document);
  return stateOf(isContentOf(job, document) ? document : job);
}

const isContentOf = (job: Job, state: unknown): state is Job => isSame(state, job);
