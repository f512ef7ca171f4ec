/** The record of a job: the files that were made of it, beside the states they were made of. */
import { onPage } from '@/testing/page';
import { act, fireEvent, screen, within } from '@testing-library/react';
import { answering, exportMade } from '@/testing/answers';
import { handOf } from '@/testing/hand';
import { makeJob } from '@/testing/jobs';
import { RecordPage as Page } from './RecordPage';

const KINDS = [{ kind: 'press', label: 'Press PDF', about: 'PDF/X-4' }];

test('each export with its files, and whether the job was changed since', async () => {
  answering({
    '/api/jobs/test-job/exports': { kinds: KINDS, exports: [exportMade(), exportMade({ id: 'e0', revision: 0 })] },
  });
  await onPage(<Page />, makeJob());
  const table = await screen.findByRole('table', { name: 'Files made' });
  const [, now, before] = within(table).getAllByRole('row');
  expect(now?.textContent).toContain('Press PDF');
  expect(now?.textContent).not.toContain('changed since');
  expect(before?.textContent).toContain('changed since');
  expect(within(table).getAllByRole('link')[0]?.getAttribute('href')).toBe('/api/exports/e1/files/flyer-press.pdf');
});

test('what failed says why, and nothing made says where files are made', async () => {
  answering({
    '/api/jobs/test-job/exports': {
      kinds: KINDS,
      exports: [exportMade({ state: 'failed', problem: 'No room.', files: [] })],
    },
  });
  await onPage(<Page />, makeJob());
  expect(await screen.findByText('No room.')).toBeTruthy();
});

test('a job of which nothing was made yet says so, and names what was changed, the last first', async () => {
  answering({ '/api/jobs/test-job/exports': { kinds: KINDS, exports: [] } });
  const { store } = await onPage(<Page />, makeJob());
  expect(await screen.findByText(/No file was made/)).toBeTruthy();
  act(() => {
    store.getState().change('Client', (job) => ({ ...job, client: 'Quillrook' }));
    store.getState().change('Copies', (job) => ({ ...job, quantity: 500 }));
  });
  const list = screen.getByRole('list', { name: 'Changes, the last first' });
  expect(
    within(list)
      .getAllByRole('listitem')
      .map((li) => li.textContent),
  ).toEqual(['Copies', 'Client']);
});

test('a server that does not answer is said', async () => {
  answering({});
  await onPage(<Page />, makeJob());
  expect((await screen.findByRole('alert')).textContent).not.toBe('');
});

test('what happened is written down, stands with what is known without, and is taken out', async () => {
  answering({ '/api/jobs/test-job/exports': { kinds: KINDS, exports: [exportMade()] } });
  const page = await onPage(<Page />, makeJob());
  const { choose, press } = handOf();
  const list = () =>
    within(screen.getByRole('list', { name: 'Log, the last first' }))
      .queryAllByRole('listitem')
      .map((li) => li.textContent);
  await screen.findByText(/Press PDF, of state/);
  await choose('what it is', 'complaint');
  fireEvent.change(screen.getByRole('textbox', { name: 'In words' }), { target: { value: 'Cut into the date.' } });
  await press('Write down');
  expect(page.store.getState().job.log).toMatchObject([{ kind: 'complaint', text: 'Cut into the date.' }]);
  expect(list()).toHaveLength(2);
  expect(list()[0]).toContain('complaintCut into the date.');
  await press('Take out: Cut into the date.');
  expect(page.store.getState().job.log).toBeUndefined();
});

