import { mkdirSync, writeFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { saved } from './helpers';
import { Hand } from './pieces/hand';
import { meteorNight } from './pieces/meteor-night';

const PIECES: Readonly<Record<string, (hand: Hand) => Promise<void>>> = {
  'meteor-night': meteorNight,
};

for (const [name, build] of Object.entries(PIECES)) {
  test(`${name}, built from the empty format`, async ({ page }) => {
    test.setTimeout(120_000);
    const hand = new Hand(page);
    await build(hand);
    await saved(page);
    console.log(`${name}: ${hand.actions} actions`);
    if (process.env['YS_LOOK']) await look(page, name);
    const checks = page.getByRole('region', { name: 'Checks' });
    await expect(checks).toContainText('Nothing open');
  });
}

/** Keeps what was built, and pictures of it, to be looked at. */
async function look(page: Page, name: string): Promise<void> {
  const id = page.url().split('/').at(-1) ?? '';
  const { origin } = new URL(page.url());
  mkdirSync('tmp/pieces', { recursive: true });
  const job = (await (await page.request.get(`/api/jobs/${id}`)).json()) as unknown;
  writeFileSync(`tmp/pieces/${name}.json`, JSON.stringify(job, null, 1));
  const made = (await (await page.request.post(`/api/jobs/${id}/exports`, { data: { kind: 'preview' }, headers: { origin } })).json()) as { id: string }; // prettier-ignore
  const facts = async () => (await (await page.request.get(`/api/exports/${made.id}`)).json()) as { state: string; files: { name: string }[] }; // prettier-ignore
  await expect.poll(async () => (await facts()).state, { timeout: 60_000 }).toBe('done');
  for (const { name: file } of (await facts()).files)
    writeFileSync(`tmp/pieces/${name}-${file}`, await (await page.request.get(`/api/exports/${made.id}/files/${file}`)).body()); // prettier-ignore
}
