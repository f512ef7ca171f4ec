import 'server-only';
import { basename } from 'node:path';
import { Op } from 'sequelize';
import { copyOfDay, databasePath, faultsOf, prune, type Keeping } from '@/upkeep';
import { problemOf } from './respond';
import { dataFolder, store } from './store/database';

/** How often it is looked whether something is to be done, ms. */
const EACH = 3_600_000;

/** What can be made again, and how much of it is kept. */
const CACHE: Keeping = { days: 90, megabytes: 2048 };
const EXPORTS: Keeping = { days: 180, megabytes: 8192 };
/** Conflicts that were settled are kept so many days; of those that were not, the newest of each job. */
const CONFLICT_DAYS = 90;
const MOST_CONFLICTS = 50;
const DAY = 86_400_000;

/** Makes the daily copy and clears away, now and each hour. */
export function keepInOrder(): void {
  const turn = () =>
    void upkeep(new Date()).catch((error: unknown) => {
      const { message, todo } = problemOf(error);
      console.error(`✕ The daily copy of the database was not made. ${message} ${todo}`, error);
    });
  setInterval(turn, EACH).unref();
  turn();
}

async function upkeep(now: Date): Promise<void> {
  const [fault] = await faultsOf(databasePath(dataFolder()));
  if (fault !== undefined) throw Object.assign(new Error(fault), { code: 'SQLITE_CORRUPT' });
  await copyOfDay(dataFolder(), now.toISOString().slice(0, 10));
  await prune(dataFolder('cache'), CACHE, now.getTime());
  const gone = await prune(dataFolder('exports'), EXPORTS, now.getTime());
  const { models, write } = await store();
  await write(async (transaction) => {
    const problem = 'Its files were cleared away after half a year. Export again.';
    await models.exports.update(
      { state: 'failed', step: 'Cleared away', problem },
      { where: { id: gone.map((path) => basename(path)), state: 'done' }, transaction },
    );
    const old = new Date(now.getTime() - CONFLICT_DAYS * DAY);
    await models.conflicts.destroy({ where: { settledAt: { [Op.lt]: old } }, transaction });
    const rows = await models.conflicts.findAll({
      attributes: ['id', 'jobId'],
      where: { settledAt: null },
      order: [['id', 'DESC']],
      transaction,
    });
    const counts = new Map<string, number>();
    const over = rows.filter(({ jobId }) => {
      const count = (counts.get(jobId) ?? 0) + 1;
      counts.set(jobId, count);
      return count > MOST_CONFLICTS;
    });
    await models.conflicts.destroy({ where: { id: over.map(({ id }) => id) }, transaction });
  });
}
