import type { Finding } from '../core/check';
import type { Job } from '../core/job';
import { checkDesk, openDesk } from '../output';
import { inMemory } from './jobs';

/** What the checks find in a job without files. */
export const checked = async (job: Job): Promise<readonly Finding[]> => checkDesk(await openDesk(job, inMemory()));

/** What one rule finds. */
export const findingsOf = async (job: Job, rule: string): Promise<readonly Finding[]> =>
  (await checked(job)).filter((f) => f.rule === rule);
