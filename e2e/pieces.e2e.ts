import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { Job } from '../src/core/job';
import { toKept } from '../src/demo/keep';
import { saved } from './helpers';
import { Hand } from './pieces/hand';
import { letterhead } from './pieces/letterhead';
import { meteorNight } from './pieces/meteor-night';
import { reportPoster } from './pieces/report-poster';
import { tentBanner } from './pieces/tent-banner';
import { visitorFolder } from './pieces/visitor-folder';

/** Each piece of the demo world that was laid out on the bench, and the most actions it may take. */
const PIECES: readonly (readonly [file: string, build: (hand: Hand) => Promise<void>, most: number])[] = [
  ['visitor-folder', visitorFolder, 320],
  ['meteor-night', meteorNight, 300],
  ['report-poster', reportPoster, 250],
  ['letterhead', letterhead, 170],
  ['tent-banner', tentBanner, 110],
];

for (const [file, build, most] of PIECES) {
  test(`${file}, built from the empty format, is the one the demo keeps`, async ({ page }) => {
    test.setTimeout(150_000);
    const hand = new Hand(page);
    await build(hand);
    await saved(page);
    console.log(`${file}: ${hand.actions} actions, ${hand.typed.length} of them typed`);
    expect(hand.actions).toBeLessThanOrEqual(most);

    const job = await current(page);
    const kept = `assets/demo/${file}.json`;
    // With YS_KEEP what was built becomes what is kept.
    if (process.env['YS_KEEP']) writeFileSync(kept, `${JSON.stringify(toKept(job), null, 1)}\n`);
    if (process.env['YS_LOOK']) await look(page, file);
    expect(toKept(job)).toEqual(JSON.parse(readFileSync(kept, 'utf8')));
    // A note informs; a fault or a warning would have to be mended.
    await page.keyboard.press('Alt+4');
    await expect(page.getByRole('region', { name: 'Checks' })).toContainText(/Nothing open|●/);
    await expect(page.getByRole('region', { name: 'Checks' })).not.toContainText(/[✕▲]/);
  });
}

async function current(page: Page): Promise<Job> {
  const id = page.url().split('/').at(-1) ?? '';
  const answer = (await (await page.request.get(`/api/jobs/${id}`)).json()) as { job: unknown };
  return Job.parse(answer.job);
}

/** Pictures of what was built, to be looked at. */
async function look(page: Page, name: string): Promise<void> {
  const id = page.url().split('/').at(-1) ?? '';
  const { origin } = new URL(page.url());
  mkdirSync('tmp/pieces', { recursive: true });
  const made = (await (await page.request.post(`/api/jobs/${id}/exports`, { data: { kind: 'preview' }, headers: { origin } })).json()) as { id: string }; // prettier-ignore
  const facts = async () => (await (await page.request.get(`/api/exports/${made.id}`)).json()) as { state: string; files: { name: string }[] }; // prettier-ignore
  await expect.poll(async () => (await facts()).state, { timeout: 60_000 }).toBe('done');
  for (const { name: file } of (await facts()).files)
    writeFileSync(`tmp/pieces/${name}-${file}`, await (await page.request.get(`/api/exports/${made.id}/files/${file}`)).body()); // prettier-ignore
}
