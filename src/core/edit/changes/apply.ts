import { Impossible } from '../../parameter';
import { describeProblems, type Job } from '../../job';
import { begin, UnknownName } from '../begin';
import { CannotBring } from '../bring-in';
import { CannotChange, type Changing } from './change';
import type { ChangesFile } from './file';
import { changeKind, changeNames } from './registry';

/** A step of a file of changes that cannot be made; nothing of the file is. */
export class StepFailed extends Error {
  constructor(
    /** From 1; 0 is how the job begins. */
    readonly step: number,
    readonly what: string,
    why: string,
  ) {
    super(`${step === 0 ? 'begin' : `Change ${step}, “${what}”`}: ${why}`);
  }
}

/** Begins the job that a file of changes says how to begin. @throws StepFailed */
export function begunBy({ begin: asked }: ChangesFile, id: string): Job | undefined {
  if (!asked) return undefined;
  try {
    const started = begin(asked, id);
    if (started.ok) return started.job;
    throw new CannotChange(`${started.parameter}: ${started.error.message}`);
  } catch (error) {
    throw new StepFailed(0, 'begin', whyOf(error));
  }
}

/**
 * Makes changes one after another, each on what the one before left.
 * @throws StepFailed at the first that cannot be made
 */
export async function applyChanges(
  job: Job,
  { changes }: ChangesFile,
  at: Omit<Changing, 'job' | 'draw'> & { readonly draw: (job: Job, side: string) => ReturnType<Changing['draw']> },
): Promise<Job> {
  let now = job;
  for (const [i, step] of changes.entries()) {
    const before = now;
    try {
      now = await made({ ...at, job: before, draw: (side) => at.draw(before, side) }, step);
    } catch (error) {
      throw new StepFailed(i + 1, step.do, whyOf(error));
    }
  }
  return now;
}

async function made(at: Changing, step: ChangesFile['changes'][number]): Promise<Job> {
  const kind = changeKind(step.do);
  if (!kind) throw new CannotChange(`There is no change of this name. There are: ${changeNames.join(', ')}.`);
  const read = kind.schema.safeParse(step);
  if (!read.success) throw new CannotChange(describeProblems(read.error).join(' '));
  return kind.run(at, step);
}

/** Why a step cannot be made; what is a fault of the program goes on as it is. */
function whyOf(error: unknown): string {
  const isSaid = [CannotChange, CannotBring, UnknownName, Impossible].some((Kind) => error instanceof Kind);
  if (isSaid && error instanceof Error) return error.message;
  throw error;
}
