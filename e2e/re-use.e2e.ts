import { expect, type Page } from '@playwright/test';
import { open, openChoice, openFindings, openJob, saved } from './helpers';
import { ALONE, test } from './test';

/** The job as the server has it. */
const stored = async (page: Page, id: string) =>
  (await (await page.request.get(`/api/jobs/${id}`)).json()) as {
    job: {
      name: string;
      stage: string;
      readingDistance: number;
      kit?: { name: string };
      pieces: {
        kind: string;
        surfaces: Record<
          string,
          { id: string; name: string; look?: { sizePt?: number }; slot?: { open: boolean; date?: string } }[]
        >;
      }[];
    };
  };
const idOf = (page: Page): string => /\/jobs\/([\w-]+)/.exec(page.url())?.[1] ?? '';

test('the flyer is copied to an A3 poster with its lengths, and what finds no place on a banner is named', async ({
  page,
}) => {
  await openJob(page, 'demo-meteor-night');
  await page.locator('[data-bench]').focus();
  await page.keyboard.press('Shift+C');
  const form = page.getByRole('dialog').last();
  await form.getByRole('radio', { name: 'Poster', exact: true }).click();
  await form.locator('input[name="size"]').fill('no paper');
  await expect(form.getByRole('alert')).toBeVisible();
  await form.locator('input[name="size"]').fill('A3');
  await expect(form.locator('input[name="times"]')).toHaveValue('2');
  await expect(form.getByText('finished 297 × 420 mm')).toBeVisible();
  await form.getByRole('button', { name: 'Make the copy' }).click();
  await expect(page.getByRole('heading', { name: 'Meteor-night flyer, poster' })).toBeVisible();
  const copy = await stored(page, idOf(page));
  const [was, is] = [await stored(page, 'demo-meteor-night'), copy].map(
    (s) => s.job.pieces[0]?.surfaces['front']?.find((e) => e.name === 'Tagline')?.look?.sizePt ?? 0,
  );
  expect(is).toBe(2 * (was ?? 0));
  expect(copy.job).toMatchObject({ stage: 'brief', readingDistance: 1000, pieces: [{ kind: 'poster' }] });

  await page.locator('[data-bench]').focus();
  await page.keyboard.press('Shift+C');
  const again = page.getByRole('dialog').last();
  await again.getByRole('radio', { name: 'Banner', exact: true }).click();
  await again.locator('input[name="size"]').fill('3600 x 1200 mm');
  await expect(again.getByText(/things have no place there yet/)).toBeVisible();
  await expect(again.getByText(/Moon \(back\): there is no back any more/)).toBeVisible();
});

