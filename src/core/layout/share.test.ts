import { shareOut } from './share';

test.each([
  // Worked by hand: 60 mm over three open rows.
  ['even', [5, 20, 5], [20, 20, 20]],
  ['even', [5, 40, 5], [10, 40, 10]],
  ['even', [5, 25, 22], [13, 25, 22]],
  ['content', [5, 20, 5], [15, 30, 15]],
] as const)('%s: %j fill 60 mm', (how, needs, expected) => {
  expect(shareOut(needs, [true, true, true], 60, how)).toEqual(expected);
});

test('fixed ones keep their size, and nothing shrinks below its need', () => {
  expect(shareOut([10, 5, 5], [false, true, true], 60, 'even')).toEqual([10, 25, 25]);
  expect(shareOut([30, 20, 20], [true, true, true], 60, 'even')).toEqual([30, 20, 20]);
  expect(shareOut([10, 10], [false, false], 60, 'content')).toEqual([10, 10]);
});
