import { expect, type Page } from '@playwright/test';
import { field, open, openChoice, openCopy, saved, write } from './helpers';
import { ALONE, test } from './test';

/** Counts what a person does, and lets nothing else through. */
function hands(page: Page) {
  let actions = 0;
  const typed: string[] = [];
  return {
    press: async (name: string | RegExp, role: 'button' | 'radio' = 'button') => {
      actions += 1;
      await page
        .getByRole(role, { name, exact: typeof name === 'string' })
        .first()
        .click();
    },
    choose: async (label: string, option: string) => {
      actions += 2;
      await page.getByLabel(label, { exact: true }).first().click();
      await page.getByRole('option', { name: option, exact: true }).click();
    },
    type: async (label: string, text: string) => {
      actions += 1;
      typed.push(text);
      await page.getByRole('textbox', { name: label, exact: true }).fill(text);
    },
    change: async (name: string, text: string) => {
      actions += 1;
      typed.push(text);
      await write(field(page, name), text);
    },
    report: (what: string) => {
      // What the issue of effort is measured by; shown in the test’s output.
      console.log(`${what}: ${actions} actions, typed: ${typed.join(' · ')}`);
      return { actions, typed };
    },
  };
}

const figure = (page: Page, id: string) => page.locator(`[data-figure="${id}"]`);

async function newJob(page: Page) {
  await open(page, '/');
  const hand = hands(page);
  await hand.press('New job');
  return hand;
}

test.describe('set up with not one number typed that the tool can know', () => {
  test('the trail map: 24 × 36 in, folded in fours', ALONE, async ({ page }) => {
    const hand = await newJob(page);
    await hand.press('Map or folded poster', 'radio');
    await hand.type('Name', 'Trail map');
    await hand.type('Flat size', '24 x 36 in');
    await hand.type('Parts down', '4');
    await hand.press('Begin');
    await expect(figure(page, 'finished')).toContainText('6 × 9');
    await expect(figure(page, 'panels-across')).toContainText('4 × 6');
    await expect(figure(page, 'folds')).toContainText('6');
    await page.getByRole('button', { name: 'folded', exact: true }).click();
    await expect(page.locator('[data-dummy="ready"]')).toBeVisible();
    for (let i = 0; i < 6; i += 1) await page.getByRole('button', { name: 'One fold further' }).click();
    await expect(page.getByText('Folded: 6 folds')).toBeVisible();
    expect(hand.report('trail map').actions).toBeLessThanOrEqual(6);
  });

  test('the visitor folder: letter fold on a US letter, then on A4 by the paper', async ({ page }) => {
    const hand = await newJob(page);
    await hand.press('Brochure', 'radio');
    await hand.type('Name', 'Visitor folder');
    await hand.type('Flat size', 'letter landscape');
    await hand.type('Allowance', 'shift:1mm');
    await hand.press('Begin');
    await expect(figure(page, 'panels-across')).toContainText('3.5879 | 3.706 | 3.706');
    await hand.change('allowance', 'thickness');
    await hand.change('size', 'A4 landscape');
    await hand.choose('unit', 'mm');
    await page.keyboard.press('Alt+1');
    await hand.choose('From the shop’s papers', 'Stillwater silk 150');
    await hand.press('Change it');
    await page.keyboard.press('Alt+2');
    // (297 + 0.13 + 1) ÷ 3, and 1.13 less for the panel that is tucked.
    await expect(figure(page, 'panels-across')).toContainText('98.247 | 99.377 | 99.377');
    await saved(page);
    expect(hand.report('visitor folder').actions).toBeLessThanOrEqual(13);
  });

  test('the disc sleeve', ALONE, async ({ page }) => {
    const hand = await newJob(page);
    await hand.press('Disc sleeve', 'radio');
    await hand.type('Name', 'Moor at night');
    await hand.press('Begin');
    await expect(figure(page, 'flat')).toContainText('273 × 184');
    await expect(figure(page, 'with-bleed')).toContainText('279 × 190');
    await expect(figure(page, 'sheet-1')).toContainText('Up on A4');
    await expect(page.locator('[data-bench]').getByText('spine')).toBeVisible();
    expect(hand.report('disc sleeve').typed).toEqual(['Moor at night']);
  });

  test('the tent banner: 5 × 3 ft', ALONE, async ({ page }) => {
    const hand = await newJob(page);
    await hand.press('Banner', 'radio');
    await hand.type('Name', 'Tent banner');
    await hand.type('Finished size', '5 x 3 ft');
    await hand.press('Begin');
    await expect(figure(page, 'finished')).toContainText('60 × 36');
    await expect(figure(page, 'grommets')).toBeVisible();
    await figure(page, 'pixels').getByRole('button').first().click();
    await expect(figure(page, 'pixels')).toContainText('trimmed: 6000 × 3600 px');
    expect(hand.report('tent banner').actions).toBeLessThanOrEqual(5);
  });

  test('the catalogue with its cover', ALONE, async ({ page }) => {
    const hand = await newJob(page);
    await hand.press('Catalogue or book', 'radio');
    await hand.type('Name', 'Ten years of night skies');
    await hand.choose('Paper', 'Stillwater silk 150');
    await hand.type('Page size', '170 x 240 mm');
    await hand.type('Pages', '100');
    await hand.press('Begin');
    await expect(figure(page, 'spine')).toContainText('6.5');
    await expect(figure(page, 'flat')).toContainText('346.5 × 240');
    await page
      .locator('[data-strip]')
      .getByRole('button', { name: /^page 100/ })
      .click();
    await expect(page.locator('[data-bench]')).toHaveAttribute('aria-label', /page 100/);
    expect(hand.report('catalogue').actions).toBeLessThanOrEqual(9);
  });
});

