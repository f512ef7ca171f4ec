/** Patterns that a guillotine can cut: the best of them, against published instances and against all that there are. */
import fc from 'fast-check';
import { overlaps, type Rect } from '../geometry';
import type { Size } from '../paper';
import {
  bestPattern,
  cuttingProgramme,
  gangUp,
  packMixed,
  piecesIn,
  runProgramme,
  stagesOf,
  type Kind,
  type Layout,
} from './index';

const area = ({ width, height }: { width: number; height: number }) => width * height;

/** What lies over what, or outside. */
function flaws(layout: Layout, room: { width: number; height: number }): readonly string[] {
  const pieces = piecesIn(layout).map(({ rect }) => rect);
  const shrunk = ({ x, y, width, height }: Rect): Rect => ({
    x: x + 1e-4,
    y: y + 1e-4,
    width: width - 2e-4,
    height: height - 2e-4,
  });
  return [
    ...pieces.flatMap((a, i) =>
      pieces.slice(i + 1).flatMap((b) => (overlaps(shrunk(a), shrunk(b)) ? ['overlap'] : [])),
    ),
    ...pieces.flatMap((p) =>
      p.x < -1e-6 || p.y < -1e-6 || p.x + p.width > room.width + 1e-6 || p.y + p.height > room.height + 1e-6
        ? ['outside']
        : [],
    ),
  ];
}

describe('published instances (from memory)', () => {
  test('Herz (1972): 127 × 98, five pieces, any number of each, not turned: 12,348 of 12,446', () => {
    const pieces = [
      [18, 65],
      [24, 27],
      [21, 13],
      [36, 17],
      [54, 20],
    ];
    const kinds = pieces.map(([width = 0, height = 0]): Kind => ({
      width,
      height,
      value: width * height,
      turns: false,
    }));
    const room = { width: 127, height: 98 };
    const { value, layout } = bestPattern(room, kinds, 8);
    expect(value).toBe(12_348);
    expect(flaws(layout, room)).toEqual([]);
    expect(piecesIn(layout).reduce((sum, { rect }) => sum + area(rect), 0)).toBeCloseTo(12_348, 6);
  });

  test('Wang (1983): 70 × 40, twenty pieces, few of each: within 4 % of the 2,721 that are known to be best', () => {
    const pieces = [
      [17, 9, 1],
      [11, 19, 4],
      [12, 21, 3],
      [14, 23, 4],
      [24, 15, 1],
      [24, 14, 2],
      [25, 16, 4],
      [27, 17, 2],
      [18, 29, 3],
      [21, 31, 3],
      [32, 22, 2],
      [23, 33, 3],
      [34, 24, 2],
      [35, 25, 2],
      [36, 26, 1],
      [37, 27, 1],
      [38, 28, 1],
      [39, 29, 1],
      [41, 30, 1],
      [43, 31, 1],
    ];
    const items = pieces.flatMap(([width = 0, height = 0, most = 0], kind) =>
      Array.from({ length: most }, () => ({ width, height, kind, turns: false })),
    );
    const room = { width: 70, height: 40 };
    const { layout } = packMixed(room, items, { steps: 3000 });
    expect(flaws(layout, room)).toEqual([]);
    const laid = piecesIn(layout).reduce((sum, { rect }) => sum + area(rect), 0);
    process.stdout.write(`Wang (1983): ${laid} of 2,721\n`);
    expect(laid).toBeGreaterThanOrEqual(2721 * 0.96);
  });
});

/** As many as can be cut, by trying every cut at every whole millimetre. */
function exhaustive(width: number, height: number, w: number, h: number, known = new Map<string, number>()): number {
  const key = `${width} ${height}`;
  const before = known.get(key);
  if (before !== undefined) return before;
  let most = (width >= w && height >= h) || (width >= h && height >= w) ? 1 : 0;
  for (let x = 1; x <= width / 2; x += 1)
    most = Math.max(most, exhaustive(x, height, w, h, known) + exhaustive(width - x, height, w, h, known));
  for (let y = 1; y <= height / 2; y += 1)
    most = Math.max(most, exhaustive(width, y, w, h, known) + exhaustive(width, height - y, w, h, known));
  known.set(key, most);
  return most;
}

