import { mkdir, stat } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import type { Job, SheetGuest } from '../../core/job';
import { watched } from '../../output/bounds';
import { EXPORT_KINDS, exportOf } from '../../output/exports';
import { UsageError, wholeNumber, type Arguments } from '../arguments';
import { openJob, openJobFile } from '../job-file';
import { print, say, writeWhole } from '../say';

/** Makes files of a job. Faults are said; with --strict they keep files from being made. */
export async function run(args: Arguments): Promise<number> {
  const to = args.flags.get('to') ?? '';
  const wanted = exportOf(to);
  if (!wanted) throw new UsageError(`--to is one of ${EXPORT_KINDS.join(', ')}.`);
  const out = args.flags.get('out');
  if (out === undefined) throw new UsageError('--out names the folder for the files.');
  const at = new Date(args.flags.get('at') ?? Date.now());
  if (Number.isNaN(at.getTime())) throw new UsageError('--at is a moment such as 2026-05-01T09:00:00Z.');
  const revision = args.flags.has('revision') ? wholeNumber(args, 'revision', 1) : undefined;
  const { job, assets } = await openJob(args);
  if (job.stage === 'template' && !wanted.isCarried)
    throw new UsageError(`“${job.name}” is a template and is not printed. Begin a job from it on the board.`);
  const { checkJob, exportJob } = await import('../../output');
  const isLookedAt = !wanted.isCarried && !args.flags.has('unchecked');
  const faults = isLookedAt ? (await checkJob(job, assets)).filter((f) => f.severity === 'fault') : [];
  for (const fault of faults) say(`✕ ${fault.surface}: ${fault.message}`);
  if (faults.length > 0 && args.flags.has('strict')) {
    say('No file was made: --strict wants a job without faults.');
    return 1;
  }
  // A parent process that listens is told how far it is; without it nobody wants the files.
  if (process.send) watched();
  const progress = (share: number, step: string) => process.send?.({ share, step });
  const folder = args.flags.get('guests') ?? join(dirname(args.words[0] ?? ''), 'guests');
  const guest = (asked: SheetGuest) => guestIn(folder, asked);
  const files = await exportJob({ job, assets, kind: wanted.kind, at, revision, progress, guest });
  await mkdir(out, { recursive: true });
  const written = [];
  for (const file of files) {
    const path = join(out, file.name);
    await writeWhole(path, 'bytes' in file ? file.bytes : file.parts);
    written.push({ name: file.name, type: file.type, bytes: (await stat(path)).size });
  }
  print(written);
  return faults.length > 0 ? 1 : 0;
}

/** A job that lies on the same sheets, by its id and revision: `meteor-night@12.ysjob.json`. */
async function guestIn(folder: string, { job, revision }: SheetGuest): Promise<Job | undefined> {
  const path = join(folder, `${job}@${revision}.ysjob.json`);
  const isThere = await stat(path).then(
    () => true,
    () => false,
  );
  return isThere ? (await openJobFile(path)).job : undefined;
}
