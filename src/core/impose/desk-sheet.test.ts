import fc from 'fast-check';
import { pathBounds } from '../geometry';
import { deskSheet, type DeskSheetRequest } from './index';

const write = (mm: number) => `${Math.round(mm * 100) / 100} mm`;
const LETTER = { width: 215.9, height: 279.4 };
const A4 = { width: 210, height: 297 };

const laid = (request: Partial<DeskSheetRequest> & Pick<DeskSheetRequest, 'trim'>) => {
  const found = deskSheet({ bleed: 0, sheet: A4, edge: 5, gap: 0, marks: true, ...request }, write);
  if (!found.ok) throw new Error(found.message);
  return found.sheet;
};

describe('several on a desk sheet', () => {
  test('two pads of 5 × 7.5 in stand on a US letter turned on its side, each cut marked at both ends', () => {
    const sheet = laid({ trim: { width: 127, height: 190.5 }, sheet: LETTER });
    expect([sheet.sheet, sheet.across, sheet.down]).toEqual([{ width: 279.4, height: 215.9 }, 2, 1]);
    // One cut parts the two: three cuts across, two down, a mark at both ends of each.
    expect(sheet.marks).toHaveLength((3 + 2) * 2);
    expect(sheet.places[1]?.x).toBeCloseTo((sheet.places[0]?.x ?? 0) + 127, 9);
  });

  test('ten business cards of 85 × 55 mm stand on A4 (common practice: 2 × 5)', () => {
    const { across, down, sheet } = laid({ trim: { width: 85, height: 55 }, edge: 3 });
    expect([across, down, sheet]).toEqual([2, 5, A4]);
  });

  test('with a gap there are two cuts between neighbours, and bleed up to half of it', () => {
    const sheet = laid({ trim: { width: 85, height: 50 }, gap: 6, bleed: 3 });
    expect(sheet.bleedInside).toBe(3);
    expect(sheet.marks).toHaveLength((2 * sheet.across + 2 * sheet.down) * 2);
    expect(laid({ trim: { width: 85, height: 50 }, gap: 0, bleed: 3 }).bleedInside).toBe(0);
  });

  test('what does not fit says why, and what to do', () => {
    const why = (request: Partial<DeskSheetRequest> & Pick<DeskSheetRequest, 'trim'>) => {
      const found = deskSheet({ bleed: 0, sheet: A4, edge: 5, gap: 0, marks: true, ...request }, write);
      return found.ok ? '' : found.message;
    };
    expect(why({ trim: { width: 300, height: 300 } })).toMatch(/larger than what the printer prints/);
    expect(why({ trim: { width: 199, height: 286 } })).toMatch(/no room for marks/);
    expect(why({ trim: { width: 85, height: 55 }, across: 4 })).toMatch(/4 across and any number down do not fit/);
  });

  const request = fc.record({
    trim: fc.record({
      width: fc.double({ min: 20, max: 180, noNaN: true }),
      height: fc.double({ min: 20, max: 180, noNaN: true }),
    }),
    bleed: fc.constantFrom(0, 2, 3),
    sheet: fc.constantFrom(A4, LETTER, { width: 330, height: 480 }),
    edge: fc.double({ min: 0, max: 12, noNaN: true }),
    gap: fc.constantFrom(0, 2, 6),
    marks: fc.boolean(),
  });

  test('everything is printed, nothing lies over anything else, and no more would fit', () => {
    fc.assert(
      fc.property(request, (r) => {
        const found = deskSheet(r, write);
        if (!found.ok) return;
        const { sheet, places, marks, across, down } = found.sheet;
        const inside = (x: number, y: number) =>
          x >= r.edge - 1e-6 &&
          y >= r.edge - 1e-6 &&
          x <= sheet.width - r.edge + 1e-6 &&
          y <= sheet.height - r.edge + 1e-6;
        expect(places).toHaveLength(across * down);
        for (const { x, y } of places) expect(inside(x, y) && inside(x + r.trim.width, y + r.trim.height)).toBe(true);
        const [first, last] = [places[0], places.at(-1)];
        if (!first || !last) return;
        for (const mark of marks.map(pathBounds)) {
          expect(inside(mark.x, mark.y) && inside(mark.x + mark.width, mark.y + mark.height)).toBe(true);
          // Beside the block of pieces, not over it.
          const over =
            mark.x < last.x + r.trim.width - 1e-6 &&
            mark.x + mark.width > first.x + 1e-6 &&
            mark.y < last.y + r.trim.height - 1e-6 &&
            mark.y + mark.height > first.y + 1e-6;
          expect(over).toBe(false);
        }
        const rim = r.marks ? Math.max(1, r.bleed) + 2.5 : 0;
        const fits = (n: number, piece: number, room: number) =>
          n * piece + (n - 1) * r.gap <= room - 2 * (r.edge + rim) + 1e-6;
        const counts = [
          [sheet.width, sheet.height],
          [sheet.height, sheet.width],
        ].map(([w = 0, h = 0]) => {
          let [a, d] = [0, 0];
          while (fits(a + 1, r.trim.width, w)) a += 1;
          while (fits(d + 1, r.trim.height, h)) d += 1;
          return a * d;
        });
        expect(across * down).toBe(Math.max(...counts));
      }),
    );
  });
});
