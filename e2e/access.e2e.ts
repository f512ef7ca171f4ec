import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';
import { open, openJob } from './helpers';
import { ALONE, test } from './test';

async function check(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
    .analyze();
  expect(wordsOf(violations)).toEqual([]);
  // In the dark nothing but colours is another; buttons take a moment to change theirs.
  await page.emulateMedia({ colorScheme: 'dark' });
  await page.waitForTimeout(450);
  const dark = await new AxeBuilder({ page }).withRules(['color-contrast']).analyze();
  expect(wordsOf(dark.violations)).toEqual([]);
  await page.emulateMedia({ colorScheme: 'light' });
}

const wordsOf = (violations: readonly { readonly id: string; readonly nodes: readonly { target: unknown[] }[] }[]) =>
  violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join(' | ')}`);

test('the board', async ({ page }) => {
  await open(page, '/');
  await expect(page.getByRole('article').first()).toBeVisible();
  await check(page);
  await page.getByRole('button', { name: 'New job' }).click();
  await check(page);
});

test('the board as a table', ALONE, async ({ page }) => {
  await open(page, '/');
  await page.getByRole('button', { name: 'Table' }).click();
  await page.getByRole('checkbox', { name: 'Choose Meteor-night flyer' }).check();
  await check(page);
  await page.getByRole('button', { name: 'More for Meteor-night flyer' }).click();
  await check(page);
});

test('the shop books and their forms', ALONE, async ({ page }) => {
  await open(page, '/books');
  await expect(page.getByRole('button', { name: 'Copier 75' })).toBeVisible();
  await check(page);
  await page.getByRole('button', { name: 'Printers' }).click();
  await page.getByRole('button', { name: 'Flatbed Nine' }).click();
  await expect(page.getByRole('heading', { name: 'Flatbed Nine' })).toBeVisible();
  await check(page);
});

test('practice', ALONE, async ({ page }) => {
  await open(page, '/practice');
  await expect(page.getByRole('textbox', { name: 'answer' })).toBeVisible();
  await check(page);
});

test('the reckoner', ALONE, async ({ page }) => {
  await open(page, '/reckoner');
  await check(page);
});

test('the glossary, and a word that is explained where it stands', ALONE, async ({ page }) => {
  await open(page, '/glossary');
  await check(page);
  await openJob(page, 'demo-meteor-night');
  await page.keyboard.press('Alt+2');
  await page.getByRole('button', { name: 'Safe margin', exact: true }).first().click();
  const dialog = page.getByRole('dialog', { name: 'What it is' });
  await expect(dialog.getByRole('heading', { name: 'Safe margin' })).toBeVisible();
  await check(page);
  await page.keyboard.press('Escape');
  await expect(dialog).toHaveCount(0);
});

test('a coating before it is laid on, and several things at once', ALONE, async ({ page }) => {
  await openJob(page, 'demo-meteor-night');
  await page.keyboard.press('Alt+4');
  await page.getByRole('button', { name: 'Coat …' }).click();
  await check(page);
  await page.getByRole('button', { name: 'Leave it' }).click();
  await page.keyboard.press('Alt+3');
  await page.locator('[data-bench]').focus();
  await page.keyboard.press('Control+a');
  await expect(page.locator('input[name="each-left"]')).toBeVisible();
  await check(page);
  await page.getByRole('region', { name: 'Selection' }).getByRole('button', { name: 'Align' }).click();
  await check(page);
});

test('the size of a folder, flat and folded', ALONE, async ({ page }) => {
  await openJob(page, 'demo-visitor-folder');
  await page.keyboard.press('Alt+2');
  await check(page);
  await page.getByRole('button', { name: 'folded', exact: true }).click();
  await expect(page.locator('[data-dummy="ready"]')).toBeVisible();
  await check(page);
});

test('every station', ALONE, async ({ page }) => {
  await openJob(page, 'demo-meteor-night');
  for (const [key, name] of [
    ['1', 'Brief'],
    ['2', 'Size'],
    ['3', 'Lay out'],
    ['4', 'Finish'],
    ['5', 'Inspect'],
    ['6', 'Output'],
    ['7', 'Record'],
  ] as const)
    await test.step(name, async () => {
      await page.keyboard.press(`Alt+${key}`);
      await expect(page.getByRole('banner').getByRole('button', { name })).toHaveAttribute('aria-current', 'step');
      if (name === 'Lay out') {
        await page.locator('[data-bench]').focus();
        await page.keyboard.press('Tab');
        await page.keyboard.press('Tab');
      }
      // Colours are looked at when nothing fades any more.
      await page.waitForTimeout(300);
      await check(page);
      if (name === 'Finish') {
        await page.getByRole('button', { name: 'Plates', exact: true }).click();
        await expect(page.getByRole('button', { name: /^Cyan, / })).toBeVisible();
        await check(page);
        await page.getByRole('button', { name: 'Plates', exact: true }).click();
      }
    });
});

test(
  'at 1024 px nothing of the route or the save state is cut off, and a phone can read the board',
  ALONE,
  async ({ page }) => {
    await page.setViewportSize({ width: 1024, height: 768 });
    await openJob(page, 'demo-meteor-night');
    const over = () => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
    expect(await over()).toBeLessThanOrEqual(0);
    // Nor does a word of the header break in two, or run out of its button.
    const broken = () =>
      page.getByRole('banner').evaluate((header) =>
        [...header.querySelectorAll('button')]
          .filter((button) => {
            const words = document.createRange();
            words.selectNodeContents(button);
            const box = button.getBoundingClientRect();
            const { left, right, height } = words.getBoundingClientRect();
            return (
              left < box.left - 1 ||
              right > box.right + 1 ||
              height > 1.9 * parseFloat(getComputedStyle(button).fontSize)
            );
          })
          .map((button) => button.textContent),
      );
    expect(await broken()).toEqual([]);
    // What is looked for would be found.
    await page.getByRole('button', { name: 'Lay out' }).evaluate((button) => {
      button.style.whiteSpace = 'normal';
      button.style.width = '64px';
    });
    expect(await broken()).toContain('Lay out');
    await page.setViewportSize({ width: 390, height: 800 });
    await open(page, '/');
    await expect(page.getByRole('article').first()).toBeVisible();
    expect(await over()).toBeLessThanOrEqual(0);
  },
);
