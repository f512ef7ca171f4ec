import { writeFileSync } from 'node:fs';
import { expect } from '@playwright/test';
import { getDaysInMonth, getISODay } from 'date-fns';
import { inFolder, run } from '../src/testing/programs';
import { exportedFile, openJob, saved, stored } from './helpers';
import { isBuiltByHand, openPiece, type Recipe } from './pieces/build';
import { Hand } from './pieces/hand';
import { moonCalendar, observingPlanner } from './pieces/printables';
import { ALONE, test } from './test';

const PIECES: readonly Recipe[] = [
  { file: 'observing-planner', recipe: 'printables', build: observingPlanner, most: 90 },
  { file: 'moon-calendar', recipe: 'printables', build: moonCalendar, most: 120 },
];

for (const piece of PIECES) {
  const how = isBuiltByHand(piece)
    ? 'built in the browser, is the one the demo keeps'
    : 'as the demo keeps it, is sound';
  test(`${piece.file}, ${how}`, piece.always || isBuiltByHand(piece) ? {} : ALONE, async ({ page }) => {
    await openPiece(page, piece);
    await page.keyboard.press('Alt+5');
    await expect(page.getByRole('region', { name: 'Checks' })).toContainText(/Nothing open|●/);
    await expect(page.getByRole('region', { name: 'Checks' })).not.toContainText(/[✕▲]/);
  });
}

test(
  'next year’s calendar from this year’s by one decision: every date is the reference library’s',
  ALONE,
  async ({ page }) => {
    await openJob(page, 'demo-moon-calendar');
    await page.keyboard.press('Alt+3');
    const hand = new Hand(page);
    const before = await stored(page);
    // On any of its pages it is decided for all.
    for (let i = 0; i < 4; i += 1) await page.keyboard.press('PageDown');
    await hand.first();
    const actions = hand.actions;
    await hand.decide({ year: '2029' });
    expect(hand.actions - actions).toBe(1);
    const after = await stored(page);
    // Nothing else of the job is another.
    expect(JSON.stringify(after).replaceAll('"year":2029', '"year":2028')).toBe(JSON.stringify(before));

    const pdf = await exportedFile(page, 'press');
    await inFolder((folder) => {
      writeFileSync(`${folder}/f.pdf`, pdf);
      for (let month = 0; month < 12; month += 1) {
        // The cover, then a picture and a grid for each month.
        const n = String(3 + 2 * month);
        const found = [
          ...run('pdftotext', ['-bbox', '-f', n, '-l', n, `${folder}/f.pdf`, '-']).matchAll(
            /<word xMin="([\d.]+)" yMin="([\d.]+)" xMax="([\d.]+)" yMax="([\d.]+)">(\d{1,2})</g,
          ),
        ];
        const figures = found.map((m) => ({
          left: Number(m[1]),
          top: Number(m[2]),
          height: Number(m[4]) - Number(m[2]),
          day: Number(m[5]),
        }));
        // Numbers of days are the largest; names of days and the slug line are smaller.
        const tall = Math.max(...figures.map((f) => f.height));
        const cells = figures.filter((f) => f.height > tall * 0.9);
        const lefts = [...new Set(cells.map((d) => Math.round(d.left)))].sort((a, b) => a - b);
        expect(lefts).toHaveLength(7);
        // Row by row, from the left: six weeks of seven days.
        const days = [...cells].sort((a, b) => Math.round(a.top) - Math.round(b.top) || a.left - b.left);
        expect(days).toHaveLength(42);
        const length = getDaysInMonth(new Date(2029, month, 15));
        const first = days.findIndex((d) => d.day === 1);
        expect(days.slice(first, first + length).map((d) => d.day)).toEqual(Array.from({ length }, (_, i) => i + 1));
        expect(first + 1).toBe(getISODay(new Date(2029, month, 1, 12)));
      }
    });
    await page.keyboard.press('Control+z');
    await saved(page);
  },
);

