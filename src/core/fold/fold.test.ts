import fc from 'fast-check';
import {
  SCHEMES,
  SCHEME_NAMES,
  crossFolds,
  extentAt,
  foldFlat,
  mapFolds,
  movePoint,
  posesAt,
  AT_REST,
  type Folding,
  type Room,
  type Scheme,
} from './index';
import { cornersOf } from '../layout';

const mm = (v: number) => `${v} mm`;
const room = (allowance: Room['allowance'], floor = 0): Room => ({ allowance, caliper: 0.12, tolerance: 1, floor });
const EVEN = room({ school: 'even' });
const THICK = room({ school: 'thickness', mm: null });
const shift = (by: number) => room({ school: 'shift', mm: by });
const widths = (name: keyof typeof SCHEMES, flat: number, n: number, r: Room) =>
  SCHEMES[name].widths(flat, n, r, mm).widths;

/** Flat-folded sheet as the dummy turns it. */
function foldingOf(
  columns: readonly number[],
  rows: readonly number[],
  folds: Parameters<typeof foldFlat>[2],
): Folding {
  const folded = foldFlat(columns, rows, folds, 0.1);
  return {
    up: 'inside',
    down: 'outside',
    parts: folded.facets.map((f) => ({ name: '', outline: cornersOf(f.rect) })),
    steps: folded.steps,
  };
}

describe('panel widths', () => {
  test('letter fold of a US letter with ±1 mm: 94.133, 94.133, 91.133 mm [cp]', () => {
    const found = widths('letter', 11 * 25.4, 3, shift(1)).map((w) => Math.round(w * 1000) / 1000);
    expect(found).toEqual([94.133, 94.133, 91.133]);
  });

  test('by thickness a tucked panel loses one caliper and the folder’s tolerance [cp]', () => {
    const [wide = 0, , tuck = 0] = widths('letter', 297, 3, THICK);
    expect(wide - tuck).toBeCloseTo(1.12, 9);
  });

  test('with ±1 mm as its floor the tucked panel is 3 mm narrower on thin paper [cp]', () => {
    const [wide = 0, , tuck = 0] = widths('letter', 297, 3, room({ school: 'thickness', mm: null }, 1));
    expect(wide - tuck).toBeCloseTo(3, 9);
  });

  test('a roll fold shortens each panel further in [cp]', () => {
    const found = widths('roll', 400, 5, THICK);
    for (let i = 2; i < found.length; i += 1) expect(found[i] ?? 0).toBeLessThan(found[i - 1] ?? 0);
    expect(found[0]).toBe(found[1]);
  });

  test('each leaf of a gate stops 1 to 2 mm short of the middle [cp]', () => {
    for (const r of [shift(1), THICK, room({ school: 'thickness', mm: null }, 1)]) {
      const [left = 0, centre = 0, right = 0] = widths('gate', 420, 3, r);
      const short = (centre - left - right) / 2;
      expect(short).toBeGreaterThanOrEqual(1);
      expect(short).toBeLessThanOrEqual(2.0001);
    }
  });

  test('an accordion stays even, but for a cover up to 0.5 mm longer [cp]', () => {
    const [first = 0, ...rest] = widths('accordion', 600, 6, room({ school: 'thickness', mm: 0.3 }));
    expect(new Set(rest.map((w) => w.toFixed(9))).size).toBe(1);
    expect(first - (rest[0] ?? 0)).toBeCloseTo(0.5, 9);
  });

  const anyScheme = fc.constantFrom(...SCHEME_NAMES).chain((name) => {
    const scheme: Scheme = SCHEMES[name];
    return fc.record({
      name: fc.constant(name),
      n: fc.integer({ min: scheme.panels.least, max: scheme.panels.most }),
      flat: fc.double({ min: 150, max: 1500, noNaN: true }),
      r: fc.constantFrom(EVEN, THICK, shift(0.5), shift(1), room({ school: 'thickness', mm: 0.3 }, 1)),
    });
  });

  test('panels add up to the flat size, whatever the scheme and the school', () => {
    fc.assert(
      fc.property(anyScheme, ({ name, n, flat, r }) => {
        const scheme: Scheme = SCHEMES[name];
        const found = scheme.widths(flat, n, r, mm).widths;
        expect(found).toHaveLength(n);
        expect(found.reduce((a, b) => a + b, 0)).toBeCloseTo(flat, 6);
        expect(scheme.outside(n)).toHaveLength(n);
        expect(new Set(scheme.inside(n)).size).toBe(n);
        expect(new Set(scheme.outside(n)).size).toBe(n);
      }),
    );
  });

  test('folded by thickness nothing crosses a crease, and tucked panels have their room', () => {
    fc.assert(
      fc.property(anyScheme, ({ name, n, flat }) => {
        const scheme: Scheme = SCHEMES[name];
        const folded = foldFlat(scheme.widths(flat, n, THICK, mm).widths, [100], scheme.folds(n), 0.12);
        expect(folded.collisions).toEqual([]);
        expect(folded.layers).toBe(name === 'gate' ? 2 : n);
      }),
    );
  });
});