test('equal pieces: as many as trying every cut finds; fewer stages never give more', () => {
  const request = fc.record({
    width: fc.integer({ min: 8, max: 32 }),
    height: fc.integer({ min: 8, max: 32 }),
    w: fc.integer({ min: 3, max: 12 }),
    h: fc.integer({ min: 3, max: 12 }),
  });
  fc.assert(
    fc.property(request, ({ width, height, w, h }) => {
      const kind = { width: w, height: h, value: 1, turns: true };
      const of = (stages: number) => bestPattern({ width, height }, [kind], stages);
      const [two, three, any] = [of(2), of(3), of(10)];
      expect(any.value).toBe(exhaustive(width, height, w, h));
      expect(two.value).toBeLessThanOrEqual(three.value);
      expect(three.value).toBeLessThanOrEqual(any.value);
      for (const { layout, value } of [two, three, any]) {
        expect(piecesIn(layout)).toHaveLength(value);
        expect(flaws(layout, { width, height })).toEqual([]);
      }
      // Trimming a piece to its size is no stage of its own.
      expect(stagesOf(two.layout)).toBeLessThanOrEqual(4);
    }),
    { numRuns: 60 },
  );
});

/** The most that pieces of whole millimetres are worth, by trying every cut there is in so many stages. */
function everyCut(kinds: readonly Kind[]) {
  const known = new Map<string, number>();
  const most = (width: number, height: number, way: 'upright' | 'level', left: number): number => {
    const key = [width, height, way, left].join();
    const before = known.get(key);
    if (before !== undefined) return before;
    let best = 0;
    for (const { width: w, height: h, value, turns } of kinds)
      if ((w <= width && h <= height) || (turns && h <= width && w <= height)) best = Math.max(best, value);
    if (left > 0) {
      const next = way === 'upright' ? 'level' : 'upright';
      best = Math.max(best, most(width, height, next, left - 1));
      const isUpright = way === 'upright';
      for (let at = 1; at < (isUpright ? width : height); at += 1) {
        const strip = isUpright ? most(at, height, next, left - 1) : most(width, at, next, left - 1);
        best = Math.max(
          best,
          strip + (isUpright ? most(width - at, height, way, left) : most(width, height - at, way, left)),
        );
      }
    }
    known.set(key, best);
    return best;
  };
  return (room: Size, stages: number) =>
    Math.max(most(room.width, room.height, 'upright', stages), most(room.width, room.height, 'level', stages));
}

test('kinds of any worth: as much as trying every cut finds, in two, three and four stages', () => {
  const side = fc.integer({ min: 3, max: 12 });
  const kind = fc.record({ width: side, height: side, value: fc.integer({ min: 1, max: 40 }), turns: fc.boolean() });
  const request = fc.record({
    width: fc.integer({ min: 8, max: 20 }),
    height: fc.integer({ min: 8, max: 20 }),
    kinds: fc.array(kind, { minLength: 1, maxLength: 3 }),
  });
  fc.assert(
    fc.property(request, ({ width, height, kinds }) => {
      const expected = everyCut(kinds);
      for (const stages of [2, 3, 4]) {
        const { value, layout } = bestPattern({ width, height }, kinds, stages);
        expect(value).toBe(expected({ width, height }, stages));
        expect(piecesIn(layout).reduce((sum, piece) => sum + (kinds[piece.kind]?.value ?? 0), 0)).toBe(value);
        expect(flaws(layout, { width, height })).toEqual([]);
      }
    }),
    { numRuns: 40 },
  );
});

test('cards on a roll of 3.2 × 5 m, in three stages: no fewer than in two, and all but a hundredth of it used', () => {
  const room = { width: 3200, height: 5000 };
  for (const [width, height] of [
    [91.6, 60],
    [89, 59],
  ] as const) {
    const of = (stages: number) => bestPattern(room, [{ width, height, value: 1, turns: true }], stages).value;
    expect(of(3)).toBeGreaterThanOrEqual(of(2));
    expect(of(3) * width * height).toBeGreaterThan(0.99 * room.width * room.height);
  }
});

test('cards of 85 × 55 mm on SRA3: 25, as one lays them by hand with some turned (common practice: 24 in rows)', () => {
  const kind = { width: 85, height: 55, value: 1, turns: true };
  const room = { width: 310, height: 440 };
  expect(bestPattern(room, [kind], 3).value).toBeGreaterThanOrEqual(24);
  expect(bestPattern(room, [{ ...kind, turns: false }], 2).value).toBe(24);
});

