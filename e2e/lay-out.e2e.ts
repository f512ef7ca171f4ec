import { mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, type Page } from '@playwright/test';
import {
  begin as beginAtSize,
  clickAt,
  cornerOf,
  dragFromTo,
  dropAt,
  field,
  open,
  openChoice,
  openCopy,
  pasteText,
  saved,
  stored,
  write,
} from './helpers';
import { ALONE, test } from './test';

/** Begins an A5 job and goes to where it is laid out. */
async function begin(page: Page, name: string): Promise<string> {
  const id = await beginAtSize(page, name);
  await page.keyboard.press('Alt+3');
  await expect(page.getByRole('toolbar', { name: 'Add to this side' })).toBeVisible();
  return id;
}

/** Closes what was opened above the slip, and waits until it is gone. */
async function close(page: Page): Promise<void> {
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
}

/** Opens a part of the sheet by its heading. */
const unfold = (page: Page, name: RegExp) => page.getByRole('button', { name }).click();

const frameOf = (page: Page, index: number) => page.locator('[data-bench] [data-element]').nth(index);

/** Where an element’s ink stands on the screen. */
const boxOf = async (page: Page, index: number) => {
  await cornerOf(frameOf(page, index));
  const found = await frameOf(page, index).boundingBox();
  if (!found) throw new Error(`element ${index} is not drawn`);
  return found;
};

test('a measure is written once, used by its name, and changed in one place', ALONE, async ({ page }) => {
  await begin(page, 'Measured');
  await unfold(page, /^Measures/);
  await page.getByRole('button', { name: 'Add a measure' }).click();
  await write(field(page, 'name (not used)'), 'edge distance');
  await write(field(page, 'measure-edge distance'), '14');
  await page.keyboard.press('Escape');
  await page.locator('[data-bench]').focus();
  await page.keyboard.press('x');
  await write(field(page, 'x-left'), 'edge distance');
  await write(field(page, 'y-top'), '2 × edge distance + 1 mm');
  await expect(field(page, 'x-left')).toHaveValue('edge distance');
  const before = await boxOf(page, 0);
  await write(field(page, 'measure-edge distance'), '24');
  const after = await boxOf(page, 0);
  expect(Math.abs((after.y - before.y) / (after.x - before.x) - 2)).toBeLessThan(0.1);
  await write(field(page, 'x-left'), 'egde distance');
  await expect(page.getByRole('alert').filter({ hasText: 'egde' })).toBeVisible();
  await saved(page);
});

test(
  'elements stand in, past and mirrored with each other; gaps show; a row keeps its gaps equal',
  ALONE,
  async ({ page }) => {
    await begin(page, 'Related');
    const bench = page.locator('[data-bench]');
    for (const [left, width] of [
      [10, 20],
      [50, 30],
      [100, 12],
    ] as const) {
      await bench.focus();
      await page.keyboard.press('x');
      await write(field(page, 'x-left'), String(left));
      await write(field(page, 'x-width'), String(width));
      await write(field(page, 'y-top'), '30');
      await write(field(page, 'y-height'), '10');
    }
    await clickAt(page, 20, 40);
    await page.keyboard.down('Shift');
    await clickAt(page, 60, 40);
    await page.keyboard.up('Shift');
    await expect(page.locator('[data-gaps]')).toContainText('20');
    await bench.focus();
    await page.keyboard.press('Control+a');
    await page.keyboard.press('Control+g');
    await openChoice(page.getByRole('combobox', { name: 'stands in' }));
    await page.getByRole('option', { name: 'a row across' }).click();
    // 138 mm of safe area, 62 mm of boxes: two gaps of 38 mm.
    const [a, b, c] = [await boxOf(page, 0), await boxOf(page, 1), await boxOf(page, 2)];
    expect(Math.abs(b.x - a.x - a.width - (c.x - b.x - b.width))).toBeLessThan(1.5);
    await clickAt(page, 8, 38);
    await page.keyboard.press('Escape');
    await page.keyboard.down('Alt');
    await clickAt(page, 8, 38);
    await page.keyboard.up('Alt');
    await page.getByRole('button', { name: /^Repeat/ }).click();
    await page.getByRole('button', { name: 'Mirror image' }).click();
    await openChoice(page.getByRole('combobox', { name: 'changes' }));
    await page.getByRole('option', { name: 'top and bottom' }).click();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect(page.getByRole('button', { name: 'Repeat (2)' })).toBeVisible();
    await saved(page);
  },
);