describe('folding', () => {
  test('a letter fold closes on its cover: outside faces up at the top and at the bottom', () => {
    const folded = foldFlat([100, 100, 97], [210], SCHEMES.letter.folds(), 0.1);
    expect(folded.top).toEqual({ facet: 0, face: 'outside', turned: false });
    expect(folded.bottom).toEqual({ facet: 1, face: 'outside', turned: false });
    expect(folded.size).toEqual({ width: 100, height: 210 });
    expect(folded.creases.map((c) => c.direction)).toEqual(['up', 'up']);
  });

  test('a Z fold bends one way and then the other, and shows the inside behind', () => {
    const folded = foldFlat([99, 99, 99], [210], SCHEMES.z.folds(), 0.1);
    expect(new Set(folded.creases.map((c) => c.direction))).toEqual(new Set(['up', 'down']));
    expect(folded.top).toMatchObject({ facet: 0, face: 'outside' });
    expect(folded.bottom).toMatchObject({ facet: 2, face: 'inside' });
  });

  test('even thirds buckle: the tucked panel lies in the bend', () => {
    const folded = foldFlat([99, 99, 99], [210], SCHEMES.letter.folds(), 0.12);
    expect(folded.collisions).toMatchObject([{ kind: 'tight', facets: [2], step: 1 }]);
    expect(folded.collisions[0]?.by).toBeCloseTo(0.12, 9);
  });

  test('a tucked panel that is too wide reaches past the crease', () => {
    const folded = foldFlat([95, 95, 107], [210], SCHEMES.letter.folds(), 0.12);
    expect(folded.collisions.find((c) => c.kind === 'crosses')).toMatchObject({ facets: [2] });
    expect(folded.collisions.find((c) => c.kind === 'crosses')?.by).toBeCloseTo(12, 9);
  });

  test('the cover of a map is the outside of one corner, upright, whichever way is folded first', () => {
    for (const first of ['across', 'down'] as const) {
      for (const [n, m] of [
        [4, 4],
        [3, 2],
        [2, 3],
        [6, 2],
        [1, 3],
        [5, 1],
      ] as const) {
        const columns = Array.from({ length: n }, () => 50);
        const rows = Array.from({ length: m }, () => 70);
        const folded = foldFlat(columns, rows, mapFolds(n, m, first), 0.1);
        expect(folded.size).toEqual({ width: 50, height: 70 });
        expect(folded.layers).toBe(n * m);
        expect(folded.collisions).toEqual([]);
        if (n > 1) expect(folded.top).toMatchObject({ face: 'outside', turned: false });
      }
    }
  });

  test('where creases cross, mountains and valleys differ by two (Maekawa’s theorem)', () => {
    const folded = foldFlat([50, 50], [70, 70], mapFolds(2, 2, 'across'), 0.1);
    const sign = folded.creases.flatMap((c) => {
      const pieces = Math.hypot(c.from.x - c.to.x, c.from.y - c.to.y) > 100 ? 2 : 1;
      return Array.from({ length: pieces }, () => (c.direction === 'up' ? 1 : -1));
    });
    expect(Math.abs(sign.reduce((a, b) => a + b, 0))).toBe(2);
  });

  test('a cross fold ends a quarter the size, four sheets thick', () => {
    const folded = foldFlat([105, 105], [148, 148], crossFolds(), 0.1);
    expect(folded.size).toEqual({ width: 105, height: 148 });
    expect(folded.layers).toBe(4);
    expect(folded.top.face).toBe('outside');
  });
});

describe('the dummy', () => {
  const cases = fc.record({
    n: fc.integer({ min: 2, max: 5 }),
    m: fc.integer({ min: 1, max: 4 }),
    first: fc.constantFrom('across' as const, 'down' as const),
    at: fc.double({ min: 0, max: 1, noNaN: true }),
  });

  test('folding moves parts rigidly: every length stays, at any moment', () => {
    fc.assert(
      fc.property(cases, ({ n, m, first, at }) => {
        const folding = foldingOf(
          Array.from({ length: n }, () => 40),
          Array.from({ length: m }, () => 60),
          mapFolds(n, m, first),
        );
        const poses = posesAt(folding, at * folding.steps.length);
        folding.parts.forEach((part, i) => {
          const points = part.outline.map((p) => movePoint(poses[i] ?? AT_REST, [p.x, p.y, 0]));
          points.forEach((a, k) => {
            const b = points[(k + 1) % points.length] ?? a;
            const [fa, fb] = [part.outline[k], part.outline[(k + 1) % points.length]];
            const flat = Math.hypot((fa?.x ?? 0) - (fb?.x ?? 0), (fa?.y ?? 0) - (fb?.y ?? 0));
            expect(Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2])).toBeCloseTo(flat, 6);
          });
        });
      }),
    );
  });

  test('folded away and back it lies flat; wholly folded it has the folded size and lies flat again', () => {
    fc.assert(
      fc.property(cases, ({ n, m, first }) => {
        const columns = Array.from({ length: n }, () => 40);
        const rows = Array.from({ length: m }, () => 60);
        const folding = foldingOf(columns, rows, mapFolds(n, m, first));
        expect(posesAt(folding, 0).every((p) => p === AT_REST)).toBe(true);
        const end = extentAt(folding, folding.steps.length);
        expect(end.x).toBeCloseTo(40, 6);
        expect(end.y).toBeCloseTo(60, 6);
        expect(end.z).toBeCloseTo(0, 6);
      }),
    );
  });

  test('a panel that folds up rises toward the viewer of the inside', () => {
    const folding = foldingOf([100, 100, 97], [210], SCHEMES.letter.folds());
    const [, , tuck = AT_REST] = posesAt(folding, 0.5);
    expect(movePoint(tuck, [297, 0, 0])[2]).toBeCloseTo(97, 6);
  });
});
