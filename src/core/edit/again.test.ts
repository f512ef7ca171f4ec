import { box, line, makeJob, words } from '../../testing/jobs';
import { elementsOn, type Element, type Job } from '../job';
import { againFrom, withAgain } from './again';
import { pieceOf, withElements } from './on-side';

const JOB = makeJob([
  box('a', [10, 20, 60, 30]),
  box('b', [40, 100, 20, 30]),
  words('t', 'Look up', [10, 150, 60, 10]),
  line('l', [10, 180, 60, 0]),
]);

const changed = (id: string, change: (e: Element) => Element): Job =>
  withElements(JOB, 'front', (e) => (e.id === id ? change(e) : e));

const after = (step: Job, ids: readonly string[]) => {
  const again = againFrom(JOB, step, 'front');
  if (!again) throw new Error('nothing to repeat');
  const job = withAgain(step, 'front', ids, again);
  return (id: string) => elementsOn(pieceOf(job), 'front').find((e) => e.id === id);
};

test('a look is given to others; what has no such thing stays the same', () => {
  const fill = { kind: 'process', c: 80, m: 0, y: 10, k: 0 } as const;
  const step = changed('a', (e) => (e.kind === 'shape' ? { ...e, fill, opacity: 0.5 } : e));
  const of = after(step, ['b', 't']);
  expect(of('b')).toMatchObject({ fill, opacity: 0.5, placement: { x: { start: 40 } } });
  expect(of('t')).toBe(elementsOn(pieceOf(step), 'front').find((e) => e.id === 't'));
});

test('a way is gone again by as much, from where each of them is', () => {
  const step = changed('a', (e) => ({ ...e, placement: { ...e.placement, x: { start: 13, size: 60 } } }));
  const of = after(step, ['b', 'l']);
  expect(of('b')?.placement.x).toEqual({ start: 43, size: 20 });
  expect(of('l')?.placement.x).toMatchObject({ start: 13 });
});

test('what is held at both edges goes as far as it goes, and is not stretched', () => {
  const both = withElements(JOB, 'front', (e) =>
    e.id === 'b' ? { ...e, placement: { ...e.placement, x: { start: 40, end: 88 } } } : e,
  );
  const step = withElements(both, 'front', (e) =>
    e.id === 'a' ? { ...e, placement: { ...e.placement, x: { start: 13, size: 60 } } } : e,
  );
  const again = againFrom(both, step, 'front');
  if (!again) throw new Error('nothing to repeat');
  const of = (job: Job, id: string) => elementsOn(pieceOf(job), 'front').find((e) => e.id === id);
  expect(of(withAgain(step, 'front', ['b'], again), 'b')?.placement.x).toEqual({ start: 43, end: 85 });
  // And the other way about; one edge drawn alone is a stretch.
  const back = withAgain(both, 'front', ['b'], againFrom(step, both, 'front') ?? []);
  expect(of(back, 'b')?.placement.x).toEqual({ start: 37, end: 91 });
  const stretched = withElements(both, 'front', (e) =>
    e.id === 'b' ? { ...e, placement: { ...e.placement, x: { start: 50, end: 88 } } } : e,
  );
  const stretch = againFrom(both, stretched, 'front');
  expect(of(withAgain(stretched, 'front', ['a'], stretch ?? []), 'a')?.placement.x).toMatchObject({ start: 50 });
});

test('a size, a turn and what is taken away', () => {
  const turned = changed('a', (e) => ({
    ...e,
    placement: { ...e.placement, rotate: 15, x: { start: 10, size: 44 } },
  }));
  expect(after(turned, ['b'])('b')?.placement).toMatchObject({ rotate: 15, x: { start: 40, size: 44 } });
  const none = changed('a', (e) => (e.kind === 'shape' ? { ...e, fill: null } : e));
  expect(after(none, ['b'])('b')).toMatchObject({ fill: null });
});

test('words and names are nobody else’s; nothing changed is nothing to repeat', () => {
  const named = changed('t', (e) => ({ ...e, name: 'Line', ...(e.kind === 'text' && { paragraphs: [] }) }));
  expect(againFrom(JOB, named, 'front')).toBeUndefined();
  expect(againFrom(JOB, JOB, 'front')).toBeUndefined();
  expect(
    againFrom(
      JOB,
      changed('a', (e) => ({ ...e })),
      'front',
    ),
  ).toBeUndefined();
});
