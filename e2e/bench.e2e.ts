import { expect } from '@playwright/test';
import { begin, clickAt, cornerOf, dragFromTo, field, onScreen, openChoice, saved, write } from './helpers';
import { ALONE, test } from './test';

test.describe('laying out by hand', () => {
  test.beforeEach(async ({ page }) => {
    await begin(page, `Bench ${test.info().title}`);
    await page.keyboard.press('x');
    await write(field(page, 'x-left'), '10');
    await write(field(page, 'y-top'), '20');
    await write(field(page, 'x-width'), '30');
    await write(field(page, 'y-height'), '30');
  });

  test('dragging catches on the centre of the trim, and the sheet’s other side of the placement stays', async ({
    page,
  }) => {
    // Held against safe (5 mm in): the box is 15…45 mm from the trim.
    await dragFromTo(page, [30, 40], [74.6, 60]);
    await expect(field(page, 'x-off centre')).toHaveValue('0 mm');
    await expect(field(page, 'x-width')).toHaveValue('30 mm');
    await page.keyboard.press('Control+z');
    await expect(field(page, 'x-left')).toHaveValue('10 mm');
    await page.keyboard.press('Control+Shift+z');
    await expect(field(page, 'x-off centre')).toHaveValue('0 mm');
  });

  test('stretching an edge onto the trim makes it bleed', async ({ page }) => {
    const handle = page.locator('[data-handle="-1,0"]');
    const from = await cornerOf(handle);
    const to = await onScreen(page, 0.3, 35);
    await page.mouse.move(from.x + 4, from.y + 4);
    await page.mouse.down();
    await page.mouse.move(to.x, to.y, { steps: 6 });
    await page.mouse.up();
    await expect(field(page, 'x-left')).toHaveValue('-5 mm');
    // On the trim, drawn to the bleed: 3 mm further.
    const path = await page.locator('[data-element] path').first().getAttribute('d');
    expect(path).toMatch(/^M-3 /);
  });

  test('turning, nudging, duplicating, deleting, and undoing all of it', async ({ page }) => {
    const knob = await cornerOf(page.locator('[data-handle="turn"]'));
    const side = await onScreen(page, 80, 40);
    await page.mouse.move(knob.x + 5, knob.y + 5);
    await page.mouse.down();
    await page.mouse.move(side.x, side.y, { steps: 5 });
    await page.mouse.up();
    await expect(field(page, 'turn')).toHaveValue('90°');
    await page.locator('[data-bench]').focus();
    await page.keyboard.press('ArrowRight');
    await expect(field(page, 'x-left')).toHaveValue('10.5 mm');
    await page.keyboard.press('Shift+ArrowDown');
    await expect(field(page, 'y-top')).toHaveValue('25 mm');
    await page.keyboard.press('Control+d');
    await expect(page.locator('[data-element]')).toHaveCount(2);
    await page.keyboard.press('Delete');
    await expect(page.locator('[data-element]')).toHaveCount(1);
    for (let i = 0; i < 4; i += 1) await page.keyboard.press('Control+z');
    await page.keyboard.press('Tab');
    await expect(field(page, 'x-left')).toHaveValue('10 mm');
    await expect(field(page, 'turn')).toHaveValue('90°');
  });

  test('selecting through a pile, with a marquee, and aligning against an element', async ({ page }) => {
    await page.locator('[data-bench]').focus();
    await page.keyboard.press('o');
    await write(field(page, 'x-left'), '20');
    await write(field(page, 'y-top'), '25');
    await write(field(page, 'x-width'), '40');
    const name = page.getByRole('textbox', { name: 'Name' });
    await clickAt(page, 35, 40);
    await expect(name).toHaveAttribute('placeholder', 'Oval');
    await page.keyboard.down('Alt');
    await clickAt(page, 35, 40);
    await page.keyboard.up('Alt');
    await expect(name).toHaveAttribute('placeholder', 'Box');
    await page.keyboard.press('Escape');
    await dragFromTo(page, [100, 150], [8, 10]);
    await expect(page.getByText('2 elements', { exact: true })).toBeVisible();
    await page.getByRole('button', { name: 'Align', exact: true }).click();
    await openChoice(page.getByLabel('against'));
    await page.getByRole('option', { name: 'Oval' }).click();
    await page.getByRole('button', { name: 'Align left' }).click();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await clickAt(page, 26, 60);
    await expect(field(page, 'x-left')).toHaveValue('20 mm');
  });

  test('a length that cannot be read is refused at its field, and nothing changes', ALONE, async ({ page }) => {
    await write(field(page, 'x-width'), '12 foo');
    await expect(page.getByRole('alert').filter({ hasText: '“foo” is not a unit' })).toBeVisible();
    await expect(page.locator('[data-element] path').first()).toHaveAttribute('d', /^M15 25/);
    await field(page, 'x-width').press('Escape');
    await expect(field(page, 'x-width')).toHaveValue('30 mm');
    await write(field(page, 'x-width'), '50%');
    await expect(field(page, 'x-width')).toHaveValue('50 %');
    await write(field(page, 'x-width'), '1in + 2mm');
    await expect(field(page, 'x-width')).toHaveValue('27.4 mm');
  });

  test('what is brought to the front lies above', ALONE, async ({ page }) => {
    await page.locator('[data-bench]').focus();
    await page.keyboard.press('o');
    const order = () =>
      page.locator('[data-element]').evaluateAll((els) => els.map((el) => el.getAttribute('data-element')));
    const before = await order();
    await page.locator('[data-bench]').focus();
    await page.keyboard.press('[');
    expect(await order()).toEqual([...before].reverse());
  });
});

