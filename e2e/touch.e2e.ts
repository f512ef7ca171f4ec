import { expect, type Page } from '@playwright/test';
import { field, onScreen, open, openCopy, saved, stored } from './helpers';
import { ALONE, test } from './test';

type Finger = readonly [x: number, y: number];

/** Fingers on the screen, as the browser is told of them: down at the first places, along the others, and up. */
async function touch(page: Page, ...places: readonly (readonly Finger[])[]): Promise<void> {
  const screen = await page.context().newCDPSession(page);
  const told = (type: 'touchStart' | 'touchMove' | 'touchEnd', fingers: readonly Finger[]) =>
    screen.send('Input.dispatchTouchEvent', { type, touchPoints: fingers.map(([x, y], id) => ({ x, y, id })) });
  for (const [i, fingers] of places.entries()) await told(i === 0 ? 'touchStart' : 'touchMove', fingers);
  await told('touchEnd', []);
  await screen.detach();
}

/** Where the second line of words of the flyer stands, mm. */
const WORDS = [32, 123] as const;

const scaleOf = (page: Page) =>
  page
    .locator('[data-bench]')
    .getAttribute('data-scale')
    .then((scale) => Number(scale));

test('by touch on a tablet: selected, moved, pinched, typed', async ({ page }) => {
  await page.setViewportSize({ width: 1024, height: 768 });
  await openCopy(page, 'demo-meteor-night');
  const { x, y } = await onScreen(page, ...WORDS);
  await touch(page, [[x, y]]);
  const slip = page.getByRole('region', { name: 'Selection' });
  await expect(slip).toBeVisible();
  const left = await field(page, 'x-left').inputValue();
  await touch(page, [[x, y]], [[x + 20, y]], [[x + 43, y]]);
  await expect(field(page, 'x-left')).not.toHaveValue(left);
  await saved(page);

  // What one finger began is let go when the second comes: nothing moves but the view.
  const moved = await field(page, 'x-left').inputValue();
  const before = await scaleOf(page);
  await touch(
    page,
    [[x + 43, y]],
    [
      [x - 20, y],
      [x + 80, y],
    ],
    [
      [x - 60, y],
      [x + 140, y],
    ],
  );
  await expect.poll(() => scaleOf(page)).toBeGreaterThan(before * 1.5);
  await expect(field(page, 'x-left')).toHaveValue(moved);

  await page.locator('[data-bench]').focus();
  await page.keyboard.press('0');
  const { x: atX, y: atY } = await onScreen(page, ...WORDS);
  await touch(page, [[atX, atY]]);
  await touch(page, [[atX, atY]]);
  await expect(page.locator('[data-typing]')).toBeVisible();
  await page.keyboard.press('Control+End');
  await page.keyboard.type('!');
  await page.keyboard.press('Escape');
  await expect.poll(async () => JSON.stringify(await stored(page))).toContain('sixty.!');
});

test('on a phone the piece stands above its sheet, and nothing is wider than the screen', ALONE, async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openCopy(page, 'demo-meteor-night');
  const job = new URL(page.url()).pathname;
  const [bench, paper] = [page.locator('[data-bench]'), page.getByRole('complementary', { name: 'Yellow sheet' })];
  const above = await bench.boundingBox();
  const below = await paper.boundingBox();
  expect(above?.width).toBeGreaterThan(380);
  expect(above?.height).toBeGreaterThan(240);
  expect(below?.y).toBeGreaterThanOrEqual((above?.y ?? 0) + (above?.height ?? 0));
  expect(below?.width).toBeGreaterThan(360);
  for (const address of ['/', job, '/books', '/reckoner', '/intake', '/practice', '/weeks', '/glossary']) {
    await open(page, address);
    const width = await page.evaluate(() => document.documentElement.scrollWidth);
    expect([address, width]).toEqual([address, 390]);
  }
});
