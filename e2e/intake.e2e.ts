import { expect } from '@playwright/test';
import { exportedFile, open, openCopy } from './helpers';
import { test } from './test';

test('files are handed in, each answered by the book of the printer that is chosen', async ({ page }) => {
  await openCopy(page, 'demo-meteor-night');
  const ours = await exportedFile(page, 'press');
  await open(page, '/intake');
  await expect(page.getByText('Drop PDFs here, or a folder of them.')).toBeVisible();
  const hand = page.getByLabel('PDFs to hand in');
  const pdf = (name: string, buffer: Buffer) => ({ name, mimeType: 'application/pdf', buffer });
  await hand.setInputFiles([pdf('ours.pdf', ours), pdf('letter.pdf', Buffer.from('not a PDF'))]);
  await expect(page.locator('[data-reply="problem"]')).toContainText('letter.pdf');
  await expect(page.locator('[data-reply="problem"]')).toContainText('This is not a PDF, or it is damaged.');
  await expect(page.getByText('1 of 2 fit to print')).toBeVisible();
  await expect(page.locator('[data-reply^="taken"]')).toContainText('2 pages · 148 × 210 mm');

  // The same file wants more bleed where banners are printed.
  await page.getByRole('button', { name: 'Clear' }).click();
  await page.getByRole('combobox', { name: 'Printer' }).click();
  await page.getByRole('option', { name: 'Flatbed Nine' }).click();
  await hand.setInputFiles([pdf('ours.pdf', ours)]);
  const reply = page.locator('[data-reply="sent back"]');
  await expect(reply.locator('[data-remark="bleed-small"]')).toContainText('It has 3 mm of bleed.');
  await expect(reply.locator('[data-remark="bleed-small"]')).toContainText('Wanted: 10 mm beyond the trim');
});
