import { expect } from '@playwright/test';
import { open, openJob, saved } from './helpers';
import { ALONE, test } from './test';

test(
  'next year’s version: a date and a picture change, and the difference is told in words and shown',
  ALONE,
  async ({ page }) => {
    await open(page, '/');
    const card = page.locator('article').filter({ has: page.locator('a[href="/jobs/demo-meteor-night"]') });
    await card.getByRole('button', { name: 'More for Meteor-night flyer' }).click();
    await page.getByRole('menuitem', { name: 'Begin its next version' }).click();
    await expect(page.locator('[data-bench]')).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Meteor-night flyer 2' })).toBeVisible();
    const old = await (await page.request.get('/api/jobs/demo-meteor-night')).text();

    // Nothing differs yet.
    await page.locator('[data-bench]').focus();
    await page.keyboard.press('Shift+V');
    const dialog = page.getByRole('dialog', { name: /^What differs from Meteor-night flyer/ });
    await expect(dialog.getByRole('list', { name: 'Differences' })).toContainText(
      'name: "Meteor-night flyer" → "Meteor-night flyer 2"',
    );
    await expect(dialog.getByRole('list', { name: 'Differences' }).getByRole('listitem')).toHaveCount(3);
    await dialog.getByRole('button', { name: 'Close' }).click();

    await page.getByRole('button', { name: /^On this side/ }).click();
    await page.getByRole('button', { name: 'Tagline', exact: true }).click();
    await page.locator('[data-bench]').focus();
    await page.keyboard.press('Enter');
    await page.keyboard.press('Control+a');
    await page.keyboard.insertText('Look up again.');
    await page.keyboard.press('Escape');
    await saved(page);
    await page.keyboard.press('Shift+V');
    await expect(
      dialog.getByText('front: Tagline says “Look up again.”, not “Lie down, look up, count to sixty.”'),
    ).toBeVisible();
    await expect(dialog.getByRole('img', { name: 'Meteor-night flyer: front, 1 marked' })).toBeVisible();
    await expect(dialog.getByRole('img', { name: 'Meteor-night flyer 2: front, 1 marked' })).toBeVisible();
    // The version before is as it was.
    expect(await (await page.request.get('/api/jobs/demo-meteor-night')).text()).toBe(old);
    await dialog.getByRole('button', { name: 'Close' }).click();
    await openJob(page, 'demo-meteor-night');
  },
);
