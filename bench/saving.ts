import { randomUUID } from 'node:crypto';
import { once as heard } from 'node:events';
import { join } from 'node:path';
import sqlite3 from 'sqlite3';
import type { Job } from '../src/core/job';
import { acknowledged, contentHash, noted, savedAs, sent, type Saving } from '../src/core/save';
import { makeJob } from '../src/testing/jobs';
import { crowdedPage } from './pages';
import { ms, note, times } from './report';
import { BASE, JSON_HEADERS, post, served } from './served';

/** Size of a job as it is met at work, bytes. */
const USUAL = 85_000;
const SAVES = 60;
const WARMING = 10;
const WRITERS = 8;

const sizeOf = (value: unknown): number => Buffer.byteLength(JSON.stringify(value));

/** A job of at least the usual size. */
function usualJob(id: string): Job {
  for (let count = 20; ; count += 5) {
    const job = { ...makeJob(crowdedPage(count)), id };
    if (sizeOf(job) >= USUAL) return job;
  }
}

/** One element of the first page moved a little. */
function moved(job: Job, n: number): Job {
  const [piece] = job.pieces;
  const front = piece?.surfaces['front'];
  const at = (n * 7) % (front?.length ?? 1);
  if (!piece || !front) throw new Error('there is nothing to move');
  const elements = front.map((e, i) => (i === at ? { ...e, name: `moved ${n}` } : e));
  return { ...job, pieces: [{ ...piece, surfaces: { ...piece.surfaces, front: elements } }] };
}

interface Saved {
  readonly ms: number;
  readonly bytes: number;
}

/**
 * What the page of somebody who changes one thing and saves, again and again, sends: worked out before it is measured,
 * as many pages do not share one machine.
 */
async function preparedSaves(id: string): Promise<readonly string[]> {
  await post(usualJob(id));
  const { job, head } = (await (await fetch(`${BASE}/api/jobs/${id}`)).json()) as { job: Job; head: number };
  let saving: Saving = savedAs(head, job);
  let newest = job;
  return Array.from({ length: SAVES }, (_, n) => {
    newest = moved(newest, n);
    const step = { id: randomUUID(), kind: 'edit', label: 'Edit', document: newest } as const;
    const { saving: under, request } = sent(noted(saving, step, false, 0), 0);
    saving = acknowledged(under, 1, { head: head + n + 1, hash: contentHash(newest) }, 0);
    return JSON.stringify(request);
  });
}

/** Sends them one after another. */
async function writer(id: string, bodies: readonly string[]): Promise<readonly Saved[]> {
  const all: Saved[] = [];
  for (const body of bodies) {
    const start = performance.now();
    const answer = await fetch(`${BASE}/api/jobs/${id}/revisions`, { method: 'POST', headers: JSON_HEADERS, body });
    await answer.arrayBuffer();
    if (!answer.ok) throw new Error(`a save was answered with ${answer.status}`);
    all.push({ ms: performance.now() - start, bytes: Buffer.byteLength(body) });
  }
  // The first are the server’s own beginning.
  return all.slice(WARMING);
}

/** One empty row written to a database of the same kind on the same disk, ms. */
async function emptyWrite(folder: string): Promise<readonly number[]> {
  const database = new sqlite3.Database(join(folder, 'floor.sqlite'));
  const run = (sql: string) =>
    new Promise<void>((resolve, reject) => {
      database.exec(sql, (error) => (error ? reject(error) : resolve()));
    });
  await run('PRAGMA journal_mode = WAL; PRAGMA synchronous = FULL; CREATE TABLE empty (id INTEGER PRIMARY KEY);');
  const all: number[] = [];
  for (let n = 0; n < SAVES; n += 1) {
    const start = performance.now();
    await run('INSERT INTO empty DEFAULT VALUES;');
    all.push(performance.now() - start);
  }
  const closed = heard(database, 'close');
  database.close();
  await closed;
  return all;
}

const part = (list: readonly number[], share: number): number =>
  [...list].sort((a, b) => a - b)[Math.floor(list.length * share)] ?? 0;

/** One change of a usual job: what is sent, and how long until the server has it; alone and with eight writers. */
export const saving = (): Promise<void> =>
  served({}, async (data) => {
    const floor = await emptyWrite(data);
    const alone = await writer('alone', await preparedSaves('alone'));
    const whole = sizeOf(usualJob('alone'));
    const most = Math.max(...alone.map(({ bytes }) => bytes));
    note(
      `one change of a job of ${Math.round(whole / 1000)} kB, sent (wanted: under 4 kB; floor: all of it)`,
      `${(most / 1000).toFixed(1)} kB`,
      `${Math.round(whole / 1000)} kB`,
      times(most, whole),
    );
    const [half, empty] = [
      part(
        alone.map((s) => s.ms),
        0.5,
      ),
      part(floor, 0.5),
    ];
    note(
      '… until it is kept (wanted: under 50 ms; floor: an empty row written to the same disk)',
      ms(half),
      ms(empty),
      times(half, empty),
    );
    const [slow, slowEmpty] = [
      part(
        alone.map((s) => s.ms),
        0.95,
      ),
      part(floor, 0.95),
    ];
    note('… its 95th percentile', ms(slow), ms(slowEmpty), times(slow, slowEmpty));
    const prepared: [string, readonly string[]][] = [];
    for (let i = 0; i < WRITERS; i += 1) prepared.push([`writer-${i}`, await preparedSaves(`writer-${i}`)]);
    const many = await Promise.all(prepared.map(([id, bodies]) => writer(id, bodies)));
    const crowd = part(
      many.flat().map((s) => s.ms),
      0.95,
    );
    note(
      `… with ${WRITERS} writers, 95th percentile (wanted: under 150 ms; floor: as many empty rows)`,
      ms(crowd),
      ms(slowEmpty * WRITERS),
      times(crowd, slowEmpty * WRITERS),
    );
  });