test('text is typed in place, with its own caret, and every word is kept', async ({ page }) => {
  await begin(page, 'Typing');
  await page.keyboard.press('t');
  await page.keyboard.type('Meteor night');
  await page.keyboard.press('Home');
  await page.keyboard.type('The ');
  await page.keyboard.press('End');
  await page.keyboard.press('Enter');
  await page.keyboard.type('in August');
  await expect(page.locator('[data-typing]')).toHaveText(/^The Meteor night\s*in August$/);
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Home');
  await page.keyboard.type('1 ');
  await expect(page.locator('[data-typing]')).toHaveText(/^1 The Meteor night\s*in August$/);
  await page.keyboard.press('Escape');
  await saved(page);
  await page.reload();
  await expect(page.getByText('1 element on this side.')).toBeVisible();
});

test('the command palette finds a command by name and runs it', ALONE, async ({ page }) => {
  await begin(page, 'Palette');
  await page.locator('[data-bench]').focus();
  await page.keyboard.press('/');
  await page.keyboard.type('oval');
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-element]')).toHaveCount(1);
  await expect(page.getByRole('textbox', { name: 'Name' })).toHaveAttribute('placeholder', 'Oval');
});

test('a figure shows its working, takes a value by hand, and gives it back', async ({ page }) => {
  await begin(page, 'Figures');
  const figure = page.locator('[data-figure="bleed"]');
  await figure.getByRole('button').first().click();
  await expect(figure).toContainText('Common practice: 3 mm all round');
  await write(field(page, 'override-bleed'), '5mm');
  await expect(figure).toContainText('set by hand');
  await expect(page.locator('[data-figure="with-bleed"]')).toContainText('158 × 220');
  await figure.getByRole('button', { name: 'Take back' }).click();
  await expect(page.locator('[data-figure="with-bleed"]')).toContainText('154 × 216');
});

test('a new size moves everything rightly, and another unit only writes it differently', ALONE, async ({ page }) => {
  await begin(page, 'Resize');
  await page.keyboard.press('x');
  await page.getByLabel('box').click();
  await page.getByRole('option', { name: 'trim' }).click();
  await write(field(page, 'x-off centre'), '0');
  await page.keyboard.press('Alt+2');
  await write(field(page, 'size'), 'A4 landscape');
  await expect(page.locator('[data-figure="finished"]')).toContainText('297 × 210');
  await page.keyboard.press('Alt+3');
  await expect(field(page, 'x-off centre')).toHaveValue('0 mm');
  const path = (await page.locator('[data-element] path').first().getAttribute('d')) ?? '';
  const [left = 0, , right = 0] = [...path.matchAll(/-?[\d.]+/g)].map((m) => Number(m[0]));
  expect((left + right) / 2).toBeCloseTo(148.5, 3);
  await page.keyboard.press('Alt+2');
  await write(field(page, 'size'), '8.5in by');
  await expect(page.getByRole('alert').filter({ hasText: 'missing at the end' })).toBeVisible();
});

test('a designer’s own font is brought in, chosen, and set on the bench', ALONE, async ({ page }) => {
  await begin(page, 'Own font');
  const font = 'node_modules/@fontsource/spline-sans-mono/files/spline-sans-mono-latin-600-normal.woff2';
  await page.getByLabel('Pictures, drawings, PDFs and fonts to bring in').setInputFiles(font);
  await expect(page.getByText('Spline Sans Mono can be chosen now.')).toBeVisible();
  await page.locator('[data-bench]').focus();
  await page.keyboard.press('t');
  await page.keyboard.type('Moon');
  await page.keyboard.press('Escape');
  const before = await page.locator('[data-element] path').first().getAttribute('d');
  await page.getByRole('button', { name: 'Letters' }).click();
  await openChoice(page.getByRole('combobox', { name: 'face' }));
  await page.getByRole('option', { name: 'Spline Sans Mono' }).click();
  await expect.poll(() => page.locator('[data-element] path').first().getAttribute('d')).not.toBe(before);
  await expect(page.locator('[data-finding="missing"]')).toHaveCount(0);
});
