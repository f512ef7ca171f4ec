import { expect } from '@playwright/test';
import { begin, field, saved, write } from './helpers';
import { test } from './test';

const words = (rows: readonly (readonly string[])[]) => rows.map((r) => r.join(',')).join('\n');

test('a table is typed cell by cell with Tab, filled from a file, and every step is taken back exactly', async ({
  page,
}) => {
  const id = await begin(page, 'Programme');
  const stored = async () => {
    await saved(page);
    const { job } = (await (await page.request.get(`/api/jobs/${id}`)).json()) as {
      job: {
        pieces: {
          surfaces: Record<
            string,
            { kind: string; rows: { content: { paragraphs: { runs: { text: string }[] }[] }[] }[] }[]
          >;
        }[];
      };
    };
    return job;
  };
  const cells = async () =>
    ((await stored()).pieces[0]?.surfaces['front'] ?? []).flatMap((e) =>
      ('rows' in e ? e.rows : []).map((r) =>
        r.content.map((c) => c.paragraphs.map((p) => p.runs.map((run) => run.text).join('')).join('|')),
      ),
    );
  await page.keyboard.press('Alt+3');
  await page.locator('[data-bench]').focus();
  await page.keyboard.press('Shift+T');
  for (const word of ['Time', 'What', 'Where', '20:30', 'Doors', 'Hall']) {
    await page.keyboard.type(word);
    await page.keyboard.press('Tab');
  }
  await page.keyboard.type('21:00');
  await page.keyboard.press('Escape');
  await expect.poll(cells).toEqual([
    ['Time', 'What', 'Where'],
    ['20:30', 'Doors', 'Hall'],
    ['21:00', '', ''],
    ['', '', ''],
  ]);
  const before = await stored();

  // A block chosen by key becomes one cell, then goes.
  await page.locator('[data-bench]').focus();
  await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('Shift+ArrowRight');
  await page.getByRole('button', { name: 'Rows, columns, spans' }).click();
  await page.getByRole('button', { name: 'Make one cell' }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.locator('[data-bench]').focus();
  await page.keyboard.press('Control+ArrowDown');
  await expect.poll(async () => (await cells()).length).toBe(5);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect.poll(stored).toEqual(before);

  // From a file: as many rows and columns as it has.
  await page.keyboard.press('Escape');
  const rows = [
    ['When', 'What', 'Where', 'Bring'],
    ['20:30', 'Doors', 'Hall', ''],
    ['22:00', 'Walk', 'Moor', 'a lamp, red'],
  ];
  await page.getByLabel('Words for the table, as CSV').setInputFiles({
    name: 'programme.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(words(rows.map((r) => r.map((w) => (w.includes(',') ? `"${w}"` : w))))),
  });
  await expect(page.getByText('3 rows from programme.csv.')).toBeVisible();
  await expect.poll(cells).toEqual(rows);
  await page
    .getByLabel('Words for the table, as CSV')
    .setInputFiles({ name: 'broken.csv', mimeType: 'text/csv', buffer: Buffer.from('a,b\n"open') });
  await expect(page.getByText(/^broken\.csv: Row 2/)).toBeVisible();
  await expect.poll(cells).toEqual(rows);

  // A size that cannot be read is refused where it stands; a good one holds.
  await write(field(page, 'column-widths'), '20; lots; rest');
  await expect(page.getByRole('alert').filter({ hasText: 'lots' })).toBeVisible();
  await write(field(page, 'column-widths'), 'content; rest; content; 30');
  await expect(field(page, 'column-widths')).toHaveValue('content; rest; content; 30 mm');
});
