import { existsSync } from 'node:fs';
import { copyFile, mkdir, open, readdir, rename, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { DatabaseFile, databasePath, faultsOf } from './database-file';

/** Copies of the database that are kept, one of each day. */
export const COPIES_KEPT = 10;

const COPY = /^yellow-sheet-(\d{4}-\d{2}-\d{2})\.sqlite$/;

const copiesFolder = (folder: string): string => join(folder, 'copies');
const copyPath = (folder: string, day: string): string => join(copiesFolder(folder), `yellow-sheet-${day}.sqlite`);

/** The days of which there is a copy, newest first. */
export async function copyDays(folder: string): Promise<readonly string[]> {
  const names = await readdir(copiesFolder(folder)).catch(() => [] as string[]);
  return names
    .flatMap((name) => COPY.exec(name)?.[1] ?? [])
    .sort()
    .reverse();
}

/** Forces a file to disk. */
async function settle(path: string): Promise<void> {
  const file = await open(path, 'r');
  try {
    await file.sync();
  } finally {
    await file.close();
  }
}

/**
 * Makes the copy of a day, when there is none yet: by SQLite itself, as of one moment, while others go on writing. Only
 * a sound copy takes the place of the oldest.
 * @param day 2026-11-29
 * @throws where it cannot be written, or the database is damaged
 */
export async function copyOfDay(folder: string, day: string): Promise<void> {
  const path = copyPath(folder, day);
  if (existsSync(path)) return;
  await mkdir(copiesFolder(folder), { recursive: true });
  const part = `${path}.part`;
  await rm(part, { force: true });
  try {
    const database = await DatabaseFile.read(databasePath(folder));
    try {
      await database.all('VACUUM INTO ?', part);
    } finally {
      await database.close();
    }
    const [fault] = await faultsOf(part);
    if (fault !== undefined) throw new Error(`The copy is not sound: ${fault}`);
    await settle(part);
    await rename(part, path);
  } finally {
    await rm(part, { force: true });
  }
  for (const old of (await copyDays(folder)).slice(COPIES_KEPT)) await rm(copyPath(folder, old), { force: true });
}

/**
 * Puts a copy in the place of the database. What was there is kept beside it under another name.
 * @returns where the database from before lies; undefined when there was none
 * @throws when the copy is not sound
 */
export async function putBack(folder: string, day: string, at: Date): Promise<string | undefined> {
  const copy = copyPath(folder, day);
  const [fault] = await faultsOf(copy);
  if (fault !== undefined) throw new Error(`The copy of ${day} is not sound: ${fault}`);
  const path = databasePath(folder);
  const part = `${path}.part`;
  await copyFile(copy, part);
  await settle(part);
  const aside = `${path}.before-${at.toISOString().replace(/[:.]/g, '-')}`;
  const had = existsSync(path);
  // What had not been carried into the database yet belongs to the old one.
  for (const ending of ['', '-wal', '-shm'])
    if (existsSync(/*turbopackIgnore: true*/ `${path}${ending}`)) await rename(`${path}${ending}`, `${aside}${ending}`);
  await rename(part, path);
  return had ? aside : undefined;
}
