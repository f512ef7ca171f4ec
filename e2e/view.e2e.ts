import { expect, type Page } from '@playwright/test';
import { copyOf, open, openCopy, openJob, saved } from './helpers';
import { IS_ALL } from '../src/testing/all';
import { ALONE, test } from './test';

/** Where the trimmed corner of the piece is on the screen, px, and how large a millimetre is. */
const look = (page: Page) =>
  page.locator('[data-bench]').evaluate((bench: HTMLElement) => {
    const { left, top, width, height } = bench.getBoundingClientRect();
    const [x = NaN, y = NaN] = (bench.dataset['origin'] ?? '').split(',').map(Number);
    return { x: left + x, y: top + y, scale: Number(bench.dataset['scale']), width, height };
  });

async function expectStill(page: Page, before: Awaited<ReturnType<typeof look>>, after: string): Promise<void> {
  // What is done may be drawn a moment later.
  await page.waitForTimeout(150);
  const now = await look(page);
  expect(Math.abs(now.x - before.x), `${after}: across`).toBeLessThan(0.5);
  expect(Math.abs(now.y - before.y), `${after}: down`).toBeLessThan(0.5);
  expect(now.scale, `${after}: scale`).toBe(before.scale);
}

const STILL = [
  ['meteor-night', 640],
  // Its pages stand in a strip above it.
  ['catalogue', 580],
  ['visitor-folder', 640],
] as const;
for (const [piece, height] of IS_ALL ? STILL : STILL.slice(0, 1))
  test(`${piece} stands still whatever is done but zooming, and has the room right of the sheet`, async ({ page }) => {
    await openCopy(page, `demo-${piece}`);
    const first = await look(page);
    for (const key of ['2', '4', '5', '6', '3']) {
      await page.keyboard.press(`Alt+${key}`);
      await expectStill(page, first, `station ${key}`);
      const { width, height: has } = await look(page);
      expect(width).toBeGreaterThanOrEqual(870);
      expect(has).toBeGreaterThanOrEqual(height);
    }
    await page.locator('[data-bench]').focus();
    for (let i = 0; i < 4; i += 1) {
      await page.keyboard.press('Tab');
      await expect(page.getByRole('region', { name: 'Selection' })).toBeVisible();
      await expectStill(page, first, `element ${i + 1}`);
    }
    const more = page.getByRole('group', { name: 'Whole' }).getByRole('button', { name: /^Effects/ });
    await more.click();
    await expect(page.getByRole('dialog', { name: 'Effects' })).toBeVisible();
    await expectStill(page, first, 'a door that is open');
    await page.keyboard.press('Escape');
    await page.getByRole('group', { name: 'Whole' }).getByLabel('opacity').fill('40');
    await page.getByRole('group', { name: 'Whole' }).getByLabel('opacity').press('Enter');
    await expectStill(page, first, 'a field');
    await page.locator('[data-bench]').focus();
    await page.keyboard.press('Escape');
    await expectStill(page, first, 'nothing selected');
  });

test('a side that somebody zoomed is shown as it was left at that station', ALONE, async ({ page }) => {
  await openCopy(page, 'demo-meteor-night');
  await page.keyboard.press('Alt+3');
  await page.locator('[data-bench]').focus();
  await page.keyboard.press('+');
  const zoomed = await look(page);
  await page.keyboard.press('Alt+5');
  await expectStill(page, zoomed, 'another station');
  await page.locator('[data-bench]').focus();
  await page.keyboard.press('+');
  const closer = await look(page);
  expect(closer.scale).toBeGreaterThan(zoomed.scale);
  await page.keyboard.press('Alt+3');
  await expectStill(page, zoomed, 'back where it was zoomed');
  await page.keyboard.press('Alt+5');
  await expectStill(page, closer, 'back where it was zoomed more');
});

