/** How a piece lies on the sheets of the press: what is decided, what follows from it, and how it is cut. */
import { onPage } from '@/testing/page';
import { screen, within } from '@testing-library/react';
import { handOf } from '@/testing/hand';
import { begin, makeJob } from '@/testing/jobs';
import { useSheetView } from '../view/sheet-view';
import { ImposedFields } from './ImposedFields';

beforeEach(() => useSheetView.getState().reset());

const card = () => makeJob([], { quantity: 1000 }, { size: { width: 85, height: 55 }, sides: 2 });
const said = () => document.querySelector('[data-imposed]')?.textContent ?? '';

test('a sheet is written, and what follows is said: copies, share, sheets, over', async () => {
  const page = await onPage(<ImposedFields />, card());
  const hand = handOf();
  await hand.write('sheet, of the house', '320 x 450 mm');
  expect(page.job().output.sheet?.sheet).toEqual({ width: 320, height: 450 });
  // 310 × 433 mm can be printed: 21 cards of 91 × 61 with their bleed in rows, 23 where some are turned.
  expect(said()).toMatch(/^23 copies on 320 × 450 mm · 74\.7 % used · 44 sheets · 12 over$/);
  await hand.write('sheet', '40 x 40 mm');
  expect(hand.refusal('sheet')).toContain('A sheet is from 50 mm to 20 m');
});

test('one set of plates for both sides has one form; two have two', async () => {
  const page = await onPage(<ImposedFields />, card());
  await page.user.click(screen.getByRole('button', { name: 'The sheet' }));
  const forms = () => within(screen.getByRole('group', { name: 'Which form is shown' })).getAllByRole('button').length;
  expect(forms()).toBe(2);
  await handOf().choose('the back', 'work and turn: one set, turned left to right');
  expect(page.job().output.sheet?.work).toBe('turn');
  expect(screen.queryByRole('group', { name: 'Which form is shown' })).toBeNull();
});

test('the programme of the knife is a table; the cut that is pointed at is shown on the sheet', async () => {
  const page = await onPage(<ImposedFields />, card());
  await page.user.click(screen.getByRole('button', { name: 'The sheet' }));
  await page.user.click(screen.getByRole('button', { name: /^Cutting programme: \d+ cuts$/ }));
  const table = screen.getByRole('table', { name: 'Cutting programme' });
  const [, first] = within(table).getAllByRole('row');
  if (!first) throw new Error('no cut');
  await page.user.hover(first);
  expect(useSheetView.getState().cut).toBe(0);
  await page.user.unhover(first);
  expect(useSheetView.getState().cut).toBeUndefined();
  expect(screen.getByText(/A guillotine is for trained people/)).toBeTruthy();
});

test('a booklet has signatures, with the largest of them decided', async () => {
  const page = await onPage(<ImposedFields />, begin('booklet', { pages: '28' }));
  await handOf().choose('pages in a signature', 'up to 4');
  expect(page.job().output.sheet?.signature).toBe(4);
  expect(said()).toContain('4 pages on');
  await page.user.click(screen.getByRole('button', { name: 'The sheet' }));
  expect(screen.getByRole('combobox', { name: 'which sheet' }).textContent).toBe('signature 1');
});

test('what lies on no sheet says why', async () => {
  await onPage(<ImposedFields />, begin('banner', { size: '5 x 3 ft', scale: '1:10' }));
  expect(screen.getByText(/printed by itself/)).toBeTruthy();
  expect(screen.getByRole('button', { name: 'The sheet' }).hasAttribute('disabled')).toBe(true);
});
