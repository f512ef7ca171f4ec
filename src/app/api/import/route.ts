import { readFile } from 'node:fs/promises';
import { MAX_WORKING_BYTES, isZip, readJobText, readWorkingFile } from '@/bring-in/working-file';
import type { JobSummary } from '@/core/job';
import { addWorkingAssets, sha256 } from '@/server/assets';
import { withIncoming, type Incoming } from '@/server/incoming';
import { createJob } from '@/server/jobs';
import { Problem } from '@/server/problem';
import { route } from '@/server/respond';

/** Opens a working file or a job file as a new job. */
export const POST = route((request) => withIncoming(request, MAX_WORKING_BYTES, opened));

async function opened({ path }: Incoming): Promise<JobSummary> {
  const bytes = await readFile(path);
  const refuse = (problems: readonly string[]) =>
    new Problem(422, 'This file cannot be opened as a job.', problems.join(' '), { problems });
  if (isZip(bytes)) {
    const read = readWorkingFile(bytes, sha256);
    if (!read.ok) throw refuse(read.problems);
    return createJob(await addWorkingAssets(read.job, read.assets), 'Opened from a working file');
  }
  const read = readJobText(new TextDecoder().decode(bytes));
  if (!read.ok) throw refuse(read.problems);
  return createJob(read.job, 'Opened from a job file');
}
