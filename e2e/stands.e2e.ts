import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from '@playwright/test';
import { hostileAtServer } from '../scripts/siege/hostile';
import { kills } from '../scripts/siege/kills';
import { box, makeJob, words } from '../src/testing/jobs';
import { DatabaseFile, databasePath } from '../src/upkeep';
import { openJob, saved } from './helpers';
import { OwnServer, endServers, freePort } from './own-server';
import { ALONE, test } from './test';

let data: string;

test.beforeEach(() => {
  data = mkdtempSync(join(tmpdir(), 'yellow-sheet-stands-'));
});
test.afterEach(async () => {
  await endServers();
  rmSync(data, { recursive: true, force: true });
});

const json = (base: string) => ({ origin: base, 'content-type': 'application/json' });

const begun = (base: string, id: string, document: object) =>
  fetch(`${base}/api/jobs`, {
    method: 'POST',
    headers: json(base),
    body: JSON.stringify({ document: { ...document, id, name: id }, label: 'Begun' }),
  });

// Each has a server of its own: they need not wait for each other.
test.describe.configure({ mode: 'parallel' });

// The whole of both is `npm run siege`.
test('every eightieth of the hostile things is answered in words, ends nothing and leaves nothing', async () => {
  const found = await hostileAtServer(1 / 80);
  expect({ crashes: found.crashes, errors: found.errors, left: found.left }, found.notes.join('\n')).toEqual({
    crashes: 0,
    errors: 0,
    left: 0,
  });
  expect(found.notes.filter((note) => note.includes('without words'))).toEqual([]);
});

test('killed while saving, uploading, exporting, at the first start: nothing acknowledged is lost', ALONE, async () => {
  const found = await kills({ saving: 4, uploading: 1, exporting: 1, firstStart: 1 });
  expect({ lost: found.lost, left: found.left, notes: found.notes.slice(1) }).toEqual({ lost: 0, left: 0, notes: [] });
});

test('work that takes more than it may is stopped, said on the card, and tried again only when it is wanted', async ({
  page,
}) => {
  // So little is not enough for any first drawing, whose fonts and colours have to be read.
  const server = await OwnServer.on({ YS_DATA: data, YS_WORK_SECONDS: '0.05' });
  await begun(server.base, 'night-sky', makeJob([words('w', 'Look up at night. '.repeat(4_000), [5, 5, 60, 200])]));
  await page.goto(server.base);
  const card = page.getByRole('article');
  await expect(card).toContainText('Drawing this job took more than 0.05 seconds of computing and was stopped.');
  await expect(card).toContainText('Checking this job took more than');
  await server.kill();
  // The same data under a server that gives it time.
  const patient = await OwnServer.on({ YS_DATA: data });
  await page.goto(patient.base);
  await expect(card).toContainText('Drawing this job took');
  await card.getByRole('button', { name: /is not drawn/ }).click();
  await card.getByRole('button', { name: /is not checked/ }).click();
  await expect(card).not.toContainText('Drawing this job took');
  await expect(card).not.toContainText('Checking this job took');
});

test('a second server on the same data says so and ends', async () => {
  const server = await OwnServer.on({ YS_DATA: data });
  const next = createRequire(import.meta.url).resolve('next/dist/bin/next');
  const args = [next, 'start', '-H', '127.0.0.1', '-p', String(await freePort())];
  const second = spawn(process.execPath, args, {
    env: { ...process.env, YS_HOME: process.cwd(), YS_DATA: data },
    stdio: ['ignore', 'ignore', 'pipe'],
  });
  let said = '';
  second.stderr.on('data', (text: Buffer) => (said += text.toString()));
  const [code] = (await once(second, 'exit')) as [number];
  expect(said).toContain('Another server is working with');
  expect(code).toBe(1);
  expect((await fetch(`${server.base}/api/jobs`)).status).toBe(200);
});

