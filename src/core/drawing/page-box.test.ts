import fc from 'fast-check';
import { EDGE_NAMES, edges } from '../layout';
import { MM_PER_PT } from '../measure';
import { beyondTrim, pageKey, readBeyond, shownBox } from './page-box';

const TRIM = { x: 20, y: 30, width: 100, height: 60 };
const lengths = fc.record({
  top: fc.double({ min: 0, max: 20, noNaN: true }),
  right: fc.double({ min: 0, max: 20, noNaN: true }),
  bottom: fc.double({ min: 0, max: 20, noNaN: true }),
  left: fc.double({ min: 0, max: 20, noNaN: true }),
});

test.each([
  // The rotation turns the page clockwise as it is shown: what is above then lay to the left of the page (ISO 32000-1).
  [0, { x: 20, y: 30, width: 100, height: 70 }],
  [90, { x: 10, y: 30, width: 110, height: 60 }],
  [180, { x: 20, y: 20, width: 100, height: 70 }],
  [270, { x: 20, y: 30, width: 110, height: 60 }],
  [-90, { x: 20, y: 30, width: 110, height: 60 }],
])('ten points above a page that is shown turned by %i degrees', (rotate, box) => {
  const shown = shownBox({ trim: TRIM, rotate }, { ...edges(0), top: 10 * MM_PER_PT });
  for (const key of ['x', 'y', 'width', 'height'] as const) expect(shown[key]).toBeCloseTo(box[key], 9);
});

test('what is beyond a trim is found again in the box that is shown', () => {
  fc.assert(
    fc.property(lengths, fc.constantFrom(0, 90, 180, 270, -90), (beyond, rotate) => {
      const page = { trim: TRIM, rotate };
      const again = beyondTrim(page, shownBox(page, beyond));
      for (const edge of EDGE_NAMES) expect(again[edge]).toBeCloseTo(beyond[edge], 9);
    }),
  );
});

test('a page is asked for by an address that says what is wished beyond it', () => {
  const plain = { document: 'ab', page: 2 };
  expect(pageKey(plain)).toBe('ab/page/2');
  const key = pageKey({ ...plain, beyond: { top: 3, right: 2.5, bottom: 0, left: 1 } });
  expect(key).toBe('ab/page/2?beyond=3.0000,2.5000,0.0000,1.0000');
  expect(readBeyond('3.0000,2.5000,0.0000,1.0000')).toEqual({ top: 3, right: 2.5, bottom: 0, left: 1 });
});

test.each(['', '1,2,3', '1,2,3,4,5', '1,2,3,x', '1,2,3,-1', '1,2,3,5000'])('“%s” are no lengths', (text) => {
  expect(readBeyond(text)).toBeUndefined();
});
