import fc from 'fast-check';
import { edges, solve, surfaceBoxes, type Rect, type SurfaceBoxes } from '../layout';
import {
  AXIS_KEYS,
  readPlacement,
  writePlacement,
  type Axis,
  type BoxRef,
  type Placement,
  type PlacementContext,
} from './index';

/** An A5 with 3 mm of bleed and 5 mm kept clear (ISO 216; the margins are common practice). */
const PLAIN = surfaceBoxes({ width: 148, height: 210 }, edges(3), edges(5), {
  columns: 4,
  gutter: 4,
  rows: 1,
  rowGutter: 4,
});
const EMBLEM: Rect = { x: 20, y: 30, width: 40, height: 20 };
const BOXES: SurfaceBoxes = {
  ...PLAIN,
  placed: { emblem: { ...PLAIN.trim, ...EMBLEM, name: 'Emblem' } as SurfaceBoxes['placed'][string] },
};
const NAMED: readonly { readonly ref: BoxRef; readonly name: string }[] = [
  { ref: { box: 'trim' }, name: 'trim' },
  { ref: { box: 'safe' }, name: 'safe' },
  { ref: { box: 'columns', from: 1, to: 2 }, name: 'columns 1–2' },
  { ref: { box: 'element', element: 'emblem', part: 'whole' }, name: 'Emblem' },
  { ref: { box: 'element', element: 'emblem', part: 'past' }, name: 'past Emblem' },
];
const MEASURES = [{ id: 'gap', name: 'caption gap', value: 4 }];

const at = (x: Axis, y: Axis, against: BoxRef = { box: 'trim' }): Placement => ({
  against,
  x,
  y,
  rotate: 0,
  shear: 0,
});
const BEFORE = at({ start: 10, size: 50 }, { start: 20, size: 30 });

const contextOf = (placement: Placement): PlacementContext => ({
  unit: 'mm',
  ppi: 300,
  boxes: BOXES,
  named: NAMED,
  measures: MEASURES,
  rect: solve(placement, BOXES),
});
const read = (text: string, before = BEFORE) => readPlacement(text, before, contextOf(before));

test.each<readonly [string, Partial<Placement>]>([
  [
    'safe: left 0, right 0, top 12mm, height content',
    { against: { box: 'safe' }, x: { start: 0, end: 0 }, y: { start: 12, size: 'content' } },
  ],
  ['left 5', { x: { start: 5, size: 50 } }],
  ['right 5', { x: { end: 5, size: 50 } }],
  // A width that is given keeps the edge that held.
  ['width 50 %', { x: { size: { percent: 50 }, start: 10 } }],
  ['centre 0, middle 0', { x: { centre: 0, size: 50 }, y: { centre: 0, size: 30 } }],
  ['top 2 × caption gap + 1', { y: { start: { measure: 'gap', times: 2, plus: 1 }, size: 30 } }],
  ['left 12,5, width 1 in', { x: { start: 12.5, size: 25.4 } }],
  ['left 5 top 8', { x: { start: 5, size: 50 }, y: { start: 8, size: 30 } }],
  ['top 10 % left 2mm', { x: { start: 2, size: 50 }, y: { start: { percent: 10 }, size: 30 } }],
  // Another box alone: it stays where it is, said against that.
  ['safe:', { against: { box: 'safe' }, x: { start: 5, size: 50 }, y: { start: 15, size: 30 } }],
  [
    'safe: left 0, right 0; past Emblem: top 4',
    {
      against: { box: 'safe' },
      x: { start: 0, end: 0 },
      y: { start: 4, size: 30, of: { box: 'element', element: 'emblem', part: 'past' } },
    },
  ],
  ['COLUMNS 1–2: LEFT −3', { against: { box: 'columns', from: 1, to: 2 }, x: { start: -3, size: 50 } }],
])('%s', (text, expected) => {
  const found = read(text);
  expect(found.ok ? found.value : found.error).toMatchObject(expected);
});

test.each<readonly [string, number, number, RegExp]>([
  ['', 0, 1, /where it stands/],
  ['save: left 0', 0, 4, /no box called “save”/],
  ['safe: lft 0', 6, 3, /none of left, right/],
  ['left', 0, 4, /length is wanted after “left”/],
  ['top 1, height −2', 14, 2, /cannot be negative/],
  ['top 1, height 0', 14, 1, /Nothing is seen/],
  ['left 1, width 0 %', 14, 3, /Nothing is seen/],
  ['safe: left 0, right 0, width 20', 5, 26, /Two of left, right, width, centre/],
  ['left 1, left 2', 0, 14, /Two of/],
  ['left 1/0', 7, 1, /./],
  ['width 2000 %', 6, 6, /1000 %/],
])('%s is refused where it is wrong', (text, from, length, message) => {
  const found = read(text);
  expect(found.ok ? undefined : found.error).toMatchObject({
    at: from,
    length,
    message: expect.stringMatching(message) as string,
  });
});

test('what is held by both edges and is centred elsewhere keeps its size', () => {
  const held = at({ start: 10, end: 88 }, { start: 20, size: 30 });
  const found = read('past Emblem: centre 0', held);
  expect(found.ok && found.value.x).toEqual({ centre: 0, size: 50 });
});

test('a figure that was left alone is the very one, though it was written rounded', () => {
  const third = at({ start: 100 / 3, size: 50 }, { start: 20, size: 30 });
  const line = writePlacement(third, contextOf(third));
  const found = read(line.replace('top 20 mm', 'top 21 mm'), third);
  expect(found).toEqual({ ok: true, value: { ...third, y: { start: 21, size: 30 } } });
});

const length = fc.integer({ min: -400, max: 400 }).map((tenths) => tenths / 10);
const fact = fc.oneof(
  length,
  fc.integer({ min: -50, max: 150 }).map((percent) => ({ percent })),
  fc.record({ measure: fc.constant('gap') }),
);
const axis = fc
  .tuple(fc.subarray([...AXIS_KEYS], { minLength: 2, maxLength: 2 }), fact, fact)
  .map(([keys, a, b]): Axis => {
    const facts = Object.fromEntries(keys.map((key, i) => [key, i === 0 ? a : b]));
    return typeof facts['size'] === 'number' ? { ...facts, size: Math.abs(facts['size']) } : facts;
  })
  .filter(({ size }) => !(typeof size === 'object' && 'percent' in size && size.percent < 0));
const box = fc.constantFrom(...NAMED.map(({ ref }) => ref));

test('what is written is read back as it was, whatever stood there before', () => {
  fc.assert(
    fc.property(axis, axis, box, fc.option(box, { nil: undefined }), (x, y, against, of) => {
      const isOwn = of !== undefined && JSON.stringify(of) !== JSON.stringify(against);
      const placement = at(x, isOwn ? { ...y, of } : y, against);
      const line = writePlacement(placement, contextOf(placement));
      // A line may have no height, or no width.
      const back = readPlacement(line, BEFORE, { ...contextOf(BEFORE), isLine: true });
      expect([line, back]).toEqual([line, { ok: true, value: placement }]);
    }),
  );
});
