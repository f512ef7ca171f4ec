import { createHash, randomBytes } from 'node:crypto';
import { mkdtempSync, readFileSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from '@playwright/test';
import { zipSync } from 'fflate';
import sharp from 'sharp';
import { PORT, dataOf } from '../playwright.config';
import { makeJob, picture } from '../src/testing/jobs';
import { begin, stored } from './helpers';
import { IS_ALL } from '../src/testing/all';
import { test } from './test';

const BASE = `http://127.0.0.1:${PORT}`;
const DATA = dataOf(PORT);
const MB = 1_000_000;

const sha256 = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest();

/** A page, and beside it a stream of so many bytes that nothing can be packed smaller. */
function pdfOf(size: number): Buffer {
  const head = Buffer.from(
    '%PDF-1.4\n1 0 obj<</Type/Catalog/Pages 2 0 R>>endobj\n2 0 obj<</Type/Pages/Kids[3 0 R]/Count 1>>endobj\n' +
      '3 0 obj<</Type/Page/Parent 2 0 R/MediaBox[0 0 200 100]/Resources<<>>>>endobj\n4 0 obj<</Length ' +
      `${size}>>stream\n`,
  );
  return Buffer.concat([head, randomBytes(size), Buffer.from('\nendstream endobj\ntrailer<</Root 1 0 R>>\n%%EOF\n')]);
}

/** A picture of noise of about so many bytes, unpacked. */
function tiffOf(size: number): Promise<Buffer> {
  const side = Math.ceil(Math.sqrt(size / 3));
  return sharp(randomBytes(side * side * 3), { raw: { width: side, height: side, channels: 3 } })
    .tiff({ compression: 'none' })
    .toBuffer();
}

/** A font with a table of its own that nobody reads, at its end. */
const fontOf = (size: number): Buffer =>
  Buffer.concat([readFileSync('public/fonts/jost-latin-400-normal.ttf'), randomBytes(size)]);

/** A working file with a picture in it. */
async function workingFile(size: number): Promise<Buffer> {
  const bytes = await tiffOf(size);
  const sha = sha256(bytes).toString('hex');
  const { width, height } = await sharp(bytes).metadata();
  const facts = {
    kind: 'picture',
    name: 'noise.tif',
    format: 'tiff',
    width,
    height,
    colour: 'rgb',
    profile: null,
    alpha: false,
  } as const;
  const job = makeJob([picture('noise', sha, [10, 10, 60, 60])], { assets: { [sha]: facts } });
  return Buffer.from(zipSync({ 'job.json': Buffer.from(JSON.stringify(job)), [`assets/${sha}`]: bytes }, { level: 0 }));
}

const FILES: readonly (readonly [name: string, path: string, file: () => Promise<Buffer> | Buffer])[] = [
  ...[11, 50, 150].map((mb) => [`a picture of ${mb} MB`, '/api/assets?name=noise.tif', () => tiffOf(mb * MB)] as const),
  ...[11, 50, 150].map((mb) => [`a PDF of ${mb} MB`, '/api/assets?name=much.pdf', () => pdfOf(mb * MB)] as const),
  ['a font of 11 MB', '/api/assets?name=jost.ttf', () => fontOf(11 * MB)],
  ...[11, 50, 150].map((mb) => [`a working file of ${mb} MB`, '/api/import', () => workingFile(mb * MB)] as const),
];

/** Nothing lies about of what came in. */
const leavings = () => readdirSync(join(DATA, 'incoming'));

/** On a connection of its own: one that was kept may be closed by the server while a large file is being made. */
const send = (path: string, body: Buffer, headers: Record<string, string> = {}) =>
  new Promise<{ readonly status: number | undefined; readonly text: string }>((resolve, reject) => {
    const sending = request(
      `${BASE}${path}`,
      { method: 'POST', agent: false, headers: { origin: BASE, 'content-length': body.length, ...headers } },
      (response) => {
        let text = '';
        response.on('data', (part: Buffer) => (text += part.toString()));
        response.on('end', () => resolve({ status: response.statusCode, text }));
      },
    );
    sending.on('error', reject);
    sending.end(body);
  });

// What is larger than a buffer of any kind; the largest are tried where everything is.
for (const [name, path, make] of FILES.filter(([name]) => IS_ALL || !name.includes('150 MB')))
  test(`${name} arrives whole`, async () => {
    const bytes = await make();
    const digest = sha256(bytes);
    const answer = await send(path, bytes, { 'repr-digest': `sha-256=:${digest.toString('base64')}:` });
    const said = JSON.parse(answer.text) as { sha?: string; id?: string; error?: unknown };
    expect([answer.status, said.error]).toEqual([200, undefined]);
    if (path !== '/api/import') {
      expect(said.sha).toBe(digest.toString('hex'));
      expect(statSync(join(DATA, 'assets', said.sha ?? '')).size).toBe(bytes.length);
    } else {
      const { job } = (await (await fetch(`${BASE}/api/jobs/${said.id ?? ''}`)).json()) as { job: { assets: object } };
      for (const sha of Object.keys(job.assets))
        expect(sha256(readFileSync(join(DATA, 'assets', sha))).toString('hex')).toBe(sha);
    }
    expect(leavings()).toEqual([]);
  });

test('what arrives otherwise than it was sent is refused, and nothing of it stays', async () => {
  const bytes = await tiffOf(MB);
  const assets = readdirSync(join(DATA, 'assets'));
  const other = sha256(Buffer.from('another')).toString('base64');
  const answer = await send('/api/assets?name=noise.tif', bytes, { 'repr-digest': `sha-256=:${other}:` });
  expect(answer.status).toBe(400);
  expect(answer.text).toContain('not what was sent');
  expect(readdirSync(join(DATA, 'assets'))).toEqual(assets);
  expect(leavings()).toEqual([]);
});

test('the page shows how far a file is, sends it again when the line broke, and can stop it', async ({ page }) => {
  const folder = mkdtempSync(join(tmpdir(), 'yellow-sheet-upload-'));
  const path = join(folder, 'much.pdf');
  const bytes = pdfOf(11 * MB);
  writeFileSync(path, bytes);
  await begin(page, 'Much to bring in');
  await page.keyboard.press('Alt+3');
  const input = page.getByLabel('Pictures, drawings, PDFs and fonts to bring in');
  const list = page.getByRole('region', { name: 'Files being brought in' });

  // The line stays broken until that was read: on a busy machine the first pause may be over before anybody looks.
  let [tries, isWhole] = [0, false];
  await page.route('**/api/assets?name=*', (route) => {
    tries += 1;
    return isWhole ? route.continue() : route.abort();
  });
  await input.setInputFiles(path);
  await expect(list).toContainText('The line broke; it is sent again.');
  isWhole = true;
  await expect(page.getByRole('region', { name: 'Selection' })).toBeVisible();
  await expect(list).toHaveCount(0);
  expect(tries).toBeGreaterThan(1);
  expect(Object.keys((await stored(page)).assets)).toEqual([sha256(bytes).toString('hex')]);

  await page.unroute('**/api/assets?name=*');
  await page.route('**/api/assets?name=*', (route) => route.abort());
  writeFileSync(path, pdfOf(12 * MB));
  await input.setInputFiles(path);
  await list.getByRole('button', { name: 'Stop much.pdf' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'was stopped. Nothing was changed.' })).toBeVisible();
  await expect(list).toHaveCount(0);
  expect(Object.keys((await stored(page)).assets)).toHaveLength(1);
  rmSync(folder, { recursive: true, force: true });
});