test(
  'a grid in a box takes many pictures at once, in reading order; placeholders say what they want',
  ALONE,
  async ({ page }) => {
    await begin(page, 'Gridded');
    await unfold(page, /^Grids/);
    await page.getByRole('button', { name: 'Divide a box' }).click();
    await write(field(page, 'grid 1-columns'), '2');
    await write(field(page, 'grid 1-rows'), '2');
    await page.getByRole('button', { name: 'Frame in each cell' }).click();
    await expect(page.locator('[data-bench]')).toContainText(/791 × 1157 px/);
    const { default: sharp } = await import('sharp');
    const colours = ['#aa2222', '#22aa22', '#2222aa', '#aaaa22', '#22aaaa'];
    const all = await Promise.all(
      colours.map(async (background, i) => ({
        name: `${i + 1}.png`,
        mimeType: 'image/png',
        buffer: await sharp({ create: { width: 400, height: 600, channels: 3, background } })
          .png()
          .toBuffer(),
      })),
    );
    const files = all.slice(0, 4);
    await page.getByLabel('Pictures, drawings, PDFs and fonts to bring in').setInputFiles(files);
    await expect(page.locator('[data-bench] image')).toHaveCount(4);
    const corners = await page.locator('[data-bench] image').evaluateAll((images) =>
      images.map((i) => {
        const r = i.getBoundingClientRect();
        return [r.x, r.y];
      }),
    );
    const [first, second, third] = corners;
    expect((second?.[0] ?? 0) > (first?.[0] ?? 0) + 50).toBe(true);
    expect((third?.[1] ?? 0) > (first?.[1] ?? 0) + 50).toBe(true);
    await saved(page);

    // One step, taken back as one; then a folder with a folder in it, by the names of its files.
    await page.locator('[data-bench]').focus();
    await page.keyboard.press('Control+z');
    await expect(page.locator('[data-bench] image')).toHaveCount(0);
    const folder = await mkdtemp(join(tmpdir(), 'yellow-sheet-folder-'));
    await mkdir(join(folder, 'more'));
    await Promise.all([
      ...all.map(({ name, buffer }, i) => writeFile(join(folder, i > 1 ? 'more' : '.', name), buffer)),
      writeFile(join(folder, '.hidden'), 'a system keeps such files for itself'),
      writeFile(join(folder, 'notes.txt'), 'not a picture'),
    ]);
    await dropAt(page, [folder], 74, 105);
    await expect(page.locator('[data-bench] image')).toHaveCount(4);
    await expect(page.getByText(/^4 frames filled\. 1 picture found no frame\. .*notes\.txt/)).toBeVisible();
    const job = await stored(page);
    const held = job.pieces[0]?.surfaces['front']?.map((e) => e.kind === 'picture' && e.picture);
    const names = held?.map((sha) => sha && job.assets[sha]?.name);
    expect(names?.toSorted()).toEqual(['1.png', '2.png', '3.png', '4.png']);
    await rm(folder, { recursive: true });
  },
);

