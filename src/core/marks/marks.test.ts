/**
 * Marks of a side and of a press sheet. Where they stand is common practice [cp]: outside all that is printed, in line
 * with what is cut or folded, in registration colour; nothing a plate must not have.
 */
import fc from 'fast-check';
import type { Item, Path } from '../drawing';
import type { ImposedSide } from '../job';
import {
  apply,
  edges,
  grow,
  intersection,
  pathBounds,
  union,
  type EdgeLengths,
  type Point,
  type Rect,
} from '../layout';
import { SANS } from '../../testing/type';
import type { Face } from '../type';
import { barPatches, cornerMarks, sheetMarks } from './index';

const CMYK = ['Cyan', 'Magenta', 'Yellow', 'Black'];

const rect = (x: number, y: number, width: number, height: number): Rect => ({ x, y, width, height });

const side = (trim: Rect, bleed: EdgeLengths = edges(3)): ImposedSide => ({
  surface: 'front',
  trim,
  quarters: 0,
  bleed,
  shift: 0,
});

interface More {
  readonly creases?: { readonly x: readonly number[]; readonly y: readonly number[] };
  readonly type?: Face;
}

const marksOf = (sides: readonly ImposedSide[], room: Rect, { creases = { x: [], y: [] }, type }: More = {}) =>
  sheetMarks({
    face: { name: 'front', sides },
    room,
    words: 'Job · sheet · front',
    type,
    inks: { plates: CMYK, spots: [] },
    creases,
  });

const pathOf = (items: readonly Item[], from: string): Path =>
  items.flatMap((item) => (item.kind === 'path' && item.from === from ? item.path : []));

/** Where glyphs of the slug line stand, mm on the sheet: the first and the last of them. */
function slugOf(items: readonly Item[]): readonly [Point, Point] | undefined {
  const placed = items.flatMap((item) =>
    item.kind === 'glyphs' && item.from === 'slug line' ? item.glyphs.map((g) => apply(item.matrix, g)) : [],
  );
  const [first, last] = [placed[0], placed.at(-1)];
  return first && last && [first, last];
}

/** A line as a narrow area, mm. */
const around = (a: Point, b: Point): Rect =>
  rect(Math.min(a.x, b.x) - 0.2, Math.min(a.y, b.y) - 0.2, Math.abs(b.x - a.x) + 0.4, Math.abs(b.y - a.y) + 0.4);

/** Ends of the lines of a path that is made of lines alone. */
function linesOf(path: Path): readonly (readonly [number, number, number, number])[] {
  const found: (readonly [number, number, number, number])[] = [];
  let at = { x: 0, y: 0 };
  for (const segment of path) {
    if (segment[0] !== 'M' && segment[0] !== 'L') continue;
    const [op, x, y] = segment;
    if (op === 'L') found.push([at.x, at.y, x, y]);
    at = { x, y };
  }
  return found;
}

describe('corner marks', () => {
  test('of a card of 85 × 55 mm: eight ticks of 5 mm, 3 mm off the trim, worked by hand', () => {
    expect(
      linesOf(cornerMarks(rect(0, 0, 85, 55), 3))
        .map((line) => line.join(' '))
        .sort(),
    ).toEqual(
      [
        [-8, 0, -3, 0],
        [88, 0, 93, 0],
        [-8, 55, -3, 55],
        [88, 55, 93, 55],
        [0, -8, 0, -3],
        [85, -8, 85, -3],
        [0, 58, 0, 63],
        [85, 58, 85, 63],
      ]
        .map((line) => line.join(' '))
        .sort(),
    );
  });
});

describe('the colour bar', () => {
  test('has no patch of an ink that the side is not printed with', () => {
    for (const ink of barPatches({ plates: ['Black'], spots: [] }))
      expect(ink).toMatchObject({ kind: 'process', build: { c: 0, m: 0, y: 0 } });
    expect(barPatches({ plates: ['Black'], spots: [] })).toHaveLength(2);
    expect(barPatches({ plates: [], spots: [] })).toEqual([]);
  });

  test('has solids, the three overprints of two, halves and a grey balance of the process inks', () => {
    const builds = barPatches({ plates: CMYK, spots: [] }).map((ink): readonly number[] =>
      ink.kind === 'process' ? [ink.build.c, ink.build.m, ink.build.y, ink.build.k] : [],
    );
    expect(builds.filter((b) => b.filter((v) => v === 100).length === 1 && Math.max(...b) === 100)).toHaveLength(4);
    expect(builds.filter((b) => b.filter((v) => v === 100).length === 2)).toHaveLength(3);
    expect(builds.filter((b) => b.filter((v) => v === 50).length === 1 && Math.max(...b) === 50)).toHaveLength(5);
  });
});

