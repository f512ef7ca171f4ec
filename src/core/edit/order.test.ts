import fc from 'fast-check';
import { box } from '../../testing/jobs';
import { ORDERS, atPlaceOf, inOrder } from './order';

const element = (id: string, layer = 'art') => ({ ...box(id, [0, 0, 1, 1]), layer });
const listOf = (ids: string) => ids.split('').map((id) => element(id));
const idsOf = (list: readonly { readonly id: string }[]) => list.map(({ id }) => id).join('');

test.each([
  ['forward', 'b', 'acbd'],
  ['forward', 'bd', 'acbd'],
  ['forward', 'cd', 'abcd'],
  ['backward', 'c', 'acbd'],
  ['backward', 'ab', 'abcd'],
  ['front', 'ac', 'bdac'],
  ['back', 'bd', 'bdac'],
] as const)('%s, %s of abcd: %s', (to, chosen, expected) => {
  expect(idsOf(inOrder(listOf('abcd'), chosen.split(''), to))).toBe(expected);
});

test('whichever way, nothing is lost, and what is chosen keeps its own order', () => {
  const subset = fc.subarray('abcdefgh'.split(''));
  fc.assert(
    fc.property(subset, fc.constantFrom(...ORDERS), (chosen, to) => {
      const after = inOrder(listOf('abcdefgh'), chosen, to);
      expect(idsOf(after.toSorted((a, b) => a.id.localeCompare(b.id)))).toBe('abcdefgh');
      expect(idsOf(after.filter(({ id }) => chosen.includes(id)))).toBe(chosen.join(''));
    }),
  );
});

describe('at the place of another', () => {
  test.each([
    ['a', 'c', 'bcad'],
    ['d', 'b', 'adbc'],
    ['b', 'b', 'abcd'],
    ['a', 'x', 'abcd'],
  ])('%s to %s of abcd: %s', (id, other, expected) => {
    expect(idsOf(atPlaceOf(listOf('abcd'), id, other))).toBe(expected);
  });

  test('it goes onto the layer of that one; all others stay as they are', () => {
    const list = [element('a', 'ground'), element('b', 'art'), element('c', 'art')];
    const after = atPlaceOf(list, 'a', 'c');
    expect(after.map(({ id, layer }) => [id, layer])).toEqual([
      ['b', 'art'],
      ['c', 'art'],
      ['a', 'art'],
    ]);
    expect(after[0]).toBe(list[1]);
  });
});
