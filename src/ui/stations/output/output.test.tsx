/** Output: what a job can be made into, what is asked of the server for it, and what is said while it is made. */
import { onPage } from '@/testing/page';
import { screen, waitFor, within } from '@testing-library/react';
import type { Finding } from '@/core/check';
import { answering, exportMade } from '@/testing/answers';
import { handOf } from '@/testing/hand';
import { begin, makeJob } from '@/testing/jobs';
import { Files } from './Files';
import { InkFields } from './InkFields';
import { SheetFields } from './SheetFields';

const KINDS = [
  { kind: 'press', label: 'Press PDF', about: 'PDF/X-4', isMain: true },
  { kind: 'die', label: 'Die lines', about: 'PDF, SVG and DXF', needs: 'lines' },
  { kind: 'dummy', label: 'Folding dummy', about: 'PDF 1:1', needs: 'lines or folds' },
];

const LIST = '/api/jobs/test-job/exports';
const offered = () => KINDS.map(({ label }) => label).filter((name) => screen.queryByRole('button', { name }) !== null);

test('only what the piece has something for is offered', async () => {
  answering({ [LIST]: { kinds: KINDS, exports: [] } });
  await onPage(<Files />, makeJob());
  await screen.findByRole('button', { name: 'Press PDF' });
  expect(offered()).toEqual(['Press PDF']);
  await onPage(<Files />, begin('brochure'));
  await screen.findByRole('button', { name: 'Press PDF' });
  expect(offered()).toEqual(['Press PDF', 'Die lines', 'Folding dummy']);
});

test('a press asks for that kind, and what is made is said with its share and can be cancelled', async () => {
  const waiting = exportMade({ state: 'running', share: 0.4, step: 'Side 2 of 5', files: [] });
  const asked = answering({
    [LIST]: { kinds: KINDS, exports: [waiting] },
    [`POST ${LIST}`]: waiting,
    'DELETE /api/exports/e1': {},
  });
  const { user } = await onPage(<Files />, makeJob());
  await user.click(await screen.findByRole('button', { name: 'Press PDF' }));
  await waitFor(() => expect(asked.find((a) => a.method === 'POST')?.body).toEqual({ kind: 'press' }));
  expect(screen.getByRole('progressbar', { name: 'Side 2 of 5' }).getAttribute('aria-valuenow')).toBe('40');
  await user.click(screen.getByRole('button', { name: 'Cancel' }));
  expect(asked.some((a) => a.method === 'DELETE' && a.path === '/api/exports/e1')).toBe(true);
});

test('files that are made can be fetched; what failed says why', async () => {
  answering({
    [LIST]: {
      kinds: KINDS,
      exports: [exportMade(), exportMade({ id: 'e0', state: 'failed', problem: 'No room.', files: [] })],
    },
  });
  await onPage(<Files />, makeJob());
  const link = await screen.findByRole('link', { name: /flyer-press.pdf/ });
  expect(link.getAttribute('href')).toBe('/api/exports/e1/files/flyer-press.pdf');
  expect(link.textContent).toContain('20 kB');
  expect(screen.getByText('No room.')).toBeTruthy();
});

test('a kind that the server refuses is said', async () => {
  answering({ [LIST]: { kinds: KINDS, exports: [] } });
  const { user } = await onPage(<Files />, makeJob());
  await user.click(await screen.findByRole('button', { name: 'Press PDF' }));
  expect(await screen.findByText(/There is no such thing/)).toBeTruthy();
});

test('open faults are named before files are made', async () => {
  answering({ [LIST]: { kinds: KINDS, exports: [] } });
  const fault: Finding = {
    rule: 'bleed',
    severity: 'fault',
    piece: 'flyer',
    surface: 'front',
    element: null,
    where: { x: 0, y: 0, width: 1, height: 1 },
    message: 'It does not reach the bleed.',
    why: 'A white edge.',
    fixes: [],
  };
  await onPage(<Files />, makeJob(), { findings: [fault, { ...fault, severity: 'note' }] });
  expect(screen.getByText(/1 fault is still open/)).toBeTruthy();
});

describe('what the sheet carries', () => {
  test('marks are taken off and put on, and the sheet is as large as they need', async () => {
    const page = await onPage(<SheetFields />, makeJob());
    const hand = handOf();
    const size = () => within(screen.getByRole('group', { name: 'Marks' })).getByText(/×/).textContent;
    const before = size();
    for (const mark of ['corners', 'centres', 'register', 'colour bar', 'slug line', 'fold ticks'])
      await hand.tick(mark);
    expect(Object.values(page.job().output.marks).some(Boolean)).toBe(false);
    expect(size()).not.toBe(before);
    // Without marks, the sheet is the piece with its bleed.
    expect(size()).toBe('154 × 216 mm');
  });

  test('the preview has a longest side within bounds', async () => {
    const page = await onPage(<InkFields />, makeJob());
    const hand = handOf();
    await hand.write('longest side', '50');
    expect(hand.refusal('longest side')).toContain('A whole number from 100 to 10000 is wanted.');
    await hand.write('longest side', '2400 px');
    expect(page.job().output.previewPixels).toBe(2400);
  });
});
