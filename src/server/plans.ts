import 'server-only';
import { Op } from 'sequelize';
import type { KeptStep, PlannedJob } from '@/core/schedule';
import { ask } from './ask';
import { packedRevision } from './jobs';
import { stepsIn, writtenPlan } from './kept-plan';
import { store } from './store/database';

let filling: Promise<void> | undefined;

/** Works out the steps of jobs that changed since, one after the other; who asks meanwhile waits for the same. */
export function fillPlans(): Promise<void> {
  filling ??= fill().finally(() => {
    filling = undefined;
  });
  return filling;
}

async function fill(): Promise<void> {
  const { models, write } = await store();
  const rows = await models.jobs.findAll({
    where: { removedAt: null, due: { [Op.ne]: null }, stage: { [Op.ne]: 'template' } },
    attributes: ['id', 'head', 'plan'],
  });
  for (const { id, head, plan } of rows.filter((row) => stepsIn(row) === undefined)) {
    const steps = await stepsOf(id, head);
    const kept = writtenPlan(head, steps);
    // It changes nothing of the job: the moment of its last change stays.
    if (kept !== plan)
      await write((transaction) =>
        models.jobs.update({ plan: kept }, { where: { id, head }, silent: true, transaction }),
      );
  }
}

/** @returns none where they cannot be worked out: the job says why when it is opened */
async function stepsOf(id: string, head: number): Promise<readonly KeptStep[]> {
  try {
    const document = await packedRevision(id, head);
    return await ask('planSteps', { document }, { key: JSON.stringify([id, head]) });
  } catch (error) {
    console.error(error);
    return [];
  }
}

/** Jobs of the shop that have a due date and are not sent, with their steps. */
export async function plannedJobs(): Promise<readonly PlannedJob[]> {
  await fillPlans();
  // One that was under way may have begun before the last change.
  await fillPlans();
  const { models } = await store();
  const rows = await models.jobs.findAll({
    where: { removedAt: null, due: { [Op.ne]: null }, stage: { [Op.ne]: 'template' } },
    order: [['due', 'ASC']],
  });
  return rows.map((row) => ({ id: row.id, name: row.name, printer: row.printer, steps: stepsIn(row) ?? [] }));
}
