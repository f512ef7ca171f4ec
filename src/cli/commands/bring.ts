import { mkdir } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { readRows } from '../../core/data';
import { bringIn, CannotBring, changeNamed, pieceOf, type BringPlace } from '../../core/edit';
import { TABLE_BOUNDS, withTableWords } from '../../core/element';
import { blankOf, type Job } from '../../core/job';
import { UsageError, wholeNumber, type Arguments } from '../arguments';
import { readBroughtFile, type ReadFile } from '../brought-file';
import { readText } from '../files';
import { openJobFile } from '../job-file';
import { jobText, print, say, writeWhole } from '../say';

/** Brings files into a job, as the hand does on the bench: their hash and what is in them are found by themselves. */
export async function run(args: Arguments): Promise<number> {
  const [path, ...files] = args.words;
  if (!path || files.length === 0)
    throw new UsageError('Name the job and the files, for example: ys bring flyer.ysjob.json moon.jpg');
  const folder = args.flags.get('assets') ?? join(dirname(path), 'assets');
  let { job } = await openJobFile(path, folder);
  const place = placeIn(job, args);
  const kept: ReadFile[] = [];
  const said: unknown[] = [];
  try {
    for (const file of files) {
      // Rows go into a table that is named; otherwise they are the records of the job.
      if (place.into !== undefined && /\.(csv|tsv)$/i.test(file)) {
        job = withRows(job, { ...place, into: place.into }, file, await readText(file));
        said.push({ file, kind: 'rows', into: place.into });
        continue;
      }
      const read = await readBroughtFile(file);
      kept.push(read);
      if (read.left.length > 0) say(`${file} came without: ${read.left.join('; ')}.`);
      const { job: next, element } = bringIn(job, read, place);
      job = next;
      said.push({ file, sha: read.sha, asset: read.asset, element });
    }
  } catch (error) {
    if (error instanceof CannotBring) throw new UsageError(error.message);
    throw error;
  }
  // Nothing is written before everything was read.
  await mkdir(folder, { recursive: true });
  for (const { sha, bytes } of kept) await writeWhole(join(folder, sha), bytes);
  const out = args.flags.get('out') ?? path;
  await writeWhole(out, jobText(job));
  print(said);
  return 0;
}

function placeIn(job: Job, args: Arguments): BringPlace {
  const names = blankOf(job, pieceOf(job)).surfaces.map((s) => s.name);
  const side = args.flags.get('side') ?? names[0] ?? 'front';
  if (!names.includes(side)) throw new UsageError(`There is no side “${side}”. There are: ${names.join(', ')}.`);
  return { side, into: args.flags.get('into'), page: wholeNumber(args, 'page', 1) };
}

function withRows(job: Job, { side, into }: BringPlace & { readonly into: string }, file: string, text: string): Job {
  const read = readRows(text, TABLE_BOUNDS);
  if (!read.ok) throw new UsageError(`${file}: ${read.problem}`);
  return changeNamed(job, side, into, (element) => {
    if (element.kind !== 'table') throw new CannotBring(`“${into}” is a ${element.kind} and takes no rows.`);
    return withTableWords(element, read.rows);
  });
}
