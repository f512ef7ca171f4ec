import { boardFacts, lessonsIn, readJob, type Job } from '@/core/job';
import { contentHash } from '@/core/save';
import { pack } from '@/upkeep';
import { refused } from './problems';

/** A state of a job, with what is kept of it. */
export interface State {
  readonly job: Job;
  /** Its content. */
  readonly hash: string;
  /** How it is kept. */
  readonly document: Buffer;
  /** What the board shows of it. */
  readonly facts: ReturnType<typeof factsOf>;
}

/** What the board shows, and what can be learnt of it for others: as it is kept beside the job. */
const factsOf = (job: Job) => {
  const lessons = lessonsIn(job.log).map(({ at, kind, text }) => ({ at, kind, text }));
  const learnt = lessons.length > 0 ? JSON.stringify({ paper: job.stock.name, lessons }) : null;
  return { ...boardFacts(job), learnt };
};

export const stateOf = (job: Job): Promise<State> => kept(job, JSON.stringify(job), factsOf(job));

/** The same state as another job’s: nothing that the board shows comes of an id. */
export function underId({ job, facts }: State, id: string): Promise<State> {
  const own = { ...job, id };
  return kept(own, JSON.stringify(own), facts);
}

const kept = async (job: Job, text: string, facts: State['facts']): Promise<State> => ({
  job,
  hash: contentHash(job),
  document: await pack(text),
  facts,
});

function trusted(document: unknown): Job {
  const read = readJob(document);
  if (read.ok) return read.job;
  throw refused.job(read.problems);
}

/**
 * A state from outside. Where reading it changes nothing it stays the same thing, whose content may be known already.
 * @param text the document as JSON
 * @throws Problem where it is no job
 */
export async function stateFrom(document: unknown, text: string): Promise<State> {
  const job = trusted(document);
  const read = JSON.stringify(job);
  const isAsRead = (_state: unknown): _state is Job => read === text;
  return kept(isAsRead(document) ? document : job, read, factsOf(job));
}
