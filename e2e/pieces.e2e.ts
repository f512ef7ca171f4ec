import { writeFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import sharp from 'sharp';
import { cornerOf, stored } from './helpers';
import { isBuiltByHand, isLookedAt, openPiece, type Recipe } from './pieces/build';
import { businessCard, memberCard, solsticeCard } from './pieces/cards';
import { eyepieceBox, eyepieceLabels, moonSticker, trailMap } from './pieces/finished';
import { letterhead } from './pieces/letterhead';
import { meteorNight } from './pieces/meteor-night';
import { observingPad, planetsTracing, ruledLog, tickets, yearCard } from './pieces/printables';
import { reportPoster } from './pieces/report-poster';
import { tentBanner } from './pieces/tent-banner';
import { volunteerCv } from './pieces/volunteer-cv';
import { visitorFolder } from './pieces/visitor-folder';
import { test } from './test';

/** Each piece of the demo world that was laid out on the bench. */
const PIECES: readonly Recipe[] = [
  { file: 'visitor-folder', recipe: 'visitor-folder', build: visitorFolder, most: 180 },
  { file: 'meteor-night', recipe: 'meteor-night', build: meteorNight, most: 175, always: 'shown' },
  { file: 'volunteer-cv', recipe: 'volunteer-cv', build: volunteerCv, most: 320 },
  { file: 'report-poster', recipe: 'report-poster', build: reportPoster, most: 144 },
  { file: 'letterhead', recipe: 'letterhead', build: letterhead, most: 96 },
  { file: 'tent-banner', recipe: 'tent-banner', build: tentBanner, most: 110 },
  { file: 'business-card', recipe: 'cards', build: businessCard, most: 120 },
  { file: 'member-card', recipe: 'cards', build: memberCard, most: 190 },
  { file: 'solstice-card', recipe: 'cards', build: solsticeCard, most: 130 },
  { file: 'observing-pad', recipe: 'printables', build: observingPad, most: 90 },
  { file: 'ruled-log', recipe: 'printables', build: ruledLog, most: 70 },
  { file: 'planets-tracing', recipe: 'printables', build: planetsTracing, most: 90 },
  { file: 'year-card', recipe: 'printables', build: yearCard, most: 60 },
  { file: 'moon-sticker', recipe: 'finished', build: moonSticker, most: 110 },
  { file: 'trail-map', recipe: 'finished', build: trailMap, most: 240, always: 'shown' },
  { file: 'eyepiece-box', recipe: 'finished', build: eyepieceBox, most: 200 },
  { file: 'eyepiece-labels', recipe: 'finished', build: eyepieceLabels, most: 90 },
  { file: 'meteor-tickets', recipe: 'printables', build: tickets, most: 40 },
];

// Each piece is a job of its own: they may be built side by side.
test.describe.configure({ mode: 'parallel' });

for (const piece of PIECES.filter(isLookedAt)) {
  const { file } = piece;
  const how = isBuiltByHand(piece) ? 'built from the empty format, is the one the demo keeps' : 'as the demo keeps it';
  test(`${file}, ${how}, and the bench shows what is printed`, async ({ page }) => {
    await openPiece(page, piece);
    // A note informs; a fault or a warning would have to be mended.
    await page.keyboard.press('Alt+5');
    await expect(page.getByRole('region', { name: 'Checks' })).toContainText(/Nothing open|●/);
    await expect(page.getByRole('region', { name: 'Checks' })).not.toContainText(/[✕▲]/);
    await expectAlike(page, file);
  });
}

/**
 * The bench, as the browser paints it, beside the preview that resvg draws of the same job: mean difference of a pixel,
 * side by side. (The preview and the plates of the press file are held together in `output/demo-pieces.test.ts`.)
 */
async function expectAlike(page: Page, file: string): Promise<void> {
  const previews = await previewsOf(page);
  const { stock } = await stored(page);
  await page.keyboard.press('h');
  // What is pointed at on the sheet is shown on the bench.
  await page.mouse.move(0, 0);
  // Marks of the findings lie above the paper.
  await page
    .locator('[data-bench] > svg')
    .last()
    .evaluate((svg) => (svg.style.visibility = 'hidden'));
  for (const [i, { name, bytes }] of previews.entries()) {
    await page.keyboard.press(i === 0 ? 'f' : 'b');
    let worst = 1;
    if (process.env['YS_LOOK']) writeFileSync(`tmp/pieces/${file}-${name}`, bytes);
    await expect
      .poll(
        async () => {
          const bench = await paperOf(page, stock.white ?? '#ffffff');
          if (process.env['YS_LOOK']) writeFileSync(`tmp/pieces/${file}-${name}-bench.png`, bench);
          // At a third of the size how each of them smooths the edges of small type does not count.
          const { width, height } = await sharp(bench).metadata();
          const size = [Math.round(width / 3), Math.round(height / 3)] as const;
          const pixels = (from: Buffer) =>
            sharp(from)
              .resize(...size, { fit: 'fill' })
              .removeAlpha()
              .raw()
              .toBuffer();
          const [shown, wanted] = await Promise.all([pixels(bench), pixels(bytes)]);
          const cells = differences(shown, wanted, size[0], size[1]);
          worst = Math.max(...cells);
          const mean = cells.reduce((sum, d) => sum + d, 0) / cells.length;
          // A small element that is wrong would be lost in the mean of a side.
          return Math.max(mean / MEAN, worst / WORST);
        },
        { message: `${file}, ${name}: of what may differ` },
      )
      .toBeLessThan(1);
    console.log(`${file}, ${name}: worst part differs by ${(worst * 100).toFixed(1)} %`);
  }
}

/** How much a side, and the part of it that differs most, may differ, as shares of the range. */
const [MEAN, WORST] = [0.02, 0.08];

/** Parts that a side is compared by, across and down. */
const PARTS = 12;

/** Mean difference of a pixel in each part of two pictures of one size, 0 to 1. */
function differences(a: Buffer, b: Buffer, width: number, height: number): readonly number[] {
  const sums = Array.from({ length: PARTS * PARTS }, () => ({ sum: 0, count: 0 }));
  for (let i = 0; i < a.length; i += 1) {
    const pixel = Math.floor(i / 3);
    const [x, y] = [pixel % width, Math.floor(pixel / width)];
    const cell = sums[Math.floor((y * PARTS) / height) * PARTS + Math.floor((x * PARTS) / width)];
    if (!cell) continue;
    cell.sum += Math.abs((a[i] ?? 0) - (b[i] ?? 0));
    cell.count += 1;
  }
  return sums.map(({ sum, count }) => (count > 0 ? sum / count / 255 : 0));
}

/** A picture of the trimmed paper on the bench. */
async function paperOf(page: Page, white: string): Promise<Buffer> {
  const bench = page.locator('[data-bench]');
  // The bench shows paper in a white of its own; the preview is on plain white.
  await bench.evaluate((el, fill) => {
    const paper = el.querySelectorAll(`svg > g > rect[fill="${fill}"]`);
    for (const rect of paper) rect.setAttribute('fill', '#ffffff');
  }, white);
  const clip = await bench
    .locator('svg clipPath rect')
    .first()
    .evaluate((rect) => {
      const at = (name: string) => Number(rect.getAttribute(name));
      return { x: at('x'), y: at('y'), width: at('width'), height: at('height') };
    });
  const box = await cornerOf(bench);
  // Whole pixels: a fraction would move one picture against the other.
  const [left, top] = [Math.round(clip.x + box.x), Math.round(clip.y + box.y)];
  return page.screenshot({ clip: { x: left, y: top, width: Math.round(clip.width), height: Math.round(clip.height) } });
}

/** What the preview shows of each side. */
async function previewsOf(page: Page): Promise<readonly { readonly name: string; readonly bytes: Buffer }[]> {
  const id = page.url().split('/').at(-1) ?? '';
  const { origin } = new URL(page.url());
  const made = (await (
    await page.request.post(`/api/jobs/${id}/exports`, { data: { kind: 'preview' }, headers: { origin } })
  ).json()) as { id: string };
  const facts = async () =>
    (await (await page.request.get(`/api/exports/${made.id}`)).json()) as { state: string; files: { name: string }[] };
  await expect.poll(async () => (await facts()).state).toBe('done');
  const pictures = (await facts()).files.filter(({ name }) => name.endsWith('.png'));
  return Promise.all(
    pictures.map(async ({ name }) => ({
      name,
      bytes: await (await page.request.get(`/api/exports/${made.id}/files/${name}`)).body(),
    })),
  );
}
