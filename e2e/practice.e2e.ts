import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import type { Job } from '../src/core/job';
import { RULES } from '../src/core/check';
import { elementsOf } from '../src/core/job';
import { copyOf, open } from './helpers';
import { ALONE, test } from './test';

const PIECE = 'Folder to practise on';

/** Begins a round with one fault, and opens it on the bench. */
async function beginRound(page: Page): Promise<void> {
  await page.getByRole('combobox', { name: 'piece' }).click();
  await page.getByRole('option', { name: PIECE, exact: true }).first().click();
  await page.getByRole('textbox', { name: 'faults' }).fill('1');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Begin a round' }).click();
  await page.waitForURL(/\/practice\/.+/, { timeout: 60_000 });
  await expect(page.locator('[data-bench]')).toBeVisible({ timeout: 60_000 });
}

const answers = (page: Page) => page.getByRole('region', { name: 'Answers' });

/** The name of the fault of a round that was handed in. */
async function faultOf(page: Page): Promise<string> {
  const words = (await answers(page).getByRole('article').first().getAttribute('aria-label')) ?? '';
  expect(RULES.map(({ title }) => title)).toContain(words);
  return words;
}

const back = async (page: Page) => {
  await page.getByRole('link', { name: 'To Practice' }).click();
  await expect(page.getByRole('heading', { name: 'Practice', exact: true })).toBeVisible();
};

/** Chooses, side by side and element by element, what differs from the sound piece. */
async function chooseSpoilt(page: Page, sound: Job): Promise<void> {
  const id = new URL(page.url()).pathname.split('/').at(-1) ?? '';
  const { job } = (await (await page.request.get(`/api/practice/rounds/${id}`)).json()) as { job: Job };
  const [before] = sound.pieces;
  const [after] = job.pieces;
  if (!before || !after) throw new Error('no piece');
  const known = new Map(elementsOf(before).map(({ element }) => [element.id, JSON.stringify(element)]));
  const spoilt = elementsOf(after).find(({ element }) => known.get(element.id) !== JSON.stringify(element));
  // What is wrong with the piece as a whole is said with nothing chosen.
  if (!spoilt) return;
  const { side, element } = spoilt;
  await page.getByRole('group', { name: 'Side' }).getByRole('button', { name: side, exact: true }).click();
  const chosen = page.getByRole('region', { name: 'What is wrong' }).getByRole('status');
  await page.locator('[data-bench]').focus();
  for (let i = 0; i < 60; i += 1) {
    await page.keyboard.press('Tab');
    if ((await chosen.textContent())?.includes(`“${element.name}”`)) return;
  }
  throw new Error(`“${element.name}” cannot be chosen`);
}

test(
  'three rounds: a fault is missed, the pile comes back, it returns and is found; then another; and a sum',
  ALONE,
  async ({ page }) => {
    const id = await copyOf(page, 'demo-visitor-folder', { name: PIECE, stage: 'in work' });
    const { job: sound } = (await (await page.request.get(`/api/jobs/${id}`)).json()) as { job: Job };
    await open(page, '/practice');
    await expect(page.getByRole('button', { name: 'Begin a round' })).toBeDisabled();
    await page.getByRole('combobox', { name: 'Who practises' }).fill('Wren');

    // The first: nothing is marked, and it is sent anyway.
    await beginRound(page);
    await expect(page.getByRole('region', { name: 'Checks' })).toHaveCount(0);
    await page.getByRole('button', { name: 'Send it anyway' }).click();
    await expect(answers(page).getByRole('status')).toContainText('0 of 1 fault found.');
    const missed = await faultOf(page);
    await expect(answers(page)).toContainText(`${missed}: missed`);
    await expect(page.getByRole('button', { name: 'The pile' })).toHaveAttribute('aria-pressed', 'true');
    // Its fix can be tried at once, and taken back.
    const fix = answers(page).getByRole('article').getByRole('button').nth(1);
    if ((await fix.count()) > 0) {
      await fix.click();
      await page.getByRole('button', { name: 'As it was' }).click();
      await expect(page.getByRole('button', { name: 'As it was' })).toHaveCount(0);
    }
    await back(page);
    await expect(page.getByRole('region', { name: 'How it goes' })).toContainText(`${missed}: due`);

    // The second: what was missed is there again.
    await beginRound(page);
    await chooseSpoilt(page, sound);
    await page.getByRole('combobox', { name: 'is' }).fill(missed);
    await page.getByRole('option', { name: missed, exact: true }).click();
    await page.getByRole('button', { name: 'Mark it' }).click();
    await expect(page.getByRole('list', { name: 'Marked' })).toContainText(missed);
    await page.getByRole('button', { name: 'Hand in' }).click();
    await expect(answers(page).getByRole('status')).toContainText('1 of 1 fault found. It could be sent.');
    expect(await faultOf(page)).toBe(missed);
    // What was handed in stays as it is, after a reload too.
    await page.reload();
    await expect(answers(page)).toContainText(`${missed}: found`);
    await back(page);

    // The third: it is known for today.
    await beginRound(page);
    await page.getByRole('button', { name: 'Hand in' }).click();
    expect(await faultOf(page)).not.toBe(missed);
    await back(page);
    const rounds = page.getByRole('table', { name: 'Rounds' });
    await expect(rounds.getByRole('row')).toHaveCount(4);

    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Rounds as CSV' }).click();
    const csv = readFileSync(await (await download).path(), 'utf8')
      .trim()
      .split('\r\n');
    expect(csv).toHaveLength(4);
    expect(csv[0]).toBe('when,piece,level,found,seen,missed,wrongly marked');

    await page.getByRole('combobox', { name: 'about' }).click();
    await page.getByRole('option', { name: 'Up on a sheet' }).click();
    await page.getByRole('textbox', { name: 'answer' }).fill('many');
    await page.getByRole('button', { name: 'Answer', exact: true }).click();
    await expect(page.getByRole('alert').filter({ hasText: /./ }).first()).toBeVisible();
    await page.getByRole('textbox', { name: 'answer' }).fill('9999');
    await page.getByRole('button', { name: 'Answer', exact: true }).click();
    await expect(page.getByRole('status', { name: 'Working' })).toContainText('Not right');
    await expect(page.getByText('0 of 1 right of this kind so far.')).toBeVisible();

    await page.getByRole('button', { name: 'Forget Wren' }).click();
    await page.getByRole('button', { name: 'Forget', exact: true }).click();
    await expect(page.getByRole('region', { name: 'How it goes' })).toHaveCount(0);
    // The job that was practised on is as it was.
    const { job: after } = (await (await page.request.get(`/api/jobs/${id}`)).json()) as { job: Job };
    expect(after).toEqual(sound);
  },
);

test('a round that is gone, and a piece with faults of its own, say so', async ({ page }) => {
  await open(page, '/practice/no-such-round');
  await expect(page.getByText('This round is no longer kept.')).toBeVisible();
  const origin = new URL(page.url()).origin;
  const asked = { learner: 'Wren', level: 1, faults: 1, job: 'demo-first-proof' };
  const answer = await page.request.post('/api/practice/rounds', { data: asked, headers: { origin } });
  expect(answer.status()).toBe(422);
  expect(await answer.text()).toContain('has faults of its own');
});
