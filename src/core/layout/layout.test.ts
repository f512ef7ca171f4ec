import fc from 'fast-check';
import type { Axis, AxisKey, BoxRef, Placement } from '../element';
import {
  alignTo,
  apply,
  bleedOut,
  centreOf,
  distribute,
  edges,
  factsOf,
  heldKeys,
  moveTo,
  restate,
  rotation,
  snapAxis,
  snapLines,
  solve,
  solveAxis,
  surfaceBoxes,
  turnedBounds,
  type Rect,
} from './index';

const grid = { columns: 3, gutter: 4, rows: 2, rowGutter: 6 };
const boxesOf = (width: number, height: number) => surfaceBoxes({ width, height }, edges(3), edges(5), grid);
const boxes = boxesOf(148, 210);

const PAIRS: readonly (readonly [AxisKey, AxisKey])[] = [
  ['start', 'size'],
  ['end', 'size'],
  ['centre', 'size'],
  ['start', 'end'],
  ['start', 'centre'],
  ['centre', 'end'],
];

const lengths = fc.double({ min: -300, max: 300, noNaN: true });
const sizes = fc.double({ min: 0.1, max: 300, noNaN: true });
const anyRef = fc.constantFrom<BoxRef>(
  { box: 'trim' },
  { box: 'safe' },
  { box: 'bleed' },
  { box: 'columns', from: 2, to: 3 },
  { box: 'rows', from: 1, to: 1 },
  { box: 'cells', columns: [1, 2], rows: [2, 2] },
);
const anyRect = fc.record({ x: lengths, y: lengths, width: sizes, height: sizes });
const anyPair = fc.constantFrom(...PAIRS);

/** A placement that puts a rectangle in a box by the given facts. */
function placementOf(
  rect: Rect,
  against: BoxRef,
  xKeys: readonly [AxisKey, AxisKey],
  yKeys: readonly [AxisKey, AxisKey],
): Placement {
  const zero: Axis = { start: 0, size: 1 };
  const plain = moveTo({ against, x: zero, y: zero, rotate: 0, shear: 0 }, rect, boxes);
  const away = (axis: 'x' | 'y', keys: readonly [AxisKey, AxisKey]): Axis => {
    const [a, b] = keys;
    const seed: Axis = { [a]: 0, [b]: a === 'size' ? 1 : b === 'size' ? 1 : 0 };
    return moveTo({ ...plain, [axis]: seed }, rect, boxes)[axis];
  };
  return { against, x: away('x', xKeys), y: away('y', yKeys), rotate: 0, shear: 0 };
}

const near = (a: Rect, b: Rect) => {
  for (const key of ['x', 'y', 'width', 'height'] as const) expect(a[key]).toBeCloseTo(b[key], 4);
};

