import 'server-only';
import { fork } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdir, readFile, readdir, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Order } from 'sequelize';
import { z } from 'zod';
import { EXPORT_KINDS, EXPORT_WORDS, exportOf, type ExportWords } from '@/output/exports';
import { shipped } from '@/output/home';
import type { Job } from '@/core/job';
import { incomingFolder } from './incoming';
import { readCurrent, revision, revisionTime } from './jobs';
import { dataFolder, store } from './store/database';
import type { ExportRow, ExportState } from './store/models';
import { missing, refused } from './problems';

/** Longest that one export may take. */
const MINUTES = 10;

const Files = z.array(z.object({ name: z.string(), type: z.string(), bytes: z.number() }));

export interface ExportFacts {
  readonly id: string;
  readonly job: string;
  readonly revision: number;
  readonly kind: string;
  readonly state: ExportState;
  readonly share: number;
  readonly step: string;
  readonly problem: string | null;
  readonly files: z.infer<typeof Files>;
  readonly at: string;
  /** How long it will take yet, seconds; null while that cannot be told. */
  readonly left: number | null;
}

/** An export of any job, in the queue. */
export interface Queued extends ExportFacts {
  readonly name: string;
}

const factsOf = (row: ExportRow): ExportFacts => ({
  id: row.id,
  job: row.jobId,
  revision: row.revision,
  kind: row.kind,
  state: row.state,
  share: row.share,
  step: row.step,
  problem: row.problem,
  files: Files.parse(JSON.parse(row.files)),
  at: row.createdAt.toISOString(),
  left: leftOf(row),
});

/** Below this share of the whole nothing can be told of how long the rest takes. */
const TELLING = 0.05;

/** What it took so far tells what the rest takes. */
function leftOf({ state, share, startedAt }: ExportRow): number | null {
  if (state !== 'running' || !startedAt || share < TELLING) return null;
  const taken = (Date.now() - startedAt.getTime()) / 1000;
  return Math.ceil((taken / share) * (1 - share));
}

/** An export that is being made. */
interface Running {
  readonly since: number;
  readonly stopping: AbortController;
}

/** The queue of this process: exports are made in processes of their own, so that they can be stopped and bounded. */
interface Queue {
  readonly running: Map<string, Running>;
  /** Looking for exports that wait. */
  busy: boolean;
  /** Something was asked for while the queue was looked through. */
  asked: boolean;
}

/**
 * Exports made at a time; and when all of those take long, as many again, so that a short one need not wait for a long
 * one.
 */
const AT_A_TIME = 2;
const LONG = 20_000;

const holder = globalThis as { yellowSheetQueue?: Queue };
const queue: Queue = (holder.yellowSheetQueue ??= { running: new Map(), busy: false, asked: false });

/** Whether one more may begin. */
function hasRoom(): boolean {
  const all = [...queue.running.values()];
  const fresh = all.filter(({ since }) => Date.now() - since < LONG);
  return fresh.length < AT_A_TIME && all.length < 2 * AT_A_TIME;
}

const folderOf = (id: string): string => dataFolder('exports', id);

/** @param asked number of the revision; left out, the newest */
export async function requestExport(jobId: string, kind: string, asked?: number): Promise<ExportFacts> {
  if (!exportOf(kind)) throw refused.exportKind(kind, EXPORT_KINDS);
  const { head: newest } = await readCurrent(jobId);
  const head = asked ?? newest;
  if (asked !== undefined) await revisionTime(jobId, asked);
  const { models, write } = await store();
  const row = await write((transaction) =>
    models.exports.create(
      {
        id: randomUUID(),
        jobId,
        revision: head,
        kind,
        state: 'waiting',
        share: 0,
        step: 'Waiting',
        problem: null,
        files: '[]',
      },
      { transaction },
    ),
  );
  look();
  return factsOf(row);
}

/** What a job can be made into, and what was made of it lately. */
export interface ExportList {
  readonly kinds: readonly ExportWords[];
  readonly exports: readonly ExportFacts[];
}

export async function listExports(jobId: string): Promise<ExportList> {
  const { models } = await store();
  const rows = await models.exports.findAll({ where: { jobId }, order: [['createdAt', 'DESC']], limit: 20 });
  return { kinds: EXPORT_WORDS, exports: rows.map(factsOf) };
}

