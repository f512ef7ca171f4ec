/** The record of a job: the files that were made of it, beside the states they were made of. */
import { onPage } from '@/testing/page';
import { act, screen, within } from '@testing-library/react';
import { answering, exportMade } from '@/testing/answers';
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
