import { randomUUID } from 'node:crypto';
import { expect, type Page } from '@playwright/test';
import { PORT } from '../playwright.config';
import type { Job } from '../src/core/job';
import { box, makeJob } from '../src/testing/jobs';
import { begin, openJob, saved, stored } from './helpers';
import { ALONE, test } from './test';

/** A job of 85 kB, on the server. */
async function large(page: Page): Promise<string> {
  const many = Array.from({ length: 220 }, (_, i) => box(`b${i}`, [i % 140, (i * 3) % 200, 5, 5]));
  const job: Job = { ...makeJob(many), id: randomUUID(), name: 'Two hundred boxes' };
  expect(JSON.stringify(job).length).toBeGreaterThan(85_000);
  const made = await page.request.post('/api/jobs', {
    data: { document: job, label: 'Begun' },
    headers: { origin: `http://127.0.0.1:${PORT}` },
  });
  expect(made.ok()).toBe(true);
  return job.id;
}

const headOf = async (page: Page, id: string): Promise<number> =>
  ((await (await page.request.get(`/api/jobs/${id}`)).json()) as { head: number }).head;

/** One change that is a step of its own. */
async function change(page: Page): Promise<void> {
  await page.locator('[data-bench]').focus();
  await page.keyboard.press('Control+a');
  await page.keyboard.press('ArrowRight');
}

test('one change of a large job is sent as what changed, and leaving at once after it loses nothing', async ({
  page,
}) => {
  const id = await large(page);
  page.on('dialog', (dialog) => void dialog.accept());
  const sizes: number[] = [];
  page.on('request', (r) => {
    if (r.method() === 'POST' && r.url().endsWith('/revisions')) sizes.push(r.postDataBuffer()?.length ?? 0);
  });
  for (const head of [2, 3, 4]) {
    await openJob(page, id);
    await page.locator('[data-bench]').focus();
    await page.keyboard.press('Tab');
    await page.keyboard.press('ArrowRight');
    // Left as soon as it is there to be kept; on a busy machine it may be kept by then.
    const isBegun = async () =>
      (await page.locator('[data-save]').getAttribute('data-save')) !== 'saved' || (await headOf(page, id)) === head;
    await expect.poll(isBegun).toBe(true);
    await page.goto('about:blank');
    await expect.poll(() => headOf(page, id)).toBe(head);
  }
  expect(Math.max(...sizes)).toBeLessThan(4_000);
});

test(
  'a hundred and thirty changes without a line are written down, and saved by another page later',
  ALONE,
  async ({ page, context }) => {
    const id = await large(page);
    await openJob(page, id);
    await change(page);
    await saved(page);
    const before = await headOf(page, id);
    await context.setOffline(true);
    const steps = 130;
    for (let i = 0; i < steps; i += 1) await page.keyboard.press(i % 2 === 0 ? 'Control+z' : 'Control+Shift+z');
    await expect(page.locator('[data-save=away]')).toContainText('Kept here since');
    // All of it is written down once nothing changes any more.
    await expect.poll(() => writtenDown(page, id)).toBe(steps);
    const other = await context.newPage();
    await page.close();
    await context.setOffline(false);
    await other.goto('/');
    await expect(other.getByRole('note').filter({ hasText: 'only in this browser' })).toBeVisible();
    await openJob(other, id);
    await saved(other);
    expect(await headOf(other, id)).toBe(before + steps);
    await other.goto('/');
    await expect(other.getByRole('note')).toHaveCount(0);
  },
);

/** How many states of a job the browser has written down. */
const writtenDown = (page: Page, id: string): Promise<number> =>
  page.evaluate(
    (job) =>
      new Promise<number>((resolve) => {
        const opening = indexedDB.open('yellow-sheet');
        opening.onsuccess = () => {
          const all = opening.result.transaction('unsaved').objectStore('unsaved').getAll();
          all.onsuccess = () => {
            const left = all.result as { job: string; entry: { request: { steps: unknown[] }; rest: unknown[] } }[];
            resolve(
              left
                .filter((l) => l.job === job)
                .reduce((n, { entry }) => n + entry.request.steps.length + entry.rest.length, 0),
            );
            opening.result.close();
          };
        };
      }),
    id,
  );

