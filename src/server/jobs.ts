import 'server-only';
import { createHash, randomUUID } from 'node:crypto';
import { deflateRawSync, inflateRawSync } from 'node:zlib';
import type { Transaction } from 'sequelize';
import { boardFacts, readJob, type Job, type JobSummary } from '@/core/job';
import { history } from './history';
import { Problem } from './problem';
import { store } from './store/database';
import type { RevisionKind } from './revision-kinds';
import type { JobRow } from './store/models';

/** A state to save, with what the person did. */
export interface Step {
  readonly kind: RevisionKind;
  readonly label: string;
  readonly document: unknown;
}

const pack = (job: Job): Buffer => deflateRawSync(JSON.stringify(job));
const hashOf = (job: Job): string => createHash('sha256').update(JSON.stringify(job)).digest('hex');

function unpack(document: Buffer): Job {
  const read = readJob(JSON.parse(inflateRawSync(document).toString('utf8')));
  if (!read.ok)
    throw new Problem(500, 'A saved state can no longer be read.', 'Restore an earlier revision.', {
      problems: read.problems,
    });
  return read.job;
}

const summaryOf = (row: JobRow): JobSummary => ({
  id: row.id,
  head: row.head,
  name: row.name,
  client: row.client,
  stage: row.stage,
  due: row.due,
  kind: row.kind,
  size: row.size,
  updatedAt: row.updatedAt.toISOString(),
});

export async function listJobs(): Promise<readonly JobSummary[]> {
  const { models } = await store();
  const rows = await models.jobs.findAll({ where: { removedAt: null }, order: [['updatedAt', 'DESC']] });
  return rows.map(summaryOf);
}

/** Begins a job with its first revision. A job that came with an id already known gets a new one. */
export async function createJob(document: unknown, label: string): Promise<JobSummary> {
  const job = trusted(document);
  const { write } = await store();
  return write(async (transaction) => insertJob(job, label, transaction));
}

async function insertJob(job: Job, label: string, transaction: Transaction): Promise<JobSummary> {
  const { models } = await store();
  const taken = await models.jobs.findByPk(job.id, { transaction });
  const own: Job = taken ? { ...job, id: randomUUID() } : job;
  const row = await models.jobs.create({ id: own.id, head: 1, removedAt: null, ...boardFacts(own) }, { transaction });
  await models.revisions.create(
    { jobId: own.id, number: 1, kind: 'edit', label, hash: hashOf(own), document: pack(own) },
    { transaction },
  );
  return summaryOf(row);
}

function trusted(document: unknown): Job {
  const read = readJob(document);
  if (read.ok) return read.job;
  throw new Problem(422, 'This is not a job that can be saved.', read.problems.join(' '), { problems: read.problems });
}

async function jobRow(id: string, transaction?: Transaction): Promise<JobRow> {
  const { models } = await store();
  const row = await models.jobs.findByPk(id, transaction ? { transaction } : {});
  if (!row || row.removedAt)
    throw new Problem(404, 'There is no such job.', 'It may have been removed; look on the board.');
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
  const newest = await revision(id, row.head);
  return { head: row.head, job: newest, undo, redo };
}

/** One saved state. */
export async function revision(id: string, number: number): Promise<Job> {
  const { models } = await store();
  const row = await models.revisions.findOne({ where: { jobId: id, number } });
  if (!row) throw new Problem(404, `This job has no revision ${number}.`, 'Choose one from its record.');
  return unpack(row.document);
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

/**
 * Saves states on top of a revision. When another save came first nothing is overwritten: the newest of these states
 * is kept beside the job, and the answer (409) carries both.
 * @returns the number of the newest revision
 */
export async function saveSteps(id: string, base: number, steps: readonly Step[]): Promise<{ head: number }> {
  const jobs = steps.map((step) => ({ ...step, job: { ...trusted(step.document), id } }));
  const newest = jobs.at(-1);
  if (!newest) throw new Problem(422, 'There is nothing to save.', 'Send at least one state.');
  const { models, write } = await store();
  const saved = await write(async (transaction) => {
    const row = await jobRow(id, transaction);
    if (row.head !== base) {
      const kept = await models.conflicts.create(
        { jobId: id, base, document: pack(newest.job), settledAt: null },
        { transaction },
      );
      return { conflict: kept.id, head: row.head };
    }
    let number = row.head;
    for (const { job, kind, label } of jobs) {
      number += 1;
      await models.revisions.create(
        { jobId: id, number, kind, label, hash: hashOf(job), document: pack(job) },
        { transaction },
      );
    }
    await row.update({ head: number, ...boardFacts(newest.job) }, { transaction });
    return { head: number };
  });
  if ('conflict' in saved) {
    throw new Problem(
      409,
      'Somebody saved this job in the meantime.',
      'Both versions are kept. Choose which one goes on.',
      {
        conflict: saved.conflict,
        head: saved.head,
        theirs: await revision(id, saved.head),
        mine: newest.job,
      },
    );
  }
  return saved;
}

/** Notes that the designer chose; both versions stay in the record. */
export async function settleConflict(id: string, conflict: number): Promise<void> {
  const { models, write } = await store();
  await write((transaction) =>
    models.conflicts.update({ settledAt: new Date() }, { where: { id: conflict, jobId: id }, transaction }),
  );
}

/** Takes a job off the board, or puts it back. Nothing is lost either way. */
export async function setRemoved(id: string, removed: boolean): Promise<void> {
  const { models, write } = await store();
  const count = await write((transaction) =>
    models.jobs.update({ removedAt: removed ? new Date() : null }, { where: { id }, transaction }),
  );
  if (count[0] === 0) throw new Problem(404, 'There is no such job.', 'Look on the board.');
}