describe('the cutting programme', () => {
  const kinds = fc.array(
    fc.record({
      width: fc.double({ min: 30, max: 200, noNaN: true }),
      height: fc.double({ min: 30, max: 200, noNaN: true }),
      turns: fc.boolean(),
    }),
    { minLength: 1, maxLength: 12 },
  );

  test('run by the simulated guillotine, it gives back each piece where it lay, at its size', () => {
    fc.assert(
      fc.property(kinds, (list) => {
        const sheet = { width: 450, height: 640 };
        const { layout } = packMixed(
          sheet,
          list.map((one, kind) => ({ ...one, kind })),
        );
        const { cuts, pieces } = cuttingProgramme(sheet, layout);
        const piles = runProgramme(sheet, cuts);
        expect(pieces).toHaveLength(piecesIn(layout).length);
        for (const { pile, piece } of pieces) {
          const rect = piles.get(pile);
          for (const key of ['x', 'y', 'width', 'height'] as const) expect(rect?.[key]).toBeCloseTo(piece.rect[key], 6);
        }
      }),
      { numRuns: 150 },
    );
  });

  test('2 × 2 cards with a gap of 6 mm, by hand: a clean edge, then every figure from it', () => {
    const at = (x: number, y: number): Layout => ({
      rect: { x, y, width: 85, height: 55 },
      is: 'piece',
      kind: 0,
      isTurned: false,
    });
    const row = (y: number): Layout => ({
      rect: { x: 20, y, width: 176, height: 55 },
      is: 'cut',
      way: 'upright',
      parts: [at(20, y), at(111, y)],
    });
    const layout: Layout = {
      rect: { x: 20, y: 20, width: 176, height: 116 },
      is: 'cut',
      way: 'level',
      parts: [row(20), row(81)],
    };
    const { cuts } = cuttingProgramme({ width: 216, height: 156 }, layout);
    // Foot at the gauge: the head falls off at 156 − 20. Turned: 116, the gap at 61 frees the lower row, 55 remain.
    expect(cuts.slice(0, 4).map(({ turn, gauge, front }) => [turn, gauge, front.is])).toEqual([
      [180, 136, 'off'],
      [180, 116, 'off'],
      [0, 61, 'pile'],
      [0, 55, 'off'],
    ]);
    // Each row: its left rim off, then 176, the gap at 91, and 85.
    expect(cuts.slice(4, 8).map(({ gauge }) => gauge)).toEqual([196, 176, 91, 85]);
    expect(cuts).toHaveLength(12);
  });
});

describe('a gang', () => {
  test('nothing is printed short, all lies on its sheets, and the gap to what cannot be beaten is said', () => {
    const demand = fc.record({
      width: fc.integer({ min: 40, max: 150 }),
      height: fc.integer({ min: 40, max: 150 }),
      quantity: fc.integer({ min: 50, max: 5000 }),
      turns: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(demand, { minLength: 1, maxLength: 8 }), (demands) => {
        const room = { width: 500, height: 700 };
        const gang = gangUp(room, demands, { forms: 2, formCosts: 100 });
        if (!gang) return;
        for (const over of gang.over) expect(over).toBeGreaterThanOrEqual(0);
        for (const { layout, up } of gang.forms) {
          expect(flaws(layout, room)).toEqual([]);
          expect(up.reduce((sum, n) => sum + n, 0)).toBe(piecesIn(layout).length);
        }
        expect(gang.sheets).toBeGreaterThanOrEqual(gang.leastSheets);
        expect(gang.waste).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 12 },
    );
  });

  test('what does not fit is no gang', () => {
    const demand = { width: 800, height: 100, quantity: 10, turns: true };
    expect(gangUp({ width: 500, height: 700 }, [demand], { forms: 1, formCosts: 0 })).toBeUndefined();
  });
});

test('a sheet of five metres with twenty kinds on it is searched in bounded memory, and what is laid fits', () => {
  const kinds = Array.from({ length: 20 }, (_, i) => {
    const [width, height] = [31.7 + i * 4.3, 47.1 + i * 3.9];
    return { width, height, value: width * height, turns: true };
  });
  const room = { width: 3200, height: 5000 };
  const { layout, value } = bestPattern(room, kinds, 3);
  const pieces = piecesIn(layout);
  expect(value).toBeGreaterThan(0.95 * room.width * room.height);
  for (const { rect } of pieces) {
    expect(rect.x + rect.width).toBeLessThanOrEqual(room.width + 1e-6);
    expect(rect.y + rect.height).toBeLessThanOrEqual(room.height + 1e-6);
  }
  expect(pieces.reduce((sum, { rect }) => sum + rect.width * rect.height, 0)).toBeCloseTo(value, 3);
});
