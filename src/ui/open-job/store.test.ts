import fc from 'fast-check';
import { box, makeJob } from '../../testing/jobs';
import { acknowledged, sent } from '@/core/save';
import { defineStation } from './station';
import { createJobStore, type JobStore } from './store';
import { added, pieceOf, withElements } from '@/core/edit';

const store = (): JobStore =>
  createJobStore({ head: 1, job: makeJob([box('a', [10, 10, 20, 20])]), undo: [], redo: [] }, [
    defineStation({ id: 'lay-out', title: 'Lay out', opens: true }),
  ]);
const rename = (s: JobStore, name: string, merge?: string) =>
  s.getState().change('Name', (now) => ({ ...now, name }), merge);
const name = (s: JobStore) => s.getState().job.name;

test('any sequence of edits, undone, gives the very same job; redone, the last one', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(fc.string({ minLength: 1 }), { minLength: 1, maxLength: 12 }), async (names) => {
      const s = store();
      const first = s.getState().job;
      for (const n of names) rename(s, n);
      const last = s.getState().job;
      while (s.getState().undoStack.length > 0) await s.getState().undo();
      expect(s.getState().job).toBe(first);
      while (s.getState().redoStack.length > 0) await s.getState().redo();
      expect(s.getState().job).toBe(last);
    }),
  );
});

test('an edit that changes nothing is no step', () => {
  const s = store();
  rename(s, name(s));
  expect(s.getState()).toMatchObject({ undoStack: [], saving: { pending: [] } });
});

test('typing is one step for undo, and one state to save while it has not been sent', async () => {
  const s = store();
  for (const n of ['m', 'mo', 'moon']) rename(s, n, 'type');
  expect(s.getState().undoStack).toHaveLength(1);
  expect(s.getState().saving.pending.map((p) => [p.kind, p.document.name])).toEqual([['edit', 'moon']]);
  await s.getState().undo();
  expect(name(s)).toBe('Test job');
});

test('typing on while the first letters are on their way amends them, and loses none', () => {
  const s = store();
  rename(s, 'm', 'type');
  s.getState().keep((saving) => sent(saving, 0).saving);
  rename(s, 'mo', 'type');
  rename(s, 'moon', 'type');
  expect(s.getState().saving.pending.map((p) => [p.kind, p.document.name])).toEqual([
    ['edit', 'm'],
    ['amend', 'moon'],
  ]);
  s.getState().keep((saving) => acknowledged(saving, 1, { head: 2, hash: '' }, 0));
  expect(s.getState().saving.pending.map((p) => p.document.name)).toEqual(['moon']);
  expect(s.getState()).toMatchObject({ saving: { head: 2 }, undoStack: [{ label: 'Name' }] });
});

test('an edit after an undo forgets what could be redone, and a drag under way leaves no step', async () => {
  const s = store();
  rename(s, 'one');
  await s.getState().undo();
  s.getState().preview((job) => ({ ...job, name: 'dragged' }));
  expect(name(s)).toBe('Test job');
  expect(s.getState().redoStack).toHaveLength(1);
  rename(s, 'two');
  expect(s.getState()).toMatchObject({ redoStack: [], live: undefined });
});

test('undo takes a lost element out of the selection', async () => {
  const s = store();
  s.getState().change('Add', (job) => added(job, 'front', [box('b', [0, 0, 5, 5])]).job);
  s.getState().select(['a', 'b']);
  await s.getState().undo();
  expect(s.getState().selection).toEqual(['a']);
});

test('elements that a change leaves alone stay the same objects', () => {
  const job = makeJob([box('a', [0, 0, 5, 5]), box('b', [0, 0, 5, 5])]);
  const changed = withElements(job, 'front', (e) => (e.id === 'a' ? { ...e, opacity: 0.5 } : e));
  expect(pieceOf(changed).surfaces['front']?.[1]).toBe(pieceOf(job).surfaces['front']?.[1]);
  expect(withElements(job, 'front', (e) => e)).toBe(job);
});

test('after a conflict the choice goes on from the newest revision', () => {
  const s = store();
  rename(s, 'mine');
  const theirs = { ...makeJob(), name: 'theirs' };
  s.getState().settle(theirs, 5, undefined);
  expect(s.getState()).toMatchObject({ saving: { head: 5, pending: [], phase: { is: 'saved' } } });
  s.getState().settle(theirs, 5, { ...theirs, name: 'mine' });
  expect(s.getState().saving.pending).toHaveLength(1);
});
