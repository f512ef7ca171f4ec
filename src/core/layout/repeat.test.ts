import fc from 'fast-check';
import { Grid, Repeat } from '../element';
import { apply, centreOf, copiesOf, edges, mappedBounds, surfaceBoxes, type Rect } from './index';

const boxes = surfaceBoxes({ width: 100, height: 80 }, edges(3), edges(5), Grid.parse({}));
const rect: Rect = { x: 10, y: 10, width: 8, height: 4 };
const copies = (...repeats: readonly object[]) =>
  copiesOf(
    repeats.map((r) => Repeat.parse(r)),
    rect,
    boxes,
  ).laid;
const trim = { box: 'trim' } as const;
const places = (...repeats: readonly object[]) =>
  copies(...repeats).map((m) => {
    const b = mappedBounds(rect, m);
    return [b.x, b.y].map((v) => Math.round(v * 1e6) / 1e6);
  });

describe('in rows', () => {
  test('a count and a gap: the step is size + gap', () => {
    expect(places({ way: 'rows', in: trim, across: 3, gapAcross: 2 })).toEqual([
      [10, 10],
      [20, 10],
      [30, 10],
    ]);
  });
  test('until the box is full: floor((room + gap) ÷ (size + gap))', () => {
    const found = places({ way: 'rows', in: trim, across: 'fill', gapAcross: 2 });
    expect(found).toHaveLength(Math.floor((90 + 2) / 10));
    expect(found.at(-1)).toEqual([90, 10]);
  });
  test('evenly: the last ends at the box’s edge', () => {
    const found = places({ way: 'rows', in: trim, across: 4, gapAcross: 'even' });
    expect(found.at(-1)).toEqual([92, 10]);
    expect(found[1]?.[0]).toBeCloseTo(10 + 8 + (90 - 32) / 3, 6);
  });
  test('rows and columns, row by row', () => {
    expect(places({ way: 'rows', in: trim, across: 2, down: 2, gapAcross: 2, gapDown: 6 })).toEqual([
      [10, 10],
      [20, 10],
      [10, 20],
      [20, 20],
    ]);
  });
  test('filling never leaves the box and never leaves room for one more', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 30, noNaN: true }), (gap) => {
        const xs = places({ way: 'rows', in: trim, across: 'fill', gapAcross: gap }).map(([x]) => x ?? 0);
        const last = xs.at(-1) ?? 0;
        expect(last + 8).toBeLessThanOrEqual(100 + 1e-6);
        expect(last + 8 + gap + 8).toBeGreaterThan(100 - 1e-5);
      }),
    );
  });
});

describe('around a point', () => {
  // The centre of the trim is 50, 40; the element’s own 14, 12: 45.607 mm away.
  test('n copies stand at equal angles on a circle, each turned with it', () => {
    const found = copies({ way: 'around', in: trim, count: 12 });
    const own = centreOf(rect);
    const reach = Math.hypot(own.x - 50, own.y - 40);
    const start = Math.atan2(own.y - 40, own.x - 50);
    found.forEach((m, i) => {
      const p = apply(m, own);
      const angle = start + (i * 2 * Math.PI) / 12;
      expect(p.x).toBeCloseTo(50 + reach * Math.cos(angle), 9);
      expect(p.y).toBeCloseTo(40 + reach * Math.sin(angle), 9);
      expect((Math.atan2(m[1], m[0]) / Math.PI) * 180).toBeCloseTo(i <= 6 ? i * 30 : i * 30 - 360, 9);
    });
  });
  test('upright copies are only moved', () => {
    for (const m of copies({ way: 'around', in: trim, count: 5, upright: true }))
      expect(m.slice(0, 4)).toEqual([1, 0, 0, 1]);
  });
  test('each grows by its percentage and lies further out by its offset', () => {
    const found = copies({ way: 'around', in: trim, count: 4, through: 180, grow: 150, out: 5 });
    const own = centreOf(rect);
    const reach = Math.hypot(own.x - 50, own.y - 40);
    found.forEach((m, i) => {
      const p = apply(m, own);
      expect(Math.hypot(p.x - 50, p.y - 40)).toBeCloseTo(reach + 5 * i, 9);
      expect(Math.hypot(m[0], m[1])).toBeCloseTo(1.5 ** i, 9);
    });
  });
});

describe('a mirror image', () => {
  test('x′ = 2c − x; mirrored twice it is where it was', () => {
    const [, m] = copies({ way: 'mirror', in: trim });
    if (!m) throw new Error('no image');
    expect(apply(m, { x: 10, y: 12 })).toEqual({ x: 90, y: 12 });
    expect(apply(m, apply(m, { x: 31, y: 7 }))).toEqual({ x: 31, y: 7 });
  });
  test('across a level line', () => {
    const [, m] = copies({ way: 'mirror', in: trim, axis: 'y' });
    expect(m && apply(m, { x: 10, y: 12 })).toEqual({ x: 10, y: 68 });
  });
  test('upright, the box is mirrored and what is in it is not', () => {
    expect(places({ way: 'mirror', in: trim, upright: true })).toEqual([
      [10, 10],
      [82, 10],
    ]);
  });
  test('of rows: the rows come again on the other side', () => {
    const xs = places({ way: 'rows', in: trim, across: 2, gapAcross: 2 }, { way: 'mirror', in: trim }).map(([x]) => x);
    expect(xs).toEqual([10, 20, 82, 72]);
  });
});

test('repeats of repeats end at a bound', () => {
  const many = { way: 'rows', in: trim, across: 500, down: 500, gapAcross: 0, gapDown: 0 };
  expect(copies(many, many).length).toBeLessThanOrEqual(5000);
});
