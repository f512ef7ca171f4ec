import { randomUUID } from 'node:crypto';
import { mkdir } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import {
  applyChanges,
  begunBy,
  CannotChange,
  CHANGE_KINDS,
  changesJsonSchema,
  filesNamed,
  readChanges,
  StepFailed,
  type ChangesFile,
} from '../../core/edit';
import type { Job } from '../../core/job';
import { folderAssets, type AssetSource } from '../../output/assets';
import { UsageError, type Arguments } from '../arguments';
import { readBroughtFile, type ReadFile } from '../brought-file';
import { readText } from '../files';
import { openJobFile } from '../job-file';
import { jobText, print, say, writeWhole } from '../say';

/** Makes the changes of a file, one after another; a job is begun by it where none is named. */
export async function run(args: Arguments): Promise<number> {
  if (args.flags.has('json')) {
    print(changesJsonSchema());
    return 0;
  }
  const list = args.flags.get('do');
  if (list === undefined) throw new UsageError(`--do names the file of changes. There are:\n${kinds()}`);
  const changes = await readChangesFile(list);
  const [path] = args.words;
  const out = args.flags.get('out') ?? path;
  if (out === undefined) throw new UsageError('--out names the job that is written.');
  const folder = args.flags.get('assets') ?? join(dirname(out), 'assets');
  try {
    const { job, assets } = await opened(path, args, changes);
    const files = await readFiles(changes, args.flags.get('files') ?? dirname(list));
    const changed = await applyChanges(job, changes, {
      file: (name) => fileOf(files, name),
      draw: await drawWith(withFiles(assets, files)),
    });
    // Nothing is written before everything was done.
    if (files.size > 0) await mkdir(folder, { recursive: true });
    for (const { sha, bytes } of files.values()) await writeWhole(join(folder, sha), bytes);
    await writeWhole(out, jobText(changed));
  } catch (error) {
    if (error instanceof StepFailed) throw new UsageError(`${list}: ${error.message}\nNothing was written.`);
    throw error;
  }
  say(`${out} written: ${changes.changes.length} changes.`);
  return 0;
}

async function readChangesFile(path: string): Promise<ChangesFile> {
  const read = readChanges(await readText(path));
  if (!read.ok) throw new UsageError(`${path}: ${read.problems.join('\n')}`);
  return read.file;
}

/** The job that is named, or the one that the changes begin. */
async function opened(
  path: string | undefined,
  args: Arguments,
  changes: ChangesFile,
): Promise<{ readonly job: Job; readonly assets: AssetSource }> {
  if (path !== undefined && changes.begin)
    throw new UsageError('These changes begin a job of their own; leave out the job file, or `begin`.');
  if (path !== undefined) return openJobFile(path, args.flags.get('assets'));
  const job = begunBy(changes, randomUUID());
  if (!job) throw new UsageError('Name the job file, or say in the file of changes how a job begins (`begin`).');
  return { job, assets: folderAssets(args.flags.get('assets') ?? 'assets') };
}

type Files = ReadonlyMap<string, ReadFile>;

async function readFiles(changes: ChangesFile, folder: string): Promise<Files> {
  const files = new Map<string, ReadFile>();
  for (const name of filesNamed(changes)) {
    const file = await readBroughtFile(join(folder, name));
    if (file.left.length > 0) say(`${name} came without: ${file.left.join('; ')}.`);
    files.set(name, file);
  }
  return files;
}

function fileOf(files: Files, name: string): ReadFile {
  const file = files.get(name);
  if (!file) throw new CannotChange(`“${name}” was not read.`);
  return file;
}

/** The files of a job, with those that are being brought in. */
function withFiles(assets: AssetSource, files: Files): AssetSource {
  const bySha = new Map([...files.values()].map(({ sha, bytes }) => [sha, bytes]));
  return { get: async (sha) => bySha.get(sha) ?? (await assets.get(sha)) };
}

/** Draws a side of a job; fonts and drawings are opened when the first change wants that. */
async function drawWith(assets: AssetSource) {
  const { drawnSide } = await import('../../output');
  return (job: Job, side: string) => drawnSide(job, side, assets);
}

const kinds = (): string =>
  Object.entries(CHANGE_KINDS)
    .map(([about, list]) => `  ${about}: ${list.map((kind) => kind.do).join(', ')}`)
    .join('\n');
