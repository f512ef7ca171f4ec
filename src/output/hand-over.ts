import { createHash } from 'node:crypto';
import { strToU8, zipSync, type Zippable } from 'fflate';
import { FIGURE_GROUPS } from '../core/figure';
import { pieceOf } from '../core/edit';
import { USUAL_NAMES, namedBy, rulesFor, type Job } from '../core/job';
import { linesOn } from '../core/marks';
import { plateNames } from '../core/drawing';
import { counted, formatSize } from '../core/measure';
import { letterSheet, letterText, type Letter } from '../core/paperwork';
import { CannotExport } from './cannot-export';
import { csvOf } from './csv';
import { checkDesk, type Desk } from './desk';
import { dieFiles } from './die';
import type { Export, Making } from './exports/define';
import { gathered, type MadeFile, type OutputFile } from './file';
import { docketFile } from './docket';
import { fileStem, sideStems } from './file-name';
import { pagesPdf } from './paperwork';
import { pressFile } from './press';
import { previewFiles } from './preview';
import { outputProfile } from './profiles';
import { proofFile } from './proof';
import { workingFile } from './working';
import { valueWords } from './value-words';

/** Sides that get a press file of their own, at most: a book goes to press whole. */
const MOST_SIDES = 60;

/**
 * All that a house needs of a job, in one file: the press file whole and side by side, how it lies on sheets, lines for
 * the die maker, previews, a proof, the docket, figures, the job itself, and a letter with the hash of each.
 * @param sheets how pieces are laid on sheets of the press
 */
export async function handOverFile(making: Making, sheets: Export['make']): Promise<OutputFile> {
  const { job, at, revision, assets, progress } = making;
  const desk = await making.desk();
  const { records } = desk;
  const quiet = () => undefined;
  const steps: readonly (readonly [string, () => Promise<readonly MadeFile[]>])[] = [
    ['Press file', async () => [await pressFile(desk, at, quiet)]],
    ['Press file, side by side', () => (records ? Promise.resolve([]) : sideFiles(desk, at))],
    ['Press sheets', () => unlessImpossible(() => sheets({ ...making, progress: quiet }))],
    ['Die lines', async () => (hasLines(desk) ? dieFiles(desk, at, quiet) : [])],
    ['Previews', () => previewFiles(desk, at, quiet)],
    ['Proof', async () => [await proofFile(desk, { at, revision }, quiet)]],
    ['Docket', async () => [await docketFile(desk, { at, revision, isForHouse: true })]],
    ['Figures', () => Promise.resolve([figuresFile(desk)])],
    ['The job itself', async () => [await workingFile(job, assets)]],
  ];
  const made: OutputFile[] = [];
  for (const [i, [words, make]] of steps.entries()) {
    progress(0.9 * (i / steps.length), words);
    for (const file of await make()) made.push(await gathered(file));
  }
  progress(0.92, 'Writing the letter');
  const named = made.map((file) => ({ ...file, name: nameBy(job, file.name, at, revision) }));
  const files = named.map(({ name, bytes }) => ({ name, sha: sha256(bytes) }));
  const { about } = await outputProfile(job, rulesFor(job, pieceOf(job)).profile, assets);
  const letter = letterOf(desk, at, files, about);
  const nameOf = (what: string) => nameBy(job, `${fileStem(job.name)}-${what}`, at, revision);
  const entries: Zippable = Object.fromEntries<Zippable[string]>([
    // What is packed already is not packed again.
    ...named.map(({ name, bytes }) => [name, [bytes, { level: 0 }]] as [string, Zippable[string]]),
    [nameOf('letter.txt'), strToU8(letterText(letter))],
    [nameOf('letter.pdf'), await pagesPdf(letterSheet(letter), at)],
    ['SHA256SUMS', strToU8(files.map(({ name, sha }) => `${sha}  ${name}\n`).join(''))],
  ]);
  progress(1, 'Done');
  // The same state gives the same bytes: no clock of the day it was packed.
  const bytes = zipSync(entries, { mtime: asUtc(at), level: 6 });
  return { name: nameOf('hand-over.zip'), type: 'application/zip', bytes };
}