for (const name of IS_ALL ? ['meteor-night', 'catalogue'] : ['meteor-night'])
  test(`the picture of ${name} lies where the piece will lie, from the click on`, async ({ page }) => {
    let letGo: () => void = () => undefined;
    const held = new Promise<void>((resolve) => (letGo = resolve));
    await page.route('**/fonts/*.ttf', async (route) => {
      await held;
      await route.continue();
    });
    await open(page, `/jobs/demo-${name}`);
    const picture = page.locator('[data-opening] image');
    await expect(picture).toBeVisible();
    await expect(page.getByRole('complementary', { name: 'Yellow sheet' }).getByRole('heading')).toBeVisible();
    const where = () =>
      picture.evaluate((image) => {
        const { x, y, width } = image.getBoundingClientRect();
        return { x, y, width, mm: Number(image.getAttribute('width')) };
      });
    // It is drawn anew when the page’s script has come.
    await expect.poll(async () => (await where()).width).toBeGreaterThan(0);
    const before = await where();
    letGo();
    await expect(page.locator('[data-element]').first()).toBeVisible();
    const now = await look(page);
    expect(Math.abs(now.x - before.x)).toBeLessThan(0.5);
    expect(Math.abs(now.y - before.y)).toBeLessThan(0.5);
    expect(Math.abs(now.scale * before.mm - before.width)).toBeLessThan(0.5);
  });

test(
  'a job that was left, changed by somebody else and is gone back to, is the job as it is now',
  ALONE,
  async ({ page }) => {
    await open(page, '/');
    const id = await copyOf(page, 'demo-meteor-night');
    await page.reload();
    const nudge = async (where: Page) => {
      await where.locator('[data-bench]').focus();
      await where.keyboard.press('Tab');
      await where.keyboard.press('ArrowRight');
      await expect(where.locator('[data-save]')).not.toHaveAttribute('data-save', /sending|waiting/);
      await saved(where);
    };
    await page.locator(`a[href="/jobs/${id}"]`).click();
    await nudge(page);
    await page.getByRole('link', { name: 'Yellow Sheet' }).click();
    await page.getByRole('heading', { name: 'Jobs' }).waitFor();
    const other = await page.context().newPage();
    await openJob(other, id);
    await nudge(other);
    await page.goBack();
    await nudge(page);
  },
);

/** What is wider than its room and cut off there: words of fields and figures, and what stands past the window. */
const cutOff = (page: Page) =>
  page.evaluate(() => {
    const hidden = (element: Element) => element.closest('[aria-hidden=true], [hidden]') !== null;
    const boxes = [...document.querySelectorAll<HTMLElement>('body *')].filter((element) => {
      const { width, height } = element.getBoundingClientRect();
      return width > 2 && height > 2 && !hidden(element);
    });
    const isTyped = (element: HTMLElement) =>
      element instanceof HTMLInputElement && !['checkbox', 'radio', 'file', 'range', 'color'].includes(element.type);
    const isClipped = (element: HTMLElement) => {
      const hasWords = element.childElementCount === 0 && element.textContent.trim() !== '';
      return hasWords && getComputedStyle(element).overflowX !== 'visible';
    };
    const found = boxes
      .filter((element) => (isTyped(element) || isClipped(element)) && element.scrollWidth > element.clientWidth + 1)
      .map((element) => (element instanceof HTMLInputElement ? element.value : element.textContent));
    const past = boxes
      .filter((element) => element.tagName === 'BUTTON' && !element.closest('[data-strip]'))
      .filter((button) => button.getBoundingClientRect().right > window.innerWidth + 1)
      .map((button) => `past the window: ${button.textContent}`);
    const isWide = document.documentElement.scrollWidth > window.innerWidth;
    const sheet = [...document.querySelectorAll('aside, aside *')].some(
      (part) =>
        ['auto', 'scroll'].includes(getComputedStyle(part).overflowX) && part.scrollWidth > part.clientWidth + 1,
    );
    return [...found, ...past, ...(isWide ? ['the page'] : []), ...(sheet ? ['the sheet'] : [])];
  });

