import 'server-only';
import { Op } from 'sequelize';
import { z } from 'zod';
import { LogEntry, alikeIn, isAlike, type AlikeFacts, type Lesson } from '@/core/job';
import { store } from './store/database';

const Learnt = z.object({
  paper: z.string(),
  lessons: z.array(LogEntry.pick({ at: true, kind: true, text: true })),
});

/** So many are offered at once. */
const MOST = 12;

/** What was learnt with jobs like one, those that are most like it first. @param not the job itself */
export async function lessonsFor(facts: AlikeFacts, not: string): Promise<readonly Lesson[]> {
  const { models } = await store();
  const rows = await models.jobs.findAll({
    where: { removedAt: null, learnt: { [Op.ne]: null }, id: { [Op.ne]: not } },
    attributes: ['id', 'name', 'kind', 'client', 'printer', 'learnt'],
  });
  const found = rows.flatMap(({ id, name, kind, client, printer, learnt }): readonly Lesson[] => {
    const read = Learnt.safeParse(JSON.parse(learnt ?? 'null'));
    if (!read.success) return [];
    const alike = alikeIn(facts, { kind, client, printer, paper: read.data.paper });
    return isAlike(alike) ? read.data.lessons.map((lesson) => ({ ...lesson, job: id, name, alike })) : [];
  });
  return found.sort((a, b) => b.alike.length - a.alike.length || (a.at < b.at ? 1 : -1)).slice(0, MOST);
}
