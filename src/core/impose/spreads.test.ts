/** Printer’s spreads: the sheets of a small booklet as everybody lays them by hand, and folded back for any number. */
import fc from 'fast-check';
import { printersSpreads, type SpreadSheet } from './spreads';

// Common practice: 8 pages on two sheets.
test('eight pages lie on two sheets: 8 and 1, 2 and 7; 6 and 3, 4 and 5', () => {
  expect(printersSpreads(8)).toEqual([
    { front: [8, 1], back: [2, 7] },
    { front: [6, 3], back: [4, 5] },
  ]);
});

test('what is wanting to a multiple of four is blank, at the end', () => {
  expect(printersSpreads(6)[0]).toEqual({ front: [undefined, 1], back: [2, undefined] });
});

/** Laid on each other with the outermost below, folded and turned page by page. */
const read = (sheets: readonly SpreadSheet[]): readonly (number | undefined)[] => [
  ...sheets.flatMap(({ front, back }) => [front[1], back[0]]),
  ...[...sheets].reverse().flatMap(({ front, back }) => [back[1], front[0]]),
];

test('folded, every booklet reads from the first page to the last', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 400 }), (pages) => {
      const found = read(printersSpreads(pages)).filter((page) => page !== undefined);
      expect(found).toEqual(Array.from({ length: pages }, (_, i) => i + 1));
    }),
  );
});
