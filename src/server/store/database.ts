import 'server-only';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { Sequelize, Transaction } from 'sequelize';
import sqlite3 from 'sqlite3';
import { Umzug, SequelizeStorage } from 'umzug';
import { MIGRATIONS } from './migrations';
import { defineModels, type Models } from './models';

/** Where pictures, exports and the database live. */
export const dataFolder = (...parts: readonly string[]): string =>
  join(/* turbopackIgnore: true */ process.env['YS_DATA'] ?? join(process.cwd(), 'data'), ...parts);

/** Sequelize opens a connection for each transaction, so every connection sets its own rules. */
class Connection extends sqlite3.Database {
  constructor(filename: string, mode: number, callback: (error: Error | null) => void) {
    super(filename, mode, callback);
    this.configure('busyTimeout', 10_000);
    this.exec('PRAGMA journal_mode = WAL; PRAGMA synchronous = FULL; PRAGMA foreign_keys = ON;');
  }
}

export interface Store {
  readonly sequelize: Sequelize;
  readonly models: Models;
  /** Runs writes one after another, each in a transaction of its own that takes the write lock at once. */
  readonly write: <T>(work: (transaction: Transaction) => Promise<T>) => Promise<T>;
}

async function open(): Promise<Store> {
  mkdirSync(dataFolder('assets'), { recursive: true });
  mkdirSync(dataFolder('exports'), { recursive: true });
  mkdirSync(dataFolder('cache'), { recursive: true });
  const sequelize = new Sequelize({
    dialect: 'sqlite',
    dialectModule: { ...sqlite3, Database: Connection },
    storage: dataFolder('yellow-sheet.sqlite'),
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
  let last: Promise<unknown> = Promise.resolve();
  return {
    sequelize,
    models,
    write: (work) => {
      const next = last.then(() => sequelize.transaction({ type: Transaction.TYPES.IMMEDIATE }, work));
      last = next.catch(() => undefined);
      return next;
    },
  };
}

// One store a process, also across the reloads of the development server.
const holder = globalThis as { yellowSheetStore?: Promise<Store> };

export const store = (): Promise<Store> => (holder.yellowSheetStore ??= open());

/** Closes the store; the next that asks for one opens it anew, wherever its data lies then. */
export async function closeStore(): Promise<void> {
  const open = holder.yellowSheetStore;
  delete holder.yellowSheetStore;
  await (await open)?.sequelize.close();
}
