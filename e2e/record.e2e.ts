import { expect } from '@playwright/test';
import { holidaysOf } from '../src/bring-in/holidays';
import { dayOf, writeDay } from '../src/core/dates';
import { SHIPPED_PRINTERS, Stock } from '../src/core/shop';
import { begin, box, makeJob } from '../src/testing/jobs';
import { python } from '../src/testing/programs';
import { field, openChoice, openMade, saved, stored, write } from './helpers';
import { ALONE, test } from './test';

const house = SHIPPED_PRINTERS.find(({ name }) => name === 'Copperplate Yard');
if (!house) throw new Error('no printer');

/** Easter Monday of a year in England. */
function easterMonday(year: number): number {
  const found = holidaysOf('GB-ENG', year, 'en').find(({ name, day }) => /easter monday/i.test(name) && day > 0);
  if (!found) throw new Error('no Easter');
  return found.day;
}

/** As a date field shows it: `30 Mar 2027`. */
const shown = (day: number): string => {
  const [year, month, date] = writeDay(day).split('-');
  const names = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
  return `${date} ${names[Number(month) - 1]} ${year}`;
};

test(
  'a job due after Easter is scheduled, a step moved, found late, mended, and its calendar read by another program',
  ALONE,
  async ({ page }) => {
    const year = new Date().getFullYear() + 1;
    const tuesday = easterMonday(year) + 1;
    const thursday = tuesday - 5;
    await openMade(page, makeJob([], { due: writeDay(tuesday), house }));
    await page.keyboard.press('Alt+7');
    const schedule = page.getByRole('region', { name: 'Schedule' });
    const row = (step: string) => schedule.locator(`[data-step="${step}"]`);
    await expect(schedule.getByRole('status')).toContainText(/in time; \d+ working days to spare/);
    const ends = (step: string) => row(step).getByRole('group').first();
    await expect(ends('deliver')).toContainText(shown(tuesday));
    // Good Friday, the weekend and Easter Monday are left out.
    await expect(ends('dry')).toContainText(shown(thursday));

    await write(field(page, 'Print, working days'), '4');
    await saved(page);
    await write(field(page, 'Approval, working days'), String((tuesday - dayOf(year - 1, 12, 1)) | 0));
    await expect(schedule.getByRole('status')).toContainText(/working days? late/);
    await expect(page.locator('[data-late]')).toBeVisible();
    await schedule.getByRole('button', { name: 'As it follows from the due date' }).click();
    await expect(schedule.getByRole('status')).toContainText(/in time/);
    await expect(page.locator('[data-late]')).toHaveCount(0);
    await schedule.getByRole('button', { name: 'Proof is done today' }).click();
    await saved(page);
    expect((await stored(page)).schedule?.steps.proof?.done).toBeDefined();

    await schedule.getByRole('button', { name: 'As a calendar (.ics)' }).click();
    const link = page.getByRole('region', { name: 'Files made' }).getByRole('link', { name: /\.ics/ });
    await expect(link).toBeVisible({ timeout: 30_000 });
    const text = await (await page.request.get((await link.getAttribute('href')) ?? '')).text();
    const found = python(
      `
from icalendar import Calendar
events = Calendar.from_ical(data).walk("VEVENT")
print(json.dumps({str(e["SUMMARY"]).split(":")[0]: e.decoded("DTSTART").isoformat() for e in events}))
`,
      text,
    );
    expect(found).toMatchObject({ Deliver: writeDay(tuesday), Dry: writeDay(thursday), Due: writeDay(tuesday) });
    expect(found).not.toHaveProperty('Proof');
  },
);

test(
  'an offset and a digital house are compared over the quantity; at the crossing the cheapest changes',
  ALONE,
  async ({ page }) => {
    const stock = Stock.parse({ name: 'Silk', kind: 'coated', grammage: 150 });
    await openMade(page, makeJob([box('ground', [0, 0, 148, 210])], { quantity: 1000, stock }));
    await page.keyboard.press('Alt+7');
    const part = page.getByRole('region', { name: 'Cost' });
    const cheapest = part.getByRole('status');
    await expect(cheapest).toContainText('Cheapest at Corner Counter', { timeout: 60_000 });
    const table = part.getByRole('table', { name: 'What it costs' });
    await expect(table.locator('[data-house]').first()).toContainText('Corner Counter');
    await part.getByRole('button', { name: 'How Copperplate Yard comes about' }).click();
    const lines = part.getByRole('table', { name: 'How the price of Copperplate Yard comes about' });
    await expect(lines.getByRole('row', { name: /^Plates 1 plate £/ })).toBeVisible();
    await expect(part.getByRole('img', { name: /^What one copy costs over the quantity/ })).toBeVisible();
    const words = (await part.locator('[data-crossings]').textContent()) ?? '';
    const from = Number(/from ([\d,]+) copies on Copperplate Yard/.exec(words)?.[1]?.replace(',', ''));
    expect(from).toBeGreaterThan(1000);
    for (const [copies, house] of [
      [from - 1, 'Corner Counter'],
      [from, 'Copperplate Yard'],
    ] as const) {
      await page.keyboard.press('Alt+1');
      await write(page.getByRole('textbox', { name: 'Copies' }), String(copies));
      await page.keyboard.press('Alt+7');
      await expect(cheapest).toContainText(`Cheapest at ${house}`, { timeout: 60_000 });
    }
  },
);

test('last year’s complaint comes up when the same kind begins', ALONE, async ({ page }) => {
  const complaint = `The fold cracked, score it (${Date.now()})`;
  await openMade(page, begin('brochure', { fold: 'letter', size: 'A4' }));
  await page.keyboard.press('Alt+7');
  const log = page.getByRole('region', { name: 'Log' });
  await openChoice(log.getByRole('combobox', { name: 'what it is' }));
  await page.getByRole('option', { name: 'complaint' }).click();
  await log.getByRole('textbox', { name: 'In words' }).fill(complaint);
  await log.getByRole('button', { name: 'Write down' }).click();
  await expect(log.getByRole('listitem').filter({ hasText: complaint })).toBeVisible();
  await saved(page);

  await openMade(page, begin('brochure', { fold: 'z', size: 'A5' }));
  await page.keyboard.press('Alt+1');
  const lessons = page.getByRole('region', { name: 'From jobs like this one' });
  await expect(lessons.getByText(complaint)).toBeVisible();
  await expect(lessons).toContainText('of the same kind');
  // A card is of another kind, for nobody, and at no house: nothing is to be learnt for it.
  await openMade(page, begin('business-card'));
  await page.keyboard.press('Alt+1');
  await expect(page.getByRole('textbox', { name: 'Name', exact: true })).toBeVisible();
  await expect(page.getByText(complaint)).toHaveCount(0);
});
