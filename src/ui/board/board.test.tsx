/** The board: what is on it, what is asked of the server, and what is said when that does not go. */
import { shown, went } from '@/testing/page';
import 'fake-indexeddb/auto';
import { screen, waitFor, within } from '@testing-library/react';
import type { UserEvent } from '@testing-library/user-event';
import type { JobSummary } from '@/core/job';
import { answering } from '@/testing/answers';
import { handOf } from '@/testing/hand';
import { begin } from '@/testing/jobs';
import { Board } from './Board';

const job = (id: string, more: Partial<JobSummary> = {}): JobSummary => ({
  id,
  head: 3,
  name: `Flyer ${id}`,
  client: 'Quillrook Dark-Sky Society',
  stage: 'in work',
  due: null,
  kind: 'Flyer',
  size: 'A5',
  printer: 'Copperplate Yard',
  quantity: 2500,
  standing: null,
  behind: null,
  updatedAt: '2026-11-29T09:00:00.000Z',
  ...more,
});

/** Nothing is found in the newest states of jobs. */
const checksOf = (...ids: readonly string[]) =>
  Object.fromEntries(ids.map((id) => [`/api/jobs/${id}/checks?rev=3`, { findings: [] }]));

const NOTHING = { faults: 0, warnings: 0, first: null };

const soundOf = (...jobs: readonly JobSummary[]) => ({
  '/api/jobs': { jobs },
  '/api/printers': { records: [] },
  '/api/papers': { records: [] },
  ...checksOf(...jobs.map(({ id }) => id)),
});

const cards = () => screen.getAllByRole('article').map((card) => within(card).getAllByRole('link')[0]?.textContent);

test('jobs stand under their stage, the one that is due first on top', async () => {
  answering(
    soundOf(
      job('later', { due: '2027-02-01' }),
      job('soon', { due: '2026-12-01' }),
      job('done', { stage: 'sent' }),
      job('open'),
    ),
  );
  shown(<Board />);
  await screen.findAllByRole('article');
  expect(cards()).toEqual(['Flyer soon', 'Flyer later', 'Flyer open', 'Flyer done']);
});

test('found by name, client or size; what is not there is said with the word that was looked for', async () => {
  answering(soundOf(job('one'), job('two', { client: 'Hollin Ford' }), job('three', { size: 'A2' })));
  const { user } = shown(<Board />);
  await screen.findAllByRole('article');
  const find = screen.getByRole('textbox', { name: 'Find a job' });
  for (const [text, found] of [
    ['hollin', ['Flyer two']],
    ['a2', ['Flyer three']],
    ['FLYER ONE', ['Flyer one']],
  ] as const) {
    await user.clear(find);
    await user.click(find);
    await user.paste(text);
    expect(cards()).toEqual(found);
  }
  await user.clear(find);
  await user.paste('moon');
  expect(screen.queryByRole('article')).toBeNull();
  expect(screen.getByText('No job has “moon” in name, client, kind, size or printer.')).toBeTruthy();
});

test('how a job stands is not asked of the server where the board knows it', async () => {
  const standing = { faults: 1, warnings: 1, first: 'It ends at the trim.' };
  const asked = answering({ '/api/jobs': { jobs: [job('one', { standing }), job('two')] }, ...checksOf('two') });
  shown(<Board />);
  await screen.findByText('✕ 2 open: It ends at the trim.');
  await screen.findByText('✓ nothing open');
  expect(asked.filter(({ path }) => path.includes('checks')).map(({ path }) => path)).toEqual([
    '/api/jobs/two/checks?rev=3',
  ]);
});

