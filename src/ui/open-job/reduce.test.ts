/** What is done with an open job, as one function from state to state. */
import fc from 'fast-check';
import { savedAs } from '@/core/save';
import { pieceOf } from '@/core/edit';
import { elementsOn, type Job } from '@/core/job';
import { box, makeJob } from '../../testing/jobs';
import type { Action, Stamp } from './action';
import { reduce } from './reduce';
import { opened, type OpenJob, type PastJob } from './state';
import { defineStation } from './station';

const LAY_OUT = defineStation({ id: 'lay-out', title: 'Lay out', opens: true });
const INSPECT = defineStation({ id: 'inspect', title: 'Inspect', inspects: true });
const START = makeJob([box('a', [10, 10, 20, 20]), box('b', [40, 10, 20, 20])]);

const begun = (): OpenJob => opened({ head: 1, job: START, undo: [], redo: [] }, [LAY_OUT, INSPECT]);

const stamps = () => {
  let n = 0;
  return (): Stamp => ({ at: (n += 1) * 10_000, step: `s${n}` });
};

const named =
  (name: string) =>
  (job: Job): Job => ({ ...job, name });

/** Everything in a state that must not be touched: a reducer gives a new one. */
function frozen<T>(value: T): T {
  if (typeof value === 'object' && value !== null && !Object.isFrozen(value)) {
    Object.freeze(value);
    for (const inner of Object.values(value)) frozen(inner);
  }
  return value;
}

const anyAction = (stamp: () => Stamp): fc.Arbitrary<Action | 'undo' | 'redo'> =>
  fc.oneof(
    fc
      .string({ minLength: 1 })
      .map((name): Action => ({ do: 'change', label: 'Name', recipe: named(name), stamp: stamp() })),
    fc.constant<'undo'>('undo'),
    fc.constant<'redo'>('redo'),
    fc.subarray(['a', 'b', 'gone']).map((ids): Action => ({ do: 'select', ids })),
    fc.constantFrom('a', undefined).map((typing): Action => ({ do: 'enter', within: { typing } })),
    fc.constantFrom('a', undefined).map((editing): Action => ({ do: 'enter', within: { editing } })),
    fc.string().map((name): Action => ({ do: 'preview', recipe: named(name) })),
    fc.constantFrom(LAY_OUT, INSPECT).map((station): Action => ({ do: 'go', station })),
    fc.constant<Action>({ do: 'go-where', ability: 'inspects' }),
    fc.boolean().map((folded): Action => ({ do: 'fold', folded })),
  );

const isHere = (past: unknown): past is PastJob => typeof past === 'object' && past !== null && 'job' in past;

function done(state: OpenJob, action: Action | 'undo' | 'redo', stamp: () => Stamp): OpenJob {
  if (typeof action === 'object') return reduce(state, action);
  const to = state[action === 'undo' ? 'undoStack' : 'redoStack'].at(-1);
  return isHere(to) ? reduce(state, { do: 'travel', way: action, to, stamp: stamp() }) : state;
}

test('whatever is done, no state is touched, and all of it undone gives the very job', () => {
  fc.assert(
    fc.property(
      fc.constant(null).chain(() => {
        const stamp = stamps();
        return fc.tuple(fc.constant(stamp), fc.array(anyAction(stamp), { maxLength: 30 }));
      }),
      ([stamp, actions]) => {
        let state = frozen(begun());
        for (const action of actions) state = frozen(done(state, action, stamp));
        // What is kept is what is shown.
        expect(state.saving.pending.at(-1)?.document ?? START).toBe(state.job);
        while (state.undoStack.length > 0) state = done(state, 'undo', stamp);
        expect(state.job).toBe(START);
      },
    ),
  );
});

describe('what is worked within ends', () => {
  const within = { typing: 'a', editing: 'a', framing: 'a' } as const;
  const working = () => reduce(reduce(begun(), { do: 'select', ids: ['a'] }), { do: 'enter', within });

  test('a path and a picture with the selection', () => {
    expect(reduce(working(), { do: 'select', ids: ['b'] })).toMatchObject({ editing: undefined, framing: undefined });
    expect(reduce(working(), { do: 'select', ids: ['a', 'b'] })).toMatchObject({ editing: 'a', framing: 'a' });
  });

  test.each<Action>([
    { do: 'show', side: 'back' },
    { do: 'go', station: INSPECT },
    { do: 'go-where', ability: 'inspects' },
  ])('everything with %j', (action) => {
    expect(reduce(working(), action)).toMatchObject({ typing: undefined, editing: undefined, framing: undefined });
  });

  test('typing with what is typed, when undo takes it away', () => {
    const stamp = stamps();
    const add = (job: Job) => ({
      ...job,
      pieces: job.pieces.map((p) => ({
        ...p,
        surfaces: { ...p.surfaces, front: [...elementsOn(p, 'front'), box('c', [0, 0, 9, 9])] },
      })),
    });
    let state = reduce(begun(), { do: 'change', label: 'Add', recipe: add, stamp: stamp() });
    state = reduce(state, { do: 'enter', within: { typing: 'c' } });
    expect(done(state, 'undo', stamp)).toMatchObject({ typing: undefined });
  });
});

test('where nothing can be done, nobody goes', () => {
  const state = begun();
  expect(reduce(state, { do: 'go-where', ability: 'folds' })).toBe(state);
});

test('a job that was left unsaved is opened as it was left, and undone to what the server has', () => {
  const stamp = stamps();
  const left = reduce(begun(), { do: 'change', label: 'Name', recipe: named('left'), stamp: stamp() }).saving;
  const again = opened({ head: 1, job: START, undo: [], redo: [] }, [LAY_OUT], undefined, { ...left, base: START });
  expect(again.job.name).toBe('left');
  expect(done(again, 'undo', stamp).job).toBe(START);
  expect(pieceOf(again.job).id).toBe(pieceOf(START).id);
  expect(savedAs(1, START).pending).toEqual([]);
});
