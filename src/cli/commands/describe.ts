import { describeJob } from '../../core/job';
import type { Arguments } from '../arguments';
import { openJob } from '../job-file';
import { print } from '../say';

/** Every figure of a job, in mm. */
export async function run(args: Arguments): Promise<number> {
  print(describeJob((await openJob(args)).job));
  return 0;
}
