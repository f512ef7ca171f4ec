import { spawn } from 'node:child_process';
import { once } from 'node:events';
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  utimesSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createJob, readCurrent } from '../server/jobs';
import { addAsset } from '../server/assets';
import { closeStore, store } from '../server/store/database';
import { contentHash } from '../core/save';
import { testOfAll } from '../testing/all';
import { makeJob } from '../testing/jobs';
import { python } from '../testing/programs';
import { ys } from '../testing/ys';
import { COPIES_KEPT, copyDays, copyOfDay, databasePath, faultsOf, prune, putBack, takeHold } from '.';

let data: string;

beforeEach(async () => {
  await closeStore();
  data = mkdtempSync(join(tmpdir(), 'yellow-sheet-upkeep-'));
  process.env['YS_DATA'] = data;
});
afterEach(async () => {
  await closeStore();
  rmSync(data, { recursive: true, force: true });
});

const jobCalled = (name: string) => createJob({ ...makeJob(), id: name, name }, 'Begun');
const doctor = (...more: readonly string[]) => ys('doctor', '--data', data, ...more);

describe('copies of the database', () => {
  test('one a day, made while it is written to; ten are kept, each of them sound', async () => {
    await jobCalled('first');
    for (let day = 10; day < 22; day += 1) await copyOfDay(data, `2026-11-${day}`);
    await copyOfDay(data, '2026-11-21');
    const days = await copyDays(data);
    expect(days).toHaveLength(COPIES_KEPT);
    expect(days.at(0)).toBe('2026-11-21');
    expect(days.at(-1)).toBe('2026-11-12');
    expect(readdirSync(join(data, 'copies')).filter((name) => name.endsWith('.part'))).toEqual([]);
    expect(await faultsOf(join(data, 'copies', 'yellow-sheet-2026-11-21.sqlite'))).toEqual([]);
  });

  test('put back, the jobs of that day are there, and the database from before beside it', async () => {
    await jobCalled('first');
    await copyOfDay(data, '2026-11-20');
    await jobCalled('second');
    await closeStore();
    const { status, stderr } = ys('restore', '--data', data, '--of', '2026-11-20');
    expect(stderr).toContain('The copy of 2026-11-20 is the database now.');
    expect(status).toBe(0);
    expect((await readCurrent('first')).job.name).toBe('first');
    await expect(readCurrent('second')).rejects.toThrow('There is no such job.');
    expect(readdirSync(data).some((name) => /\.before-2/.test(name))).toBe(true);
  });

  test('a copy that is damaged takes the place of nothing', async () => {
    await jobCalled('first');
    await copyOfDay(data, '2026-11-20');
    const copy = join(data, 'copies', 'yellow-sheet-2026-11-20.sqlite');
    writeFileSync(copy, readFileSync(copy).fill(0xa5, 0, 2_000));
    await closeStore();
    const before = readFileSync(databasePath(data));
    await expect(putBack(data, '2026-11-20', new Date())).rejects.toThrow('is not sound');
    expect(readFileSync(databasePath(data)).equals(before)).toBe(true);
  });

  test('where a database is gone and copies of it are there, no empty one is begun', async () => {
    await jobCalled('first');
    await copyOfDay(data, '2026-11-20');
    await closeStore();
    for (const ending of ['', '-wal', '-shm']) rmSync(`${databasePath(data)}${ending}`, { force: true });
    await expect(store()).rejects.toThrow('The database is no longer in');
    expect(existsSync(databasePath(data))).toBe(false);
  });

  test('a database that is taken away under a server is missed at the next request', async () => {
    await jobCalled('first');
    rmSync(databasePath(data));
    await expect(jobCalled('second')).rejects.toThrow('The database is no longer in');
  });
});

