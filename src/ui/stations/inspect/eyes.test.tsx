/** Eyes: from where, whose, and which words are faint to them. */
import { onPage } from '@/testing/page';
import { screen, within } from '@testing-library/react';
import { handOf } from '@/testing/hand';
import { box, makeJob, words } from '@/testing/jobs';
import { process } from '@/testing/plates';
import { useEyesView } from '../../view/eyes-view';
import { EyesFields } from './EyesFields';

const FAINT = words(
  'faint',
  'Open night',
  [20, 20, 80, 10],
  { sizePt: 10, paint: process(0, 0, 0, 25) },
  { name: 'Faint' },
);
const STRONG = words('strong', 'Open night', [20, 60, 80, 10], { sizePt: 10, paint: process(0, 0, 0, 100) });

beforeEach(() => useEyesView.setState({ distance: 0, vision: 'usual' }));

test('words that are faint are named with what is wanted, and shown', async () => {
  const page = await onPage(<EyesFields />, makeJob([FAINT, STRONG]));
  const list = screen.getByRole('list', { name: 'Faint words' });
  expect(list.textContent).toMatch(/Faint.*: 1, 4\.5 wanted/);
  expect(within(list).getAllByRole('listitem')).toHaveLength(1);
  await handOf().press('Show');
  expect(page.store.getState().selection).toEqual(['faint']);
});

test('where nothing is faint the faintest is told', async () => {
  await onPage(<EyesFields />, makeJob([STRONG]));
  expect(screen.getByText(/All words on flat colours stand out/)).toBeTruthy();
});

test('a piece without words on flat colours says nothing of contrast', async () => {
  await onPage(<EyesFields />, makeJob([box('b', [0, 0, 10, 10])]));
  expect(screen.queryByText(/stand out/)).toBeNull();
});

test('from a distance it is said what runs together and what can be read', async () => {
  const { user } = await onPage(<EyesFields />, makeJob([STRONG]));
  await user.click(screen.getByRole('combobox', { name: 'seen from' }));
  await user.click(screen.getByRole('option', { name: '5 m' }));
  expect(useEyesView.getState().distance).toBe(5000);
  // 5000 × tan(1/60°) = 1.45 mm; five times that ÷ 0.7 are 29.4 pt.
  expect(screen.getByRole('status').textContent).toMatch(/From 5 m .* 1\.45 mm .* 29\.4 pt/);
});

test('other eyes are chosen', async () => {
  const { user } = await onPage(<EyesFields />, makeJob([STRONG]));
  await user.click(screen.getByRole('combobox', { name: 'by eyes with' }));
  await user.click(screen.getByRole('option', { name: 'without green cones' }));
  expect(useEyesView.getState().vision).toBe('deutan');
});
