import fc from 'fast-check';
import { movedRecord } from './records';

const list = ['a', 'b', 'c', 'd'].map((id) => ({ id }));
const ids = (records: readonly { readonly id: string }[]) => records.map(({ id }) => id).join('');

test('a record stands where the other one stood, which gives way to the side it comes from', () => {
  expect(ids(movedRecord(list, 'a', 'c'))).toBe('bcad');
  expect(ids(movedRecord(list, 'd', 'b'))).toBe('adbc');
  expect(ids(movedRecord(list, 'b', 'b'))).toBe('abcd');
});

test('one that is not there moves nothing', () => {
  expect(ids(movedRecord(list, 'x', 'b'))).toBe('abcd');
  expect(ids(movedRecord(list, 'a', 'x'))).toBe('abcd');
});

test('nothing is lost, all others keep their order, and going back gives the list from before', () => {
  const anId = fc.constantFrom('a', 'b', 'c', 'd');
  fc.assert(
    fc.property(anId, anId, (id, to) => {
      const moved = movedRecord(list, id, to);
      expect(ids(moved.filter((r) => r.id !== id))).toBe(ids(list.filter((r) => r.id !== id)));
      expect(moved.findIndex((r) => r.id === id)).toBe(list.findIndex((r) => r.id === to));
      const back = list[moved.findIndex((r) => r.id === id)]?.id;
      const home = moved[list.findIndex((r) => r.id === id)]?.id ?? '';
      expect(back).toBe(to);
      expect(ids(movedRecord(moved, id, home))).toBe(ids(list));
    }),
  );
});
