import fc from 'fast-check';
import { overlaps, type Rect } from '../layout';
import { beneath, reaching } from './beneath';

/** Lengths that often meet exactly, where touching and overlapping differ. */
const length = fc.oneof(fc.integer({ min: -20, max: 20 }), fc.double({ min: -20, max: 20, noNaN: true }));
const size = fc.oneof(fc.integer({ min: 0, max: 15 }), fc.double({ min: 0, max: 15, noNaN: true }));
const rects: fc.Arbitrary<readonly Rect[]> = fc.array(fc.record({ x: length, y: length, width: size, height: size }), {
  maxLength: 60,
});

describe('what lies beneath', () => {
  test('is what looking at all of them finds, uppermost first', () => {
    fc.assert(
      fc.property(rects, (all) => {
        const below = beneath(all);
        for (const [i, rect] of all.entries()) {
          const found = all.flatMap((other, n) => (n < i && overlaps(other, rect) ? [n] : []));
          expect(below(i)).toEqual(found.reverse());
        }
      }),
    );
  });

  test('touches what shares as much as an edge or a corner', () => {
    const unit = { x: 0, y: 0, width: 1, height: 1 };
    const reach = reaching([unit, { ...unit, x: 1 }, { ...unit, x: 1, y: 1 }, { ...unit, x: 2.01 }]);
    expect(reach(unit).toSorted()).toEqual([0, 1, 2]);
  });

  test('is nothing on an empty side', () => {
    expect(reaching([])({ x: 0, y: 0, width: 9, height: 9 })).toEqual([]);
    expect(beneath([])(0)).toEqual([]);
  });
});
