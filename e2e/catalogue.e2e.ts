import { expect } from '@playwright/test';
import { cornerOf, field, stored, write } from './helpers';
import { isBuiltByHand, openPiece, type Recipe } from './pieces/build';
import { catalogue } from './pieces/catalogue';
import type { Hand } from './pieces/hand';
import { ALONE, test } from './test';

const CATALOGUE: Recipe = { file: 'catalogue', recipe: 'catalogue', build: catalogue, most: 190 };

/** How a text of the page shown is set. */
async function setting(hand: Hand, name: string): Promise<string> {
  await hand.select(name);
  return hand.page.getByRole('region', { name: 'Selection' }).locator('input[name="set in"]').inputValue();
}

const how = isBuiltByHand(CATALOGUE) ? 'from nothing, ten spreads from three base layouts and a file' : 'as it is kept';
test(
  `a catalogue ${how}: what is based on a style or a layout follows it`,
  isBuiltByHand(CATALOGUE) ? {} : ALONE,
  async ({ page }) => {
    const hand = await openPiece(page, CATALOGUE);
    await page.keyboard.press('Alt+5');
    await expect(page.getByRole('region', { name: 'Checks' })).toContainText('●');
    await expect(page.getByRole('region', { name: 'Checks' })).not.toContainText(/[✕▲]/);
    await page.keyboard.press('Alt+3');

    // The base style: every word in it follows, and in what is based on it.
    await hand.toPage('page 9');
    await hand.unfold('On this side');
    expect(await setting(hand, 'text')).toContain('10.5/15.5');
    await hand.unfold('Styles');
    await write(
      page.getByRole('group', { name: 'style Text', exact: true }).locator('input[name="style-set-in"]'),
      '9.5/14',
    );
    for (const side of ['page 9', 'page 23']) {
      await hand.toPage(side);
      expect(await setting(hand, 'text')).toContain('9.5/14');
    }
    await hand.fold('Styles');

    // The base layout: what is moved there is moved on all of its pages, whose own words stay.
    await hand.unfold('Pages and base layouts');
    await hand.press('Lay out Words');
    await hand.select('name');
    await write(field(page, 'y-top'), '40');
    for (const [side, year] of [
      ['page 5', 'First light'],
      ['page 23', 'The same moon'],
    ] as const) {
      await hand.toPage(side);
      await hand.select('name');
      await expect(field(page, 'y-top')).toHaveValue('40 mm');
      await expect(page.getByRole('region', { name: 'Selection' })).toContainText('Follows Words, but for its');
      await expect(page.getByRole('button', { name: /^words: otherwise than Words/ })).toBeVisible();
      const { pieces } = await stored(page);
      expect(JSON.stringify(pieces[0]?.layouts[side]?.facts)).toContain(year);
      expect(JSON.stringify(pieces[0]?.layouts[side]?.facts)).not.toContain('placement');
    }

    // One page moved by hand says so, and follows again when it is given back.
    await write(field(page, 'y-top'), '60');
    const chip = page.getByRole('button', { name: /^place: otherwise than Words/ });
    await chip.focus();
    await page.keyboard.press('Delete');
    await expect(chip).toHaveCount(0);
    await expect(field(page, 'y-top')).toHaveValue('40 mm');

    // A spread dragged elsewhere: what moves is told, and undo brings all of it back.
    const before = await stored(page);
    const strip = page.locator('[data-strip]');
    await strip.getByRole('button', { name: /^page 6,/ }).click();
    await strip.getByRole('button', { name: /^page 7,/ }).click({ modifiers: ['Shift'] });
    const from = await cornerOf(strip.getByRole('button', { name: /^page 6,/ }));
    const to = await cornerOf(strip.getByRole('button', { name: /^page 10,/ }));
    await page.mouse.move(from.x + 8, from.y + 20);
    await page.mouse.down();
    await page.mouse.move(to.x + 2, to.y + 20, { steps: 5 });
    await expect(page.getByText('6–7 become 8–9; 8–9 become 6–7')).toBeVisible();
    await page.mouse.up();
    await expect
      .poll(async () => JSON.stringify((await stored(page)).pieces[0]?.layouts['page 7']?.facts))
      .toContain('Ring after ring');
    await page.keyboard.press('Control+z');
    await expect.poll(() => stored(page)).toEqual(before);
  },
);