describe('placement', () => {
  test.each([
    [{ start: 5, size: 20 }, 15, 20],
    [{ end: 5, size: 20 }, 85, 20],
    [{ centre: 0, size: 20 }, 50, 20],
    [{ start: 5, end: 10 }, 15, 85],
    [{ start: 5, centre: 0 }, 15, 90],
    [{ centre: 0, end: 5 }, 15, 90],
    [{ start: { percent: 10 }, size: { percent: 50 } }, 20, 50],
  ] as const)('%j in a box from 10 to 110', (axis, start, size) => {
    const solved = solveAxis(axis, { start: 10, size: 100 }, { measures: {}, content: 0 });
    expect(solved.start).toBeCloseTo(start, 9);
    expect(solved.size).toBeCloseTo(size, 9);
  });

  test('needs exactly two facts', () => {
    expect(() => heldKeys({ start: 1 })).toThrow('two of');
  });

  test('solving, moving and solving again agree, whatever holds the element', () => {
    fc.assert(
      fc.property(anyRect, anyRect, anyRef, anyPair, anyPair, (first, second, ref, xKeys, yKeys) => {
        const placement = placementOf(first, ref, xKeys, yKeys);
        near(solve(placement, boxes), first);
        const moved = moveTo(placement, second, boxes);
        near(solve(moved, boxes), second);
        expect(heldKeys(moved.x)).toEqual(heldKeys(placement.x));
        expect(moved.against).toEqual(ref);
      }),
    );
  });

  test('a new finished size keeps every constraint', () => {
    const newSize = fc.record({
      width: fc.double({ min: 60, max: 900, noNaN: true }),
      height: fc.double({ min: 60, max: 900, noNaN: true }),
    });
    fc.assert(
      fc.property(anyRect, anyRef, anyPair, anyPair, newSize, (rect, ref, xKeys, yKeys, size) => {
        const placement = placementOf(rect, ref, xKeys, yKeys);
        const larger = boxesOf(size.width, size.height);
        const after = solve(placement, larger);
        const box = solve(
          { against: ref, x: { start: 0, end: 0 }, y: { start: 0, end: 0 }, rotate: 0, shear: 0 },
          larger,
        );
        const facts = factsOf({ start: after.x, size: after.width }, { start: box.x, size: box.width });
        for (const key of xKeys) expect(facts[key]).toBeCloseTo(Number(placement.x[key]), 4);
      }),
    );
  });

  test('said against another box, it stands in the same place', () => {
    fc.assert(
      fc.property(anyRect, anyRef, anyRef, anyPair, anyPair, (rect, from, to, xKeys, yKeys) => {
        near(solve(restate(placementOf(rect, from, xKeys, yKeys), to, boxes), boxes), rect);
      }),
    );
  });

  test('percentages stay percentages when dragged', () => {
    const placement: Placement = {
      against: { box: 'trim' },
      x: { start: { percent: 10 }, size: { percent: 50 } },
      y: { start: 0, size: 10 },
      rotate: 0,
      shear: 0,
    };
    const moved = moveTo(placement, { x: 37, y: 0, width: 74, height: 10 }, boxes);
    expect(moved.x).toEqual({ start: { percent: 25 }, size: { percent: 50 } });
  });
});

describe('bleed by itself', () => {
  test('an edge on the trim runs to the bleed; the others stay', () => {
    expect(bleedOut({ x: 0, y: 10, width: 148, height: 20 }, true, boxes)).toEqual({
      top: 0,
      left: 3,
      right: 3,
      bottom: 0,
    });
    expect(bleedOut({ x: 0.01, y: 10, width: 100, height: 20 }, true, boxes)).toEqual(edges(0));
  });
  test('centring means the trimmed part', () => {
    const centred = solve(
      { against: { box: 'trim' }, x: { centre: 0, size: 50 }, y: { centre: 0, size: 50 }, rotate: 0, shear: 0 },
      boxes,
    );
    expect(centreOf(centred)).toEqual({ x: 74, y: 105 });
  });
  test('a turned element has no edge on the trim', () => {
    expect(bleedOut({ x: 0, y: 0, width: 148, height: 210 }, false, boxes)).toEqual(edges(0));
  });
});

test('equal columns by closed form: (138 − 2 × 4) ÷ 3 = 43.333', () => {
  expect(boxes.grid.columns.map((c) => c.size)).toEqual([130 / 3, 130 / 3, 130 / 3]);
  expect(boxes.grid.columns[1]?.start).toBeCloseTo(5 + 130 / 3 + 4, 9);
  const last = boxes.grid.columns[2];
  expect((last?.start ?? 0) + (last?.size ?? 0)).toBeCloseTo(143, 9);
});

describe('turning', () => {
  test('a quarter turn swaps width and height about the centre', () => {
    const turned = turnedBounds({ x: 10, y: 20, width: 40, height: 10 }, 90);
    near(turned, { x: 25, y: 5, width: 10, height: 40 });
  });
  test('is undone by turning back', () => {
    fc.assert(
      fc.property(lengths, lengths, fc.double({ min: -360, max: 360, noNaN: true }), (x, y, degrees) => {
        const about = { x: 12, y: -7 };
        const there = apply(rotation(degrees, about), { x, y });
        const back = apply(rotation(-degrees, about), there);
        expect(back.x).toBeCloseTo(x, 6);
        expect(back.y).toBeCloseTo(y, 6);
      }),
    );
  });
});

