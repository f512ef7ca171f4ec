import { join } from 'node:path';
import sqlite3 from 'sqlite3';

/** The database of a data folder. */
export const databasePath = (folder: string): string => join(folder, 'yellow-sheet.sqlite');

/** A connection to a database file that answers with promises. */
export class DatabaseFile {
  private constructor(private readonly database: sqlite3.Database) {}

  /** @param mode `sqlite3.OPEN_READONLY` and its like @throws where it cannot be opened */
  static open(path: string, mode: number): Promise<DatabaseFile> {
    return new Promise((resolve, reject) => {
      const database: sqlite3.Database = new sqlite3.Database(path, mode, (error) =>
        error ? reject(error) : resolve(new DatabaseFile(database)),
      );
    });
  }

  static read = (path: string): Promise<DatabaseFile> => DatabaseFile.open(path, sqlite3.OPEN_READONLY);
  static change = (path: string): Promise<DatabaseFile> => DatabaseFile.open(path, sqlite3.OPEN_READWRITE);
  static make = (path: string): Promise<DatabaseFile> =>
    DatabaseFile.open(path, sqlite3.OPEN_READWRITE | sqlite3.OPEN_CREATE);

  /** How long it waits for a lock of somebody else, ms. */
  wait(ms: number): void {
    this.database.configure('busyTimeout', ms);
  }

  all<T>(sql: string, ...values: readonly unknown[]): Promise<readonly T[]> {
    return new Promise((resolve, reject) => {
      this.database.all(sql, values, (error: Error | null, rows: T[]) => (error ? reject(error) : resolve(rows)));
    });
  }

  close(): Promise<void> {
    return new Promise((resolve, reject) => this.database.close((error) => (error ? reject(error) : resolve())));
  }

  /** What SQLite finds wrong with the file; nothing when it is sound. */
  async faults(): Promise<readonly string[]> {
    const rows = await this.all<{ integrity_check: string }>('PRAGMA integrity_check(20)');
    return rows.map((row) => row.integrity_check).filter((text) => text !== 'ok');
  }
}

/** What is wrong with a database file; nothing when it is sound. */
export async function faultsOf(path: string): Promise<readonly string[]> {
  try {
    const file = await DatabaseFile.read(path);
    try {
      return await file.faults();
    } finally {
      await file.close();
    }
  } catch (error) {
    return [error instanceof Error ? error.message : String(error)];
  }
}
