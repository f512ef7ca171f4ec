import { formatOf } from '../format';
import { formatSize } from '../measure';
import { paperName } from '../paper';
import { blankOf } from './blank-of';
import type { Job, Stage } from './schema';

/** What stands in a job’s way, in short. */
export interface Standing {
  readonly faults: number;
  readonly warnings: number;
  /** The worst of them in words; null where nothing is open. */
  readonly first: string | null;
}

/** What a board shows of a job. */
export interface JobSummary {
  readonly id: string;
  /** Number of the newest revision. */
  readonly head: number;
  readonly name: string;
  readonly client: string;
  readonly stage: Stage;
  readonly due: string | null;
  /** What kind of piece it is, in words. */
  readonly kind: string;
  /** Paper name, or width × height, finished. */
  readonly size: string;
  /** The house that prints it; empty while that is open. */
  readonly printer: string;
  /** Copies; null while that is open. */
  readonly quantity: number | null;
  /** Null until its newest state has been checked. */
  readonly standing: Standing | null;
  /** The first of its steps that is not done and should be, and days since; null where none is known to be. */
  readonly behind: { readonly step: string; readonly by: number } | null;
  /** ISO 8601. */
  readonly updatedAt: string;
}

/** The part of a summary that follows from the job itself. */
export function boardFacts(job: Job): Omit<JobSummary, 'id' | 'head' | 'standing' | 'behind' | 'updatedAt'> {
  const [piece] = job.pieces;
  const size = piece && blankOf(job, piece).finished;
  const { name, client, stage, due, quantity } = job;
  const kind = (piece && formatOf(piece.kind)?.title) ?? '';
  return {
    name,
    client,
    stage,
    due,
    quantity,
    kind,
    printer: job.house.name,
    size: size ? (paperName(size) ?? formatSize(size, job.unit)) : '',
  };
}
