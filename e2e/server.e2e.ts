import { readdirSync } from 'node:fs';
import { request as rawRequest } from 'node:http';
import { join } from 'node:path';
import { expect } from '@playwright/test';
import { strToU8, zipSync } from 'fflate';
import { PORT, dataOf } from '../playwright.config';
import { open, openJob, saved } from './helpers';
import { ALONE, test } from './test';

const BASE = `http://127.0.0.1:${PORT}`;

const DATA = dataOf(PORT);
const own = { origin: BASE };

interface Answer {
  readonly error?: { readonly message: string; readonly todo: string };
  readonly id?: string;
}

const post = async (path: string, body: BodyInit, headers: Record<string, string> = own) => {
  const response = await fetch(`${BASE}${path}`, { method: 'POST', body, headers });
  return { status: response.status, body: (await response.json()) as Answer };
};

const leavings = () =>
  [...readdirSync(join(DATA, 'assets')), ...readdirSync(join(DATA, 'cache')).filter((n) => n.endsWith('.part'))].sort();

/** What is answered to a body whose rest never comes. */
const askedInVain = () =>
  new Promise<{ status: number | undefined; body: string }>((resolve, reject) => {
    const headers = { origin: BASE, 'content-length': '100000' };
    const sending = rawRequest(`${BASE}/api/assets?name=slow.png`, { method: 'POST', headers }, (response) => {
      let body = '';
      response.on('data', (part: Buffer) => (body += part.toString()));
      response.on('end', () => resolve({ status: response.statusCode, body }));
    });
    sending.on('error', reject);
    sending.write('only the beginning');
  });

test.describe('hostile and broken uploads get a clear message, change nothing and leave nothing', () => {
  const jpeg = Buffer.from('/9j/4AAQSkZJRgABAQEASABIAAD/2wBDAP//////', 'base64');
  const huge = (() => {
    const b = Buffer.alloc(33 + 25);
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13]).copy(b);
    b.write('IHDR', 12, 'latin1');
    b.writeUInt32BE(40_000, 16);
    b.writeUInt32BE(40_000, 20);
    b.set([8, 2, 0, 0, 0], 24);
    b.writeUInt32BE(0x2d1a0c5e, 29);
    return b;
  })();
  const job = { format: 'yellow-sheet-job', version: 1, id: 'x', name: 'x', pieces: 'none' };
  const cases: readonly (readonly [name: string, path: string, body: Uint8Array<ArrayBuffer>, words: RegExp])[] = [
    ['a truncated JPEG', '/api/assets?name=cut.jpg', Uint8Array.from(jpeg), /damaged or cut short/],
    ['a 40,000 × 40,000 px PNG', '/api/assets?name=huge.png', Uint8Array.from(huge), /40000 × 40000|damaged/],
    ['text renamed .png', '/api/assets?name=words.png', Uint8Array.from(strToU8('only words')), /not a picture/],
    [
      'a font that is not one',
      '/api/assets?name=x.ttf',
      Uint8Array.from(strToU8('only words, but a fair number')),
      /not a font/,
    ],
    ['a job file with a wrong type', '/api/import', Uint8Array.from(strToU8(JSON.stringify(job))), /cannot be opened/],
    [
      'a zip with ../',
      '/api/import',
      Uint8Array.from(zipSync({ 'job.json': strToU8('{}'), '../../x': strToU8('x') })),
      /cannot be opened/,
    ],
  ];
  for (const [name, path, body, words] of cases) {
    test(name, async () => {
      const [before, jobs] = [leavings(), await (await fetch(`${BASE}/api/jobs`)).text()];
      const answer = await post(path, body);
      expect(answer.status).toBe(422);
      expect(answer.body.error?.message).toMatch(words);
      expect(answer.body.error?.todo).not.toBe('');
      expect(leavings()).toEqual(before);
      expect(await (await fetch(`${BASE}/api/jobs`)).text()).toBe(jobs);
    });
  }
  test('the page says so, and the job is as it was', async ({ page }) => {
    await openJob(page, 'demo-meteor-night');
    await page
      .getByLabel('Pictures, drawings, PDFs and fonts to bring in')
      .setInputFiles({ name: 'words.png', mimeType: 'image/png', buffer: Buffer.from('only words') });
    await expect(page.getByRole('alert').filter({ hasText: 'is not a picture' })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  });
});

/** The server waits for it a while: it is asked while other tests run, none of which looks at what lies on the disk. */
let stalled: ReturnType<typeof askedInVain> | undefined;
test('a body whose rest does not come keeps nobody from being answered', async () => {
  stalled = askedInVain();
  expect((await fetch(`${BASE}/api/jobs`)).status).toBe(200);
});