describe('as a table', () => {
  const table = async (...jobs: readonly JobSummary[]) => {
    const asked = answering({ ...soundOf(...jobs), 'PATCH /api/jobs': { changed: [], refused: [] } });
    const { user } = shown(<Board />);
    await screen.findAllByRole('article');
    await user.click(screen.getByRole('button', { name: 'Table' }));
    const rows = await screen.findByRole('table', { name: 'Jobs' });
    await within(rows).findAllByRole('link');
    return { user, asked };
  };
  const names = () =>
    within(screen.getByRole('table', { name: 'Jobs' }))
      .getAllByRole('link')
      .map((link) => link.textContent);
  // A document without a screen has no sizes: the table is this high, and so is each row.
  const sized = [
    jest.spyOn(Element.prototype, 'clientHeight', 'get').mockReturnValue(600),
    jest.spyOn(HTMLElement.prototype, 'offsetHeight', 'get').mockReturnValue(40),
  ];
  afterEach(() => localStorage.clear());
  afterAll(() => sized.forEach((spy) => spy.mockRestore()));

  test('by due date first, those without one last; by any column, up and down', async () => {
    const { user } = await table(
      job('a', { due: '2027-02-01', quantity: 80 }),
      job('b', { due: '2026-12-01', quantity: null }),
      job('c', { quantity: 2500 }),
    );
    expect(names()).toEqual(['Flyer b', 'Flyer a', 'Flyer c']);
    await user.click(screen.getByRole('button', { name: /^Copies/ }));
    expect(names()).toEqual(['Flyer a', 'Flyer c', 'Flyer b']);
    await user.click(screen.getByRole('button', { name: /^Copies/ }));
    expect(names()).toEqual(['Flyer c', 'Flyer a', 'Flyer b']);
    expect(screen.getByRole('columnheader', { name: /^Copies/ }).getAttribute('aria-sort')).toBe('descending');
  });

  test('several are chosen and moved at once', async () => {
    const { user, asked } = await table(job('a'), job('b'), job('c'));
    await user.click(screen.getByRole('checkbox', { name: 'Choose all' }));
    await user.click(screen.getByRole('checkbox', { name: 'Choose Flyer b' }));
    await user.click(screen.getByRole('button', { name: 'Sent' }));
    await waitFor(() =>
      expect(asked.find((a) => a.method === 'PATCH')?.body).toEqual({
        ids: ['a', 'c'],
        facts: { stage: 'sent' },
        label: 'Moved to Sent',
      }),
    );
    expect(await screen.findByText('2 jobs are now under Sent.')).toBeTruthy();
  });

  test('of many only those that are seen are drawn', async () => {
    await table(...Array.from({ length: 500 }, (_, i) => job(String(i), { standing: NOTHING })));
    const rows = screen.getByRole('table', { name: 'Jobs' });
    expect(rows.getAttribute('aria-rowcount')).toBe('501');
    expect(within(rows).getAllByRole('link').length).toBeLessThan(100);
  });
});

test('an empty board offers to begin one', async () => {
  answering(soundOf());
  const { user } = shown(<Board />);
  const buttons = await screen.findAllByRole('button', { name: /New job|Begin/ });
  await user.click(buttons.at(-1) ?? document.body);
  expect(await screen.findByRole('dialog')).toBeTruthy();
});

test('a server that does not answer is said, and asked again by a press', async () => {
  answering({});
  const { user } = shown(<Board />);
  const said = await screen.findByRole('alert');
  expect(said.textContent).toContain('There is no such thing.');
  answering(soundOf(job('one')));
  await user.click(within(said).getByRole('button', { name: 'Try again' }));
  await screen.findByRole('article');
});

/** Chooses what is done with a job from the menu of its card. */
async function choose(user: UserEvent, card: HTMLElement, what: string) {
  await user.click(within(card).getByRole('button', { name: /^More for / }));
  await user.click(await screen.findByRole('menuitem', { name: what }));
}