/** Exports of all jobs that wait or are made, in the order in which they are made. */
export async function listQueue(): Promise<{ readonly queue: readonly Queued[] }> {
  const { models } = await store();
  const rows = await models.exports.findAll({ where: { state: ['running', 'waiting'] }, order: IN_ORDER, limit: 200 });
  const jobs = await models.jobs.findAll({
    where: { id: [...new Set(rows.map(({ jobId }) => jobId))] },
    attributes: ['id', 'name'],
  });
  const names = new Map(jobs.map(({ id, name }) => [id, name]));
  const queue = rows.map((row): Queued => ({ ...factsOf(row), name: names.get(row.jobId) ?? '' }));
  return { queue: queue.sort((a, b) => Number(b.state === 'running') - Number(a.state === 'running')) };
}

/** Those of a larger rank first; of one rank, as they came. */
const IN_ORDER: Order = [
  ['rank', 'DESC'],
  ['createdAt', 'ASC'],
];

/** Has an export made before all others that wait. */
export async function hurryExport(id: string): Promise<ExportFacts> {
  await exportRow(id);
  const { models } = await store();
  const highest = await models.exports.max<number | null, ExportRow>('rank', { where: { state: 'waiting' } });
  await move(id, ['waiting'], { rank: (highest ?? 0) + 1 });
  return readExport(id);
}

async function exportRow(id: string): Promise<ExportRow> {
  const { models } = await store();
  const row = await models.exports.findByPk(id);
  if (!row) throw missing.export();
  return row;
}

export const readExport = async (id: string): Promise<ExportFacts> => factsOf(await exportRow(id));

/** Stops an export that waits or runs; what it made so far is removed. */
export async function cancelExport(id: string): Promise<ExportFacts> {
  await exportRow(id);
  await move(id, ['waiting', 'running'], { state: 'cancelled', step: 'Cancelled' });
  queue.running.get(id)?.stopping.abort();
  return readExport(id);
}

/** A finished file. */
export async function exportedFile(id: string, name: string): Promise<{ bytes: Buffer; type: string }> {
  const facts = await readExport(id);
  const file = facts.files.find((f) => f.name === name);
  if (!file || facts.state !== 'done') throw missing.file();
  return { bytes: await readFile(join(folderOf(id), file.name)), type: file.type };
}

/** After a restart: what had not finished starts again, and leavings of what was interrupted go. */
export async function resumeExports(): Promise<void> {
  const { models, write } = await store();
  await write((transaction) =>
    models.exports.update(
      { state: 'waiting', share: 0, step: 'Waiting' },
      { where: { state: 'running' }, transaction },
    ),
  );
  await rm(incomingFolder(), { recursive: true, force: true });
  for (const folder of [dataFolder('assets'), dataFolder('cache')]) {
    for (const name of await readdir(folder)) if (name.endsWith('.part')) await rm(join(folder, name), { force: true });
  }
  look();
}

type Values = Partial<Pick<ExportRow, 'state' | 'share' | 'step' | 'problem' | 'files' | 'rank' | 'startedAt'>>;

/** Changes an export that is in one of some states: what was cancelled meanwhile stays so. @returns whether it was */
async function move(id: string, from: readonly ExportState[], values: Values): Promise<boolean> {
  const { models, write } = await store();
  const [count] = await write((transaction) =>
    models.exports.update(values, { where: { id, state: [...from] }, transaction }),
  );
  return count > 0;
}

/** Looks for exports that wait. One that is asked for while this is done is found by one more look. */
function look(): void {
  queue.asked = true;
  if (queue.busy) return;
  queue.busy = true;
  work().catch((error: unknown) =>
    console.error('The queue of exports stopped; it begins again with the next one.', error),
  );
}

async function work(): Promise<void> {
  try {
    const { models } = await store();
    while (queue.asked) {
      queue.asked = false;
      while (hasRoom()) {
        const next = await models.exports.findOne({ where: { state: 'waiting' }, order: IN_ORDER });
        if (!next) break;
        if (await move(next.id, ['waiting'], { state: 'running', step: 'Starting', startedAt: new Date() }))
          begin(next);
      }
    }
  } finally {
    // In the same breath as the last look at what was asked: nothing comes between.
    queue.busy = false;
  }
}