test('days from a calendar file stand in all months, and what is too long is said', ALONE, async ({ page }) => {
  await openJob(page, 'demo-moon-calendar');
  await page.keyboard.press('Alt+3');
  for (let i = 0; i < 4; i += 1) await page.keyboard.press('PageDown');
  const event = (day: string, name: string) =>
    `BEGIN:VEVENT\r\nUID:${day}\r\nDTSTAMP:20260101T000000Z\r\nDTSTART;VALUE=DATE:${day}\r\n` +
    `SUMMARY:${name}\r\nEND:VEVENT`;
  const long =
    'General assembly of all volunteers with soup and elections and a lecture and the long walk home over the moor';
  const ics = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//q//EN',
    event('20280203', long),
    event('20280711', 'Open night'),
    'END:VCALENDAR',
  ].join('\r\n');
  await page
    .getByLabel('A calendar file')
    .setInputFiles({ name: 'society.ics', mimeType: 'text/calendar', buffer: Buffer.from(ics) });
  await expect(page.getByText('2 days from society.ics.')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Checks' })).toContainText('No room for all of “General assembly');
  const job = await stored(page);
  const [base] = job.pieces[0]?.bases[0]?.elements ?? [];
  expect(base?.kind === 'printable' ? base.content['events'] : '').toContain('2028-07-11 Open night');
  expect(Object.values(job.pieces[0]?.layouts ?? {}).every((l) => Object.keys(l.facts).length === 0)).toBe(true);
  // A file that is none changes nothing, and says so.
  await page
    .getByLabel('A calendar file')
    .setInputFiles({ name: 'x.ics', mimeType: 'text/calendar', buffer: Buffer.from('hello') });
  await expect(page.getByText('x.ics: This is no calendar file')).toBeVisible();
  await page.keyboard.press('Control+z');
  await saved(page);
});

test(
  'the four-line sheet on both papers, its sets counted for each and lettered by choice',
  ALONE,
  async ({ page }) => {
    const hand = new Hand(page);
    await hand.beginPrintable('Four-line sets', {
      Name: 'Four lines',
      'Also on': 'US letter',
      'x-height': '6.35 mm',
      'Between sets': '9.525 mm',
      Head: '25.4 mm',
    });
    const sheet = page.getByRole('complementary', { name: 'Yellow sheet' });
    const sets = sheet.locator('[data-figure="count"]');
    // A4, 277 mm inside its margins: floor((277 − 25.4 + 9.525) ÷ 28.575); letter, 259.4: one less.
    await expect(sets).toContainText('9');
    await page.keyboard.press('PageDown');
    await expect(sets).toContainText('8');
    await page.keyboard.press('PageUp');
    await sets.getByRole('button').click();
    await expect(sets).toContainText('floor(');

    // A refused decision is said at its field, and nothing else changes.
    await hand.unfold('Pages and base layouts');
    await hand.press('Lay out Four-line sets');
    const spacing = sheet.locator('input[name="head"]');
    await spacing.fill('400 mm');
    await spacing.blur();
    await expect(sheet.getByRole('alert').filter({ hasText: 'Head and foot leave' })).toBeVisible();
    await spacing.press('Escape');
    await hand.decide({ words: 'Moon' });
    await expect(page.locator('[data-bench]')).toBeVisible();
    const job = await stored(page);
    expect(job.pieces[0]?.bases).toHaveLength(2);

    // Frozen it is plain elements, and one step back it counts again.
    await hand.first();
    await hand.press('Freeze');
    await expect(page.getByRole('region', { name: 'Selection' })).toContainText(/\d+ elements/);
    const frozen = await stored(page);
    expect(frozen.pieces[0]?.bases[0]?.elements.some((e) => e.kind === 'printable')).toBe(false);
    await page.keyboard.press('Control+z');
    await expect(sheet.locator('input[name="head"]')).toHaveValue('25.4 mm');
  },
);

test('the pad is laid two up on a US letter with marks to cut by', async ({ page }) => {
  await openJob(page, 'demo-observing-pad');
  await page.keyboard.press('Alt+6');
  const slip = page.getByRole('region', { name: 'On the press sheet' });
  await expect(slip).toContainText('2 up: 2 × 1');
  const pdf = await exportedFile(page, 'desk');
  await inFolder((folder) => {
    writeFileSync(`${folder}/f.pdf`, pdf);
    expect(run('pdfinfo', [`${folder}/f.pdf`])).toMatch(/Page size:\s+792 x 612/);
    const found = [
      ...run('pdftotext', ['-bbox', `${folder}/f.pdf`, '-']).matchAll(/xMin="([\d.]+)"[^>]*>TONIGHT</g),
    ].map((m) => Number(m[1]));
    expect(found.length).toBeGreaterThanOrEqual(2);
    expect(Math.max(...found) - Math.min(...found)).toBeCloseTo(5 * 72, -1);
  });
  // What does not fit is said beside the fields.
  const across = slip.locator('input[name="desk-across"]');
  await across.fill('5');
  await across.blur();
  await expect(slip).toContainText('do not fit');
  await page.keyboard.press('Control+z');
});
