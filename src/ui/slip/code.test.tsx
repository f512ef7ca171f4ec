/** A code on the slip: its kind, what it says, and what is said of its size. */
import { onPage } from '@/testing/page';
import { screen } from '@testing-library/react';
import { elementsOn, type ElementOf } from '@/core/job';
import { pieceOf } from '@/core/edit';
import { handOf } from '@/testing/hand';
import { element, makeJob } from '@/testing/jobs';
import { CodeFields } from './CodeFields';

const CODE = element<'code'>({
  kind: 'code',
  id: 'c',
  name: 'c',
  symbology: 'qr',
  content: 'https://example.org',
  placement: { against: { box: 'trim' }, x: { start: 20, size: 40 }, y: { start: 20, size: 25 } },
});

async function shown() {
  const page = await onPage(<CodeFields element={CODE} />, makeJob([CODE]));
  const now = () => elementsOn(pieceOf(page.job()), 'front')[0] as ElementOf<'code'>;
  return { ...page, now };
}

test('what it says is taken on Enter; Escape gives the old one back', async () => {
  const { user, now } = await shown();
  const says = screen.getByRole('textbox', { name: 'says' });
  await user.clear(says);
  await user.type(says, 'Quillrook{Escape}');
  expect(says).toHaveProperty('value', 'https://example.org');
  await user.clear(says);
  await user.type(says, 'Quillrook 7{Enter}');
  expect(now().content).toBe('Quillrook 7');
});

test('another kind says at once why it cannot be, and keeps what was typed', async () => {
  const { now } = await shown();
  await handOf().choose('kind of code', 'EAN-13');
  expect(now().symbology).toBe('ean-13');
  expect(now().content).toBe('https://example.org');
});

test('bars are drawn narrower within bounds, and error correction is chosen', async () => {
  const { now } = await shown();
  const hand = handOf();
  await hand.write('bars narrower by', '2');
  expect(hand.refusal('bars narrower by')).toContain('A number from 0 to 1 is wanted.');
  await hand.write('bars narrower by', '0.05 mm');
  expect(now().reduction).toBe(0.05);
  await hand.choose('error correction', 'H: 30 % may be lost');
  expect(now().level).toBe('H');
});
