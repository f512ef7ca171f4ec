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
}

/** Fetches a job, and takes up what this browser did to it and could not save. */
export async function openedJob(id: string): Promise<Opened> {
  const [current, found] = await Promise.all([api.current(id), leftOf(id)]);
  const [newest, ...older] = found;
  for (const left of older) void settleOlder(left);
  const left = newest && (await takenUp(newest, current));
  return { current, left, sitting: left ? newest.sitting : crypto.randomUUID() };
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

/** Of several sittings that left work, the newest goes on here; the others go to the server, which keeps them beside the job. */
async function settleOlder({ job, sitting, entry }: Left): Promise<void> {
  try {
    await api.save(job, entry.request);
  } catch (error) {
    if (!(error instanceof ApiError && error.status === 409)) return;
  }
  writeDown(job, sitting, undefined);
}
