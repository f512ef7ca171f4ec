import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { CHROMIUM } from '../chromium.mjs';
import { OwnServer } from '../../e2e/own-server';
import { formatOf } from '../../src/core/format';
import { Element, Job, startJob, tableOfWords } from '../../src/core/job';
import { makeJob } from '../../src/testing/jobs';
import { hostileThings, type Hostile } from '../../src/testing/hostile';
import { LONGEST } from './hostile';
import { pause, type Found } from './watch';

function begun(kind: string, set: Readonly<Record<string, string>>): Job {
  const format = formatOf(kind);
  const started = format && startJob(format, set, { id: `siege-${kind}`, name: kind, unit: 'mm' });
  if (!started?.ok) throw new Error(started?.error.message ?? `there is no ${kind}`);
  return started.job;
}

const PAGE_WAYS = ['rows', 'outline', 'events'] as const;

/** Where files of each sort are given to the page. */
const FIELDS: Readonly<Record<(typeof PAGE_WAYS)[number], { readonly job: string; readonly label: string }>> = {
  outline: { job: 'siege-own', label: 'Outline file, SVG or DXF' },
  events: { job: 'demo-moon-calendar', label: 'A calendar file' },
  rows: { job: 'siege-table', label: 'Words for the table, as CSV' },
};

/** Files that are read in the page: after each, the page still hears keys, and says what it made of the file. */
export async function hostileInPage(share = 1): Promise<Found> {
  const data = mkdtempSync(join(tmpdir(), 'yellow-sheet-siege-'));
  const server = await OwnServer.on({ YS_DATA: data, YS_DEMO: '1' }, true);
  const browser = await chromium.launch(CHROMIUM);
  const every = Math.round(1 / share);
  const things = (await hostileThings())
    .filter(({ way }) => PAGE_WAYS.some((known) => known === way))
    .filter((_, i) => i % every === 0);
  const notes: string[] = [];
  let [slowest, crashes, others] = [0, 0, 0];
  let slowestThing = '';
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  page.on('crash', () => (crashes += 1));
  page.on('pageerror', (error) => notes.push(`an error of the page: ${error.message}`));
  const json = { origin: server.base, 'content-type': 'application/json' };
  const own = begun('own', { outline: 'M0 0L90 0L90 60Z' });
  const placement = { against: { box: 'trim' }, x: { start: 5, size: 90 }, y: { start: 5, size: 'content' } };
  const table = Element.parse({
    kind: 'table',
    id: 't',
    name: 'Programme',
    placement,
    ...tableOfWords([
      ['a', 'b'],
      ['c', 'd'],
    ]),
  });
  const tabled = { ...makeJob([table]), id: 'siege-table' };
  for (const document of [own, tabled])
    await fetch(`${server.base}/api/jobs`, {
      method: 'POST',
      headers: json,
      body: JSON.stringify({ document, label: 'Begun' }),
    });
  for (const way of PAGE_WAYS) {
    const { job, label } = FIELDS[way];
    await page.goto(`${server.base}/jobs/${job}?at=${way === 'outline' ? 'size' : 'layout'}`);
    await page.locator('[data-bench]').waitFor();
    if (way !== 'outline') await page.keyboard.press('Alt+3');
    if (way === 'events') for (let i = 0; i < 4; i += 1) await page.keyboard.press('PageDown');
    if (way === 'rows') {
      const row = page.locator('button[aria-pressed]').filter({ hasText: 'Programme' });
      if (!(await row.isVisible())) await page.getByRole('button', { name: /On this side/ }).click();
      await row.click();
    }
    for (const thing of things.filter((t) => t.way === way)) {
      const { ms, hears } = await given(page, thing, label);
      if (ms > slowest) slowestThing = thing.what;
      slowest = Math.max(slowest, ms);
      others = Math.max(others, hears);
      if (ms > LONGEST) notes.push(`${thing.what}: no word within ${LONGEST / 1000} s`);
      if (hears > 1_000) notes.push(`${thing.what}: the page heard nothing for ${hears} ms`);
    }
  }
  notes.push(`${slowest} ms: ${slowestThing}`);
  await browser.close();
  await server.kill();
  rmSync(data, { recursive: true, force: true });
  return {
    part: 'hostile files in the page',
    tried: things.length,
    lost: 0,
    crashes,
    errors: 0,
    slowest,
    others,
    left: 0,
    memory: 0,
    notes,
  };
}

