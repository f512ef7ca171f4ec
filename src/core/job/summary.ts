import { formatSize } from '../measure';
import { paperName } from '../paper';
import type { Job } from './schema';

/** What a board shows of a job. */
export interface JobSummary {
  readonly id: string;
  /** Number of the newest revision. */
  readonly head: number;
  readonly name: string;
  readonly client: string;
  readonly stage: string;
  readonly due: string | null;
  /** Paper name, or width × height. */
  readonly size: string;
  /** ISO 8601. */
  readonly updatedAt: string;
}

/** The part of a summary that follows from the job itself. */
export function boardFacts(job: Job): Pick<JobSummary, 'name' | 'client' | 'stage' | 'due' | 'size'> {
  const size = job.pieces[0]?.size;
  const { name, client, stage, due } = job;
  return { name, client, stage, due, size: size ? (paperName(size) ?? formatSize(size, job.unit)) : '' };
}
