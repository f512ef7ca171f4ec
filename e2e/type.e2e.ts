import { expect } from '@playwright/test';
import { begin, saved } from './helpers';
import { Hand } from './pieces/hand';
import { ALONE, test } from './test';

/** Type on the bench: styles, flow, fitting, and the check of typewriter signs. */

/** The fonts and sizes that are set on this side, as the server has the job. */
async function looks(hand: Hand) {
  await saved(hand.page);
  const id = hand.page.url().split('/').at(-1) ?? '';
  const { job } = (await (await hand.page.request.get(`/api/jobs/${id}`)).json()) as {
    job: {
      styles: { id: string; name: string; look: Record<string, unknown> }[];
      pieces: {
        surfaces: Record<
          string,
          { name: string; paragraphs?: { style?: string; runs: { text: string }[] }[]; after?: string | null }[]
        >;
      }[];
    };
  };
  return job;
}

test(
  'a base style changed: every style based on it and every word in them follows, and undo brings all back',
  ALONE,
  async ({ page }) => {
    const hand = new Hand(page);
    await begin(page, 'Styles that follow');
    await hand.key('Alt+3');
    await hand.unfold('Styles');
    await hand.style('Body', 'Source Serif 4 10/14');
    await hand.style('Lead', '14/18', { next: 'Body' });
    await hand.story(
      'Words',
      [
        [2, 'Bring a red light'],
        [undefined, 'and warm boots.'],
        [1, 'The soup is free.'],
      ],
      { 'y-height': 60 },
    );
    const job = await looks(hand);
    const [body, lead] = job.styles;
    expect(lead?.look).toEqual({ sizePt: 14, leadingPt: 18 });
    const text = job.pieces[0]?.surfaces['front']?.[0];
    // The paragraph begun after one in Lead is in Body by itself.
    const ids = job.styles.map((s) => s.id);
    expect(text?.paragraphs?.map((p) => p.style)).toEqual([ids[1], ids[0], ids[0]]);

    const outlines = () =>
      page.locator('[data-bench] [data-element] path').evaluateAll((all) => all.map((p) => p.getAttribute('d')));
    const before = await outlines();
    await hand.write(
      page.getByRole('group', { name: 'style Body', exact: true }).locator('input[name="style-set-in"]'),
      'Jost 700',
    );
    await expect.poll(async () => (await outlines()).some((d, i) => d === before[i])).toBe(false);
    expect((await looks(hand)).styles.map((s) => s.look)).toEqual([
      { ...body?.look, family: 'Jost', weight: 700 },
      lead?.look,
    ]);
    await hand.key('Control+z');
    await expect.poll(outlines).toEqual(before);
  },
);

test('words that find no room flow on to the next side, where typing goes on in the same text', async ({ page }) => {
  const hand = new Hand(page);
  await begin(page, 'Text that flows on', 'A6', '2');
  await hand.key('Alt+3');
  const sentence = 'Eyes need about twenty minutes to learn the dark and one headlamp to forget it. ';
  await hand.text('Story', sentence.repeat(3).trim(), { 'y-height': 20 });
  await hand.key('Alt+5');
  await page.getByRole('button', { name: 'Flow on: back' }).click();
  await hand.key('Alt+3');
  await hand.key('b');
  const onBack = page.locator('[data-bench] [data-element] path');
  await expect(onBack.first()).toBeVisible();
  const lines = await onBack.count();
  // Typed in the second frame, the words belong to the first.
  await hand.key('Tab');
  await hand.key('Enter');
  await expect(page.getByRole('textbox', { name: /^Text of/ })).toBeFocused();
  await page.keyboard.press('Control+End');
  await page.keyboard.insertText(' Bring soup, bring soup, bring soup.');
  await page.keyboard.press('Escape');
  await expect.poll(() => onBack.count()).toBeGreaterThan(lines);
  const { pieces } = await looks(hand);
  const [front, back] = [pieces[0]?.surfaces['front']?.[0], pieces[0]?.surfaces['back']?.[0]];
  expect(front?.paragraphs?.[0]?.runs[0]?.text).toMatch(/forget it\. Bring soup, bring soup, bring soup\.$/);
  expect(back?.paragraphs).toEqual([{ runs: [] }]);
});

test('a fix that is pressed right after a change is laid on what is there now', ALONE, async ({ page }) => {
  const hand = new Hand(page);
  await begin(page, 'A fix in time', 'A6', '2');
  await hand.key('Alt+3');
  await hand.text('Story', 'Eyes need about twenty minutes to learn the dark. '.repeat(5).trim(), { 'y-height': 12 });
  const enlarge = page.getByRole('button', { name: 'Enlarge the frame' });
  await expect(enlarge).toBeVisible();
  await saved(page);
  const top = page.locator('input[name="y-top"]');
  const before = await top.inputValue();
  await page.locator('[data-bench]').focus();
  await page.keyboard.press('ArrowDown');
  // At once: what is shown was found before the frame moved.
  await enlarge.evaluate((button: HTMLElement) => button.click());
  await expect(enlarge).toHaveCount(0);
  await expect(top).not.toHaveValue(before);
  await expect(page.locator('input[name="y-height"]')).not.toHaveValue('12 mm');
});

test(
  'some words take a look of their own by key, and typewriter signs are found and mended',
  ALONE,
  async ({ page }) => {
    const hand = new Hand(page);
    await begin(page, 'A look for some words');
    await hand.key('Alt+3');
    await hand.key('t');
    await page.keyboard.insertText('She said "bring soup" - and we did');
    await page.keyboard.press('Home');
    for (let i = 0; i < 3; i += 1) await page.keyboard.press('Shift+ArrowRight');
    await page.keyboard.press('Control+b');
    await page.keyboard.press('End');
    await page.keyboard.insertText('.');
    await page.keyboard.press('Escape');
    const runs = async () => (await looks(hand)).pieces[0]?.surfaces['front']?.[0]?.paragraphs?.[0]?.runs;
    expect(await runs()).toEqual([
      { text: 'She', look: { weight: 700 } },
      { text: ' said "bring soup" - and we did.' },
    ]);
    await hand.key('Alt+5');
    await page.getByRole('button', { name: 'Set all properly' }).first().click();
    await expect
      .poll(runs)
      .toEqual([{ text: 'She', look: { weight: 700 } }, { text: ' said “bring soup” – and we did.' }]);
  },
);
