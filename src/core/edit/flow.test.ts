import { elementsOf, plainText, type Job } from '../job';
import { makeJob, words } from '../../testing/jobs';
import { withFlow, withoutElements } from '.';

const start = makeJob([
  words('a', 'one two', [0, 0, 30, 20]),
  words('b', 'three', [0, 30, 30, 20]),
  words('c', '', [0, 60, 30, 20]),
]);
const textOf = (job: Job, id: string) => {
  const found = job.pieces.flatMap(elementsOf).find(({ element }) => element.id === id)?.element;
  if (found?.kind !== 'text') throw new Error(`no ${id}`);
  return { words: plainText(found.paragraphs), after: found.after };
};
const linked = (job: Job, id: string, from: string | null) => withFlow(job, 'flyer', id, from) ?? job;

test('a frame takes up what another has no room for, and its own words go to the end of that text', () => {
  const job = linked(start, 'b', 'a');
  expect(textOf(job, 'a').words).toBe('one two\nthree');
  expect(textOf(job, 'b')).toEqual({ words: '', after: 'a' });
});

test('text never flows in a circle, and never from one frame into two', () => {
  const job = linked(linked(start, 'b', 'a'), 'c', 'b');
  expect(withFlow(job, 'flyer', 'a', 'c')).toBeUndefined();
  expect(withFlow(job, 'flyer', 'b', 'b')).toBeUndefined();
  // A third frame that takes up the first’s text comes between.
  const between = linked(linked(start, 'b', 'a'), 'c', 'a');
  expect([textOf(between, 'c').after, textOf(between, 'b').after]).toEqual(['a', 'c']);
});

test('a frame taken out of the middle closes the flow; the first one hands its words on', () => {
  const job = linked(linked(start, 'b', 'a'), 'c', 'b');
  const [piece] = job.pieces;
  if (!piece) throw new Error('no piece');
  const without = (ids: readonly string[]): Job => ({ ...job, pieces: [withoutElements(piece, ids)] });
  expect(textOf(without(['b']), 'c').after).toBe('a');
  expect(textOf(without(['a']), 'b')).toEqual({ words: 'one two\nthree', after: null });
  expect(textOf(without(['a', 'b']), 'c')).toEqual({ words: 'one two\nthree', after: null });
});
