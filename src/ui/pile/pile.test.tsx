/** Copies on the sheet: which is shown, what its machines were off by, and how careful the house is. */
import { onPage } from '@/testing/page';
import { fireEvent, screen } from '@testing-library/react';
import { COPIES } from '@/core/drift';
import { handOf } from '@/testing/hand';
import { makeJob } from '@/testing/jobs';
import { usePileView } from '../view/pile-view';
import { CopiesFields } from './CopiesFields';

afterEach(() => usePileView.getState().reset());

async function copies() {
  const page = await onPage(<CopiesFields />, makeJob([]));
  return { ...page, ...handOf(), view: () => usePileView.getState() };
}

const off = () => document.querySelector('[data-off]')?.textContent ?? '';

test('usual, worst and any copy, each with what its machines were off by', async () => {
  const page = await copies();
  expect(off()).toBe('');
  await page.press('Worst');
  expect(page.view().mode).toBe('one');
  const worst = page.view().copy;
  expect(off()).toMatch(/\d mm too (much|little)/);
  await page.press('Usual');
  expect(page.view().copy).not.toBe(worst);
  await page.write('copy', '12');
  expect(page.view().copy).toBe(11);
  await page.write('copy', String(COPIES + 1));
  expect(page.view().copy).toBe(11);
  expect(screen.getByText('A whole number from 1 to 1000 is wanted.')).toBeTruthy();
});

test('a careless house cuts twice as far off; the figure says so', async () => {
  const page = await copies();
  await page.press('One copy');
  const before = off();
  fireEvent.change(screen.getByRole('slider'), { target: { value: 2 } });
  expect(page.view().care).toBe(2);
  expect(screen.getByText(/Guillotine ± 2 mm/)).toBeTruthy();
  expect(off()).not.toBe(before);
  await page.press('The pile');
  expect([page.view().mode, off()]).toEqual(['fan', '']);
  await page.press('As meant');
  expect(page.view().mode).toBe('none');
});