test('what cannot be is refused at its field, and nothing else changes', ALONE, async ({ page }) => {
  await open(page, '/jobs/demo-catalogue?at=size');
  await write(field(page, 'pages'), '99');
  await expect(page.getByRole('alert').filter({ hasText: 'take 100, with page 100 blank, or 98' })).toBeVisible();
  await expect(figure(page, 'leaves')).toContainText('50');
  await page.goto('/jobs/demo-eyepiece-labels?at=size');
  await write(field(page, 'pitch-across'), '50mm');
  await expect(page.getByRole('alert').filter({ hasText: 'at least the label' })).toBeVisible();
  await expect(figure(page, 'per-sheet')).toContainText('21');
});

test('what cannot be begun says so at its field, with what could', ALONE, async ({ page }) => {
  await open(page, '/');
  await page.getByRole('button', { name: 'New job' }).click();
  const field = (label: string) => page.getByRole('textbox', { name: label, exact: true });
  await page.getByRole('radio', { name: 'Booklet' }).click();
  await field('Pages').fill('7 ');
  await expect(page.getByText('take 8, with page 8 blank, or 4')).toBeVisible();
  await field('Pages').fill('8');
  await expect(page.getByText('take 8')).toHaveCount(0);
  await page.getByRole('radio', { name: 'Banner' }).click();
  await field('Finished size').fill('1 x 0.3 m');
  await openChoice(page.getByLabel('Pole pockets'));
  await page.getByRole('option', { name: 'head', exact: true }).click();
  await field('Pole').fill('400mm');
  await expect(page.getByText('A pole is thinner than the banner is high')).toBeVisible();
  await page.getByRole('radio', { name: 'Brochure' }).click();
  await field('Flat size').fill('40 x 210 mm');
  await field('Allowance').fill('shift:9mm');
  await expect(page.getByText('of negative width')).toBeVisible();
});

