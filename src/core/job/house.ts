import type { House, Stock } from '../shop';
import { MARKS } from '../shop';
import type { Job } from './schema';

/** The job at another printer: its wishes, and the marks that it wants. What the designer set for the piece stays. */
export function takeHouse(job: Job, house: House): Job {
  const marks = { ...job.output.marks };
  for (const mark of MARKS) {
    const wish = house.marks[mark];
    if (wish !== undefined) marks[mark] = wish;
  }
  return { ...job, house, output: { ...job.output, marks } };
}

/** The job on another paper. */
export const takeStock = (job: Job, stock: Stock): Job => ({ ...job, stock });
