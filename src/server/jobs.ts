import 'server-only';
import { randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import { z } from 'zod';
import { STAGES, type Job, type JobSummary, type Standing } from '@/core/job';
import { instantOf } from '@/core/dates';
import { behindOn } from '@/core/schedule';
import { history } from './history';
import { stepsIn } from './kept-plan';
import { keptJob, readKept, readState } from './read-state';
import { stateOf, underId, type State } from './state';
import { store } from './store/database';
import type { JobRow } from './store/models';
import { broken, missing } from './problems';

const summaryOf = (row: JobRow): JobSummary => ({
  id: row.id,
  head: row.head,
  name: row.name,
  client: row.client,
  stage: STAGES.find((stage) => stage === row.stage) ?? 'brief',
  due: row.due,
  kind: row.kind,
  size: row.size,
  printer: row.printer,
  quantity: row.quantity,
  standing: standingIn(row),
  behind: behindIn(row),
  updatedAt: row.updatedAt.toISOString(),
});

/** What is sent is the house’s to do. */
const behindIn = (row: JobRow): JobSummary['behind'] =>
  row.stage === 'sent' ? null : (behindOn(stepsIn(row) ?? [], today()) ?? null);

const today = (): number => Math.floor(Date.now() / instantOf(1).getTime());

/** What is kept of how a job stands, with the revision that was checked. */
const KeptStanding = z.object({
  head: z.number(),
  faults: z.number(),
  warnings: z.number(),
  first: z.string().nullable(),
});

function standingIn({ head, standing }: JobRow): Standing | null {
  if (standing === null) return null;
  const kept = KeptStanding.safeParse(JSON.parse(standing));
  if (!kept.success || kept.data.head !== head) return null;
  const { faults, warnings, first } = kept.data;
  return { faults, warnings, first };
}

/** Keeps how a revision of a job stands, so that the board need not ask again. */
export async function keepStanding(id: string, head: number, standing: Standing): Promise<void> {
  const { models, write } = await store();
  const kept = JSON.stringify({ head, ...standing });
  // It changes nothing of the job: the moment of its last change stays.
  await write((transaction) =>
    models.jobs.update({ standing: kept }, { where: { id, head }, silent: true, transaction }),
  );
}

export async function listJobs(): Promise<readonly JobSummary[]> {
  const { models } = await store();
  const rows = await models.jobs.findAll({ where: { removedAt: null }, order: [['updatedAt', 'DESC']] });
  return rows.map(summaryOf);
}

/** Begins a job with its first revision. A job that came with an id already known gets a new one. */
export async function createJob(document: unknown, label: string): Promise<JobSummary> {
  const state = await readState(document);
  const { write } = await store();
  return write(async (transaction) => insertJob(state, label, transaction));
}

/** Begins a job as part of something that is done as one. */
export async function insertJob(state: State, label: string, transaction: Transaction): Promise<JobSummary> {
  const { models } = await store();
  const taken = await models.jobs.findByPk(state.job.id, { transaction });
  const { job, hash, document, facts } = taken ? await underId(state, randomUUID()) : state;
  const row = await models.jobs.create(
    { id: job.id, head: 1, standing: null, removedAt: null, ...facts },
    { transaction },
  );
  await models.revisions.create(
    { jobId: job.id, number: 1, step: null, kind: 'edit', label, hash, document },
    { transaction },
  );
  return summaryOf(row);
}

export async function jobRow(id: string, transaction?: Transaction): Promise<JobRow> {
  const { models } = await store();
  const row = await models.jobs.findByPk(id, transaction ? { transaction } : {});
  if (!row || row.removedAt) throw missing.job();
  return row;
}

/** A job as it is now, with the states that undo and redo lead to. */
export async function readCurrent(
  id: string,
): Promise<{ head: number; job: Job; undo: readonly number[]; redo: readonly number[] }> {
  const row = await jobRow(id);
  const { models } = await store();
  const log = await models.revisions.findAll({
    where: { jobId: id },
    attributes: ['number', 'kind'],
    order: [['number', 'ASC']],
  });
  const { undo, redo } = history(log);
  const document = await packedRevision(id, row.head);
  const newest = await readKept(document);
  if (newest.ok) return { head: row.head, job: newest.job, undo, redo };
  const readable = await newestReadable(id, row.head);
  throw broken.newestState(row.head, readable, newest.problems);
}

/** The newest revision below one that can be read. */
async function newestReadable(id: string, below: number): Promise<number | undefined> {
  const { models } = await store();
  for (let number = below - 1; number > 0; number -= 1) {
    const row = await models.revisions.findOne({ where: { jobId: id, number } });
    if (row && (await readKept(row.document)).ok) return number;
  }
  return undefined;
}

/** Lays an earlier state on top as the newest, where the newest can no longer be read. */
export async function layOnTop(id: string, number: number): Promise<void> {
  const { hash, document, facts } = await stateOf(await revision(id, number));
  const { models, write } = await store();
  await write(async (transaction) => {
    const row = await jobRow(id, transaction);
    const label = `Revision ${number} put back: what came after it cannot be read`;
    await models.revisions.create(
      { jobId: id, number: row.head + 1, step: null, kind: 'edit', label, hash, document },
      { transaction },
    );
    await row.update({ head: row.head + 1, ...facts }, { transaction });
  });
}

/** One saved state, as it is kept. */
export async function packedRevision(id: string, number: number): Promise<Uint8Array> {
  const { models } = await store();
  const row = await models.revisions.findOne({ where: { jobId: id, number } });
  if (!row) throw missing.revision(number);
  return row.document;
}

/** One saved state. */
export const revision = async (id: string, number: number): Promise<Job> => keptJob(await packedRevision(id, number));

/** When a state was saved. */
export async function revisionTime(id: string, number: number): Promise<Date> {
  const { models } = await store();
  const row = await models.revisions.findOne({ where: { jobId: id, number }, attributes: ['createdAt'] });
  if (!row) throw missing.revision(number);
  return row.createdAt;
}

export async function listRevisions(id: string) {
  await jobRow(id);
  const { models } = await store();
  const rows = await models.revisions.findAll({
    where: { jobId: id },
    attributes: ['number', 'kind', 'label', 'hash', 'createdAt'],
    order: [['number', 'DESC']],
    limit: 200,
  });
  return rows.map(({ number, kind, label, hash, createdAt }) => ({
    number,
    kind,
    label,
    hash,
    at: createdAt.toISOString(),
  }));
}

/** Takes a job off the board, or puts it back. Nothing is lost either way. */
export async function setRemoved(id: string, removed: boolean): Promise<void> {
  const { models, write } = await store();
  const count = await write((transaction) =>
    models.jobs.update({ removedAt: removed ? new Date() : null }, { where: { id }, transaction }),
  );
  if (count[0] === 0) throw missing.job();
}
