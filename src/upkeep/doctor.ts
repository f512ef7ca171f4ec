import { createHash } from 'node:crypto';
import { createReadStream, existsSync } from 'node:fs';
import { mkdir, readdir, rename, rm, stat, statfs } from 'node:fs/promises';
import { basename, join } from 'node:path';
import { contentHash } from '../core/save';
import { copyDays } from './copies';
import { DatabaseFile, databasePath } from './database-file';
import { readPacked, unpacked } from './packed';
import { contentsOf } from './prune';

/** Something that is not as it should be. */
export interface Ill {
  readonly message: string;
  /** What would be done about it, in words; undefined where only the user can. */
  readonly cure: string | undefined;
  readonly mend?: () => Promise<void>;
}

/** What was looked at, with figures, and what is wrong. */
export interface Examination {
  readonly seen: readonly string[];
  readonly ills: readonly Ill[];
}

/** An examination, whose cures can be used until it is ended. */
export interface Open extends Examination {
  readonly end: () => Promise<void>;
}

const MB = 1024 * 1024;
/** Less room on the disk than this is said, MB. */
const LITTLE_ROOM = 1024;
const DAY = 86_400_000;

/** Looks at everything in a data folder. Nothing is changed; what can be mended brings how. */
export async function examine(folder: string, now: Date): Promise<Open> {
  const path = databasePath(folder);
  const days = await copyDays(folder);
  const back = days[0] === undefined ? 'There is no copy of it.' : `Put back a copy: ys restore --data ${folder}`;
  const without = (ills: readonly Ill[]): Open => ({
    seen: [],
    ills: [...ills, ...said(back)],
    end: () => Promise.resolve(),
  });
  if (!existsSync(path)) return without(said(`There is no database in ${folder}.`));
  let database: DatabaseFile;
  try {
    database = await DatabaseFile.change(path);
  } catch (error) {
    return without(said(`The database cannot be opened: ${wordsOf(error)}`));
  }
  const parts: Examination[] = [];
  try {
    const faults = await database.faults().catch((error: unknown) => [wordsOf(error)]);
    if (faults.length > 0) {
      await database.close();
      return without(faults.slice(0, 5).flatMap((fault) => said(`The database is damaged: ${fault}`)));
    }
    parts.push({ seen: ['The database is sound.'], ills: [] });
    parts.push(await jobsOf(database, now), await assetsOf(database, folder), await exportsOf(database, folder));
  } catch (error) {
    await database.close();
    throw error;
  }
  parts.push(await leavingsOf(folder), await roomOf(folder), copiesOf(days, now));
  return { seen: parts.flatMap((p) => p.seen), ills: parts.flatMap((p) => p.ills), end: () => database.close() };
}

const said = (message: string): readonly Ill[] => [{ message, cure: undefined }];
const wordsOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));

interface RevisionLine {
  readonly jobId: string;
  readonly number: number;
  readonly label: string;
  readonly hash: string;
  readonly document: Uint8Array;
}

/** Every saved state can be read, is what was saved, and each job has a newest one. */
async function jobsOf(database: DatabaseFile, now: Date): Promise<Examination> {
  const jobs = await database.all<{ id: string; name: string; head: number }>('SELECT id, name, head FROM jobs');
  const ills: Ill[] = [];
  let count = 0;
  for (const { id, name, head } of jobs) {
    const numbers = await database.all<{ number: number }>(
      'SELECT number FROM revisions WHERE jobId = ? ORDER BY number DESC',
      id,
    );
    const unreadable = new Set<number>();
    for (const { number } of numbers) {
      const [row] = await database.all<RevisionLine>(
        'SELECT * FROM revisions WHERE jobId = ? AND number = ?',
        id,
        number,
      );
      count += 1;
      const problem = row && faultOf(row);
      if (problem === undefined) continue;
      unreadable.add(number);
      if (number !== head) ills.push({ message: `Revision ${number} of “${name}” ${problem}.`, cure: undefined });
    }
    const isHeadThere = numbers.some(({ number }) => number === head);
    if (isHeadThere && !unreadable.has(head)) continue;
    const sound = numbers.find(({ number }) => !unreadable.has(number))?.number;
    ills.push({
      message:
        `The newest revision of “${name}”, ${head}, ` + (isHeadThere ? 'can no longer be read.' : 'is not there.'),
      cure: sound === undefined ? undefined : `revision ${sound} is laid on top as the newest`,
      ...(sound !== undefined && { mend: () => layOnTop(database, id, sound, now) }),
    });
  }
  const loose = await database.all('PRAGMA foreign_key_check');
  if (loose.length > 0)
    ills.push({ message: `${loose.length} rows belong to jobs that are not there.`, cure: undefined });
  return { seen: [`${jobs.length} jobs with ${count} revisions were read.`], ills };
}

function faultOf({ document, hash }: RevisionLine): string | undefined {
  const read = readPacked(document);
  if (!read.ok) return `can no longer be read: ${read.problems[0] ?? ''}`;
  // Of what was written, before it was read as today's jobs are.
  return contentHash(unpacked(document) ?? {}) === hash ? undefined : 'is not what was saved';
}

/** Makes an older state the newest of its job; the log keeps all that was there. */
async function layOnTop(database: DatabaseFile, jobId: string, number: number, now: Date): Promise<void> {
  const at = now.toISOString().replace('T', ' ').replace('Z', ' +00:00');
  await database.all('BEGIN IMMEDIATE');
  await database.all(
    `INSERT INTO revisions (jobId, number, step, kind, label, hash, document, createdAt)
     SELECT jobId, (SELECT MAX(number) + 1 FROM revisions WHERE jobId = ?1), NULL, 'edit', ?3, hash, document, ?4
     FROM revisions WHERE jobId = ?1 AND number = ?2`,
    jobId,
    number,
    `Revision ${number} put back: what came after it cannot be read`,
    at,
  );
  await database.all(
    'UPDATE jobs SET head = (SELECT MAX(number) FROM revisions WHERE jobId = ?1) WHERE id = ?1',
    jobId,
  );
  await database.all('COMMIT');
}

