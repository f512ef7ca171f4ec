/** The record of a job: the files that were made of it, beside the states they were made of. */
import { onPage } from '@/testing/page';
import { act, screen, within } from '@testing-library/react';
import { answering, exportMade } from '@/testing/answers';
import { makeJob } from '@/testing/jobs';
import { record } from '.';

const Page = record.Page;
if (!Page) throw new Error('no page');

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