describe('one program at a time', () => {
  testOfAll('a second one is refused while the first lives, and not after it was killed', async () => {
    const script =
      `import('${process.cwd()}/src/upkeep/index.ts').then(async (m) => { globalThis.hold = await ` +
      `m.takeHold('${data}'); console.log('held'); setInterval(() => {}, 1000); })`;
    const first = spawn(process.execPath, ['--import', './scripts/test-modules.mjs', '--no-warnings', '-e', script], {
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    try {
      await once(first.stdout, 'data');
      expect(await takeHold(data, 100)).toBeUndefined();
      expect(doctor('--mend')).toMatchObject({ status: 1 });
    } finally {
      const ended = once(first, 'exit');
      first.kill('SIGKILL');
      await ended;
    }
    const hold = await takeHold(data, 100);
    expect(hold).toBeDefined();
    await hold?.letGo();
  });
});

describe('the doctor', () => {
  const png = () => readFileSync('docs/screenshots/board.png');

  test('has nothing to say of what is sound', async () => {
    await jobCalled('first');
    await addAsset('board.png', png());
    await closeStore();
    const { status, stderr } = doctor();
    expect(stderr).toContain('1 jobs with 1 revisions were read.');
    expect(stderr).toContain('Everything is as it should be.');
    expect(status).toBe(0);
  });

  test('finds each thing that is not as it should be, and mends what can be', async () => {
    await jobCalled('first');
    const { models } = await store();
    const [row] = await models.revisions.findAll();
    const broken = {
      jobId: 'first',
      number: 2,
      step: null,
      kind: 'edit' as const,
      label: 'x',
      hash: 'x',
      document: Buffer.from('x'),
    };
    await models.revisions.create(broken);
    await models.jobs.update({ head: 2 }, { where: { id: 'first' } });
    const { sha } = await addAsset('board.png', png());
    writeFileSync(join(data, 'assets', sha), 'not it');
    writeFileSync(join(data, 'assets', 'f'.repeat(64)), 'nobody knows me');
    writeFileSync(join(data, 'cache', 'half.part'), 'half');
    mkdirSync(join(data, 'exports', 'nobody'));
    await models.exports.create({
      id: 'gone',
      jobId: 'first',
      revision: 1,
      kind: 'press',
      state: 'done',
      share: 1,
      step: 'Done',
      problem: null,
      files: '[]',
    });
    await closeStore();

    const looked = doctor();
    expect(looked.status).toBe(1);
    for (const words of [
      'The newest revision of “first”, 2, can no longer be read.',
      'The file of “board.png” is damaged.',
      'is known to no job',
      '1 files were begun and not ended',
      'exports/nobody belongs to no export',
      'The files of an export (press) are gone',
    ])
      expect(looked.stderr).toContain(words);

    const mended = doctor('--mend');
    expect(mended.stderr).toContain('Mended: revision 1 is laid on top as the newest.');
    // What was read of the broken revision stays in the log, and is said.
    expect(doctor().stderr).toContain('Revision 2 of “first” can no longer be read');
    const now = await readCurrent('first');
    expect([now.head, contentHash(now.job)]).toEqual([3, row?.hash]);
    expect(readdirSync(join(data, 'lost-and-found'))).toHaveLength(2);
    expect(readdirSync(join(data, 'exports'))).toEqual([]);
  });

  // PRAGMA integrity_check as Debian's own SQLite runs it, where it is at hand.
  test('a damaged database is called damaged by SQLite and by the doctor', async () => {
    for (let i = 0; i < 40; i += 1) await jobCalled(`job-${i}`);
    const { sequelize } = await store();
    await sequelize.query('PRAGMA wal_checkpoint(TRUNCATE)');
    await closeStore();
    const path = databasePath(data);
    const bytes = readFileSync(path);
    writeFileSync(path, bytes.fill(0xa5, Math.floor(bytes.length / 2), Math.floor(bytes.length / 2) + 9_000));
    const asked = `
import sqlite3
try:
  said = sqlite3.connect(data).execute('PRAGMA integrity_check').fetchone()[0]
except sqlite3.DatabaseError as error:
  said = str(error)
print(json.dumps(said))`;
    expect(python(asked, path)).not.toBe('ok');
    const { status, stderr } = doctor();
    expect(stderr).toContain('The database is damaged');
    expect(status).toBe(1);
  });
});

test('what can be made again is cleared away by age and by size, the oldest first', async () => {
  const now = Date.now();
  const made = (name: string, days: number, bytes: number) => {
    writeFileSync(join(data, name), Buffer.alloc(bytes));
    const at = new Date(now - days * 86_400_000);
    utimesSync(join(data, name), at, at);
  };
  made('old', 100, 10);
  made('older', 200, 10);
  made('large', 20, 900_000);
  made('large and older', 30, 900_000);
  made('fresh', 1, 10);
  await prune(data, { days: 90, megabytes: 1 }, now);
  expect(readdirSync(data).sort()).toEqual(['fresh', 'large']);
});