/** A zip names the hour of the place where it is packed: this one names that of UTC everywhere. */
const asUtc = (at: Date): Date => new Date(at.getTime() + at.getTimezoneOffset() * 60_000);

const sha256 = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

const hasLines = ({ sides }: Desk): boolean =>
  sides.some(({ surface, drawing }) => linesOn(surface, drawing).length > 0);

/** Nothing where a piece cannot be made so: it lies on no sheet with others, for example. */
async function unlessImpossible(make: () => Promise<readonly MadeFile[]>): Promise<readonly MadeFile[]> {
  try {
    return await make();
  } catch (error) {
    if (error instanceof CannotExport) return [];
    throw error;
  }
}

/** A press file for each side, for houses that take them one by one. */
async function sideFiles(desk: Desk, at: Date): Promise<readonly OutputFile[]> {
  if (desk.sides.length < 2 || desk.sides.length > MOST_SIDES) return [];
  const stems = sideStems(desk.job, desk.sides);
  const files: OutputFile[] = [];
  for (const [i, side] of desk.sides.entries()) {
    const file = await gathered(await pressFile({ ...desk, sides: [side] }, at, () => undefined));
    files.push({ ...file, name: `${stems[i] ?? fileStem(desk.job.name)}-press.pdf` });
  }
  return files;
}

/** Every figure of the sheet, as rows. */
function figuresFile({ job, sides }: Desk): OutputFile {
  const blanks = new Map(sides.map(({ piece, blank }) => [piece, blank] as const));
  const rows = [...blanks].flatMap(([piece, { figures }]) =>
    FIGURE_GROUPS.flatMap((group) =>
      figures
        .filter((figure) => figure.group === group)
        .map(({ name, value, unit, rule }) => [piece.name, group, name, valueWords(value), unit, rule]),
    ),
  );
  const bytes = csvOf([['piece', 'group', 'figure', 'value', 'unit', 'rule'], ...rows]);
  return { name: `${fileStem(job.name)}-figures.csv`, type: 'text/csv', bytes };
}

/** A file as the job’s pattern calls it; what it is, is what its own name says after that of the job. */
function nameBy(job: Job, name: string, at: Date, revision: number | undefined): string {
  const [, base = name, ending = ''] = /^(.*?)((?:\.[a-z]+)*)$/.exec(name) ?? [];
  const what = base.slice(fileStem(job.name).length).replace(/^-/, '') || 'job';
  const facts = {
    client: job.client,
    job: job.name,
    what,
    revision: revision === undefined ? '' : String(revision),
    date: at.toISOString().slice(0, 10),
  };
  return `${namedBy(job.output.names ?? USUAL_NAMES, facts)}${ending}`;
}

function letterOf(desk: Desk, at: Date, files: Letter['files'], profile: string): Letter {
  const { job, sides, records } = desk;
  const [first] = sides;
  const faults = checkDesk(desk).filter(({ severity }) => severity === 'fault').length;
  const inks = [...new Set(sides.flatMap(({ drawing }) => plateNames(drawing.frames.flatMap(({ items }) => items))))];
  const { name, grammage, kind } = job.stock;
  const facts: (readonly [string, string])[] = [
    ['Finished size', first ? formatSize(first.blank.finished, job.unit) : ''],
    ['Pages', counted(sides.length, 'side')],
    ['Copies', job.quantity === null ? 'to be agreed' : String(job.quantity)],
    ...(records ? ([['Records', counted(records.count, 'record')]] as const) : []),
    ['Paper', `${name || kind}, ${grammage} g/m²`],
    ['Inks', inks.join(', ')],
    ['Output profile', profile],
    ['Wanted by', job.due ?? 'to be agreed'],
  ];
  return {
    house: job.house.name || 'the print house',
    from: job.client || 'the designer',
    job: job.name,
    day: at.toISOString().slice(0, 10),
    facts,
    checked: [
      'Press files are PDF/X-4 with bleed and marks, fonts embedded, pictures in the inks of the press.',
      faults === 0
        ? 'Nothing stands in the way by our own checks.'
        : `Our own checks still find ${counted(faults, 'fault')}: please wait for a word from us.`,
    ],
    files,
  };
}
