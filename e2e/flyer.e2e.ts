import { execFileSync } from 'node:child_process';
import { expect } from '@playwright/test';
import sharp from 'sharp';
import { field, open, saved, write } from './helpers';
import { ALONE, test } from './test';

const run = (program: string, args: readonly string[]) => execFileSync(program, args, { encoding: 'utf8' });

test('a flyer from nothing to a press file that poppler, qpdf and Ghostscript agree with', async ({ page }) => {
  // Big enough for 5.75 × 8.75 in at 300 ppi.
  const [width, height] = [1725, 2625];
  const raw = Buffer.alloc(width * height * 3);
  for (let i = 0; i < raw.length; i += 1) raw[i] = ((i / 3) % width) / 8 + (i % 3) * 40;
  const picture = await sharp(raw, { raw: { width, height, channels: 3 } })
    .jpeg({ quality: 90 })
    .toBuffer();

  await open(page, '/');
  await page.getByRole('button', { name: 'New job' }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Solstice handbill');
  await page.getByRole('textbox', { name: 'Finished size', exact: true }).fill('5.5in x 8.5in');
  await page.getByRole('textbox', { name: 'Printed sides', exact: true }).fill('1');
  await page.getByRole('textbox', { name: 'Bleed', exact: true }).fill('1/8 in');
  await expect(page.getByText('1725 × 2625 px')).toBeVisible();
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.locator('[data-figure="finished"]')).toContainText('5.5 × 8.5 in');

  await page
    .getByLabel('Pictures, drawings, PDFs and fonts to bring in')
    .setInputFiles({ name: 'dusk.jpg', mimeType: 'image/jpeg', buffer: picture });
  await expect(page.getByText('300 ppi here')).toBeVisible();

  await page.getByRole('button', { name: 'Text', exact: true }).click();
  await page.keyboard.type('Longest night');
  await page.keyboard.press('Escape');
  await write(field(page, 'set in'), '36pt');
  await write(field(page, 'y-height'), '1in');

  await page.keyboard.press('Escape');
  await page.locator('[data-bench]').focus();
  await page.keyboard.press('t');
  await page.keyboard.type('Soup at six\nTelescopes at seven\nHome by nine');
  await page.keyboard.press('Escape');
  await write(field(page, 'y-height'), '17mm');
  await write(field(page, 'y-bottom'), '-3.5mm');

  const finding = page.locator('[data-finding="safe-area"]');
  await expect(finding).toContainText('bottom trim');
  await finding.getByRole('button').last().click();
  await expect(page.getByText('Nothing open. Ready for the press.')).toBeVisible();

  await page.keyboard.press('Alt+6');
  await page.getByRole('button', { name: 'Press PDF' }).click();
  const link = page.getByRole('link', { name: /press\.pdf/ });
  await expect(link).toBeVisible();
  const download = page.waitForEvent('download');
  await link.click();
  const path = await (await download).path();

  const info = run('pdfinfo', ['-box', '-f', '1', '-l', '-1', path]);
  const box = (name: string) =>
    new RegExp(`Page\\s+1 ${name}:\\s+(.*)`).exec(info)?.[1]?.trim().split(/\s+/).map(Number) ?? [];
  const [trim, bleed, media] = [box('TrimBox'), box('BleedBox'), box('MediaBox')];
  // Exact boxes from the file itself: pdfinfo shows two decimals only.
  const json = run('qpdf', ['--json=2', '--json-key=qpdf', path]);
  const exact = (name: string) =>
    (/\[([^\]]*)\]/.exec(json.slice(json.indexOf(`"/${name}"`)))?.[1] ?? '').split(',').map(Number);
  const [t, b] = [exact('TrimBox'), exact('BleedBox')];
  expect(Math.abs((t[2] ?? 0) - (t[0] ?? 0) - 5.5 * 72)).toBeLessThan(0.01);
  expect(Math.abs((t[3] ?? 0) - (t[1] ?? 0) - 8.5 * 72)).toBeLessThan(0.01);
  expect(Math.abs((b[2] ?? 0) - (b[0] ?? 0) - 5.75 * 72)).toBeLessThan(0.01);
  expect(Math.abs((b[3] ?? 0) - (b[1] ?? 0) - 8.75 * 72)).toBeLessThan(0.01);
  expect(Math.abs((trim[0] ?? 0) - (bleed[0] ?? 0) - 9)).toBeLessThan(0.02);
  expect(media[2]).toBeGreaterThan((bleed[2] ?? 0) + 10);

  const fonts = run('pdffonts', [path]).trim().split('\n').slice(2);
  expect(fonts.length).toBeGreaterThan(0);
  for (const font of fonts) expect(font).toMatch(/yes yes yes/);
  const text = run('pdftotext', ['-raw', path, '-']);
  for (const words of ['Longest night', 'Soup at six', 'Telescopes at seven', 'Home by nine'])
    expect(text).toContain(words);
  expect(run('pdfimages', ['-list', path])).toMatch(/1725\s+2625\s+cmyk.*\s300\s+300\s/);
  expect(json).not.toContain('DeviceRGB');

  // Marks: ink outside the bleed, and none of registration black inside it that the artwork did not ask for.
  const png = path + '.png';
  run('pdftoppm', ['-r', '72', '-png', '-singlefile', path, path]);
  const shot = await sharp(png).greyscale().raw().toBuffer({ resolveWithObject: true });
  let outside = 0;
  for (let y = 0; y < shot.info.height; y += 1) {
    for (let x = 0; x < shot.info.width; x += 1) {
      const isOut = x < (bleed[0] ?? 0) - 1 || x > (bleed[2] ?? 0) + 1;
      if (isOut && (shot.data[y * shot.info.width + x] ?? 255) < 200) outside += 1;
    }
  }
  expect(outside).toBeGreaterThan(20);

  // Close the browser, come back: everything is there, and can still be undone.
  await saved(page);
  await page.reload();
  await page.waitForSelector('html[data-ready=yes]');
  await expect(page.getByText('Nothing open. Ready for the press.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('[data-finding="safe-area"]')).toBeVisible();
  await saved(page);
  await page.reload();
  await page.waitForSelector('html[data-ready=yes]');
  await expect(page.locator('[data-finding="safe-area"]')).toBeVisible();
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(page.getByText('Nothing open. Ready for the press.')).toBeVisible();
});

test('the demo opens on the board with the flyer’s first proof and its two faults; both fixes work', async ({
  page,
}) => {
  await open(page, '/');
  const card = page.getByRole('article').filter({ hasText: 'Meteor night, first proof' });
  await expect(card).toContainText('2 open');
  await card.getByRole('link').click();
  const checks = page.getByRole('region', { name: 'Checks' });
  await expect(checks.locator('[data-finding]')).toHaveCount(2);
  await checks.getByRole('button', { name: 'Let it bleed' }).click();
  await expect(checks.locator('[data-finding]')).toHaveCount(1);
  await checks.getByRole('button', { name: 'Move it inside' }).click();
  await expect(checks).toContainText('Nothing open');
  // Left as it was found.
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(checks.locator('[data-finding]')).toHaveCount(2);
  await saved(page);
});

test('preview and working file; the working file opens again as the same job', ALONE, async ({ page }) => {
  await open(page, '/jobs/demo-meteor-night');
  await page.getByRole('button', { name: 'Output' }).click();
  await page.getByRole('button', { name: 'Preview' }).click();
  await expect(page.getByRole('link', { name: /front\.png/ })).toBeVisible();
  await page.getByRole('button', { name: 'Working file' }).click();
  const link = page.getByRole('link', { name: /yellowsheet\.zip/ });
  await expect(link).toBeVisible();
  const download = page.waitForEvent('download');
  await link.click();
  const path = await (await download).path();
  await open(page, '/');
  await page.getByLabel('Job, working file or PDF').setInputFiles({
    name: 'w.zip',
    mimeType: 'application/zip',
    buffer: (await import('node:fs')).readFileSync(path),
  });
  await expect(page.locator('[data-bench]')).toBeVisible();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Meteor-night flyer');
  await expect(page.getByRole('region', { name: 'Checks' })).toContainText('Nothing open');
});

test('a long export can be cancelled', async ({ page }) => {
  await open(page, '/jobs/demo-meteor-night');
  await page.getByRole('button', { name: 'Output' }).click();
  await page.getByRole('button', { name: 'Press PDF' }).click();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.locator('[data-export="cancelled"]').first()).toBeVisible();
});
