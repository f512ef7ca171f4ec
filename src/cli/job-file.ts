import { createHash } from 'node:crypto';
import { dirname, join } from 'node:path';
import { MAX_WORKING_BYTES, isZip, readJobText, readWorkingFile } from '../bring-in/working-file';
import type { Job } from '../core/job';
import { folderAssets, type AssetSource } from '../output/assets';
import { UsageError, type Arguments } from './arguments';
import { readBounded } from './files';

export const sha256 = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

/** The job that a command line names first. */
export function openJob(args: Arguments): ReturnType<typeof openJobFile> {
  const [path] = args.words;
  if (!path) throw new UsageError('Name the job file, for example: ys describe flyer.ysjob.json --json');
  return openJobFile(path, args.flags.get('assets'));
}

/** A job from disk: a job file, whose pictures lie in `assets/` beside it, or a working file that carries them. */
export async function openJobFile(
  path: string,
  folder = join(dirname(path), 'assets'),
): Promise<{ readonly job: Job; readonly assets: AssetSource }> {
  const bytes = await readBounded(path, MAX_WORKING_BYTES);
  if (isZip(bytes)) {
    const read = readWorkingFile(bytes, sha256);
    if (!read.ok) throw new UsageError(`${path}: ${read.problems.join('\n')}`);
    return { job: read.job, assets: { get: (sha) => Promise.resolve(read.assets.get(sha)) } };
  }
  const read = readJobText(new TextDecoder().decode(bytes));
  if (!read.ok) throw new UsageError(`${path}: ${read.problems.join('\n')}`);
  return { job: read.job, assets: folderAssets(folder) };
}