/** Begins to make an export. When it ends, and when it turns out to take long, the next one is looked for. */
function begin(row: ExportRow): void {
  const stopping = new AbortController();
  queue.running.set(row.id, { since: Date.now(), stopping });
  const long = setTimeout(look, LONG + 50);
  runOne(row, stopping.signal)
    .catch((error: unknown) => console.error('How an export ended was not noted.', error))
    .finally(() => {
      clearTimeout(long);
      queue.running.delete(row.id);
      look();
    });
}

async function runOne(row: ExportRow, signal: AbortSignal): Promise<void> {
  const folder = folderOf(row.id);
  let isKept = false;
  try {
    await mkdir(join(folder, 'in'), { recursive: true });
    const jobFile = join(folder, 'in', 'job.ysjob.json');
    const job = await revision(row.jobId, row.revision);
    await writeFile(jobFile, JSON.stringify(job));
    await writeGuests(job, join(folder, 'in', 'guests'));
    const at = exportOf(row.kind)?.isOfRevision ? await revisionTime(row.jobId, row.revision) : row.createdAt;
    const made = await child(row, { jobFile, at, out: folder }, signal);
    await rm(join(folder, 'in'), { recursive: true, force: true });
    isKept = await move(row.id, ['running'], { state: 'done', share: 1, step: 'Done', files: JSON.stringify(made) });
  } catch (error) {
    const message = error instanceof Error ? error.message : String(error);
    await move(row.id, ['running'], { state: 'failed', step: 'Failed', problem: message });
  } finally {
    if (!isKept) await rm(folder, { recursive: true, force: true });
  }
}

/** The other jobs on the same sheets, in the states that are printed. One that is gone is told by the export. */
async function writeGuests({ output }: Job, folder: string): Promise<void> {
  const guests = output.sheet?.guests ?? [];
  if (guests.length === 0) return;
  await mkdir(folder, { recursive: true });
  for (const { job, revision: number } of guests) {
    const found = await revision(job, number).catch(() => undefined);
    if (found) await writeFile(join(folder, `${job}@${number}.ysjob.json`), JSON.stringify(found));
  }
}

const Step = z.object({ share: z.number(), step: z.string() });

/** Runs the command line on the job: the same core, in a process that can be killed. */
function child(
  row: ExportRow,
  { jobFile, at, out }: { readonly jobFile: string; readonly at: Date; readonly out: string },
  signal: AbortSignal,
): Promise<z.infer<typeof Files>> {
  return new Promise((resolve, reject) => {
    const program = shipped('dist', 'ys.mjs');
    const args = ['export', jobFile, '--to', row.kind, '--out', out, '--assets', dataFolder('assets')];
    // What is wrong with the job is on the page already.
    args.push('--at', at.toISOString(), '--revision', String(row.revision), '--unchecked');
    const running = fork(/* turbopackIgnore: true */ program, args, {
      stdio: ['ignore', 'pipe', 'pipe', 'ipc'],
      env: { ...process.env, YS_HOME: shipped() },
      execArgv: ['--max-old-space-size=4096'],
      timeout: MINUTES * 60_000,
      killSignal: 'SIGKILL',
      signal,
    });
    let printed = '';
    let said = '';
    running.stdout?.on('data', (data: Buffer) => (printed += data.toString()));
    running.stderr?.on('data', (data: Buffer) => (said += data.toString()));
    running.on('message', (message) => {
      const step = Step.safeParse(message);
      if (step.success)
        move(row.id, ['running'], step.data).catch((error: unknown) =>
          console.error('How far an export is was not noted.', error),
        );
    });
    running.on('error', reject);
    running.on('close', (code, signal) => {
      if (signal) return reject(new Error(`It took longer than ${MINUTES} minutes, or was stopped.`));
      if (code !== 0) return reject(new Error(said.trim().split('\n')[0] ?? 'The export failed.'));
      resolve(Files.parse(JSON.parse(printed)));
    });
  });
}