test(
  'a template of a job: its two slots are filled in another, and nothing else can be changed',
  ALONE,
  async ({ page }) => {
    await openJob(page, 'demo-meteor-night');
    await page.keyboard.press('Alt+1');
    await page.getByRole('button', { name: 'Make a template of this job' }).click();
    await page.waitForURL((url) => !url.pathname.endsWith('demo-meteor-night'));
    await expect(page.locator('[data-bench]')).toBeVisible();
    const template = idOf(page);
    expect((await stored(page, template)).job.stage).toBe('template');
    for (const [name, slot] of [
      ['Tagline', 'other words'],
      ['Date', 'a date, full'],
    ] as const) {
      const list = page.getByRole('region', { name: 'On this side' });
      const door = page.getByRole('button', { name: /^On this side/ });
      if ((await door.getAttribute('aria-expanded')) !== 'true') await door.click();
      await list.getByRole('button', { name, exact: true }).click();
      await page.getByRole('group', { name: 'Whole' }).getByRole('button', { name: /^More/ }).click();
      await openChoice(page.getByLabel('in a template'));
      await page.getByRole('option', { name: slot, exact: true }).click();
      await page.keyboard.press('Escape');
    }
    await saved(page);

    await open(page, '/');
    const card = page.locator('article').filter({ has: page.locator(`a[href="/jobs/${template}"]`) });
    await card.getByRole('button', { name: /^More for/ }).click();
    await page.getByRole('menuitem', { name: 'Begin a job from it' }).click();
    await page.waitForURL((url) => /\/jobs\//.test(url.pathname) && !url.pathname.endsWith(template));
    await expect(page.locator('[data-bench]')).toBeVisible();
    const id = idOf(page);
    const slots = page.getByRole('region', { name: 'To fill in' });
    await expect(slots.getByRole('button', { name: 'To fill in · 2' })).toBeVisible();
    await expect(page.getByRole('region', { name: 'Checks' })).toContainText(
      'Still has the words of the template. and 1 more',
    );
    await slots.getByLabel('Words of Tagline').fill('Lie down and look north.');
    await slots.getByLabel('Words of Tagline').blur();
    await slots.getByRole('spinbutton', { name: 'Day' }).click();
    // The field goes on to its next part by itself, as fast as a person writes.
    await expect(slots.getByRole('spinbutton', { name: 'Day' })).toBeFocused();
    await page.keyboard.type('13Dec2027', { delay: 80 });
    await expect(slots.getByRole('spinbutton', { name: 'Year' })).toHaveText('2027');
    await page.keyboard.press('Enter');
    await expect(slots.getByRole('button', { name: 'To fill in', exact: true })).toBeVisible();
    await expect(slots.getByText(/^Monday,? 13 December 2027$/)).toBeVisible();
    await expect(page.getByRole('region', { name: 'Checks' })).not.toContainText('of the template.');
    await saved(page);

    // What is fixed cannot be changed, and a sentence says so.
    const before = (await stored(page, id)).job;
    await page.locator('[data-bench]').focus();
    await page.keyboard.press('Control+a');
    await page.keyboard.press('Delete');
    await expect(page.getByText(/is fixed by the template/)).toBeVisible();
    expect((await stored(page, id)).job).toEqual(before);
    await page.getByRole('button', { name: 'Close', exact: true }).click();
    // Freed, it is a job as any; both steps are taken back.
    await slots.getByRole('button', { name: 'Free it from its template' }).click();
    await expect(slots).toBeHidden();
    await page.locator('[data-bench]').focus();
    await page.keyboard.press('Control+z');
    await expect(slots).toBeVisible();
  },
);

test(
  'the client’s kit is taken, what differs from it is named and mended, and its emblem is at hand',
  ALONE,
  async ({ page }) => {
    await open(page, '/books');
    await page.getByRole('button', { name: 'Client kits' }).click();
    await page.getByRole('button', { name: 'Quillrook Dark-Sky Society' }).click();
    await expect(page.getByRole('heading', { name: 'Kit of Quillrook Dark-Sky Society' })).toBeVisible();
    await expect(page.getByLabel('name of colour 1')).toHaveValue('Night');

    // A colour that is not understood is said at its field; neither Enter nor Keep lets the form go with it.
    const first = page.getByLabel('colour 1', { exact: true });
    const was = await first.inputValue();
    await first.fill('purple-ish');
    await first.press('Enter');
    await expect(page.getByRole('alert').filter({ hasText: /\S/ }).first()).toBeVisible();
    await page.getByRole('button', { name: 'Keep' }).click();
    await expect(first).toHaveValue('purple-ish');
    await expect(first).toBeFocused();
    await first.fill(was);
    await page.getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByText(/is in the book/)).toBeVisible();

    await openJob(page, 'demo-first-proof');
    await page.keyboard.press('Alt+1');
    await openChoice(page.getByLabel('The client’s kit'));
    await page.getByRole('option', { name: 'Quillrook Dark-Sky Society' }).click();
    await page.getByRole('button', { name: 'Change it' }).click();
    await expect(page.getByText(/This job differs from its kit in \d+ things/)).toBeVisible();
    await saved(page);
    expect((await stored(page, 'demo-first-proof')).job.kit?.name).toBe('Quillrook Dark-Sky Society');
    await page.keyboard.press('Alt+5');
    await expect(
      page.getByRole('region', { name: 'Checks' }).getByRole('button', { name: /^Show/ }).first(),
    ).toBeVisible();
    await openFindings(page);
    const list = page.getByText(/The kit of Quillrook Dark-Sky Society does not have League Gothic/);
    await expect(list.first()).toBeVisible();
    const count = await list.count();
    await page.getByRole('button', { name: 'Set in Familjen Grotesk' }).first().click();
    await expect(list).toHaveCount(count - 1);
    await page.keyboard.press('Alt+3');
    await page.getByRole('button', { name: 'More', exact: true }).click();
    await page.getByRole('menuitem', { name: 'emblem of the kit' }).click();
    await saved(page);
    const front = (await stored(page, 'demo-first-proof')).job.pieces[0]?.surfaces['front'] ?? [];
    expect(front.at(-1)?.name).toBe('emblem');
  },
);