/** What is sent at closing outlives its page, and with it the line that was cut: nothing leaves this one any more. */
const cutForGood = (page: Page): Promise<void> =>
  page.evaluate(() => {
    window.fetch = () => Promise.reject(new TypeError('There is no line.'));
  });

test(
  'of two tabs that were closed without a line the later one goes on, and the other is kept beside it',
  ALONE,
  async ({ page, context }) => {
    const id = await large(page);
    const second = await context.newPage();
    for (const tab of [page, second]) await openJob(tab, id);
    await context.setOffline(true);
    await change(page);
    await expect.poll(() => writtenDown(page, id)).toBe(1);
    await second.locator('[data-bench]').focus();
    await second.keyboard.press('o');
    await expect.poll(() => writtenDown(second, id)).toBe(2);
    const third = await context.newPage();
    for (const tab of [page, second]) {
      await cutForGood(tab);
      await tab.close();
    }
    await context.setOffline(false);
    await openJob(third, id);
    await saved(third);
    await expect(third.locator('[data-element]')).toHaveCount(221);
    await third.getByRole('button', { name: 'A version beside' }).click();
    const dialog = third.getByRole('dialog', { name: 'Versions kept beside this job' });
    await dialog.getByRole('button', { name: 'Go on with this one' }).click();
    await expect(dialog).toHaveCount(0);
    await expect(third.locator('[data-element]')).toHaveCount(220);
    await saved(third);
    await expect(third.getByRole('button', { name: 'A version beside' })).toHaveCount(0);
    expect(await headOf(third, id)).toBe(3);
    expect(await writtenDown(third, id)).toBe(0);
    await third.keyboard.press('Control+z');
    await expect(third.locator('[data-element]')).toHaveCount(221);
  },
);

test('a save that failed is tried again, one whose answer was lost is kept once, and closing asks until then', async ({
  page,
}) => {
  const id = await large(page);
  await openJob(page, id);
  let tries = 0;
  await page.route('**/revisions', async (route) => {
    tries += 1;
    if (tries === 1) return route.fulfill({ status: 503, json: { error: { message: 'Busy.', todo: 'Later.' } } });
    // Arrived, but nobody heard of it.
    if (tries === 2) {
      await route.fetch();
      return route.abort();
    }
    return route.continue();
  });
  await change(page);
  await expect(page.locator('[data-save=away]')).toBeVisible();
  const asked = page.waitForEvent('dialog');
  void page.close({ runBeforeUnload: true });
  const dialog = await asked;
  expect(dialog.type()).toBe('beforeunload');
  await dialog.dismiss();
  await saved(page);
  expect(tries).toBe(3);
  expect(await headOf(page, id)).toBe(2);
});

test('a full disk is said in words, and what was done is saved by itself once there is room', async ({ page }) => {
  const id = await large(page);
  await openJob(page, id);
  const error = { message: 'The disk that holds /data is full.', todo: 'Make room on it.', details: {} };
  await page.route('**/revisions', (route) => route.fulfill({ status: 507, json: { error } }));
  await change(page);
  await expect(page.getByRole('alert').filter({ hasText: 'The disk that holds /data is full.' })).toBeVisible();
  await expect(page.locator('[data-save=away]')).toContainText('Kept here since');
  await page.unroute('**/revisions');
  await saved(page);
  await expect(page.getByRole('alert').filter({ hasText: 'on the server again' })).toBeVisible();
  expect(await headOf(page, id)).toBe(2);
});

test('a file with a very long name comes in, and is saved', ALONE, async ({ page }) => {
  await begin(page, 'Long names');
  await page.keyboard.press('Alt+3');
  const svg = '<svg xmlns="http://www.w3.org/2000/svg" width="40mm" height="30mm"><path d="M0 0H40V30H0Z"/></svg>';
  await page.getByLabel('Pictures, drawings, PDFs and fonts to bring in').setInputFiles({
    name: `${'Handbill of the winter talks '.repeat(8)}.svg`,
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(svg),
  });
  await expect(page.locator('[data-element]')).toHaveCount(1);
  const [piece] = (await stored(page)).pieces;
  expect(piece?.surfaces['front']?.[0]?.name).toHaveLength(200);
});
