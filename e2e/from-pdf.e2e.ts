import { expect, type Page } from '@playwright/test';
import { ghostscript } from '../src/testing/planted';
import { open } from './helpers';
import { test } from './test';

/** A client’s flyer: A5 without bleed or a trim box, a ground to its edges, words and a frame near them. */
const CLIENTS = [
  '<< /PageSize [419.53 595.28] >> setpagedevice',
  '0.6 0.3 0 0.2 setcmykcolor 0 0 420 596 rectfill',
  '0 0 0 0 setcmykcolor 2 setlinewidth 5 5 409.53 585.28 rectstroke',
  '/Helvetica-Bold 30 selectfont 60 400 moveto (Open night) show',
  '/Helvetica 14 selectfont 60 360 moveto (Seven telescopes on the hill) show',
  'showpage',
].join('\n');

const handIn = (page: Page, name: string, buffer: Buffer) =>
  page.getByLabel('PDFs to hand in').setInputFiles([{ name, mimeType: 'application/pdf', buffer }]);

test('a client’s PDF without bleed is sent back, gets its edges mirrored, and is taken', async ({ page }) => {
  await open(page, '/intake');
  await page.getByRole('combobox', { name: 'Printer' }).click();
  await page.getByRole('option', { name: 'Copperplate Yard' }).click();
  await handIn(page, 'client.pdf', Buffer.from(await ghostscript(CLIENTS)));
  const reply = page.locator('[data-reply="sent back"]');
  await expect(reply.locator('[data-remark="bleed-small"]')).toContainText('It has 0 mm of bleed.');

  await reply.getByRole('button', { name: 'Begin a job' }).click();
  const dialog = page.getByRole('dialog', { name: 'Begin a job from client.pdf' });
  await expect(dialog.getByLabel('Finished size')).toHaveValue('148 mm x 210 mm');
  await expect(dialog.getByRole('radio', { name: 'its edge, mirrored outwards' })).toBeChecked();
  // What it does to the frame near the edge is said before anything is made.
  const does = dialog.getByRole('list', { name: 'What the bleed does' });
  await expect(does).toContainText('inside each edge: seen a second time');
  await dialog.getByRole('radio', { name: 'the page, drawn larger' }).check();
  await expect(does).toContainText('pushed over the trim and cut off');
  await dialog.getByRole('radio', { name: 'its edge, mirrored outwards' }).check();
  await expect(dialog.getByRole('img', { name: 'The front with its bleed' })).toBeVisible();

  await dialog.getByRole('button', { name: 'Begin' }).click();
  await page.waitForURL(/\/jobs\/[^?]+\?at=inspect/);
  await expect(page.locator('[data-bench]')).toBeVisible();
  await expect(page.locator('[data-finding="page-bleed"]')).toHaveCount(0);

  const house = page.getByRole('region', { name: 'The print house' });
  await house.getByRole('button', { name: 'Ask the house' }).click();
  await expect(house.getByRole('status')).toContainText('taken');
});
