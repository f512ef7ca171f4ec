import { randomUUID } from 'node:crypto';
import { mkdir, readFile, rename, writeFile } from 'node:fs/promises';
import { basename, join } from 'node:path';
import { FORMATS, formatOf, type Format } from '../core/format';
import {
  describeJob,
  jobJsonSchema,
  measuresTyped,
  parametersOf,
  startJob,
  startPrintable,
  takeHouse,
  unitThoughtIn,
} from '../core/job';
import { GALLERY, galleryEntry, type GalleryEntry } from '../core/printable';
import { JOB_UNITS, type JobUnit } from '../core/measure';
import { EXPORTS, type ExportKind } from '../output/kinds';
import { SHIPPED_PAPERS, SHIPPED_PRINTERS } from '../core/shop';
import { readDocument } from '../bring-in/document';
import { readOutlineFile } from '../bring-in/outline';
import { documentPage } from '../output/document-page';
import { UsageError, readArguments, type Arguments } from './arguments';
import { formatPictures, formatsMarkdown } from './format-docs';
import { openJobFile } from './job-file';
import { printablePictures, printablesMarkdown } from './printable-docs';

const HELP = `ys: Yellow Sheet without a screen. JSON on standard output, messages on standard error.
Exit code: 0 fine, 1 findings, 2 bad input.

  ys formats --json                              the formats and their parameters
  ys docs --out docs                             the same as a page with a picture of each
  ys schema                                      the JSON Schema of a job file
  ys new flyer --set size=A5 --set bleed=3mm --out flyer.ysjob.json [--name NAME] [--unit mm|cm|in|pt|pica]
                                                 [--printer NAME] [--paper NAME]; own: --set outline=@die.svg (or .dxf)
  ys printables --json                           the printables and their decisions
  ys new [KIND] --printable staves --set spacing=2mm --set size=letter --out staves.ysjob.json
  ys describe JOB --json                         every figure, in mm
  ys check JOB --json                            findings
  ys pages FILE.pdf                              the pages of a PDF and their sizes, mm
  ys page FILE.pdf --page N --wide PIXELS --out FILE.png
  ys export JOB --to press|preview|die|dummy|desk|working --out DIR [--at 2026-05-01T09:00:00Z]

JOB is a job file (.ysjob.json, pictures in assets/ beside it, or in --assets DIR) or a working file (.yellowsheet.zip).`;

const print = (value: unknown): void => void process.stdout.write(`${JSON.stringify(value, null, 2)}\n`);
const say = (text: string): void => void process.stderr.write(`${text}\n`);

/** Follows one command line. @returns the exit code */
export async function run(argv: readonly string[]): Promise<number> {
  const [command = 'help', ...rest] = argv;
  const args = readArguments(rest);
  switch (command) {
    case 'help':
    case '--help':
      say(HELP);
      return 0;
    case 'formats':
      print(FORMATS.map(describeFormat));
      return 0;
    case 'printables':
      print(GALLERY.map(describePrintable));
      return 0;
    case 'schema':
      print(jobJsonSchema());
      return 0;
    case 'docs':
      return writeDocs(args);
    case 'new':
      return create(args);
    case 'describe':
      print(describeJob((await openJob(args)).job));
      return 0;
    case 'pages':
      return pages(args);
    case 'page':
      return drawPage(args);
    case 'check':
      return check(args);
    case 'export':
      return exportFiles(args);
    default:
      throw new UsageError(`There is no command “${command}”.\n\n${HELP}`);
  }
}

async function pages(args: Arguments): Promise<number> {
  const file = jobPath(args);
  const read = await readDocument(args.flags.get('name') ?? basename(file), await readFile(file));
  if (!read.ok) throw new UsageError(read.problem);
  print(read.document);
  return 0;
}

async function drawPage(args: Arguments): Promise<number> {
  const number = (flag: string, usual: number) => {
    const value = Number(args.flags.get(flag) ?? usual);
    if (!Number.isInteger(value) || value < 1 || value > 10_000)
      throw new UsageError(`--${flag} wants a whole number.`);
    return value;
  };
  const out = args.flags.get('out');
  if (!out) throw new UsageError('Name the file to write: --out page.png');
  await writeWhole(out, await documentPage(await readFile(jobPath(args)), number('page', 1), number('wide', 1600)));
  return 0;
}

const openJob = (args: Arguments) => openJobFile(jobPath(args), args.flags.get('assets'));

function jobPath(args: Arguments): string {
  const [path] = args.words;
  if (!path) throw new UsageError('Name the job file, for example: ys describe flyer.ysjob.json --json');
  return path;
}