describe('arranging', () => {
  const three: readonly Rect[] = [
    { x: 0, y: 0, width: 10, height: 5 },
    { x: 60, y: 3, width: 20, height: 5 },
    { x: 25, y: 9, width: 5, height: 5 },
  ];
  test('equal gaps between the outermost two', () => {
    const { rects, gap } = distribute(three, 'x', undefined);
    expect(gap).toBeCloseTo((80 - 35) / 2, 9);
    expect(rects.map((r) => r.x)).toEqual([0, 60, 32.5]);
  });
  test('spread in a box meets both of its ends, in order, with one gap', () => {
    fc.assert(
      fc.property(fc.array(anyRect, { minLength: 2, maxLength: 8 }), (rects) => {
        const within = { x: -10, y: 0, width: 400, height: 10 };
        const out = [...distribute(rects, 'x', within).rects].sort((a, b) => a.x - b.x);
        const { gap } = distribute(rects, 'x', within);
        // Things wider than the box together overlap, and then have no order to speak of.
        fc.pre(gap > 0.001);
        expect(out[0]?.x).toBeCloseTo(-10, 6);
        const gaps = out.slice(1).map((r, i) => r.x - (out[i]?.x ?? 0) - (out[i]?.width ?? 0));
        for (const g of gaps) expect(g).toBeCloseTo(gap, 6);
      }),
    );
  });
  test.each([
    ['left', 100, 3],
    ['centre', 120, 3],
    ['right', 140, 3],
    ['top', 7, 50],
    ['middle', 7, 60],
    ['bottom', 7, 70],
  ] as const)('align %s', (edge, x, y) => {
    const moved = alignTo({ x: 7, y: 3, width: 20, height: 10 }, { x: 100, y: 50, width: 60, height: 30 }, edge);
    expect([moved.x, moved.y]).toEqual([
      edge === 'top' || edge === 'middle' || edge === 'bottom' ? 7 : x,
      edge === 'left' || edge === 'centre' || edge === 'right' ? 3 : y,
    ]);
  });
});

describe('snapping', () => {
  const lines = snapLines({
    ...boxes,
    placed: { moon: { name: 'moon', x: 30, y: 40, width: 20, height: 20, rotate: 0 } },
  });
  test('finds the middle of everything without a helper shape', () => {
    const names = lines.x.map((l) => `${l.name}@${Math.round(l.at * 100) / 100}`);
    expect(names).toEqual(
      expect.arrayContaining(['centre of trim@74', 'centre of moon@40', 'safe@5', 'column 2@52.33']),
    );
  });
  test('thirds and quarters of the trim, of the safe area and of a large element; not of a small one', () => {
    const large = { name: 'head', x: 20, y: 20, width: 60, height: 20, rotate: 0 };
    const { x } = snapLines({ ...boxes, placed: { head: large, dot: { ...large, name: 'dot', width: 9 } } });
    const at = (name: string) => x.find((l) => l.name === name)?.at;
    // 148 ÷ 4; 5 + 138 ÷ 3; 20 + 3 × 60 ÷ 4.
    expect(at('first quarter of trim')).toBe(37);
    expect(at('first third of safe')).toBeCloseTo(51, 9);
    expect(at('third quarter of head')).toBe(65);
    expect(x.some((l) => l.name.endsWith('third of dot'))).toBe(false);
  });
  test('the nearest line within reach wins', () => {
    const found = snapAxis({ start: 63.6, size: 20 }, lines.x, ['start', 'centre', 'end'], 1);
    expect(found).toMatchObject({ part: 'centre', line: { name: 'centre of trim' } });
    expect(found?.shift).toBeCloseTo(0.4, 9);
    expect(snapAxis({ start: 63.6, size: 20 }, lines.x, ['centre'], 0.3)).toBeUndefined();
  });
});
