import { expect, type Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { begin, copyOf, open, openChoice, openCopy, openJob, openMade, stored, write } from './helpers';
import { begin as beginJob } from '../src/testing/jobs';
import { ALONE, test } from './test';

/** Has files made, and waits for them. @returns their bytes by name */
async function made(page: Page, label: string): Promise<ReadonlyMap<string, Buffer>> {
  const files = page.getByRole('region', { name: 'Files' });
  const done = files.locator('[data-export="done"]');
  const before = await done.count();
  await files.getByRole('button', { name: label, exact: true }).click();
  await expect(done).toHaveCount(before + 1, { timeout: 200_000 });
  const found = new Map<string, Buffer>();
  for (const link of await done.first().getByRole('link').all()) {
    const href = (await link.getAttribute('href')) ?? '';
    const answer = await page.request.get(href);
    found.set(decodeURIComponent(href.split('/').pop() ?? ''), await answer.body());
  }
  return found;
}

function inFolder<T>(work: (folder: string) => T): T {
  const folder = mkdtempSync(join(tmpdir(), 'yellow-sheet-e2e-'));
  try {
    return work(folder);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** A program’s words on a file. */
const said = (bytes: Buffer, program: string, args: (path: string) => readonly string[]): string =>
  inFolder((folder) => {
    const path = join(folder, 'f');
    writeFileSync(path, bytes);
    return execFileSync(program, [...args(path)], { encoding: 'utf8', maxBuffer: 1 << 28 });
  });

const pages = (bytes: Buffer): number => Number(/Pages:\s+(\d+)/.exec(said(bytes, 'pdfinfo', (path) => [path]))?.[1]);
const isSound = (bytes: Buffer): boolean => said(bytes, 'qpdf', (p) => ['--check', p]).includes('No syntax or stream');

const NAMES = ['Ada', 'Bram', 'Cleo', 'Dov', 'Edda', 'Finn', 'Greta', 'Hale'];
const PEOPLE = [
  'Name,Calling,Telephone,Page',
  ...NAMES.map((name, i) => `${name} Moor,Guide,020 7946 00${i}0,${name.toLowerCase()}`),
  '',
].join('\n');

test('cards of eight people from CSV with a code each, on SRA3 with a bookmark; the programme is made and run', async ({
  page,
}) => {
  // A guest of its own: other tests copy the bookmark too.
  const guest = `Bookmark to gang ${Date.now()}`;
  await copyOf(page, 'demo-bookmark', { name: guest });
  await openCopy(page, 'demo-observer-cards', '?at=lay-out');
  const records = page.getByRole('region', { name: 'Records' });
  const rows = { name: 'guides.csv', mimeType: 'text/csv', buffer: Buffer.from(PEOPLE) };
  await records.locator('input[type="file"]').setInputFiles(rows);
  await expect(records.getByText('guides.csv')).toBeVisible();
  await records.getByRole('button', { name: 'Next record' }).click();
  await expect(records.getByText('Bram Moor')).toBeVisible();
  await records.getByRole('button', { name: 'Look through all' }).click();
  await expect(records.getByText('Nothing is wrong with any of 8 records.')).toBeVisible();

  await page.keyboard.press('Alt+6');
  const sheet = page.getByRole('region', { name: 'Press sheet' });
  await write(sheet.getByRole('textbox', { name: /^sheet/ }), '450 x 320');
  const other = sheet.getByRole('combobox', { name: 'another job on the same sheet' });
  await other.fill(guest);
  await page.getByRole('option', { name: guest }).click();
  const counts = sheet.getByRole('table', { name: 'What the run gives' });
  await expect(counts.getByRole('row')).toHaveCount(10);
  await sheet.getByRole('button', { name: 'The sheet', exact: true }).click();
  await expect(page.getByRole('img', { name: /on a sheet$/ })).toHaveAttribute('data-drawn', '9');
  await sheet.getByRole('button', { name: /^Cutting programme: \d+ cuts$/ }).click();
  await sheet.getByRole('button', { name: 'Run it' }).click();
  await expect(sheet.getByRole('status', { name: 'Simulated run' })).toContainText(/^\d+ pieces, each at its size/);

  const files = await made(page, 'Press sheets');
  expect([...files.keys()].map((name) => name.replace(/^.*?-(sheets|cutting)/, '$1'))).toEqual([
    'sheets.pdf',
    'cutting.csv',
    'cutting.pdf',
  ]);
  const [pdf, csv] = [...files.values()];
  if (!pdf || !csv) throw new Error('no files');
  expect(isSound(pdf)).toBe(true);
  const text = said(pdf, 'pdftotext', (path) => ['-raw', path, '-']);
  for (const name of ['ADA MOOR', 'HALE MOOR']) expect(text.toUpperCase()).toContain(name);
  expect(csv.toString().trim().split('\r\n').length).toBeGreaterThan(10);
  const { output } = await stored(page);
  expect(output.sheet?.guests).toMatchObject([{ name: guest }]);
});

test('a booklet of 28 pages is printed in signatures, with creep, and folded in the dummy', ALONE, async ({ page }) => {
  await openMade(page, beginJob('booklet', { size: '148 x 210 mm', pages: '28' }), '?at=output');
  const sheet = page.getByRole('region', { name: 'Press sheet' });
  await expect(sheet.getByText(/^creep [\d.]+ mm at most/)).toBeVisible();
  await openChoice(sheet.getByRole('combobox', { name: 'pages in a signature' }));
  await page.getByRole('option', { name: 'up to 8' }).click();
  await sheet.getByRole('button', { name: 'The sheet', exact: true }).click();
  await sheet.getByRole('button', { name: 'folded', exact: true }).click();
  const dummy = page.getByRole('img', { name: /^Folding dummy/ });
  await expect(dummy).toHaveAttribute('data-dummy', 'ready');
  await expect(dummy).toHaveAccessibleName('Folding dummy. Flat, inner up');
  // Nested: each sheet is read from its first half, around the next ones, to its second.
  const inOrder = ['1 to 4, then 25 to 28', '5 to 8, then 21 to 24', '9 to 12, then 17 to 20', '13 to 16'];
  for (const [i, order] of inOrder.entries()) {
    await openChoice(sheet.getByRole('combobox', { name: 'which sheet' }));
    await page.getByRole('option', { name: `signature ${i + 1}` }).click();
    await page.getByRole('slider', { name: 'Folding' }).press('Home');
    for (let fold = 0; fold < (i < 3 ? 2 : 1); fold += 1)
      await page.getByRole('button', { name: 'One fold further' }).click();
    await expect(dummy).toHaveAccessibleName(/Folded: [12] folds?$/);
    await expect(page.getByText(`Leafing through: pages ${order}, all upright.`)).toBeVisible();
  }
  await sheet.getByRole('button', { name: 'flat', exact: true }).click();
  await expect(page.getByRole('img', { name: /^signature 4, outer/ })).toBeVisible();
  const files = await made(page, 'Press sheets');
  const [pdf] = [...files.values()];
  expect(pdf && isSound(pdf)).toBe(true);
  expect(pdf && said(pdf, 'pdftotext', (path) => ['-raw', path, '-'])).toContain('signature 1');
});

test('a poster of A1 in tiles of A4, and desk sheets shown before they are made', ALONE, async ({ page }) => {
  await begin(page, 'Large poster', 'A1');
  await page.keyboard.press('Alt+6');
  const files = await made(page, 'Tiles');
  const [pdf] = [...files.values()];
  if (!pdf) throw new Error('no file');
  expect(isSound(pdf)).toBe(true);
  // A1 is eight A4; with strips to glue and white rims it takes more, and a plan before them.
  expect(pages(pdf)).toBeGreaterThan(9);
});

test(
  'ten thousand numbered labels with a code are made, one making is cancelled, and progress is told',
  ALONE,
  async ({ page }) => {
    test.setTimeout(240_000);
    await openJob(page, 'demo-loan-labels');
    await page.keyboard.press('Alt+6');
    const files = page.getByRole('region', { name: 'Files' });
    const press = files.getByRole('button', { name: 'Press PDF' });
    await press.click();
    await expect(files.getByText(/^Record [\d,]+ of 10000 records/)).toBeVisible({ timeout: 60_000 });
    await press.click();
    await expect(files.getByRole('button', { name: 'Cancel' })).toHaveCount(2);
    await files.getByRole('button', { name: 'Cancel' }).first().click();
    await expect(files.locator('[data-export="cancelled"]')).toHaveCount(1);
    const done = files.locator('[data-export="done"]');
    await expect(done).toHaveCount(1, { timeout: 200_000 });
    const href = (await done.getByRole('link').getAttribute('href')) ?? '';
    const pdf = await (await page.request.get(href)).body();
    expect(isSound(pdf)).toBe(true);
    expect(pages(pdf)).toBe(3334);
  },
);

test('the catalogue is handed over: every file with its hash', ALONE, async ({ page }) => {
  test.setTimeout(240_000);
  await openCopy(page, 'demo-catalogue', '?at=output');
  const names = page.getByRole('textbox', { name: 'names in a hand-over' });
  await write(names, '{client}_{job}_{what}');
  await expect(page.getByRole('status', { name: 'Example' })).toHaveText(/^quillrook-dark-sky-society_.*_press\.pdf$/);
  const [first] = [...(await made(page, 'Hand-over')).values()];
  if (!first) throw new Error('no file');
  const listed = said(first, 'unzip', (path) => ['-Z1', path])
    .trim()
    .split('\n');
  for (const what of ['press.pdf', 'sheets.pdf', 'proof.pdf', 'figures.csv', 'letter.pdf', 'letter.txt'])
    expect(listed.filter((name) => name.endsWith(`_${what}`))).toHaveLength(1);
  inFolder((folder) => {
    writeFileSync(join(folder, 'h.zip'), first);
    execFileSync('unzip', ['-q', 'h.zip'], { cwd: folder });
    execFileSync('sha256sum', ['--check', '--quiet', 'SHA256SUMS'], { cwd: folder });
  });
});

test('press files of several jobs are asked for from the board; the queue is seen, ordered and cut short', async ({
  page,
}) => {
  // Jobs of its own: others on the board are called like those of the demo. The long ones are still there to be seen.
  const ids: string[] = [];
  for (const [name, of] of [
    ['Queue one', 'demo-catalogue'],
    ['Queue two', 'demo-catalogue'],
    ['Queue three', 'demo-letterhead'],
  ] as const)
    ids.push(await copyOf(page, of, { name }));
  await open(page, '/');
  await page.getByRole('button', { name: 'Table' }).click();
  await page.getByRole('textbox', { name: 'Find a job' }).fill('Queue');
  await page.getByRole('checkbox', { name: 'Choose all' }).check();
  await page.getByRole('button', { name: 'Make their press files' }).click();
  const queue = page.getByRole('region', { name: 'Queue' });
  await expect(queue.getByRole('status')).toContainText('being made');
  await queue.getByRole('button', { name: 'Cancel press of Queue two' }).click();
  await expect(queue.getByText('Queue two')).toBeHidden();
  await expect(queue).toBeHidden({ timeout: 90_000 });
  const states = await Promise.all(
    ids.map(async (id) => {
      const answer = await page.request.get(`/api/jobs/${id}/exports`);
      return ((await answer.json()) as { exports: readonly { state: string }[] }).exports[0]?.state;
    }),
  );
  expect(states).toEqual(['done', 'cancelled', 'done']);
});
