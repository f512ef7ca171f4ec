import 'server-only';
import { existsSync, mkdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { Sequelize, type Transaction } from 'sequelize';
import sqlite3 from 'sqlite3';
import { copyDays, databasePath } from '@/upkeep';
import type { Problem } from '../problem';
import { Umzug, SequelizeStorage } from 'umzug';
import { groupCommit } from './group-commit';
import { MIGRATIONS } from './migrations';
import { defineModels, type Models } from './models';
import { broken } from '../problems';

/** Where pictures, exports and the database live. */
export const dataFolder = (...parts: readonly string[]): string =>
  join(/* turbopackIgnore: true */ process.env['YS_DATA'] ?? join(process.cwd(), 'data'), ...parts);

/** Sequelize opens a connection for each transaction, so every connection sets its own rules. */
class Connection extends sqlite3.Database {
  constructor(filename: string, mode: number, callback: (error: Error | null) => void) {
    super(filename, mode, callback);
    this.configure('busyTimeout', 10_000);
    // What is wrong with a file that is no database is said by the first question to it.
    this.exec('PRAGMA journal_mode = WAL; PRAGMA synchronous = FULL; PRAGMA foreign_keys = ON;', () => undefined);
  }
}

export interface Store {
  readonly sequelize: Sequelize;
  readonly models: Models;
  /** Whether the file that was opened still lies where it lay: what is written to one that was taken away is lost. */
  readonly isThere: () => boolean;
  /** Runs writes one after another, each whole or not at all, and done once it is on the disk. */
  readonly write: <T>(work: (transaction: Transaction) => Promise<T>) => Promise<T>;
}

async function open(): Promise<Store> {
  mkdirSync(dataFolder('assets'), { recursive: true });
  mkdirSync(dataFolder('exports'), { recursive: true });
  mkdirSync(dataFolder('cache'), { recursive: true });
  const path = databasePath(dataFolder());
  // An empty one in its place would look as if everything were lost.
  if (!existsSync(path) && (await copyDays(dataFolder())).length > 0) throw gone();
  const sequelize = new Sequelize({
    dialect: 'sqlite',
    dialectModule: { ...sqlite3, Database: Connection },
    storage: path,
    logging: false,
  });
  const umzug = new Umzug({
    migrations: [...MIGRATIONS],
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize }),
    logger: undefined,
  });
  await umzug.up();
  const models = defineModels(sequelize);
  const { ino } = statSync(path);
  return {
    sequelize,
    models,
    isThere: () => statSync(path, { throwIfNoEntry: false })?.ino === ino,
    write: groupCommit(sequelize),
  };
}

// One store a process, also across the reloads of the development server.
const holder = globalThis as { yellowSheetStore?: Promise<Store> };

/**
 * @throws Problem when the database is not there; whatever SQLite says when it cannot be opened, and tries again the
 * next time
 */
export async function store(): Promise<Store> {
  const opening = (holder.yellowSheetStore ??= open());
  // What could not be opened is tried again by the next that asks.
  opening.catch(() => {
    if (holder.yellowSheetStore === opening) delete holder.yellowSheetStore;
  });
  const opened = await opening;
  if (!opened.isThere()) throw gone();
  return opened;
}

const gone = (): Problem => broken.databaseGone(dataFolder());

/** Closes the store; the next that asks for one opens it anew, wherever its data lies then. */
export async function closeStore(): Promise<void> {
  const open = holder.yellowSheetStore;
  delete holder.yellowSheetStore;
  await (await open)?.sequelize.close();
}
