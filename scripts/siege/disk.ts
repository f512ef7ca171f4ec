import { execFileSync } from 'node:child_process';
import {
  chmodSync,
  closeSync,
  existsSync,
  mkdtempSync,
  openSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
  writeSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { OwnServer } from '../../e2e/own-server';
import { box, makeJob, words } from '../../src/testing/jobs';
import { DatabaseFile, databasePath } from '../../src/upkeep';
import { pause, type Found } from './watch';

/** Longest until it is said, ms. */
const SAID = 1_000;

interface Said {
  readonly status: number;
  readonly ms: number;
  readonly message: string;
}

async function said(base: string, path: string, init?: RequestInit): Promise<Said> {
  const at = Date.now();
  try {
    const answer = await fetch(`${base}${path}`, init);
    const body = (await answer.json()) as { error?: { message?: string; todo?: string } };
    return {
      status: answer.status,
      ms: Date.now() - at,
      message: `${body.error?.message ?? ''} ${body.error?.todo ?? ''}`.trim(),
    };
  } catch (error) {
    return { status: 0, ms: Date.now() - at, message: String(error) };
  }
}

const save = (base: string, id: string) =>
  said(base, '/api/jobs', {
    method: 'POST',
    headers: { origin: base, 'content-type': 'application/json' },
    body: JSON.stringify({
      document: { ...makeJob([box('b', [1, 1, 9, 9]), words('w', 'night '.repeat(300), [5, 5, 60, 90])]), id },
      label: 'Begun',
    }),
  });

/** Writes over part of a file. */
function spoil(path: string, share: number, bytes: number): void {
  const file = openSync(path, 'r+');
  const size = statSync(path).size;
  writeSync(file, Buffer.alloc(bytes, 0xa5), 0, bytes, Math.floor((size - bytes) * share));
  closeSync(file);
}

/** Disks and databases that are not as they should be: the server lives, and says so within a second. */
export async function disks(): Promise<Found> {
  const notes: string[] = [];
  let [tried, crashes, lost, slowest, errors] = [0, 0, 0, 0, 0];
  const expect = (what: string, { status, ms, message }: Said, words: RegExp): void => {
    tried += 1;
    slowest = Math.max(slowest, ms);
    if (status === 0) crashes += 1;
    const isSaid = words.test(message) && ms <= SAID;
    if (!isSaid) errors += 1;
    notes.push(`${isSaid ? '✓' : '✕'} ${what}: ${status} in ${ms} ms, “${message}”`);
  };
  const folder = () => mkdtempSync(join(tmpdir(), 'yellow-sheet-siege-'));

  // Full: a small disk of its own, where this may be made.
  const small = folder();
  const isMounted = ((): boolean => {
    try {
      execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=3m', 'tmpfs', small], { stdio: 'ignore' });
      return true;
    } catch {
      return false;
    }
  })();
  if (isMounted) {
    const server = await OwnServer.on({ YS_DATA: small }, true);
    let kept = 0;
    let answer = await save(server.base, 'j0');
    for (let i = 1; i < 5_000 && answer.status === 200; i += 1) {
      kept += 1;
      answer = await save(server.base, `j${i}`);
    }
    expect('a full disk', answer, /is full/);
    const there = (await (await fetch(`${server.base}/api/jobs`)).json()) as { jobs: unknown[] };
    if (there.jobs.length < kept) lost += kept - there.jobs.length;
    const upload = { method: 'POST', headers: { origin: server.base }, body: Buffer.alloc(4_000_000, 1) };
    expect('a full disk, uploading', await said(server.base, '/api/assets?name=x.png', upload), /is full/);
    await server.kill();
    execFileSync('umount', [small]);
  } else notes.push('A full disk was not tried: no small disk can be made here.');
  rmSync(small, { recursive: true, force: true });

  // Read-only, for whoever is not root; for root by a mount.
  const fixed = folder();
  const writable = await OwnServer.on({ YS_DATA: fixed }, true);
  await save(writable.base, 'kept');
  await writable.kill();
  if (isMounted) {
    execFileSync('mount', ['--bind', fixed, fixed]);
    execFileSync('mount', ['-o', 'remount,bind,ro', fixed]);
  } else chmodSync(fixed, 0o555);
  const reading = await OwnServer.begun({ YS_DATA: fixed }, true);
  await pause(4_000);
  expect('a read-only disk', await save(reading.base, 'more'), /cannot be written/);
  await reading.kill();
  if (isMounted) execFileSync('umount', [fixed]);
  else chmodSync(fixed, 0o755);
  rmSync(fixed, { recursive: true, force: true });

  // Damaged in five places: its head, its schema, in the middle, near the end, and cut in half.
  const places: readonly (readonly [what: string, damage: (path: string) => void])[] = [
    ['the head of the database', (path) => spoil(path, 0, 64)],
    ['its first page', (path) => spoil(path, 0.004, 3_000)],
    ['its middle', (path) => spoil(path, 0.5, 20_000)],
    ['its end', (path) => spoil(path, 0.95, 12_000)],
    [
      'all after its half',
      (path) => execFileSync('truncate', ['-s', String(Math.floor(statSync(path).size / 2)), path]),
    ],
  ];
  for (const [what, damage] of places) {
    const data = folder();
    const server = await OwnServer.on({ YS_DATA: data }, true);
    for (let i = 0; i < 30; i += 1) await save(server.base, `j${i}`);
    await server.kill();
    const database = await DatabaseFile.change(databasePath(data));
    await database.all('PRAGMA wal_checkpoint(TRUNCATE)');
    await database.close();
    damage(databasePath(data));
    const damaged = await OwnServer.begun({ YS_DATA: data }, true);
    await pause(4_000);
    const answers = [
      await said(damaged.base, '/api/jobs'),
      await save(damaged.base, 'more'),
      ...(await Promise.all(Array.from({ length: 30 }, (_, i) => said(damaged.base, `/api/jobs/j${i}`)))),
    ];
    const worst = answers.find((a) => /damaged|can no longer be read/.test(a.message)) ?? answers[0];
    // Where the damage touches nothing that is asked for, the copy of the day and the console say it.
    if (worst)
      expect(
        `damage: ${what}`,
        worst,
        answers.every((a) => a.status === 200 || a.status === 404) ? /.*/ : /damaged|can no longer be read/,
      );
    await damaged.kill();
    rmSync(data, { recursive: true, force: true });
  }

  // Taken away while the server runs.
  const data = folder();
  const server = await OwnServer.on({ YS_DATA: data }, true);
  await save(server.base, 'kept');
  for (const name of readdirSync(data).filter((n) => n.startsWith('yellow-sheet.sqlite')))
    renameSync(join(data, name), join(data, `away-${name}`));
  expect('a database that was taken away', await save(server.base, 'more'), /no longer in/);
  if (existsSync(databasePath(data))) notes.push('✕ another one was begun in its place');
  await server.kill();
  writeFileSync(join(data, 'note'), '');
  rmSync(data, { recursive: true, force: true });
  return { part: 'disks and databases', tried, lost, crashes, errors, slowest, others: 0, left: 0, memory: 0, notes };
}
