import { randomUUID } from 'node:crypto';
import { FORMATS, formatOf } from '../../core/format';
import { measuresTyped, startJob, takeHouse, unitThoughtIn } from '../../core/job';
import { JOB_UNITS, type JobUnit } from '../../core/measure';
import { GALLERY, galleryEntry, type GalleryEntry } from '../../core/printable';
import { SHIPPED_PAPERS, SHIPPED_PRINTERS } from '../../core/shop';
import { UsageError, type Arguments } from '../arguments';
import { readText } from '../files';
import { jobText, print, say, writeWhole } from '../say';
import { startPrintable } from '../../core/edit';

/** Begins a job. */
export async function run(args: Arguments): Promise<number> {
  const kind = args.words[0] ?? '';
  const entry = printableNamed(args.flags.get('printable'));
  const format = formatOf(entry && kind === '' ? (entry.piece?.kind ?? 'worksheet') : kind);
  if (!format) throw new UsageError(`There is no format “${kind}”. Formats: ${FORMATS.map((f) => f.kind).join(', ')}.`);
  const named = args.flags.get('unit');
  if (named !== undefined && !isUnit(named)) throw new UsageError(`--unit is one of ${JOB_UNITS.join(', ')}.`);
  const set = await withFiles(args.set);
  const unit =
    named !== undefined && isUnit(named)
      ? named
      : unitThoughtIn(measuresTyped({ ...format.parameters, ...entry?.of.parameters }, set));
  const about = { id: randomUUID(), name: args.flags.get('name') ?? entry?.title ?? format.title, unit };
  const stock = recordNamed('paper', args.flags.get('paper'), SHIPPED_PAPERS);
  const house = recordNamed('printer', args.flags.get('printer'), SHIPPED_PRINTERS);
  const shop = { ...(stock && { stock }), ...(house && { house }) };
  const started = entry ? startPrintable(entry, set, about, shop, format.kind) : startJob(format, set, about, shop);
  if (!started.ok) {
    const typed = set[started.parameter] ?? '';
    // A drawn outline is too long to be shown with its fault marked.
    const pointer =
      typed !== '' && typed.length < 200
        ? `\n  ${typed}\n  ${' '.repeat(started.error.at)}${'^'.repeat(Math.max(1, started.error.length))}`
        : '';
    throw new UsageError(`${started.parameter}: ${started.error.message}${pointer}`);
  }
  const job = house ? takeHouse(started.job, house) : started.job;
  const out = args.flags.get('out');
  if (out === undefined) {
    print(job);
    return 0;
  }
  await writeWhole(out, jobText(job));
  say(`${out} written.`);
  return 0;
}

/** An entry of the gallery. */
function printableNamed(id: string | undefined): GalleryEntry | undefined {
  if (id === undefined) return undefined;
  const found = galleryEntry(id);
  if (found) return found;
  throw new UsageError(`There is no printable “${id}”. There are: ${GALLERY.map((e) => e.id).join(', ')}.`);
}

/** A record that ships, by its name. */
function recordNamed<R extends { readonly name: string }>(
  word: string,
  name: string | undefined,
  records: readonly R[],
): R | undefined {
  if (name === undefined) return undefined;
  const found = records.find((r) => r.name.toLowerCase() === name.trim().toLowerCase());
  if (found) return found;
  throw new UsageError(`There is no ${word} “${name}”. There are: ${records.map((r) => r.name).join('; ')}.`);
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
