import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { JournalEntry } from '@/core/save';

/** Work on a job that the server had not acknowledged when it was last written here. */
export interface Left {
  readonly job: string;
  /** Who wrote it: each opening of a job has a name of its own, which goes on with the work that it takes up. */
  readonly sitting: string;
  readonly entry: JournalEntry;
}

interface Schema extends DBSchema {
  unsaved: { key: [job: string, sitting: string]; value: Left; indexes: { job: string } };
}

let opened: Promise<IDBPDatabase<Schema>> | undefined;
const database = (): Promise<IDBPDatabase<Schema>> =>
  (opened ??= openDB<Schema>('yellow-sheet', 1, {
    upgrade: (db) => void db.createObjectStore('unsaved', { keyPath: ['job', 'sitting'] }).createIndex('job', 'job'),
  }));

/** A browser may refuse to keep anything; then leaving asks, and no more can be done. */
const quietly = (work: Promise<unknown>): void =>
  void work.catch((error: unknown) => console.warn('The browser keeps no journal of unsaved work.', error));

/** Writes down what a sitting has not saved of a job, in place of what it wrote before. */
export function writeDown(job: string, sitting: string, entry: JournalEntry | undefined): void {
  quietly(
    database().then(async (db) => {
      if (entry) await db.put('unsaved', { job, sitting, entry });
      else await db.delete('unsaved', [job, sitting]);
    }),
  );
}

/** What was left unsaved of a job, the newest first. */
export async function leftOf(job: string): Promise<readonly Left[]> {
  try {
    const all = await (await database()).getAllFromIndex('unsaved', 'job', job);
    return all.sort((a, b) => b.entry.since - a.entry.since);
  } catch {
    return [];
  }
}

/** Jobs of which something is unsaved here, and since when. */
export async function leftJobs(): Promise<ReadonlyMap<string, number>> {
  try {
    return new Map((await (await database()).getAll('unsaved')).map(({ job, entry }) => [job, entry.since]));
  } catch {
    return new Map();
  }
}
