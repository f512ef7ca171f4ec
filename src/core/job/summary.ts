import { formatOf } from '../format';
import { formatSize } from '../measure';
import { paperName } from '../paper';
import { blankOf } from './blank-of';
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
  /** What kind of piece it is, in words. */
  readonly kind: string;
  /** Paper name, or width × height, finished. */
  readonly size: string;
  /** ISO 8601. */
  readonly updatedAt: string;
}

/** The part of a summary that follows from the job itself. */
export function boardFacts(job: Job): Pick<JobSummary, 'name' | 'client' | 'stage' | 'due' | 'kind' | 'size'> {
  const [piece] = job.pieces;
  const size = piece && blankOf(job, piece).finished;
  const { name, client, stage, due } = job;
  const kind = (piece && formatOf(piece.kind)?.title) ?? '';
  return { name, client, stage, due, kind, size: size ? (paperName(size) ?? formatSize(size, job.unit)) : '' };
}
