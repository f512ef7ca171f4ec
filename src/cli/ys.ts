import { randomUUID } from 'node:crypto';
import { mkdir, rename, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { FORMATS, formatOf, type Format } from '../core/format';
import { describeJob, jobJsonSchema, parametersOf, startJob, unitThoughtIn } from '../core/job';
import { JOB_UNITS, type JobUnit } from '../core/measure';
import { EXPORTS, type ExportKind } from '../output/kinds';
import { UsageError, readArguments, type Arguments } from './arguments';
import { openJobFile } from './job-file';

const HELP = `ys: Yellow Sheet without a screen. JSON on standard output, messages on standard error.
Exit code: 0 fine, 1 findings, 2 bad input.

  ys formats --json                              the formats and their parameters
  ys schema                                      the JSON Schema of a job file
  ys new flyer --set size=A5 --set bleed=3mm --out flyer.ysjob.json [--name NAME] [--unit mm|cm|in|pt|pica]
  ys describe JOB --json                         every figure, in mm
  ys check JOB --json                            findings
  ys export JOB --to press|preview|die|dummy|working --out DIR [--at 2026-05-01T09:00:00Z]

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
    case 'schema':
      print(jobJsonSchema());
      return 0;
    case 'new':
      return create(args);
    case 'describe':
      print(describeJob((await openJob(args)).job));
      return 0;
    case 'check':
      return check(args);
    case 'export':
      return exportFiles(args);
    default:
      throw new UsageError(`There is no command “${command}”.\n\n${HELP}`);
  }
}

const openJob = (args: Arguments) => openJobFile(jobPath(args), args.flags.get('assets'));

function jobPath(args: Arguments): string {
  const [path] = args.words;
  if (!path) throw new UsageError('Name the job file, for example: ys describe flyer.ysjob.json --json');
  return path;
}

async function create(args: Arguments): Promise<number> {
  const kind = args.words[0] ?? '';
  const format = formatOf(kind);
  if (!format) throw new UsageError(`There is no format “${kind}”. Formats: ${FORMATS.map((f) => f.kind).join(', ')}.`);
  const named = args.flags.get('unit');
  if (named !== undefined && !isUnit(named)) throw new UsageError(`--unit is one of ${JOB_UNITS.join(', ')}.`);
  const unit = named !== undefined && isUnit(named) ? named : unitThoughtIn(Object.values(args.set));
  const started = startJob(format, args.set, { id: randomUUID(), name: args.flags.get('name') ?? format.title, unit });
  if (!started.ok) {
    const typed = args.set[started.parameter] ?? '';
    const pointer = typed
      ? `\n  ${typed}\n  ${' '.repeat(started.error.at)}${'^'.repeat(Math.max(1, started.error.length))}`
      : '';
    throw new UsageError(`${started.parameter}: ${started.error.message}${pointer}`);
  }
  const out = args.flags.get('out');
  if (out === undefined) {
    print(started.job);
    return 0;
  }
  await writeWhole(out, new TextEncoder().encode(`${JSON.stringify(started.job, null, 2)}\n`));
  say(`${out} written.`);
  return 0;
}

/** A format with its decisions, as a program would want to read them. */
const describeFormat = (format: Format) => ({
  kind: format.kind,
  title: format.title,
  about: format.about,
  parameters: Object.entries(parametersOf(format)).map(([name, p]) => ({
    name,
    label: p.label,
    kind: p.kind,
    help: p.help,
    default: p.default?.metric ?? null,
    defaultInInches: p.default?.imperial ?? null,
    ...(p.options && { options: p.options.map((o) => o.value) }),
    ...(p.least !== undefined && { least: p.least }),
    ...(p.most !== undefined && { most: p.most }),
  })),
});

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