describe('what is done with a job', () => {
  test('moved to another stage, and back from the message', async () => {
    const asked = answering({ ...soundOf(job('one')), 'PATCH /api/jobs': { changed: [], refused: [] } });
    const { user } = shown(<Board />);
    await choose(user, await screen.findByRole('article'), 'Move to Checked');
    await user.click(await screen.findByRole('button', { name: 'Put back' }));
    const sent = () => asked.filter((a) => a.method === 'PATCH').map((a) => a.body);
    await waitFor(() => expect(sent()).toHaveLength(2));
    expect(sent()).toEqual([
      { ids: ['one'], facts: { stage: 'checked' }, label: 'Moved to Checked' },
      { ids: ['one'], facts: { stage: 'in work' }, label: 'Moved to In work' },
    ]);
  });

  test('why a job could not be moved is said with its name', async () => {
    const refused = [{ id: 'one', message: 'There is no such job.' }];
    answering({ ...soundOf(job('one')), 'PATCH /api/jobs': { changed: [], refused } });
    const { user } = shown(<Board />);
    await choose(user, await screen.findByRole('article'), 'Move to Sent');
    expect(await screen.findByText('“Flyer one” stays: There is no such job.')).toBeTruthy();
  });

  test('taken off the board, it can be put back from the message', async () => {
    const asked = answering({
      ...soundOf(job('one')),
      'DELETE /api/jobs/one': {},
      'PUT /api/jobs/one': {},
    });
    const { user } = shown(<Board />);
    const card = await screen.findByRole('article');
    await choose(user, card, 'Take it off the board');
    const back = await screen.findByRole('button', { name: 'Put back' });
    expect(asked.filter((a) => a.method === 'DELETE').map((a) => a.path)).toEqual(['/api/jobs/one']);
    await user.click(back);
    expect(asked.filter((a) => a.method !== 'GET').map((a) => a.method)).toEqual(['DELETE', 'PUT']);
  });

  test('where it cannot be put back, that is said', async () => {
    answering({ ...soundOf(job('one')), 'DELETE /api/jobs/one': {} });
    const { user } = shown(<Board />);
    const card = await screen.findByRole('article');
    await choose(user, card, 'Take it off the board');
    await user.click(await screen.findByRole('button', { name: 'Put back' }));
    expect(await screen.findByText(/There is no such thing/)).toBeTruthy();
  });

  test('its next version is laid out like it, under the next name, with nothing due', async () => {
    const before = { ...begin('flyer'), id: 'one', name: 'Moon calendar 2026', due: '2026-12-01' };
    const asked = answering({
      ...soundOf(job('one', { name: before.name })),
      '/api/jobs/one': { head: 3, job: before, undo: [], redo: [] },
      'POST /api/jobs': { id: 'new', head: 1 },
    });
    const { user } = shown(<Board />);
    const card = await screen.findByRole('article');
    await choose(user, card, 'Begin its next version');
    await waitFor(() => expect(went).not.toEqual([]));
    const made = asked.find((a) => a.method === 'POST')?.body;
    expect(made).toMatchObject({
      document: { name: 'Moon calendar 2027', due: null, previous: { job: 'one', revision: 3 } },
      label: 'Next version of Moon calendar 2026',
    });
    expect(went).toEqual(['/jobs/new?at=lay-out']);
  });
});

describe('a new job', () => {
  test('is begun from a kind of piece with what is decided of it, and opened at Size', async () => {
    const asked = answering({ ...soundOf(), 'POST /api/jobs': { id: 'new', head: 1 } });
    const { user } = shown(<Board />);
    const hand = handOf();
    await user.click((await screen.findAllByRole('button', { name: 'New job' }))[0] ?? document.body);
    await user.click(await screen.findByRole('radio', { name: /^Postcard/ }));
    const [size] = screen.getAllByRole('textbox', { name: 'Finished size' });
    if (!size) throw new Error('no size');
    await user.clear(size);
    await user.paste('A6');
    await hand.press('Begin');
    expect(asked.find((a) => a.method === 'POST')?.body).toMatchObject({
      document: { pieces: [{ kind: 'postcard', decisions: { size: { width: 105, height: 148 } } }] },
      label: 'Begun',
    });
    expect(went).toEqual(['/jobs/new?at=size']);
  });

  test('a size that cannot be read is refused at its field, and nothing is begun', async () => {
    const asked = answering({ ...soundOf(), 'POST /api/jobs': { id: 'new', head: 1 } });
    const { user } = shown(<Board />);
    await user.click((await screen.findAllByRole('button', { name: 'New job' }))[0] ?? document.body);
    const [size] = await screen.findAllByRole('textbox', { name: 'Finished size' });
    if (!size) throw new Error('no size');
    await user.clear(size);
    await user.click(size);
    await user.paste('as large as a house');
    await handOf().press('Begin');
    expect(size.getAttribute('aria-invalid')).toBe('true');
    expect(asked.filter((a) => a.method === 'POST')).toEqual([]);
  });
});