test('a drawing comes in as paths, is recoloured and taken apart; a PDF page is shown; what is not is said', async ({
  page,
}) => {
  await begin(page, 'Brought in');
  const svg =
    '<svg xmlns="http://www.w3.org/2000/svg" width="60mm" height="40mm" viewBox="0 0 60 40"><script>alert(1)' +
    '</script><rect width="30" height="40" fill="#c00"/><circle cx="45" cy="20" r="10"/><text>x</text></svg>';
  const input = page.getByLabel('Pictures, drawings, PDFs and fonts to bring in');
  await input.setInputFiles({ name: 'emblem.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(svg) });
  await expect(page.getByText(/came without: .*scripts/)).toBeVisible();
  await expect(page.getByText('2 shapes, 2 colours')).toBeVisible();
  await page.getByRole('button', { name: 'Colours' }).click();
  await page.getByRole('button', { name: /^colour 1/ }).click();
  await page.getByRole('button', { name: 'Paper' }).click();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.getByRole('button', { name: 'Take apart' }).click();
  await expect(page.locator('[data-bench]')).toHaveAttribute('aria-label', /2 elements/);
  await saved(page);
  const id = page.url().split('/').at(-1) ?? '';
  const made = (await (
    await page.request.post(`/api/jobs/${id}/exports`, {
      data: { kind: 'press' },
      headers: { origin: new URL(page.url()).origin },
    })
  ).json()) as { id: string };
  await expect
    .poll(async () => ((await (await page.request.get(`/api/exports/${made.id}`)).json()) as { state: string }).state)
    .toBe('done');
  const facts = (await (await page.request.get(`/api/exports/${made.id}`)).json()) as { files: { name: string }[] };
  const pdf = await (await page.request.get(`/api/exports/${made.id}/files/${facts.files[0]?.name}`)).body();
  await input.setInputFiles({ name: 'flyer.pdf', mimeType: 'application/pdf', buffer: pdf });
  await expect(page.getByText('kept as vectors for the press')).toBeVisible();
  const image = page.locator('[data-bench] image');
  await expect(image).toHaveCount(1);
  const answer = await page.request.get((await image.getAttribute('href')) ?? '');
  expect(answer.headers()['content-type']).toBe('image/png');
  await saved(page);
});

test('points of a path, a gradient’s end and a colour from the bench, by hand', async ({ page }) => {
  await begin(page, 'By hand');
  const bench = page.locator('[data-bench]');
  await bench.focus();
  await page.keyboard.press('q');
  await expect(page.locator('[data-path-points]')).toBeVisible();
  const points = page.locator('[data-point]');
  await expect(points).toHaveCount(3);
  const first = await cornerOf(points.first());
  await page.mouse.move(first.x + 5, first.y + 5);
  await page.mouse.down();
  await page.mouse.move(first.x - 40, first.y + 60, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
  await page.keyboard.press('Delete');
  await expect(points).toHaveCount(2);
  await page.keyboard.press('Escape');
  await expect(page.locator('[data-path-points]')).toHaveCount(0);

  await bench.focus();
  await page.keyboard.press('x');
  await write(field(page, 'y-top'), '45');
  await page.getByRole('button', { name: /^paint: 0 0 0 20/ }).click();
  await page.getByRole('button', { name: 'Gradient' }).click();
  await close(page);
  const end = await cornerOf(page.locator('[data-gradient=end]'));
  await page.mouse.move(end.x + 7, end.y + 7);
  await page.mouse.down();
  await page.mouse.move(end.x + 90, end.y - 30, { steps: 5 });
  await page.mouse.up();
  await page.getByRole('button', { name: /^paint: linear/ }).click();
  const angle = Number((await field(page, 'angle').inputValue()).replace('°', ''));
  expect(angle).toBeGreaterThan(0);
  expect(angle).toBeLessThan(89);
  await close(page);

  await bench.focus();
  await page.keyboard.press('o');
  await write(field(page, 'y-top'), '140');
  await page.getByRole('button', { name: /^paint: 0 0 0 20/ }).click();
  await page.getByRole('button', { name: 'Pick from the bench' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await clickAt(page, 74, 70);
  await expect(page.getByRole('button', { name: /^paint: 0 0 0 1?\d$/ })).toBeVisible();
  await saved(page);
});

test('a picture is moved within its frame, toned, and gets a shadow; undo takes every step back', async ({ page }) => {
  const id = await begin(page, 'Toned');
  const { default: sharp } = await import('sharp');
  const buffer = await sharp({ create: { width: 900, height: 600, channels: 3, background: '#446688' } })
    .png()
    .toBuffer();
  await page
    .getByLabel('Pictures, drawings, PDFs and fonts to bring in')
    .setInputFiles({ name: 'sky.png', mimeType: 'image/png', buffer });
  const image = page.locator('[data-bench] image').first();
  await expect(image).toBeVisible();
  const before = await image.getAttribute('x');
  await page.getByRole('button', { name: 'Framing' }).click();
  await page.getByRole('button', { name: 'Move by hand' }).click();
  await close(page);
  await expect(page.locator('[data-framing]')).toBeVisible();
  await dragFromTo(page, [60, 100], [80, 100]);
  await expect(image).not.toHaveAttribute('x', before ?? '');
  await page.getByRole('button', { name: /^Tones/ }).click();
  await page.getByLabel('black and white').check();
  await write(field(page, 'gamma'), '1.4');
  await close(page);
  await expect(page.locator('[data-bench] image').first()).toHaveAttribute('href', /adjust=/);
  await page.getByRole('button', { name: /^Effects/ }).click();
  await page.getByRole('button', { name: 'Drop shadow' }).click();
  await close(page);
  await expect(page.locator('[data-bench] feGaussianBlur')).toHaveCount(1);
  await saved(page);
  await expect(async () => {
    await page.keyboard.press('Control+z');
    await expect(page.locator('[data-bench]')).toHaveAttribute('aria-label', /0 elements/, { timeout: 500 });
  }).toPass();
  await saved(page);
  await open(page, `/jobs/${id}`);
  await expect(page.locator('[data-bench]')).toHaveAttribute('aria-label', /0 elements/);
});

/** Draws what has the focus down by one, from its own place to that of the next. */
async function laidDown(page: Page, name: string, next: string): Promise<void> {
  await page.keyboard.press('Space');
  // The arrows act once the rows were measured, which is when the first place is told.
  await expect(page.getByText(`${name} is at the place of ${name}.`)).toBeAttached();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByText(`${name} is at the place of ${next}.`)).toBeAttached();
  await page.keyboard.press('Space');
}

test('the order of a side is changed in its list, by hand and by keyboard, and undone', ALONE, async ({ page }) => {
  await openCopy(page, 'demo-meteor-night');
  await page.getByRole('button', { name: /^On this side/ }).click();
  const rows = page.getByRole('group', { name: 'artwork' }).locator('button[aria-pressed]');
  const names = async () => (await rows.allTextContents()).map((name) => name.replace('⁝ ', ''));
  const before = await names();
  const [first = '', second = '', third = ''] = before;
  const row = (name: string) => rows.filter({ hasText: name }).first();
  await row(first).focus();
  await laidDown(page, first, second);
  await expect.poll(names).toEqual([second, first, ...before.slice(2)]);
  const from = await cornerOf(row(third));
  const to = await cornerOf(row(second));
  await page.mouse.move(from.x + 30, from.y + 8);
  await page.mouse.down();
  await page.mouse.move(to.x + 30, to.y + 6, { steps: 8 });
  await expect(page.getByText(`${third} is at the place of ${second}.`)).toBeAttached();
  await page.mouse.up();
  await expect.poll(names).toEqual([third, second, first, ...before.slice(3)]);
  await page.locator('[data-bench]').focus();
  for (let i = 0; i < 2; i += 1) await page.keyboard.press('Control+z');
  await expect.poll(names).toEqual(before);
});

test(
  'styles come into another order by keyboard, and their keys with them; a locked layer keeps its order',
  ALONE,
  async ({ page }) => {
    await openCopy(page, 'demo-meteor-night');
    await page.getByRole('button', { name: /^Styles/ }).click();
    const styles = page.getByRole('group', { name: /^style / });
    const names = () => styles.evaluateAll((groups) => groups.map((g) => g.getAttribute('aria-label')?.slice(6) ?? ''));
    for (let i = 1; i <= 3; i += 1) {
      await page.getByRole('button', { name: 'Add a paragraph style' }).click();
      await expect(styles).toHaveCount(i);
    }
    const before = await names();
    const [first = '', second = ''] = before;
    await expect(styles.nth(0).getByText('Alt 1')).toBeVisible();
    await page.getByRole('button', { name: `Order of ${first}`, exact: true }).focus();
    await laidDown(page, first, second);
    await expect.poll(names).toEqual([second, first, ...before.slice(2)]);
    await expect(styles.nth(0).getByText('Alt 1')).toBeVisible();

    await page.getByRole('button', { name: /^On this side/ }).click();
    const layer = page.getByRole('group', { name: 'artwork' });
    const rows = layer.locator('button[aria-pressed]');
    const order = await rows.allTextContents();
    await layer.getByLabel('locked').check();
    await rows.first().focus();
    await page.keyboard.press('Space');
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Space');
    await saved(page);
    expect(await rows.allTextContents()).toEqual(order);
  },
);

test(
  'things are copied into another job with what they need; text from elsewhere becomes a table',
  ALONE,
  async ({ page }) => {
    await openCopy(page, 'demo-business-card');
    const source = await stored(page);
    await page.locator('[data-bench]').focus();
    await page.keyboard.press('Control+a');
    await page.keyboard.press('Control+c');
    await expect(page.getByText(/things copied\.$/)).toBeVisible();
    await begin(page, 'Card on a flyer');
    await page.locator('[data-bench]').focus();
    await page.keyboard.press('Control+v');
    const onFront = async () => (await stored(page)).pieces[0]?.surfaces['front'] ?? [];
    const were = source.pieces[0]?.surfaces['front'] ?? [];
    await expect.poll(async () => (await onFront()).map((e) => e.name)).toEqual(were.map((e) => e.name));
    expect(Object.keys((await stored(page)).assets)).toEqual(expect.arrayContaining(Object.keys(source.assets)));
    await expect(page.locator('[data-element]')).toHaveCount(were.length);

    await page.keyboard.press('Control+x');
    await expect.poll(onFront).toEqual([]);
    await page.keyboard.press('Control+z');
    await expect.poll(async () => (await onFront()).length).toBe(were.length);
    await pasteText(page, 'Gates\t20:30\nTalk\t21:00\n');
    await expect.poll(async () => (await onFront()).at(-1)).toMatchObject({ kind: 'table', rows: [{}, {}] });

    // Paragraphs come as they are; what they seem to be is offered.
    const prose = 'The nights are cold on the moor, even in August, and nobody sells tea up there at that hour.';
    await pasteText(page, `What to bring\n${prose}\n• a blanket`);
    await expect.poll(async () => (await onFront()).at(-1)).toMatchObject({ kind: 'text', paragraphs: [{}, {}, {}] });
    await page.getByRole('button', { name: 'Set it so' }).click();
    await expect
      .poll(async () => (await onFront()).at(-1))
      .toMatchObject({ paragraphs: [{}, {}, { look: { list: { list: 'bullet' } }, runs: [{ text: 'a blanket' }] }] });
  },
);