test('a job whose newest state cannot be read goes on from the one before', async ({ page }) => {
  const server = await OwnServer.on({ YS_DATA: data });
  await begun(server.base, 'broken', makeJob([box('b', [10, 10, 40, 40])]));
  await server.kill();
  const database = await DatabaseFile.change(databasePath(data));
  await database.all(
    "INSERT INTO revisions (jobId, number, kind, label, hash, document, createdAt) SELECT jobId, 2, 'edit', " +
      "'Edit', 'x', x'00ff', createdAt FROM revisions",
  );
  await database.all('UPDATE jobs SET head = 2');
  await database.close();
  await server.start();
  await page.goto(`${server.base}/jobs/broken`);
  await expect(page.getByText('The newest state of this job, revision 2, can no longer be read.')).toBeVisible();
  await page.getByRole('button', { name: 'Go on from revision 1' }).click();
  await expect(page.locator('[data-bench]')).toBeVisible();
  await saved(page);
  const now = (await (await fetch(`${server.base}/api/jobs/broken`)).json()) as { head: number };
  expect(now.head).toBe(3);
});

test('a damaged database is said on the page', ALONE, async ({ page }) => {
  const server = await OwnServer.on({ YS_DATA: data });
  for (let i = 0; i < 30; i += 1) await begun(server.base, `job-${i}`, makeJob([box('b', [10, 10, 40, 40])]));
  await server.kill();
  const database = await DatabaseFile.change(databasePath(data));
  await database.all('PRAGMA wal_checkpoint(TRUNCATE)');
  await database.close();
  const { open: openFile } = await import('node:fs/promises');
  const file = await openFile(databasePath(data), 'r+');
  await file.write(Buffer.alloc(64, 0xa5), 0, 64, 0);
  await file.close();
  await server.start(false);
  await expect
    .poll(() =>
      fetch(`${server.base}/api/jobs`).then(
        (answer) => answer.status,
        () => 0,
      ),
    )
    .toBe(500);
  await page.goto(server.base);
  await expect(page.getByText('is damaged. Stop the server and put back its last copy')).toBeVisible();
});

test('addresses that nobody can have written, and pages of other sites, get words', async () => {
  const { base } = await OwnServer.on({ YS_DATA: data });
  const asked = async (path: string, headers: Record<string, string> = {}) => {
    const answer = await fetch(`${base}${path}`, { headers });
    return [answer.status, ((await answer.json()) as { error: { message: string } }).error.message] as const;
  };
  const nothing = [404, 'There is nothing at this address.'];
  for (const path of ['/api/jobs/%ff', '/api/jobs/%00', '/api/jobs/x%2F..%2F..%2F', '/api/nothing/at/all'])
    expect(await asked(path), path).toEqual(nothing);
  for (const from of ['cross-site', 'same-site'])
    expect(await asked('/api/jobs', { 'sec-fetch-site': from })).toEqual([403, 'This request came from another site.']);
});

test('a file that is read in the page can be stopped, and changes nothing', ALONE, async ({ page }) => {
  await openJob(page, 'demo-moon-calendar');
  await page.keyboard.press('Alt+3');
  for (let i = 0; i < 4; i += 1) await page.keyboard.press('PageDown');
  // Each second of six years, three hundred times.
  const event = (i: number) =>
    `BEGIN:VEVENT\r\nUID:${i}\r\nDTSTART:20200101T000000Z\r\nSUMMARY:Tick ${i}\r\nRRULE:FREQ=SECONDLY\r\nEND:VEVENT`;
  const ics = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    ...Array.from({ length: 300 }, (_, i) => event(i)),
    'END:VCALENDAR',
  ].join('\r\n');
  await page
    .getByLabel('A calendar file')
    .setInputFiles({ name: 'never.ics', mimeType: 'text/calendar', buffer: Buffer.from(ics) });
  await page.getByRole('button', { name: 'Stop never.ics' }).click();
  await expect(page.getByText('never.ics: It was stopped. Nothing was changed.')).toBeVisible();
});
