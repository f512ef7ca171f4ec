import { expect, test } from '@playwright/test';
import { inkAt, kindsJob, pictureKinds, worstOf, type PictureKind } from '../src/testing/picture-kinds';
import { platesOf } from '../src/testing/programs';
import { unpackInks } from '../src/paint/plates';
import { begin, clickAt, exportedFile, openChoice, openCopy, openJob, saved, stored } from './helpers';
import { ALONE } from './test';

/** Kinds whose inks are more than one percent off, by name. */
const off = (kinds: readonly PictureKind[], at: Parameters<typeof worstOf>[2]) =>
  kinds.flatMap((kind, i) => (worstOf(kind, i, at) < 1 ? [] : [`${kind.name}: ${worstOf(kind, i, at).toFixed(2)} %`]));

test(
  'every kind of picture has the inks that transicc gives it, in the press file and on the bench’s plates',
  ALONE,
  async ({ page }) => {
    const kinds = await pictureKinds();
    const { job } = await kindsJob(kinds);
    const headers = { origin: new URL(test.info().project.use.baseURL ?? '').origin };
    for (const kind of kinds) {
      const taken = await page.request.post(`/api/assets?name=${kind.file}`, {
        data: Buffer.from(kind.bytes),
        headers,
      });
      expect([kind.name, taken.status()]).toEqual([kind.name, 200]);
    }
    const id = `kinds-${Date.now()}`;
    const made = await page.request.post('/api/jobs', { data: { document: { ...job, id }, label: 'Begun' }, headers });
    expect(made.ok()).toBe(true);
    await openJob(page, id);
    expect(off(kinds, inkAt(await platesOf(await exportedFile(page, 'press'), 1, 72)))).toEqual([]);

    // What the plates on the bench are read from: each picture’s inks at its own size.
    const shas = Object.keys(job.assets);
    const inks = await Promise.all(
      shas.map(async (sha) => {
        const answer = await page.request.get(`/api/assets/${sha}/inks?profile=coated-fogra39&width=64`);
        return unpackInks(new Uint8Array(await answer.body()));
      }),
    );
    const wrong = kinds.flatMap((kind, i) => {
      const found = inks[i];
      if (!found) return [kind.name];
      const { width, space, pixels, alpha } = found;
      const worst = worstOf(kind, 0, (plate, x, y) => {
        const at = Math.floor(y) * width + Math.floor(x);
        const channel = ['Cyan', 'Magenta', 'Yellow', 'Black'].indexOf(plate);
        const ink = space === 'grey' ? (channel === 3 ? pixels[at] : 0) : pixels[at * 4 + channel];
        return (((ink ?? 0) / 255) * (alpha?.[at] ?? 255)) / 255;
      });
      return worst < 1 ? [] : [`${kind.name}: ${worst.toFixed(2)} %`];
    });
    expect(wrong).toEqual([]);
  },
);

test('what is changed while colours of a picture are fetched is kept', ALONE, async ({ page }) => {
  await openCopy(page, 'demo-meteor-night');
  await page.keyboard.press('Alt+3');
  // Bare of everything but the picture.
  await clickAt(page, 2, 100);
  await page.keyboard.press('Alt+4');
  await page.getByRole('button', { name: /^Named colours/ }).click();
  let answer: () => void = () => undefined;
  const held = new Promise<void>((resolve) => (answer = resolve));
  await page.route('**/colours', async (route) => {
    await held;
    await route.continue();
  });
  await page.getByRole('button', { name: 'From this picture' }).click();
  await page.getByRole('button', { name: 'Add a colour' }).click();
  const before = (await stored(page)).swatches?.length ?? 0;
  expect(before).toBeGreaterThan(0);
  answer();
  await expect.poll(async () => (await stored(page)).swatches?.length ?? 0).toBeGreaterThan(before);
  const names = (await stored(page)).swatches?.map((s) => s.name) ?? [];
  expect(names.filter((n) => n.startsWith('picture')).length).toBeGreaterThan(0);
  expect(names.filter((n) => !n.startsWith('picture')).length).toBe(before);
  await page.unroute('**/colours');
});

test('a proposal that is only shown is not the base of the next', ALONE, async ({ page }) => {
  await begin(page, 'Proposals');
  const before = await stored(page);
  await page.keyboard.press('Alt+1');
  const choose = async (label: string, option: RegExp) => {
    await openChoice(page.getByLabel(label));
    await page.getByRole('option', { name: option }).first().click();
    await expect(page.getByRole('button', { name: 'Change it' })).toBeVisible();
  };
  await choose('From the shop’s papers', /Tarn board/);
  await choose('From the shop’s printers', /./);
  await page.getByRole('button', { name: 'Change it' }).click();
  await saved(page);
  const after = await stored(page);
  expect(after.house.name).not.toBe(before.house.name);
  // The paper was never agreed to.
  expect(after.stock).toEqual(before.stock);
});

test('a profile that could not be fetched is fetched again', ALONE, async ({ page }) => {
  await openCopy(page, 'demo-meteor-night');
  await page.keyboard.press('Alt+4');
  // The page has its profile; the worker that reads plates fetches its own.
  let failing = true;
  await page.route('**/profiles/*.icc', (route) => (failing ? route.abort() : route.continue()));
  const asked = page.waitForRequest('**/profiles/*.icc');
  await page.getByRole('button', { name: 'Plates', exact: true }).click();
  await asked;
  await expect(page.getByText(/could not be loaded|Failed to fetch/)).toBeVisible();
  failing = false;
  await page.getByRole('button', { name: 'Artwork', exact: true }).click();
  await page.getByRole('button', { name: 'Plates', exact: true }).click();
  await expect(page.locator('canvas[data-painted=yes]')).toBeVisible();
});

test('fonts and profiles have names that change with them, and are never asked for twice', async ({
  page,
  context,
}) => {
  const asked: { readonly address: string; readonly kept: string | undefined }[] = [];
  context.on('response', (response) => {
    const { pathname } = new URL(response.url());
    if (/\.(ttf|icc|wasm)$/.test(pathname))
      asked.push({ address: response.url(), kept: response.headers()['cache-control'] });
  });
  await openJob(page, 'demo-meteor-night');
  await expect(page.locator('[data-element]').first()).toBeVisible();
  expect(asked.length).toBeGreaterThan(5);
  for (const { address, kept } of asked) {
    expect([address, kept]).toEqual([address, expect.stringContaining('immutable')]);
    // One that holds something else now is not there under its old name.
    const other = address.replace(/shipped\/[0-9a-f]{16}/, 'shipped/0123456789abcdef');
    if (other !== address) expect((await page.request.get(other)).status()).toBe(404);
  }
  // What was asked for while the page came is what the page uses: nothing goes over the line twice.
  const names = asked.map(({ address }) => address);
  expect(new Set(names).size).toBe(names.length);
});