const FITS = [
  ['visitor-folder', 'mm'],
  ['tent-banner', 'in'],
  ['red-lamp-box', 'in'],
  ['report-poster', 'in'],
  // The names of its many sides stand in a list.
  ['moon-calendar', 'mm'],
] as const;
for (const [name, unit] of IS_ALL ? FITS : FITS.slice(0, 2))
  test(`nothing of ${name} is cut off in ${unit}, at any station, large or small`, async ({ page }) => {
    await openJob(page, await copyOf(page, `demo-${name}`, { unit }));
    await page.locator('[data-figure]').first().waitFor();
    for (const [width, height] of [
      [1280, 800],
      [1024, 700],
    ] as const) {
      await page.setViewportSize({ width, height });
      for (const key of ['1', '2', '4', '5', '6', '7', '3']) {
        await page.keyboard.press(`Alt+${key}`);
        await page.waitForTimeout(250);
        expect([width, key, await cutOff(page)]).toEqual([width, key, []]);
      }
      for (let i = 0; i < 3; i += 1) {
        await page.locator('[data-bench]').focus();
        await page.keyboard.press('Tab');
        await page.waitForTimeout(100);
        expect([width, `element ${i}`, await cutOff(page)]).toEqual([width, `element ${i}`, []]);
      }
    }
  });

test(
  'a dark surround holds on every page, before anything is seen, and the paper stays white',
  ALONE,
  async ({ page }) => {
    await openCopy(page, 'demo-meteor-night');
    const bench = () =>
      page.locator('[data-bench]').evaluate((b) => getComputedStyle(b.parentElement ?? b).backgroundColor);
    const light = await bench();
    await page.keyboard.press('/');
    await page.keyboard.type('dark surround');
    await page.keyboard.press('Enter');
    await expect.poll(bench).not.toBe(light);
    const dark = await bench();
    await page.reload();
    await expect(page.locator('html')).toHaveAttribute('data-surround', 'dark');
    await expect(page.locator('[data-element]').first()).toBeVisible();
    expect(await bench()).toBe(dark);
    await page.locator('[data-bench]').focus();
    await page.keyboard.press('Tab');
    const slip = page.getByRole('region', { name: 'Selection' });
    expect(await slip.evaluate((s) => getComputedStyle(s).backgroundColor)).toBe('rgb(255, 255, 255)');
    await page.keyboard.press('Escape');
    await page.keyboard.press('/');
    await page.keyboard.type('surround as the system');
    await page.keyboard.press('Enter');
    await expect.poll(bench).toBe(light);
  },
);

test('rulers stand along the bench on wish, and a part that is seen has its place on the whole', async ({ page }) => {
  await openJob(page, 'demo-meteor-night');
  const bench = page.locator('[data-bench]');
  const overview = page.locator('[data-overview]');
  await bench.focus();
  await expect(page.locator('[data-rulers]')).toHaveCount(0);
  await page.keyboard.press('u');
  const across = page.locator('[data-ruler="x"]');
  await expect(across).toContainText('0');
  await expect(across).toContainText('100');
  // From the corner of the trim: there the ruler begins.
  const zero = await across.locator('text', { hasText: /^0$/ }).locator('..').getAttribute('transform');
  const origin = Number(((await bench.getAttribute('data-origin')) ?? '').split(',')[0]);
  expect(Number(/translate\(([\d.]+)/.exec(zero ?? '')?.[1])).toBeCloseTo(origin, 3);
  await page.keyboard.press('u');
  await expect(page.locator('[data-rulers]')).toHaveCount(0);

  await expect(overview).toHaveCount(0);
  for (let i = 0; i < 4; i += 1) await page.keyboard.press('+');
  await expect(overview).toBeVisible();
  const before = await bench.getAttribute('data-origin');
  await overview.click({ position: { x: 12, y: 12 } });
  await expect(bench).not.toHaveAttribute('data-origin', before ?? '');
  const scale = Number(await bench.getAttribute('data-scale'));
  const box = await bench.boundingBox();
  const [x = 0, y = 0] = ((await bench.getAttribute('data-origin')) ?? '').split(',').map(Number);
  // What was pressed is in the middle now: near the upper left of the bleed.
  expect(Math.abs(((box?.width ?? 0) / 2 - x) / scale - 10)).toBeLessThan(16);
  expect(Math.abs(((box?.height ?? 0) / 2 - y) / scale - 10)).toBeLessThan(16);
  await page.keyboard.press('0');
  await expect(overview).toHaveCount(0);
});
