import { expect, type Page } from '@playwright/test';
import { added, pieceOf } from '../src/core/edit';
import { blankOf, elementsOn } from '../src/core/job';
import { House } from '../src/core/shop';
import { begin as made, box, shape } from '../src/testing/jobs';
import { begin, field, openCopy, openMade, stored, write } from './helpers';
import { ALONE, test } from './test';

/** How many pixels of the bench a picture of copies covers. */
const covered = (page: Page): Promise<number> =>
  page.evaluate(() => {
    const canvas = document.querySelector<HTMLCanvasElement>('[data-pile]');
    const { data } = canvas?.getContext('2d')?.getImageData(0, 0, canvas.width, canvas.height) ?? { data: [] };
    let count = 0;
    for (let i = 3; i < data.length; i += 4) if ((data[i] ?? 0) > 200) count += 1;
    return count;
  });

const finding = (page: Page) => page.locator('[data-finding="uneven-border"]');

test('a frame 3 mm from the edge is crooked; its worst copy is looked at, and the fix makes it rare', async ({
  page,
}) => {
  await openCopy(page, 'demo-meteor-night');
  await page.keyboard.press('Alt+3');
  await page.keyboard.press('x');
  await write(field(page, 'x-width'), '');
  await write(field(page, 'y-height'), '');
  for (const edge of ['x-left', 'x-right', 'y-top', 'y-bottom']) await write(field(page, edge), '-2mm');
  await page.keyboard.press('Alt+5');
  await expect(finding(page)).toContainText(/border of 3 mm is crooked on \d+ in 1,000 copies/);

  await finding(page)
    .getByRole('button', { name: /^Copy \d+$/ })
    .click();
  const picture = page.locator('[data-pile="one"]');
  await expect(picture).toHaveAccessibleName(/^Copies of the front/);
  await expect(page.locator('[data-off]')).toContainText(/too (much|little)/);
  await expect.poll(() => covered(page)).toBeGreaterThan(50_000);
  const one = await covered(page);

  await page.getByRole('button', { name: 'The pile' }).click();
  await expect.poll(() => covered(page)).toBeGreaterThan(one * 1.2);
  await page.getByRole('button', { name: 'All cuts' }).click();
  await expect(page.locator('[data-pile="all"]')).toBeVisible();
  await page.getByRole('button', { name: 'As meant' }).click();
  await expect(page.locator('[data-pile]')).toHaveCount(0);

  await finding(page)
    .getByRole('button', { name: /^Draw it in to/ })
    .click();
  await expect(finding(page)).toHaveCount(0);
  const [piece] = (await stored(page)).pieces;
  const frame = piece && elementsOn(piece, 'front').at(-1);
  expect(frame?.placement.x).toMatchObject({ start: expect.any(Number), end: expect.any(Number) });
});

test('how careful the house is moves the cuts; usual, worst and any copy can be looked at', ALONE, async ({ page }) => {
  await begin(page, 'Copies');
  await page.keyboard.press('Alt+5');
  const off = page.locator('[data-off]');
  await page.getByRole('button', { name: 'Worst' }).click();
  const worst = await off.textContent();
  await page.getByRole('slider', { name: /^Guillotine ± 1 mm/ }).focus();
  await page.keyboard.press('End');
  await expect(page.getByText('Guillotine ± 2 mm')).toBeVisible();
  await expect(off).not.toHaveText(worst ?? '');
  await page.getByRole('button', { name: 'Usual' }).click();
  const copy = page.getByRole('textbox', { name: 'copy' });
  await expect(copy).not.toHaveValue('1');
  await write(copy, '1001');
  await expect(page.getByText('A whole number from 1 to 1000 is wanted.')).toBeVisible();
  await write(copy, '7');
  await expect(page.locator('[data-pile="one"]')).toHaveAttribute('data-copy', '6');
});

test('a colour that changes on a folder’s fold is taken round it', ALONE, async ({ page }) => {
  const folder = made('brochure', { fold: 'half' });
  const [side] = blankOf(folder, pieceOf(folder)).surfaces;
  const [left] = side?.boxes.panels ?? [];
  if (!side || !left) throw new Error('no panels');
  const { trim } = side.boxes;
  const panel = box('panel', [trim.x, trim.y, left.width, trim.height]);
  await openMade(page, added(folder, side.name, [panel]).job, '?at=inspect');
  const found = page.locator('[data-finding="fold-drift"]');
  await expect(found).toContainText(/right edge lies on the fold\. A stripe .* shows on \d+ in 1,000 copies/);
  await found.getByRole('button', { name: /^Copy \d+$/ }).click();
  await expect(page.locator('[data-pile="one"]')).toBeVisible();
  await found.getByRole('button', { name: /^Take it .* round the fold$/ }).click();
  await expect(found).toHaveCount(0);
});

test('the border of a die-cut sticker is too narrow for the roll, and is drawn in', ALONE, async ({ page }) => {
  const labels = {
    ...made('roll-labels', { size: '60 x 60 mm', shape: 'oval' }),
    house: House.parse({ press: 'flexo' }),
  };
  const ring = shape('ring', [1, 1, 58, 58], { form: 'ellipse' }, { fill: null, stroke: RULE });
  await openMade(page, added(labels, 'label', [ring]).job, '?at=inspect');
  await expect(finding(page)).toContainText(/border of 1 mm is crooked on .* copies.*the die cuts to ± 0\.8 mm/);
  await finding(page)
    .getByRole('button', { name: /^Draw it in to/ })
    .click();
  await expect(finding(page)).toHaveCount(0);
});

const RULE = { paint: { kind: 'process', c: 0, m: 0, y: 0, k: 100 }, widthPt: 2, align: 'in' } as const;
