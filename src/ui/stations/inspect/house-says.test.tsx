/** The print house under Inspect: what it answers, the fixes of our own rules beside it, and the reply as a page. */
import { onPage } from '@/testing/page';
import { screen, within } from '@testing-library/react';
import type { Finding } from '@/core/check';
import { answering } from '@/testing/answers';
import { handOf } from '@/testing/hand';
import { makeJob, words } from '@/testing/jobs';
import { HouseSays } from './HouseSays';

const TEXT = words('tiny', 'Small print', [20, 20, 80, 10], { sizePt: 4 });

const FINDING: Finding = {
  rule: 'type-small',
  severity: 'warning',
  piece: 'flyer',
  surface: 'front',
  element: 'tiny',
  where: { x: 20, y: 20, width: 80, height: 10 },
  message: 'Too small.',
  why: 'It cannot be read.',
  fixes: [{ label: 'Set it in 8 pt', change: { kind: 'element', element: { ...TEXT, name: 'mended' } } }],
};

const remark = (more: object = {}) => ({
  rule: 'type-small',
  title: 'Type too small',
  weight: 'warning',
  pages: [1],
  where: { x: 22, y: 21, width: 20, height: 3 },
  found: 'Type of 4 pt in 1 ink.',
  count: 1,
  wish: '5 pt or more.',
  ...more,
});

const reply = (remarks: readonly object[], answer = 'taken with remarks') => ({
  reply: { answer, pages: 1, size: { width: 148, height: 210 }, remarks, near: [] },
  pictures: remarks.map(() => ''),
});

const ASK = 'POST /api/jobs/test-job/house?rev=1';

async function asking(table: Readonly<Record<string, unknown>>) {
  const asked = answering(table);
  const page = await onPage(<HouseSays />, makeJob([TEXT]), { findings: [FINDING] });
  const hand = handOf();
  await hand.press('Ask the house');
  return { ...page, ...hand, asked };
}

test('a remark leads to its element, and to the fix of our own rule', async () => {
  const page = await asking({ [ASK]: reply([remark()]) });
  const list = await screen.findByRole('list', { name: 'Remarks of the print house' });
  expect(list.textContent).toContain('Type of 4 pt in 1 ink.');
  await page.user.click(within(list).getByRole('button', { name: 'Show' }));
  expect(page.store.getState().selection).toEqual(['tiny']);
  await page.user.click(within(list).getByRole('button', { name: 'Set it in 8 pt' }));
  expect(page.job().pieces[0]?.surfaces['front']?.[0]?.name).toBe('mended');
  // The answer is about what was sent.
  expect(screen.getByRole('status').textContent).toContain('the job has changed since');
});

test('a remark about the whole file has nothing to be shown', async () => {
  await asking({ [ASK]: reply([remark({ rule: 'intent', pages: [], where: undefined })]) });
  const list = await screen.findByRole('list', { name: 'Remarks of the print house' });
  expect(within(list).queryByRole('button')).toBeNull();
});

test('a file that is taken says so, and is asked about again', async () => {
  const page = await asking({ [ASK]: reply([], 'taken') });
  expect((await screen.findByRole('status')).textContent).toContain('taken');
  await page.press('Ask again');
  expect(page.asked.filter(({ path }) => path.includes('/house'))).toHaveLength(2);
});

test('what cannot be made is said in words', async () => {
  await asking({});
  expect((await screen.findByRole('alert')).textContent).toContain('There is no such thing.');
});
