import { Transaction, type Sequelize } from 'sequelize';
import { Problem } from '../problem';

type Work<T> = (transaction: Transaction) => Promise<T>;

/** A write that waits for its turn. */
interface Waiting {
  /** Does it within a transaction, and keeps what came of it. */
  readonly run: Work<void>;
  /** Said once that is on the disk. */
  readonly done: () => void;
  readonly failed: (error: unknown) => void;
}

/** Writes that go to the disk together at the most: who came first does not wait for many. */
const MOST = 16;

/**
 * Runs writes one after another, in the order in which they come. Those that come while the disk is busy share the next
 * transaction, each behind a savepoint of its own: what one of them refuses is undone and nothing else. None is done
 * before all of it is on the disk.
 */
export function groupCommit(sequelize: Sequelize): <T>(work: Work<T>) => Promise<T> {
  const waiting: Waiting[] = [];
  let isGoing = false;

  const together = (batch: readonly Waiting[]) =>
    sequelize.transaction({ type: Transaction.TYPES.IMMEDIATE }, async (transaction) => {
      const refused = new Map<Waiting, unknown>();
      for (const one of batch) {
        try {
          await sequelize.transaction({ transaction }, one.run);
        } catch (error) {
          // What the database itself refuses has undone more than this one.
          if (!(error instanceof Problem)) throw error;
          refused.set(one, error);
        }
      }
      return refused;
    });

  const alone = async (one: Waiting) => {
    try {
      await sequelize.transaction({ type: Transaction.TYPES.IMMEDIATE }, one.run);
      one.done();
    } catch (error) {
      one.failed(error);
    }
  };

  const turn = async () => {
    if (isGoing) return;
    isGoing = true;
    while (waiting.length > 0) {
      const batch = waiting.splice(0, MOST);
      const refused = batch.length > 1 ? await together(batch).catch(() => undefined) : undefined;
      if (!refused) for (const one of batch) await alone(one);
      else
        for (const one of batch)
          if (refused.has(one)) one.failed(refused.get(one));
          else one.done();
    }
    isGoing = false;
  };

  return <T>(work: Work<T>) =>
    new Promise<T>((resolve, reject) => {
      let result: T;
      const run: Work<void> = async (transaction) => {
        result = await work(transaction);
      };
      waiting.push({ run, done: () => resolve(result), failed: reject });
      void turn();
    });
}
