import { readFileSync, writeFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import sharp from 'sharp';
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
  test(`${file}, built from the empty format, is the one the demo keeps, and the bench shows what is printed`, async ({
    page,
  }) => {
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
    expect(toKept(job)).toEqual(JSON.parse(readFileSync(kept, 'utf8')));
    // A note informs; a fault or a warning would have to be mended.
    await page.keyboard.press('Alt+4');
    await expect(page.getByRole('region', { name: 'Checks' })).toContainText(/Nothing open|●/);
    await expect(page.getByRole('region', { name: 'Checks' })).not.toContainText(/[✕▲]/);
    await expectAlike(page, file);
  });
}

async function current(page: Page): Promise<Job> {
  const id = page.url().split('/').at(-1) ?? '';
  const answer = (await (await page.request.get(`/api/jobs/${id}`)).json()) as { job: unknown };
  return Job.parse(answer.job);
}

/**
 * The bench, as the browser paints it, beside the preview that resvg draws of the same job: mean difference of a pixel,
 * side by side. (The preview and the plates of the press file are held together in `output/demo-pieces.test.ts`.)
 */
async function expectAlike(page: Page, file: string): Promise<void> {
  const previews = await previewsOf(page);
  await page.keyboard.press('h');
  // Marks of the findings lie above the paper.
  await page.locator('[data-bench] > svg').last().evaluate((svg) => (svg.style.visibility = 'hidden')); // prettier-ignore
  for (const [i, { name, bytes }] of previews.entries()) {
    await page.keyboard.press(i === 0 ? 'f' : 'b');
    if (process.env['YS_LOOK']) writeFileSync(`tmp/pieces/${file}-${name}`, bytes);
    await expect
      .poll(
        async () => {
          const bench = await paperOf(page);
          const { data, info } = await sharp(bench).removeAlpha().raw().toBuffer({ resolveWithObject: true });
          const wanted = await sharp(bytes).resize(info.width, info.height, { fit: 'fill' }).removeAlpha().raw().toBuffer();
          return data.reduce((sum, v, p) => sum + Math.abs(v - (wanted[p] ?? 0)), 0) / data.length / 255;
        },
        { message: `${file}, ${name}`, timeout: 10_000 },
      )
      .toBeLessThan(0.02);
  }
} // prettier-ignore

/** A picture of the trimmed paper on the bench. */
async function paperOf(page: Page): Promise<Buffer> {
  const bench = page.locator('[data-bench]');
  const clip = await bench.locator('svg clipPath rect').first().evaluate((rect) => {
    const at = (name: string) => Number(rect.getAttribute(name));
    return { x: at('x'), y: at('y'), width: at('width'), height: at('height') };
  });
  const box = await bench.boundingBox();
  return page.screenshot({ clip: { ...clip, x: clip.x + (box?.x ?? 0), y: clip.y + (box?.y ?? 0) } });
} // prettier-ignore

/** What the preview shows of each side. */
async function previewsOf(page: Page): Promise<readonly { readonly name: string; readonly bytes: Buffer }[]> {
  const id = page.url().split('/').at(-1) ?? '';
  const { origin } = new URL(page.url());
  const made = (await (await page.request.post(`/api/jobs/${id}/exports`, { data: { kind: 'preview' }, headers: { origin } })).json()) as { id: string }; // prettier-ignore
  const facts = async () => (await (await page.request.get(`/api/exports/${made.id}`)).json()) as { state: string; files: { name: string }[] }; // prettier-ignore
  await expect.poll(async () => (await facts()).state, { timeout: 60_000 }).toBe('done');
  const pictures = (await facts()).files.filter(({ name }) => name.endsWith('.png'));
  return Promise.all(
    pictures.map(async ({ name }) => ({ name, bytes: await (await page.request.get(`/api/exports/${made.id}/files/${name}`)).body() })), // prettier-ignore
  );
}
