/** Inspect: findings by themselves or together, each with its place and its fixes. */
import { onPage } from '@/testing/page';
import { screen, within } from '@testing-library/react';
import type { Finding } from '@/core/check';
import { elementsOn, type Element } from '@/core/job';
import { handOf } from '@/testing/hand';
import { makeJob, words } from '@/testing/jobs';
import { Findings } from './Findings';

const TEXTS = ['a', 'b', 'c', 'd'].map((id, i) => words(id, id, [0, i * 10, 40, 8], { sizePt: 4 }));

const finding = (element: Element, rule = 'type-small'): Finding => ({
  rule,
  severity: 'warning',
  piece: 'flyer',
  surface: 'front',
  element: element.id,
  where: { x: 0, y: 0, width: 1, height: 1 },
  message: 'Too small.',
  why: 'It cannot be read.',
  fixes: [{ label: 'Set it in 8 pt', change: { kind: 'element', element: { ...element, name: 'mended' } } }],
});

async function inspecting(findings: readonly Finding[]) {
  const page = await onPage(<Findings />, makeJob(TEXTS), { findings });
  return { ...page, ...handOf() };
}

const all = () => within(screen.getByRole('region', { name: 'Checks' })).queryAllByRole('button', { name: 'Show' });
const namesIn = (page: Awaited<ReturnType<typeof inspecting>>) => {
  const [piece] = page.job().pieces;
  return piece && elementsOn(piece, 'front').map((e) => e.name);
};

test('one or two alike stand by themselves, and a fix mends one', async () => {
  const page = await inspecting(TEXTS.slice(0, 2).map((text) => finding(text)));
  expect(all()).toHaveLength(2);
  const [first] = screen.getAllByRole('button', { name: 'Set it in 8 pt' });
  await page.user.click(first ?? document.body);
  expect(namesIn(page)).toEqual(['mended', 'b', 'c', 'd']);
});

test('many alike stand in one line, open on wish, and are mended at once in one step', async () => {
  const page = await inspecting(TEXTS.map((text) => finding(text)));
  expect(all()).toHaveLength(0);
  await page.press('Show all 4');
  expect(all()).toHaveLength(4);
  await page.press('Close');
  expect(all()).toHaveLength(0);
  await page.press('Set it in 8 pt: all 4');
  expect(namesIn(page)).toEqual(['mended', 'mended', 'mended', 'mended']);
  expect(page.store.getState().undoStack).toHaveLength(1);
});

test('what is shown is selected where it is', async () => {
  const page = await inspecting(TEXTS.slice(0, 1).map((text) => finding(text)));
  await page.press('Show');
  expect(page.store.getState().selection).toEqual(['a']);
});