test.describe('who may write', () => {
  test('only a page of this very server', async () => {
    expect((await post('/api/jobs', '{}', { origin: 'http://evil.example' })).status).toBe(403);
    expect((await post('/api/jobs', '{}', { origin: 'http://127.0.0.1:1' })).status).toBe(403);
    expect((await post('/api/jobs', '{}', {})).status).toBe(403);
    expect((await post('/api/jobs', '{}')).status).toBe(400);
  });
  test('and nobody under another name', async () => {
    const status = await new Promise<number | undefined>((resolve) =>
      rawRequest(`${BASE}/api/jobs`, { headers: { host: 'evil.example' } }, (r) => {
        r.resume();
        resolve(r.statusCode);
      }).end(),
    );
    expect(status).toBe(421);
  });
  test('every page carries the strict headers, and none of its scripts breaks them', async ({ page }) => {
    const broken: string[] = [];
    page.on('console', (m) => /Content Security Policy/i.test(m.text()) && broken.push(m.text()));
    const response = await page.goto(`${BASE}/jobs/demo-meteor-night`);
    const policy = response?.headers()['content-security-policy'] ?? '';
    expect(policy).toContain("default-src 'none'");
    expect(policy).not.toContain("'unsafe-eval'");
    expect(policy).not.toMatch(/script-src[^;]*'unsafe-inline'/);
    expect(response?.headers()['x-content-type-options']).toBe('nosniff');
    expect(response?.headers()['x-frame-options']).toBe('DENY');
    await expect(page.locator('[data-bench]')).toBeVisible();
    expect(broken).toEqual([]);
  });
  test('what is wrong is answered in one shape', async () => {
    for (const path of [
      '/api/jobs/none',
      '/api/exports/none',
      '/api/jobs/demo-meteor-night/revisions/99999',
      '/api/assets/zz/bench?profile=coated-fogra39',
    ]) {
      const response = await fetch(`${BASE}${path}`);
      expect(response.status).toBe(404);
      expect(await response.json()).toMatchObject({
        error: { message: expect.stringMatching(/./), todo: expect.stringMatching(/./) },
      });
    }
  });
});

test('an address that can name nothing is refused in words, and a name may have a percent sign', async () => {
  for (const path of [
    'jobs/%00',
    'jobs/x%2F..%2F..%2Fa/thumbnail?rev=1',
    'jobs/..%2Fa',
    'jobs/one/revisions/-1',
    'assets/abc/bench',
    'papers/%00',
    `jobs/${'a'.repeat(200)}`,
  ]) {
    const answer = await fetch(
      `${BASE}/api/${path}`,
      path.startsWith('papers') ? { method: 'DELETE', headers: own } : {},
    );
    expect([path, answer.status]).toEqual([path, 404]);
    expect(((await answer.json()) as Answer).error?.message).toBe('There is nothing at this address.');
  }
  const gone = await fetch(`${BASE}/api/papers/100%25%20cotton`, { method: 'DELETE', headers: own });
  expect(((await gone.json()) as Answer).error?.message).toBe('There is no paper called “100% cotton”.');
});

test('two people on one job: the later save is refused, both versions kept, and the designer chooses', async ({
  browser,
}) => {
  const one = await browser.newPage();
  const two = await browser.newPage();
  for (const page of [one, two]) await openJob(page, 'demo-open-day');
  await one.keyboard.press('x');
  await saved(one);
  await two.keyboard.press('o');
  const dialog = two.getByRole('dialog', { name: 'This job was saved elsewhere' });
  await expect(dialog).toBeVisible();
  await expect(dialog).toContainText('was added');
  await dialog.getByRole('button', { name: 'Go on with mine' }).click();
  await saved(two);
  await expect(two.locator('[data-element]')).toHaveCount(1);
  const { revisions } = (await (await fetch(`${BASE}/api/jobs/demo-open-day/revisions`)).json()) as {
    revisions: unknown[];
  };
  expect(revisions.length).toBe(3);
  await one.close();
  await two.close();
});

test('when the server goes away the work is kept, and saved when it is back', async ({ page }) => {
  await openJob(page, 'demo-winter-talks');
  await page.route('**/revisions', (route) => route.abort());
  await page.keyboard.press('x');
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'away');
  await page.unroute('**/revisions');
  await saved(page);
});

test('the board: search, take off and put back', ALONE, async ({ page }) => {
  await open(page, '/');
  await page.keyboard.press('/');
  await page.keyboard.type('winter');
  await expect(page.getByRole('article')).toHaveCount(1);
  await page.getByRole('button', { name: /^More for Winter talks/ }).click();
  await page.getByRole('menuitem', { name: 'Take it off the board' }).click();
  await expect(page.getByRole('article')).toHaveCount(0);
  await page.getByRole('button', { name: 'Put back' }).click();
  await expect(page.getByRole('article')).toHaveCount(1);
  await page.getByLabel('Find a job').fill('nothing of the kind');
  await expect(page.getByText('No job has “nothing of the kind”')).toBeVisible();
});

test('a body whose rest never comes is answered and ended', async () => {
  const answer = await (stalled ?? askedInVain());
  expect(answer.status).toBe(408);
  expect(answer.body).toContain('did not arrive');
});