describe('the schedule', () => {
  /** A working day so many calendar days from today. */
  const inDays = (days: number): string => {
    const day = new Date(Date.now() + days * 86_400_000);
    while (day.getDay() === 0 || day.getDay() === 6) day.setDate(day.getDate() + 1);
    return [day.getFullYear(), day.getMonth() + 1, day.getDate()].map((n) => String(n).padStart(2, '0')).join('-');
  };

  test('counts back from the due date, says how it stands, and takes what is done', async () => {
    answering({ '/api/jobs/test-job/exports': { kinds: KINDS, exports: [] } });
    const before = makeJob([], { due: inDays(60) });
    const page = await onPage(<Page />, before);
    const { press } = handOf();
    expect(document.querySelector('[data-plan]')?.getAttribute('data-plan')).toBe('good');
    expect([...document.querySelectorAll('[data-step]')].map((row) => row.getAttribute('data-step'))).toEqual([
      ...['proof', 'approval', 'files', 'plates', 'print', 'dry', 'deliver'],
    ]);
    await press('Proof is done today');
    expect(document.querySelector('[data-step=proof]')?.getAttribute('data-state')).toBe('done');
    expect(page.store.getState().job.schedule?.steps.proof?.done).toBeDefined();
    await press('As it follows from the due date');
    expect(page.store.getState().job.schedule).toBeUndefined();
  });

  test('days of a step are written; what cannot be in time is late, in words', async () => {
    answering({ '/api/jobs/test-job/exports': { kinds: KINDS, exports: [] } });
    const page = await onPage(<Page />, makeJob([], { due: inDays(14) }));
    const days = document.querySelector<HTMLInputElement>('input[name="Print, working days"]');
    if (!days) throw new Error('no field');
    act(() => days.focus());
    fireEvent.change(days, { target: { value: '30' } });
    fireEvent.keyDown(days, { key: 'Enter' });
    expect(page.store.getState().job.schedule?.steps.print).toEqual({ days: 30 });
    const status = document.querySelector('[data-plan]');
    expect(status?.getAttribute('data-plan')).toBe('late');
    expect(status?.textContent).toMatch(/Comes .*, \d+ working days late/);
  });

  test('without a due date it says where one is set', async () => {
    answering({ '/api/jobs/test-job/exports': { kinds: KINDS, exports: [] } });
    await onPage(<Page />, makeJob());
    expect(screen.getByText('Set a due date under Brief.')).toBeTruthy();
  });
});

describe('proofs', () => {
  const at = '2026-05-01T09:00:00.000Z';
  const proof = (more: object = {}) => ({
    id: 'p1',
    revision: 4,
    at,
    to: 'Ada',
    state: 'sent' as const,
    by: '',
    on: null,
    remarks: [],
    ...more,
  });
  const EXPORTS = '/api/jobs/test-job/exports';

  test('the last one first, each with its file and what is open in it', async () => {
    answering({
      [EXPORTS]: { kinds: KINDS, exports: [exportMade({ kind: 'proof', revision: 4 })] },
    });
    const remarks = [
      { id: 'r1', side: 'front', x: 1, y: 2, text: 'Larger', done: true as const },
      { id: 'r2', side: 'front', x: 1, y: 2, text: 'Bluer' },
    ];
    await onPage(<Page />, makeJob([], { proofs: [proof({ id: 'p0', revision: 2 }), proof({ remarks })] }));
    const list = screen.getByRole('list', { name: 'Proofs' });
    const [last, first] = within(list).getAllByRole('listitem');
    expect(last?.textContent).toContain('Version 4');
    expect(last?.textContent).toContain('2 remarks, 1 open');
    expect(first?.textContent).toContain('Version 2');
    expect((await within(list).findAllByRole('link')).map((link) => link.getAttribute('href'))).toEqual([
      '/api/exports/e1/files/flyer-press.pdf',
    ]);
  });

  test('one is made for somebody, of the state that is on the server', async () => {
    const asked = answering({
      [EXPORTS]: { kinds: KINDS, exports: [] },
      [`POST ${EXPORTS}`]: exportMade({ kind: 'proof' }),
    });
    const { user, job } = await onPage(<Page />, makeJob([], { client: 'Quillrook' }));
    await user.click(screen.getByRole('button', { name: 'Make a proof' }));
    expect(await screen.findByText('for Quillrook')).toBeTruthy();
    expect(asked.find(({ method }) => method === 'POST')?.body).toEqual({ kind: 'proof' });
    expect(job().proofs).toMatchObject([{ revision: 1, to: 'Quillrook', state: 'sent' }]);
  });

  test('an answer is noted with its day, and can be taken out', async () => {
    answering({ [EXPORTS]: { kinds: KINDS, exports: [] } });
    const { user, job } = await onPage(<Page />, makeJob([], { proofs: [proof()] }));
    await user.click(screen.getByRole('combobox', { name: 'answer' }));
    await user.click(screen.getByRole('option', { name: 'approved' }));
    const by = screen.getByRole('textbox', { name: 'by' });
    await user.type(by, 'Ada Fellwright{Enter}');
    expect(job().proofs).toMatchObject([{ state: 'approved', by: 'Ada Fellwright', on: expect.any(String) as string }]);
    await user.click(screen.getByRole('button', { name: 'Take out' }));
    expect(job().proofs).toEqual([]);
  });
});
