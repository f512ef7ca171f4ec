import 'server-only';
import type { Job } from '@/core/job';
import { jobRow } from './jobs';
import { keptJob } from './read-state';
import { store } from './store/database';
import { missing } from './problems';

/** A version of a job that another save came before; it is kept beside the job. */
interface ConflictFacts {
  readonly id: number;
  /** The revision that it was laid on. */
  readonly base: number;
  readonly at: string;
  /** Whether the designer chose already. */
  readonly isSettled: boolean;
}

/** The versions that are kept beside a job, newest first. */
export async function listConflicts(id: string): Promise<readonly ConflictFacts[]> {
  await jobRow(id);
  const { models } = await store();
  const rows = await models.conflicts.findAll({
    where: { jobId: id },
    attributes: ['id', 'base', 'createdAt', 'settledAt'],
    order: [['id', 'DESC']],
    limit: 200,
  });
  return rows.map(({ id: conflict, base, createdAt, settledAt }) => ({
    id: conflict,
    base,
    at: createdAt.toISOString(),
    isSettled: settledAt !== null,
  }));
}

/** A version that is kept beside a job. */
export async function conflictVersion(id: string, conflict: number): Promise<Job> {
  const { models } = await store();
  const row = await models.conflicts.findOne({ where: { id: conflict, jobId: id } });
  if (!row) throw missing.version();
  return keptJob(row.document);
}

/** Notes that the designer chose; both versions stay. */
export async function settleConflict(id: string, conflict: number): Promise<void> {
  const { models, write } = await store();
  await write((transaction) =>
    models.conflicts.update({ settledAt: new Date() }, { where: { id: conflict, jobId: id }, transaction }),
  );
}