/** Gives a file to a field, and waits until the page has said something of it. */
async function given(
  page: Page,
  { name, bytes }: Hostile,
  label: string,
): Promise<{ readonly ms: number; readonly hears: number }> {
  // What was said before does not count.
  const close = page.getByRole('button', { name: 'Close', exact: true });
  // A message may be on its way out by itself.
  while (await close.isVisible()) await close.click({ timeout: 2_000 }).catch(() => undefined);
  await page.locator('.MuiSnackbar-root').waitFor({ state: 'detached' });
  const at = Date.now();
  await page
    .getByLabel(label)
    .setInputFiles({ name, mimeType: 'application/octet-stream', buffer: Buffer.from(bytes) });
  let hears = 0;
  for (;;) {
    const asked = Date.now();
    const isDone = await page.evaluate(
      () =>
        document.querySelector('.MuiSnackbar-root') !== null || document.querySelector('[data-save=saving]') !== null,
    );
    hears = Math.max(hears, Date.now() - asked);
    const isBeingRead = await page.getByRole('region', { name: 'Files being brought in' }).isVisible();
    if (isDone || (!isBeingRead && Date.now() - at > 2_000) || Date.now() - at > 2 * LONGEST)
      return { ms: Date.now() - at, hears };
    await pause(100);
  }
}

/** A tab that has no line for so many changes; when the line is back all of them are on the server. */
export async function offline(changes: number): Promise<Found> {
  const data = mkdtempSync(join(tmpdir(), 'yellow-sheet-siege-'));
  const server = await OwnServer.on({ YS_DATA: data }, true);
  const browser = await chromium.launch(CHROMIUM);
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  const notes: string[] = [];
  let crashes = 0;
  page.on('crash', () => (crashes += 1));
  const job = begun('flyer', { size: 'A5' });
  await fetch(`${server.base}/api/jobs`, {
    method: 'POST',
    headers: { origin: server.base, 'content-type': 'application/json' },
    body: JSON.stringify({ document: job, label: 'Begun' }),
  });
  await page.goto(`${server.base}/jobs/${job.id}?at=layout`);
  await page.locator('[data-bench]').waitFor();
  await page.keyboard.press('Alt+3');
  await page.getByRole('button', { name: 'Box', exact: true }).click();
  await page.locator('[data-save=saved]').waitFor();
  await context.setOffline(true);
  await page.locator('[data-bench]').focus();
  for (let i = 0; i < changes; i += 1) {
    await page.keyboard.press(i % 2 === 0 ? 'ArrowRight' : 'ArrowDown');
    // Steps that follow each other at once are one: every tenth waits, so that there are many.
    if (i % 10 === 9) await pause(60);
  }
  const x = await page.locator('input[name="x-left"]').inputValue();
  const at = Date.now();
  await context.setOffline(false);
  await page.locator('[data-save=saved]').waitFor({ timeout: 60_000 });
  const slowest = Date.now() - at;
  await page.reload();
  await page.locator('[data-bench]').click();
  const kept = Job.parse(((await (await fetch(`${server.base}/api/jobs/${job.id}`)).json()) as { job: unknown }).job);
  const placement = kept.pieces[0]?.surfaces['front']?.[0]?.placement;
  const lost = JSON.stringify(placement?.x).includes(String(Number.parseFloat(x))) ? 0 : changes;
  notes.push(`the box lies at ${x}; on the server ${JSON.stringify(placement?.x)}`);
  await browser.close();
  await server.kill();
  rmSync(data, { recursive: true, force: true });
  return {
    part: `${changes} changes without a line`,
    tried: changes,
    lost,
    crashes,
    errors: 0,
    slowest,
    others: 0,
    left: 0,
    memory: 0,
    notes,
  };
}
