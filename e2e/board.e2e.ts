import { expect } from '@playwright/test';
import { copyOf, open } from './helpers';
import { ALONE, test } from './test';

test('a card is drawn to another stage by hand, and put back', async ({ page }) => {
  const name = 'Drawn to and fro';
  const id = await copyOf(page, 'demo-open-day', { name });
  await open(page, '/');
  const card = page.getByRole('article').filter({ hasText: name });
  const stage = (title: string) => page.getByRole('region', { name: title });
  await expect(stage('Briefed').getByText(name)).toBeVisible();
  const from = await card.boundingBox();
  const to = await stage('Checked').boundingBox();
  if (!from || !to) throw new Error('the card or the stage is not there');
  await page.mouse.move(from.x + from.width / 2, from.y + 20);
  await page.mouse.down();
  await page.mouse.move(from.x + from.width / 2 + 20, from.y + 40, { steps: 4 });
  await page.mouse.move(to.x + to.width / 2, to.y + 60, { steps: 8 });
  await expect(page.getByText(`${name} is at the place of Checked.`)).toBeAttached();
  await page.mouse.up();
  await expect(stage('Checked').getByText(name)).toBeVisible();
  // It was moved, not opened.
  expect(new URL(page.url()).pathname).toBe('/');
  const at = async () =>
    ((await (await page.request.get(`/api/jobs/${id}`)).json()) as { job: { stage: string } }).job.stage;
  expect(await at()).toBe('checked');
  await page.getByRole('button', { name: 'Put back' }).click();
  await expect(stage('Briefed').getByText(name)).toBeVisible();
  expect(await at()).toBe('brief');
  await card.getByRole('link').click();
  await page.waitForURL(`**/jobs/${id}**`);
});

test('the board remembers how it is shown; its rows are sorted and moved together', ALONE, async ({ page }) => {
  const names = ['Row one', 'Row two'];
  for (const [i, name] of names.entries())
    await copyOf(page, 'demo-open-day', { name, client: 'Hollin Ford', due: `2026-01-0${i + 1}` });
  await open(page, '/');
  await page.getByRole('button', { name: 'Table' }).click();
  await page.reload();
  const table = page.getByRole('table', { name: 'Jobs' });
  await expect(table).toBeVisible();
  await page.getByRole('textbox', { name: 'Find a job' }).fill('hollin');
  await expect(table.getByRole('link')).toHaveText(names);
  await expect(table.getByText(/ d late$/)).toHaveCount(2);
  await table.getByRole('button', { name: 'Job' }).click();
  await table.getByRole('button', { name: 'Job' }).click();
  await expect(table.getByRole('link')).toHaveText(names.toReversed());
  await table.getByRole('checkbox', { name: 'Choose all' }).check();
  await page.getByRole('toolbar', { name: 'With the chosen jobs' }).getByRole('button', { name: 'Sent' }).click();
  await expect(page.getByText('2 jobs are now under Sent.')).toBeVisible();
  await expect(table.getByRole('cell', { name: 'Sent' })).toHaveCount(2);
  await page.getByRole('button', { name: 'Take them off' }).click();
  await expect(page.getByText('No job has “hollin”')).toBeVisible();
  await page.getByRole('button', { name: 'Put back' }).click();
  await expect(table.getByRole('link')).toHaveCount(2);
});

test('what is behind stands on its card, and in the weeks of the shop with what each printer holds', async ({
  page,
}) => {
  const name = 'Due before it can be';
  const due = new Date(Date.now() + 86_400_000).toISOString().slice(0, 10);
  await copyOf(page, 'demo-open-day', { name, due });
  await open(page, '/weeks');
  await expect(page.getByRole('list', { name: 'Behind' })).toContainText(
    new RegExp(`Proof \\d+ days? behind:.*${name}`),
  );
  const table = page.getByRole('table', { name: 'Jobs by week' });
  await expect(table.getByRole('columnheader', { name: 'no printer yet' })).toBeVisible();
  await expect(table.getByRole('row').nth(1)).toContainText(name);
  await expect(page.getByRole('img', { name: /week by week/ })).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'As CSV' }).click();
  expect((await download).suggestedFilename()).toBe('weeks.csv');
  await page.getByRole('link', { name: 'Jobs', exact: true }).click();
  await expect(page.getByRole('article').filter({ hasText: name })).toContainText(/▲ Proof \d+ days? behind/);
  await page.getByRole('article').filter({ hasText: name }).getByRole('link').click();
  await expect(page.locator('[data-late]')).toBeVisible();
});
