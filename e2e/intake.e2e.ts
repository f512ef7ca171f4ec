import { expect } from '@playwright/test';
import { exportedFile, open, openCopy, saved } from './helpers';
import { ALONE, test } from './test';

test('files are handed in, each answered by the book of the printer that is chosen', ALONE, async ({ page }) => {
  await openCopy(page, 'demo-business-card');
  const ours = await exportedFile(page, 'press');
  await open(page, '/intake');
  await expect(page.getByText('Drop PDFs here, or a folder of them.')).toBeVisible();
  const hand = page.getByLabel('PDFs to hand in');
  const pdf = (name: string, buffer: Buffer) => ({ name, mimeType: 'application/pdf', buffer });
  await hand.setInputFiles([pdf('ours.pdf', ours), pdf('letter.pdf', Buffer.from('not a PDF'))]);
  await expect(page.locator('[data-reply="problem"]')).toContainText('letter.pdf');
  await expect(page.locator('[data-reply="problem"]')).toContainText('This is not a PDF, or it is damaged.');
  await expect(page.getByText('1 of 2 fit to print')).toBeVisible();
  await expect(page.locator('[data-reply^="taken"]')).toContainText('2 pages · 85 × 55 mm');

  // The same file wants more bleed where banners are printed.
  await page.getByRole('button', { name: 'Clear' }).click();
  await page.getByRole('combobox', { name: 'Printer' }).click();
  await page.getByRole('option', { name: 'Flatbed Nine' }).click();
  await hand.setInputFiles([pdf('ours.pdf', ours)]);
  const reply = page.locator('[data-reply="sent back"]');
  await expect(reply.locator('[data-remark="bleed-small"]')).toContainText('It has 3 mm of bleed.');
  await expect(reply.locator('[data-remark="bleed-small"]')).toContainText('Wanted: 10 mm beyond the trim');

  // Held to an order, with the bleed that was agreed, it is another matter.
  const order = page.getByRole('group', { name: 'What was ordered' });
  for (const [name, text] of [
    ['agreed bleed', '3'],
    ['finished size', '90 x 50 mm'],
    ['pages ordered', '2'],
  ] as const) {
    await order.getByRole('textbox', { name }).fill(text);
    await order.getByRole('textbox', { name }).press('Enter');
  }
  await page.getByRole('button', { name: 'Ask again as it is now' }).click();
  await expect(reply.locator('[data-remark="page-sizes"]')).toBeVisible();
  await expect(reply.locator('[data-remark="bleed-small"]')).toHaveCount(0);
});

test('the house of a job is asked, its remarks are mended one by one, and it is asked again', async ({ page }) => {
  await openCopy(page, 'demo-first-proof', '?at=inspect');
  const house = page.getByRole('region', { name: 'The print house' });
  await house.getByRole('button', { name: 'Ask the house' }).click();
  await expect(house.getByRole('status')).toContainText('sent back');
  const bleeds = house.locator('[data-remark="stops-at-trim"]');
  await expect(bleeds.getByRole('img', { name: 'The place on page 1' })).toBeVisible();
  await bleeds.getByRole('button', { name: 'Let it bleed' }).click();
  await expect(house.getByRole('status')).toContainText('the job has changed since');
  // What is mended has no button any more; the other has.
  await expect(bleeds.getByRole('button', { name: 'Let it bleed' })).toHaveCount(0);
  await house.locator('[data-remark="type-near-trim"]').getByRole('button', { name: 'Move it inside' }).click();
  await saved(page);
  await house.getByRole('button', { name: 'Ask again' }).click();
  await expect(house.getByRole('status')).toContainText('taken');
  await expect(house.locator('[data-remark="stops-at-trim"]')).toHaveCount(0);
});
