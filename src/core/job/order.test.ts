import { begin, makeJob } from '../../testing/jobs';
import { House } from '../shop';
import { orderOf } from './order';

const edges = (mm: number) => ({ top: mm, right: mm, bottom: mm, left: mm });

test('a flyer of two sides, at a house that says its bleed', () => {
  const job = { ...begin('flyer', { size: 'A5', sides: '2' }), house: House.parse({ bleed: edges(3) }) };
  const a5 = { width: 148, height: 210 };
  expect(orderOf(job)).toEqual({ pages: 2, sizes: [a5, a5] });
});

test('where the house says nothing, the bleed is what was set up', () => {
  expect(orderOf(makeJob([], {}, { bleed: edges(2) }))).toMatchObject({ bleed: 2 });
});

test('a banner that is drawn at a tenth is ordered in life', () => {
  const banner = begin('banner', { size: '2000 x 1000 mm', scale: '1:10' });
  expect(orderOf(banner)?.sizes[0]).toEqual({ width: 2000, height: 1000 });
});

test('the cover of a catalogue has a size of its own', () => {
  const sizes = orderOf(begin('catalogue', { size: 'A4', pages: '32' }))?.sizes ?? [];
  expect(new Set(sizes.map(({ width }) => width)).size).toBe(2);
  expect(sizes).toContainEqual({ width: 210, height: 297 });
});

test('a sheet of labels bleeds within itself: its own edge has none', () => {
  const labels = { ...begin('labels', {}), house: House.parse({ bleed: edges(2) }) };
  expect(orderOf(labels)).toMatchObject({ bleed: 0 });
});
