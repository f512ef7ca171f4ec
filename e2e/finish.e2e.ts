import { readFileSync } from 'node:fs';
import { PDFArray, PDFDict, PDFDocument, PDFName, decodePDFRawStream, type PDFRawStream } from '@cantoo/pdf-lib';
import { expect, type Page } from '@playwright/test';
import { platesOf } from '../src/testing/programs';
import { exportedFile, field, openChoice, openCopy, openFindings, stored, write } from './helpers';
import { openPiece } from './pieces/build';
import { bookmark } from './pieces/finished';
import type { Hand } from './pieces/hand';
import { ALONE, test } from './test';

const sheet = (page: Page) => page.getByRole('complementary', { name: 'Yellow sheet' });
const plate = (page: Page, name: string) => page.locator(`[data-plate="${name}"]`);
const covered = async (page: Page, name: string) => Number(await plate(page, name).getAttribute('data-covered'));

/** Waits until the plates are read. */
async function read(page: Page): Promise<void> {
  await expect(page.getByRole('img', { name: /^Plates of/ })).toHaveAttribute('data-plates', /Cyan/);
  await expect(page.getByText('reading the plates')).toHaveCount(0);
}

/** Waits until the moons are told from their ground. */
async function expectTraced(page: Page): Promise<void> {
  // What the page says instead, where it could not trace the picture, is what is read here.
  const traced = sheet(page)
    .locator('[data-finishing="Matt varnish"]')
    .or(page.getByRole('alert').filter({ hasText: /picture/i }));
  await expect(traced.first()).toContainText('shapes in Moons');
}

test.describe.configure({ mode: 'parallel' });

test(
  'a bookmark with varnish over the moons in its picture: seen on its plates, spoilt, mended, exported',
  ALONE,
  async ({ page }) => {
    const build = async (hand: Hand) => {
      await bookmark(hand);
      await page.keyboard.press('Alt+4');
      await expectTraced(page);
    };
    await openPiece(page, { file: 'bookmark', recipe: 'finished', build, most: 110 });
    await page.keyboard.press('Alt+4');
    await expectTraced(page);
    const entry = sheet(page).getByRole('button', { name: /^1 ?Matt varnish/ });
    if ((await entry.getAttribute('aria-expanded')) === 'false') await entry.click();

    // Four moons of 0.3 of the picture’s width, 56 mm with its bleed: their share of the side.
    const radius = 0.3 * 56;
    const share = ((4 * Math.PI * radius ** 2) / (50 * 180)) * 100;
    await page.getByRole('button', { name: 'Plates', exact: true }).click();
    await read(page);
    expect(Math.abs((await covered(page, 'Varnish matt')) - share)).toBeLessThan(0.4);
    const before = await covered(page, 'Cyan');

    // Told to knock out, it is a fault, and the moons are gone from the other plates.
    await sheet(page).getByLabel('knocks out the print beneath').check();
    await expect(page.getByRole('region', { name: 'Checks' })).toContainText('cuts a white hole');
    await expect.poll(() => covered(page, 'Cyan')).toBeLessThan(before - 5);
    await openChoice(page.getByRole('combobox', { name: 'layer' }));
    await page.getByRole('option', { name: 'Varnish matt' }).click();
    await expect(page.getByText('it knocks out')).toContainText('Cyan');
    const hole = platesOf(await exportedFile(page, 'press'), 1, 50);
    expect((await hole).get('Cyan')?.mean).toBeLessThan(0.5);

    // The fix of the check.
    await page.keyboard.press('Alt+5');
    await page.getByRole('region', { name: 'Checks' }).getByRole('button', { name: 'Let it overprint' }).click();
    await expect(page.getByRole('region', { name: 'Checks' })).not.toContainText('white hole');
    await page.keyboard.press('Alt+4');
    // What is covered is counted on the bench’s pixels, and the bench may have another size by now.
    await expect.poll(async () => Math.abs((await covered(page, 'Cyan')) - before)).toBeLessThan(0.05);
    const plates = await platesOf(await exportedFile(page, 'press'), 1, 100, 4);
    const varnish = plates.get('Varnish matt');
    const cyan = plates.get('Cyan');
    if (!varnish || !cyan) throw new Error('no such plate');
    // The plate is on or off, but for its edges, and the picture is whole beneath it.
    const partly = varnish.ink.reduce((n, v) => n + (v > 8 && v < 247 ? 1 : 0), 0);
    expect(partly / varnish.ink.length).toBeLessThan(0.02);
    const beneath = varnish.ink.reduce((n, v, i) => n + (v === 255 && (cyan.ink[i] ?? 0) > 0 ? 1 : 0), 0);
    const solid = varnish.ink.reduce((n, v) => n + (v === 255 ? 1 : 0), 0);
    expect(beneath / solid).toBeGreaterThan(0.9);
  },
);

test('a printer’s own profile is brought in, seen, and carried by the press file; a screen’s is refused', async ({
  page,
}) => {
  await openCopy(page, 'demo-bookmark');
  await page.keyboard.press('Alt+6');
  const file = page.getByLabel('Output profile of the printer, ICC');
  await file.setInputFiles('assets/profiles/srgb.icc');
  await expect(page.getByText('is a profile for RGB colours')).toBeVisible();
  expect((await stored(page)).output.profile).toBeUndefined();

  // The CMYK profile that Ghostscript ships.
  const theirs = '/usr/share/color/icc/ghostscript/default_cmyk.icc';
  await file.setInputFiles(theirs);
  await expect.poll(async () => (await stored(page)).output.profile).toMatch(/^icc-/);
  await openChoice(page.getByRole('combobox', { name: 'colours beyond it' }));
  await page.getByRole('option', { name: /^perceptual/ }).click();
  await expect.poll(async () => (await stored(page)).output.intent).toBe('perceptual');
  const pdf = await PDFDocument.load(await exportedFile(page, 'press'));
  const intent = pdf.catalog.lookup(PDFName.of('OutputIntents'), PDFArray).lookup(0, PDFDict);
  const profile = pdf.context.lookup(intent.get(PDFName.of('DestOutputProfile'))) as PDFRawStream;
  expect(Buffer.from(decodePDFRawStream(profile).decode()).equals(readFileSync(theirs))).toBe(true);

  // Back to what the stock says, with one step each.
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await stored(page)).output.profile).toBeUndefined();
});

test(
  'a paper that takes less ink: the picture is found, separated anew, and its plates hold the limit',
  ALONE,
  async ({ page }) => {
    await openCopy(page, 'demo-bookmark');
    await page.keyboard.press('Alt+2');
    await page.locator('[data-figure="inkLimit"]').getByRole('button').first().click();
    await write(field(page, 'override-inkLimit'), '170');
    await page.keyboard.press('Alt+5');
    const findings = page.getByRole('region', { name: 'Checks' });
    await expect(findings.getByRole('button', { name: /^Show/ }).first()).toBeVisible();
    await openFindings(page);
    await findings.getByRole('button', { name: 'Separate it anew for 170 %' }).click();
    await expect(findings).not.toContainText('The picture has');
    const plates = await platesOf(await exportedFile(page, 'press'), 1, 72);
    const inks = ['Cyan', 'Magenta', 'Yellow', 'Black'].map((name) => plates.get(name));
    const [cyan] = inks;
    if (!cyan) throw new Error('no plate');
    // In the night beside the moons; JPEG leaves a little.
    const total = inks.reduce((sum, plate) => sum + (plate?.at(cyan.width * 0.2, cyan.height / 2) ?? 0) * 100, 0);
    expect(total).toBeGreaterThan(120);
    expect(total).toBeLessThan(173);
  },
);