async function hashOf(path: string): Promise<string> {
  const hash = createHash('sha256');
  for await (const part of createReadStream(path)) hash.update(part as Uint8Array);
  return hash.digest('hex');
}

/** Every file that is known is there and is what it is called; every file that is there is known. */
async function assetsOf(database: DatabaseFile, folder: string): Promise<Examination> {
  const rows = await database.all<{ sha: string; name: string; bytes: number }>('SELECT sha, name, bytes FROM assets');
  const ills: Ill[] = [];
  for (const { sha, name, bytes } of rows) {
    const path = join(folder, 'assets', sha);
    const facts = await stat(path).catch(() => undefined);
    const again = 'Bring it in again: the jobs that use it find it by itself then.';
    if (!facts) ills.push({ message: `The file of “${name}” is gone. ${again}`, cure: undefined });
    else if (facts.size !== bytes || (await hashOf(path)) !== sha)
      ills.push({
        message: `The file of “${name}” is damaged. ${again}`,
        cure: 'it is moved to lost-and-found, so that it can be brought in again',
        mend: () => setAside(folder, path),
      });
  }
  const known = new Set(rows.map((row) => row.sha));
  const names = await readdir(join(folder, 'assets')).catch(() => [] as string[]);
  for (const name of names.filter((n) => !known.has(n) && !n.endsWith('.part')))
    ills.push({
      message: `assets/${name} is known to no job.`,
      cure: 'it is moved to lost-and-found',
      mend: () => setAside(folder, join(folder, 'assets', name)),
    });
  return { seen: [`${rows.length} pictures, fonts and other files were compared with their SHA-256.`], ills };
}

async function setAside(folder: string, path: string): Promise<void> {
  await mkdir(join(folder, 'lost-and-found'), { recursive: true });
  await rename(path, join(folder, 'lost-and-found', basename(path)));
}

/** Finished exports have their files, and no folder is without its export. */
async function exportsOf(database: DatabaseFile, folder: string): Promise<Examination> {
  const rows = await database.all<{ id: string; state: string; kind: string }>('SELECT id, state, kind FROM exports');
  const ills: Ill[] = [];
  for (const { id, state, kind } of rows) {
    if (state !== 'done' || existsSync(join(folder, 'exports', id))) continue;
    ills.push({
      message: `The files of an export (${kind}) are gone.`,
      cure: 'it is marked as gone; it can be made again',
      mend: async () => {
        const problem = 'Its files are gone. Export again.';
        await database.all("UPDATE exports SET state = 'failed', step = 'Gone', problem = ? WHERE id = ?", problem, id);
      },
    });
  }
  const known = new Set(rows.map((row) => row.id));
  for (const name of await readdir(join(folder, 'exports')).catch(() => [] as string[]))
    if (!known.has(name))
      ills.push({
        message: `exports/${name} belongs to no export.`,
        cure: 'it is removed; it can be made again',
        mend: () => rm(join(folder, 'exports', name), { recursive: true, force: true }),
      });
  return { seen: [`${rows.length} exports were looked at.`], ills };
}

/** What was begun and not ended. */
async function leavingsOf(folder: string): Promise<Examination> {
  const parts = (
    await Promise.all(
      ['assets', 'cache', 'copies'].map((name) => contentsOf(join(/*turbopackIgnore: true*/ folder, name))),
    )
  )
    .flat()
    .filter(({ path }) => path.endsWith('.part'));
  const left = [...parts, ...(await contentsOf(join(folder, 'incoming')))];
  if (left.length === 0) return { seen: [], ills: [] };
  const bytes = left.reduce((sum, f) => sum + f.bytes, 0);
  return {
    seen: [],
    ills: [
      {
        message: `${left.length} files were begun and not ended (${(bytes / MB).toFixed(1)} MB).`,
        cure: 'they are removed',
        mend: async () => {
          for (const { path } of left) await rm(path, { recursive: true, force: true });
        },
      },
    ],
  };
}

async function roomOf(folder: string): Promise<Examination> {
  const { bavail, bsize } = await statfs(folder);
  const free = (bavail * bsize) / MB;
  const sizes = await Promise.all(
    ['assets', 'exports', 'cache', 'copies'].map(async (name) => {
      const bytes = (await contentsOf(join(/*turbopackIgnore: true*/ folder, name))).reduce(
        (sum, f) => sum + f.bytes,
        0,
      );
      return `${name} ${(bytes / MB).toFixed(1)} MB`;
    }),
  );
  return {
    seen: [`${sizes.join(', ')}; ${Math.round(free)} MB are free.`],
    ills: free < LITTLE_ROOM ? said(`Only ${Math.round(free)} MB are free on the disk. Make room on it.`) : [],
  };
}

function copiesOf(days: readonly string[], now: Date): Examination {
  const [newest] = days;
  if (newest === undefined)
    return { seen: ['There is no copy of the database yet: the server makes one each day.'], ills: [] };
  const age = Math.floor((now.getTime() - Date.parse(newest)) / DAY);
  return {
    seen: [`${days.length} copies of the database, the newest of ${newest}.`],
    ills:
      age > 2 ? said(`The newest copy of the database is ${age} days old. The server makes one each day it runs.`) : [],
  };
}