/** The table of formats with a picture of each, for docs/. */
async function writeDocs(args: Arguments): Promise<number> {
  const out = args.flags.get('out') ?? 'docs';
  await mkdir(join(out, 'formats'), { recursive: true });
  await writeWhole(join(out, 'formats.md'), new TextEncoder().encode(formatsMarkdown()));
  for (const { name, svg } of formatPictures())
    await writeWhole(join(out, 'formats', name), new TextEncoder().encode(svg));
  await writeWhole(join(out, 'printables.md'), new TextEncoder().encode(printablesMarkdown()));
  // The pages show the same pictures.
  const pictures = join(out, '..', 'assets', 'printables');
  await mkdir(pictures, { recursive: true });
  for await (const { name, png } of printablePictures()) await writeWhole(join(pictures, name), png);
  say(`${join(out, 'formats.md')} and ${join(out, 'printables.md')} written.`);
  return 0;
}

async function create(args: Arguments): Promise<number> {
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
  await writeWhole(out, new TextEncoder().encode(`${JSON.stringify(job, null, 2)}\n`));
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
  const text = await readFile(path.slice(1), 'utf8').catch(() => undefined);
  if (text === undefined) throw new UsageError(`There is no file “${path.slice(1)}”.`);
  const read = readOutlineFile(text);
  if (!read.ok) throw new UsageError(`${path.slice(1)}: ${read.problem}`);
  return { ...set, outline: read.outline };
}

/** A format with its decisions, as a program would want to read them. */
const describeFormat = (format: Format) => ({
  kind: format.kind,
  title: format.title,
  about: format.about,
  parameters: describeParameters(parametersOf(format)),
});

/** An entry of the gallery, likewise. */
const describePrintable = ({ id, title, about, of, decisions, piece }: GalleryEntry) => ({
  id,
  kind: of.kind,
  group: of.group,
  title,
  about,
  piece: piece?.kind ?? 'worksheet',
  decisions,
  parameters: describeParameters(of.parameters),
});

const describeParameters = (parameters: Format['parameters']) =>
  Object.entries(parameters).map(([name, p]) => ({
    name,
    label: p.label,
    kind: p.kind,
    help: p.help,
    default: p.default?.metric ?? null,
    defaultInInches: p.default?.imperial ?? null,
    ...(p.options && { options: p.options.map((o) => o.value) }),
    ...(p.least !== undefined && { least: p.least }),
    ...(p.most !== undefined && { most: p.most }),
  }));

const isUnit = (text: string): text is JobUnit => (JOB_UNITS as readonly string[]).includes(text);

async function check(args: Arguments): Promise<number> {
  const { job, assets } = await openJob(args);
  const { checkDesk, openDesk } = await import('../output');
  const findings = checkDesk(await openDesk(job, assets));
  print(findings.map(({ fixes, ...finding }) => ({ ...finding, fix: fixes.map((fix) => fix.label) })));
  return findings.length > 0 ? 1 : 0;
}

async function exportFiles(args: Arguments): Promise<number> {
  const to = args.flags.get('to') ?? '';
  if (!isExport(to)) throw new UsageError(`--to is one of ${EXPORTS.join(', ')}.`);
  const out = args.flags.get('out');
  if (out === undefined) throw new UsageError('--out names the folder for the files.');
  const at = new Date(args.flags.get('at') ?? Date.now());
  if (Number.isNaN(at.getTime())) throw new UsageError('--at is a moment such as 2026-05-01T09:00:00Z.');
  const { job, assets } = await openJob(args);
  const { exportJob } = await import('../output');
  // A parent process that listens is told how far it is.
  const progress = (share: number, step: string) => process.send?.({ share, step });
  const files = await exportJob({ job, assets, kind: to, at, progress });
  await mkdir(out, { recursive: true });
  for (const file of files) await writeWhole(join(out, file.name), file.bytes);
  print(files.map((file) => ({ name: file.name, type: file.type, bytes: file.bytes.length })));
  return 0;
}

const isExport = (text: string): text is ExportKind => (EXPORTS as readonly string[]).includes(text);

/** A file appears whole or not at all. */
async function writeWhole(path: string, bytes: Uint8Array): Promise<void> {
  const part = `${path}.part`;
  await writeFile(part, bytes);
  await rename(part, path);
}

run(process.argv.slice(2)).then(
  (code) => (process.exitCode = code),
  (error: unknown) => {
    say(
      error instanceof UsageError || (error instanceof Error && error.constructor.name === 'CannotExport')
        ? error.message
        : `This should not have happened: ${String(error instanceof Error ? (error.stack ?? error.message) : error)}`,
    );
    process.exitCode = 2;
  },
);
