import { readJob, type Job } from '@/core/job';
import { resumed, type Saving } from '@/core/save';
import { ApiError, api, type CurrentJob } from '../shell/api';
import { leftOf, writeDown, type Left } from './journal';

/** A job as it is opened: as the server has it, and what was done here since then. */
export interface Opened {
  readonly current: CurrentJob;
  /** Work that was left unsaved; the job goes on from it. */
  readonly left: Saving | undefined;
  readonly sitting: string;
  /** What other sittings left. */
  readonly older: readonly Left[];
}

/** What was opened as the server gave it with the page: whoever comes back to that page finds it older than the job. */
const used = new WeakSet<CurrentJob>();

/**
 * A job as the server has it, with what this browser did to it and could not save: the newest of what several sittings
 * left.
 * @param given the job, where it came with the page
 */
export async function openedJob(id: string, given?: CurrentJob): Promise<Opened> {
  const isNew = given !== undefined && !used.has(given);
  if (isNew) used.add(given);
  const [current, found] = await Promise.all([isNew ? given : api.current(id), leftOf(id)]);
  for (const newest of found) {
    const left = await takenUp(newest, current);
    if (left) return { current, left, sitting: newest.sitting, older: found.filter((other) => other !== newest) };
  }
  return { current, left: undefined, sitting: crypto.randomUUID(), older: found };
}

/** @returns undefined where what was written down leads nowhere */
async function takenUp({ job: id, entry }: Left, { head, job }: CurrentJob): Promise<Saving | undefined> {
  const { base } = entry.request;
  return resumed(entry, base === head ? job : (await api.revision(id, base)).job, read);
}

function read(document: unknown): Job | undefined {
  const found = readJob(document);
  return found.ok ? found.job : undefined;
}

/**
 * Sends what older sittings left to the server, which keeps it beside the job. Only once the newest is saved: what
 * comes first goes on.
 */
export const settleOlder = async (older: readonly Left[]): Promise<void> => {
  for (const left of older) await settle(left);
};

async function settle({ job, sitting, entry }: Left): Promise<void> {
  try {
    await api.save(job, entry.request);
  } catch (error) {
    if (!(error instanceof ApiError && error.status === 409)) return;
  }
  writeDown(job, sitting, undefined);
}
