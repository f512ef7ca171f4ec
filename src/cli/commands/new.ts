import { randomUUID } from 'node:crypto';
import { begin, UnknownName } from '../../core/edit';
import type { Started } from '../../core/job';
import { JOB_UNITS, type JobUnit } from '../../core/measure';
import { UsageError, type Arguments } from '../arguments';
import { readText } from '../files';
import { jobText, print, say, writeWhole } from '../say';

/** Begins a job. */
export async function run(args: Arguments): Promise<number> {
  const set = await withFiles(args.set);
  const started = begun(args, set);
  if (!started.ok) {
    const typed = set[started.parameter] ?? '';
    // A drawn outline is too long to be shown with its fault marked.
    const pointer =
      typed !== '' && typed.length < 200
        ? `\n  ${typed}\n  ${' '.repeat(started.error.at)}${'^'.repeat(Math.max(1, started.error.length))}`
        : '';
    throw new UsageError(`${started.parameter}: ${started.error.message}${pointer}`);
  }
  const out = args.flags.get('out');
  if (out === undefined) {
    print(started.job);
    return 0;
  }
  await writeWhole(out, jobText(started.job));
  say(`${out} written.`);
  return 0;
}

function begun({ words: [kind], flags }: Arguments, set: Arguments['set']): Started {
  const unit = flags.get('unit');
  if (unit !== undefined && !isUnit(unit)) throw new UsageError(`--unit is one of ${JOB_UNITS.join(', ')}.`);
  const [printable, name, printer, paper] = ['printable', 'name', 'printer', 'paper'].map((flag) => flags.get(flag));
  try {
    return begin({ kind, printable, set, name, unit, printer, paper }, randomUUID());
  } catch (error) {
    if (error instanceof UnknownName) throw new UsageError(error.message);
    throw error;
  }
}

/** A value that begins with @ names an SVG or DXF file that holds the outline. */
async function withFiles(set: Arguments['set']): Promise<Arguments['set']> {
  const path = set['outline'];
  if (!path?.startsWith('@')) return set;
  const { readOutlineFile } = await import('../../bring-in/outline');
  const read = readOutlineFile(await readText(path.slice(1)));
  if (!read.ok) throw new UsageError(`${path.slice(1)}: ${read.problem}`);
  return { ...set, outline: read.outline };
}

const isUnit = (text: string): text is JobUnit => (JOB_UNITS as readonly string[]).includes(text);