describe('a press sheet', () => {
  const grid = [0, 1].flatMap((column) => [0, 1, 2].map((row) => side(rect(30 + column * 91, 40 + row * 61, 85, 55))));
  const room = rect(5, 5, 230, 280);

  test('six cards in two columns and three rows: a tick at both ends of each cut', () => {
    const cuts = linesOf(pathOf(marksOf(grid, room), 'cut marks'));
    // Four upright cuts and six level ones, a tick at each end.
    expect(cuts).toHaveLength((4 + 6) * 2);
    const upright = new Set(cuts.filter(([x0, , x1]) => x0 === x1).map(([x]) => x));
    expect([...upright].sort((a, b) => a - b)).toEqual([30, 115, 121, 206]);
  });

  test('folds have ticks of their own, dashed', () => {
    const items = marksOf([side(rect(30, 40, 148, 210)), side(rect(30, 40, 74, 210))], room, {
      creases: { x: [104], y: [] },
    });
    const [folds] = items.filter((item) => item.from === 'fold marks');
    expect(folds).toMatchObject({ stroke: { dash: [2, 1], ink: { kind: 'registration' } } });
    expect(new Set(linesOf(pathOf(items, 'fold marks')).map(([x]) => x))).toEqual(new Set([104]));
  });

  describe('the slug line', () => {
    const type = SANS;
    const one = [side(rect(100, 100, 148, 210), edges(3))];
    const roomWith = (around: Partial<EdgeLengths>) =>
      grow(rect(97, 97, 154, 216), { top: 2, right: 2, bottom: 2, left: 2, ...around });

    test('stands at the head where there is room, reading to the right', () => {
      const [first, last] = slugOf(marksOf(one, roomWith({ top: 12 }), { type })) ?? [];
      expect(first?.y).toBeLessThan(97);
      expect(last?.y).toBeCloseTo(first?.y ?? 0, 6);
      expect(last?.x).toBeGreaterThan(first?.x ?? 0);
    });

    test('else at the foot', () => {
      const [first, last] = slugOf(marksOf(one, roomWith({ bottom: 12 }), { type })) ?? [];
      expect(first?.y).toBeGreaterThan(313);
      expect(last?.y).toBeLessThanOrEqual(325);
    });

    test.each(['left', 'right'] as const)('else at the %s, reading upward', (edge) => {
      const [first, last] = slugOf(marksOf(one, roomWith({ [edge]: 12 }), { type })) ?? [];
      expect(last?.x).toBeCloseTo(first?.x ?? 0, 6);
      expect(last?.y).toBeLessThan(first?.y ?? 0);
      if (edge === 'left') expect(first?.x).toBeLessThan(97);
      else expect(first?.x).toBeGreaterThan(251);
    });

    test('is left out where no edge has room for it and for ticks', () => {
      expect(slugOf(marksOf(one, roomWith({}), { type }))).toBeUndefined();
    });

    test('no tick runs through it', () => {
      for (const edge of ['top', 'right', 'bottom', 'left'] as const)
        for (const deep of [7, 8, 10, 14]) {
          const items = marksOf(one, roomWith({ [edge]: deep }), { type });
          const [first, last] = slugOf(items) ?? [];
          if (!first || !last) continue;
          const words = around(first, last);
          for (const [x0, y0, x1, y1] of linesOf(pathOf(items, 'cut marks'))) {
            const met = intersection(words, around({ x: x0, y: y0 }, { x: x1, y: y1 }));
            expect(Math.min(met.width, met.height)).toBeLessThanOrEqual(0);
          }
        }
    });
  });

  const mm = (min: number, max: number) => fc.integer({ min, max });
  const laid = fc.record({
    columns: mm(1, 4),
    rows: mm(1, 4),
    width: mm(40, 120),
    height: mm(30, 120),
    bleed: mm(0, 4),
    left: mm(0, 25),
    top: mm(0, 25),
    right: mm(0, 25),
    bottom: mm(0, 25),
  });

  test('whatever lies on it, its marks lie on what can be printed and outside all that is', () => {
    fc.assert(
      fc.property(laid, ({ columns, rows, width, height, bleed, ...white }) => {
        const sides = Array.from({ length: columns * rows }, (_, i) =>
          side(
            rect(
              100 + (i % columns) * (width + 2 * bleed),
              100 + Math.floor(i / columns) * (height + 2 * bleed),
              width,
              height,
            ),
            edges(bleed),
          ),
        );
        const whole = union(sides.map(({ trim }) => grow(trim, edges(bleed))));
        const free = grow(whole, white);
        for (const item of marksOf(sides, free)) {
          if (item.kind !== 'path') continue;
          const box = pathBounds(item.path);
          expect(box.x).toBeGreaterThanOrEqual(free.x - 1e-6);
          expect(box.y).toBeGreaterThanOrEqual(free.y - 1e-6);
          expect(box.x + box.width).toBeLessThanOrEqual(free.x + free.width + 1e-6);
          expect(box.y + box.height).toBeLessThanOrEqual(free.y + free.height + 1e-6);
        }
        const ticks = linesOf(pathOf(marksOf(sides, free), 'cut marks'));
        for (const [x0, y0, x1, y1] of ticks) {
          const overlap = intersection(around({ x: x0, y: y0 }, { x: x1, y: y1 }), whole);
          expect(Math.min(overlap.width, overlap.height)).toBeLessThanOrEqual(0);
        }
      }),
    );
  });
});