test('a smaller size asks first, names what no longer fits, and can be left', async ({ page }) => {
  await open(page, '/');
  await page.getByRole('button', { name: 'New job' }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Shrinking');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.locator('[data-bench]')).toBeVisible();
  await page.locator('[data-bench]').focus();
  await page.keyboard.press('x');
  await write(field(page, 'x-left'), '100');
  await write(field(page, 'x-width'), '30');
  await page.keyboard.press('Alt+2');
  await write(field(page, 'size'), 'A6');
  const ask = page.getByRole('alertdialog');
  await expect(ask).toContainText('will no longer fit');
  await expect(ask).toContainText('Box (front)');
  await ask.getByRole('button', { name: 'Leave it as it is' }).click();
  await expect(figure(page, 'finished')).toContainText('148 × 210');
  await write(field(page, 'size'), 'A6');
  await ask.getByRole('button', { name: 'Change it' }).click();
  await expect(figure(page, 'finished')).toContainText('105 × 148');
  await page.keyboard.press('Control+z');
  await expect(figure(page, 'finished')).toContainText('148 × 210');
});

test(
  'a flyer becomes a folder, its content on the same sides, and goes back with one undo',
  ALONE,
  async ({ page }) => {
    await openCopy(page, 'demo-meteor-night', '?at=size');
    await page.getByRole('button', { name: 'Change kind' }).click();
    await page.getByRole('radio', { name: 'Folded card' }).click();
    const ask = page.getByRole('alertdialog');
    const changed = figure(page, 'flat').filter({ hasText: '296 × 210' });
    await expect(ask.or(changed).first()).toBeVisible();
    if ((await changed.count()) === 0) await ask.getByRole('button', { name: 'Change it' }).click();
    await expect(changed).toBeVisible();
    await expect(page.locator('[data-bench]')).toHaveAttribute('aria-label', /outside, 17 elements/);
    await page.keyboard.press('Control+z');
    await expect(figure(page, 'finished')).toContainText('148 × 210');
  },
);

test('a page with its bleed inside becomes trim and bleed', ALONE, async ({ page }) => {
  await openCopy(page, 'demo-member-card', '?at=size');
  await write(field(page, 'size'), '91 x 61 mm');
  await page.getByRole('button', { name: 'Bleed is inside' }).click();
  await write(field(page, 'oversized'), '3 mm');
  await expect(figure(page, 'finished')).toContainText('85 × 55');
  await expect(figure(page, 'with-bleed')).toContainText('91 × 61');
});

test('an own outline comes in from a file, an open one is refused', ALONE, async ({ page }) => {
  await open(page, '/');
  await page.getByRole('button', { name: 'New job' }).click();
  await page.getByRole('radio', { name: 'Own format' }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  const input = page.getByLabel('Outline file, SVG or DXF');
  const svg = (d: string) => ({
    name: 'die.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(
      `<svg xmlns="http://www.w3.org/2000/svg" width="90mm" height="60mm" viewBox="0 0 90 60"><path d="${d}"/></svg>`,
    ),
  });
  await input.setInputFiles(svg('M0 0H90V40L45 60Z M5 5'));
  await expect(figure(page, 'finished')).toContainText('90 × 60');
  await input.setInputFiles(svg('M0 0H80V50'));
  await expect(page.getByText('The outline is open')).toBeVisible();
  await expect(figure(page, 'finished')).toContainText('90 × 60');
  await write(field(page, 'lines'), 'fold every 1/3 across');
  // Two lines, each with a triangle at its head; their feet lie on the slanting edge.
  await expect(page.locator('[data-bench] path[stroke="#7b2f6b"]')).toHaveCount(4);
});

test('another printer says what changes and what then fails, before it is taken', async ({ page }) => {
  await open(page, '/jobs/demo-winter-talks?at=brief');
  await openChoice(page.getByLabel('From the shop’s printers'));
  await page.getByRole('option', { name: 'Flatbed Nine' }).click();
  const ask = page.getByRole('alertdialog');
  await expect(ask).toContainText('Bleed 0.125 in → 0.3937 in');
  await ask.getByRole('button', { name: 'Leave it as it is' }).click();
  await expect(figure(page, 'bleed')).toContainText('0.125');
});

test('the shop books: a paper is changed, renamed, taken out and put back', async ({ page }) => {
  await open(page, '/books');
  await page.getByRole('button', { name: 'Curlew news 52' }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Curlew news 55');
  await field(page, 'Weight').fill('55');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByRole('button', { name: 'Curlew news 55' })).toBeVisible();
  await page.getByRole('button', { name: 'Curlew news 55' }).click();
  await page.getByRole('button', { name: 'Take out' }).click();
  await expect(page.getByRole('button', { name: 'Curlew news 55' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Put back' }).click();
  await expect(page.getByRole('button', { name: 'Curlew news 55' })).toBeVisible();
});

test('the reckoner answers with its working, refuses at the field, and begins a job', async ({ page }) => {
  await open(page, '/reckoner');
  await page.getByRole('button', { name: 'Spine of a book' }).click();
  await page.getByRole('textbox', { name: 'Pages' }).fill('99');
  await expect(page.getByRole('alert').filter({ hasText: 'take 100 or 98' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Pages' }).fill('100');
  await expect(page.locator('[data-answer="spine"]')).toContainText('6.5');
  await page.getByRole('button', { name: 'Begin a catalogue' }).click();
  await expect(figure(page, 'spine')).toContainText('6.5');
});

test('die lines and a dummy come out of the browser too', ALONE, async ({ page }) => {
  await open(page, '/jobs/demo-red-lamp-box?at=output');
  await page.getByRole('button', { name: 'Die lines' }).click();
  await expect(page.getByRole('link', { name: /outside-die\.dxf/ })).toBeVisible();
  await page.getByRole('button', { name: 'Folding dummy' }).click();
  await expect(page.getByRole('link', { name: /dummy\.pdf/ })).toBeVisible();
});
