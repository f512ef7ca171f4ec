import fc from 'fast-check';
import type { Axis } from '../element';
import { Grid, Group, Guide, NamedGrid, type BoxRef, type Element, type Placement } from '../element';
import { box } from '../../testing/jobs';
import { boxName, boxRect, edges, isMissing, moveTo, solveLayout, surfaceBoxes, type SideLayout } from './index';

const A5 = { width: 148, height: 210 };
const grid = Grid.parse({ columns: 3, gutter: 5 });
const measures = { 'edge-distance': 14, 'caption-gap': 3 };
const bare = surfaceBoxes(A5, edges(3), edges(5), grid, {
  measures,
  holes: [{ x: 9, y: 100, width: 6, height: 6 }],
  panels: [{ name: 'left', x: 0, y: 0, width: 74, height: 210 }],
});

const content = { name: (e: Element) => e.name, size: () => 20, tracks: () => undefined };

/** An element by its two axes. */
const at = (id: string, against: BoxRef, x: Axis, y: Axis, more: Partial<Element> = {}): Element =>
  ({ ...box(id, [0, 0, 1, 1]), placement: { against, x, y, rotate: 0, shear: 0 }, ...more }) as Element;

const laid = (elements: readonly Element[], more: Partial<SideLayout> = {}) =>
  solveLayout(bare, { side: 'front', elements, grids: [], groups: [], guides: [], ...more }, content);

const rectOf = (boxes: ReturnType<typeof laid>, id: string) => {
  const { x, y, width, height } = boxes.placed[id] ?? { x: NaN, y: NaN, width: NaN, height: NaN };
  return [x, y, width, height].map((v) => Math.round(v * 1e6) / 1e6);
};
const of = (element: string, part: 'whole' | 'visible' | 'before' | 'past' = 'whole'): BoxRef => ({
  box: 'element',
  element,
  part,
});

describe('against other elements', () => {
  const moon = at('moon', { box: 'trim' }, { start: 40, size: 30 }, { start: 60, size: 20 });
  test('an element stands in, before and past another, whichever comes first in the list', () => {
    const boxes = laid([
      at('inside', of('moon'), { centre: 0, size: 10 }, { end: 2, size: 5 }),
      at('right', of('moon', 'past'), { start: 3, size: 10 }, { start: 0, size: 5 }),
      at('left', of('moon', 'before'), { end: 3, size: 10 }, { start: 0, size: 20 }),
      moon,
    ]);
    expect(rectOf(boxes, 'inside')).toEqual([50, 73, 10, 5]);
    expect(rectOf(boxes, 'right')).toEqual([73, 80, 10, 5]);
    expect(rectOf(boxes, 'left')).toEqual([27, 60, 10, 20]);
  });
  test('each axis may have a box of its own', () => {
    const two = at('two', of('moon'), { start: 0, end: 0 }, { start: 4, size: 9, of: of('moon', 'past') });
    expect(rectOf(laid([two, moon]), 'two')).toEqual([40, 84, 30, 9]);
  });
  test('the visible part is what remains after trimming', () => {
    const past = at('past', { box: 'trim' }, { start: 128, size: 60 }, { start: -10, size: 30 });
    const boxes = laid([past, at('label', of('past', 'visible'), { centre: 0, size: 4 }, { centre: 0, size: 4 })]);
    // Of 128–188 across, 128–148 is left; of −10–20 down, 0–20.
    expect(rectOf(boxes, 'label')).toEqual([136, 8, 4, 4]);
  });
  test('elements that wait for each other are named and nothing is lost', () => {
    const a = at('a', of('b'), { start: 0, size: 5 }, { start: 0, size: 5 });
    const b = at('b', of('a'), { start: 0, size: 5 }, { start: 0, size: 5 });
    const boxes = laid([a, b, moon]);
    expect(boxes.circular.length).toBeGreaterThan(0);
    expect(Object.keys(boxes.placed).sort()).toEqual(['a', 'b', 'moon']);
    expect(rectOf(boxes, 'moon')).toEqual([40, 60, 30, 20]);
  });
  test('an element that is gone counts as the trim and is said to be missing', () => {
    const boxes = laid([at('a', of('gone'), { start: 10, size: 5 }, { start: 10, size: 5 })]);
    expect(rectOf(boxes, 'a')).toEqual([10, 10, 5, 5]);
    expect(isMissing(of('gone'), boxes)).toBe(true);
    expect(boxName(of('gone'), boxes)).toContain('gone');
  });
});

describe('named measures and content', () => {
  test('a measure holds as an edge, doubled, negative and with something added', () => {
    const ref = { measure: 'edge-distance' } as const;
    const boxes = laid([
      at('a', { box: 'trim' }, { start: ref, size: 10 }, { start: { ...ref, times: 2 }, size: 10 }),
      at('b', { box: 'trim' }, { end: { ...ref, plus: 1 }, size: 10 }, { centre: { ...ref, times: -1 }, size: 10 }),
    ]);
    expect(rectOf(boxes, 'a')).toEqual([14, 28, 10, 10]);
    expect(rectOf(boxes, 'b')).toEqual([148 - 15 - 10, 105 - 14 - 5, 10, 10]);
  });
  test('a drag leaves a measure that still says the same, and replaces one that does not', () => {
    const placement: Placement = {
      against: { box: 'trim' },
      x: { start: { measure: 'edge-distance' }, size: 10 },
      y: { start: 5, size: 'content' },
      rotate: 0,
      shear: 0,
    };
    const before = { x: 14, y: 5, width: 10, height: 20 };
    const down = moveTo(placement, { ...before, y: 9 }, bare, before);
    expect(down.x).toEqual({ start: { measure: 'edge-distance' }, size: 10 });
    expect(down.y).toEqual({ start: 9, size: 'content' });
    const across = moveTo(placement, { ...before, x: 15, height: 25 }, bare, before);
    expect(across.x.start).toBe(15);
    expect(across.y.size).toBe(25);
  });
});

describe('grids', () => {
  const named = (input: object) => NamedGrid.parse({ id: 'g', name: 'cards', in: { box: 'trim' }, ...input });
  test('equal parts: part = (length − (n − 1) × gutter) ÷ n', () => {
    const boxes = laid([], { grids: [named({ columns: 4, gutter: 4, rows: 3, rowGutter: 6 })] });
    const cell = boxRect({ box: 'cells', columns: [2, 2], rows: [3, 3], grid: 'g' }, boxes);
    expect(cell.width).toBeCloseTo((148 - 12) / 4, 9);
    expect(cell.x).toBeCloseTo((148 - 12) / 4 + 4, 9);
    expect(cell.y).toBeCloseTo(2 * ((210 - 12) / 3 + 6), 9);
  });
  test('given widths, and the rest shared by those without', () => {
    const boxes = laid([], {
      grids: [named({ columnWidths: [30, null, { measure: 'edge-distance' }, null], gutter: 2 })],
    });
    expect(boxes.grids['g']?.columns.map((c) => c.size)).toEqual([30, 49, 14, 49]);
    expect(boxes.grids['g']?.columns.at(-1)?.start).toBe(148 - 49);
  });
  test('a grid stands in an element, and elements in its cells, in any order', () => {
    const inCell = at(
      'in',
      { box: 'cells', columns: [2, 2], rows: [1, 1], grid: 'g' },
      { start: 0, end: 0 },
      { start: 0, end: 0 },
    );
    const host = at('host', { box: 'trim' }, { start: 10, size: 90 }, { start: 20, size: 40 });
    const boxes = laid([inCell, host], { grids: [named({ in: of('host'), columns: 3, gutter: 3 })] });
    expect(rectOf(boxes, 'in')).toEqual([10 + 28 + 3, 20, 28, 40]);
  });
  test('inner margins change sides on a left-hand page when pages face', () => {
    const facing = Grid.parse({ columns: 1, margins: { top: 10, right: 12, bottom: 14, left: 20 }, facing: true });
    const right = surfaceBoxes(A5, edges(3), edges(5), facing);
    const left = surfaceBoxes(A5, edges(3), edges(5), facing, { isLeftPage: true });
    expect([right.grid.area.x, 148 - right.grid.area.x - right.grid.area.width]).toEqual([20, 12]);
    expect([left.grid.area.x, 148 - left.grid.area.x - left.grid.area.width]).toEqual([12, 20]);
  });
  test('a grid that is gone falls back to the grid of the side and says so', () => {
    const ref: BoxRef = { box: 'columns', from: 1, to: 1, grid: 'nowhere' };
    expect(isMissing(ref, laid([]))).toBe(true);
  });
});

describe('rows', () => {
  const member = (id: string, width: number) =>
    at(id, { box: 'trim' }, { start: 1, size: width }, { start: 10, size: 5 }, { group: 'r' });
  const row = (input: object) => [
    Group.parse({ id: 'r', name: 'names', row: { axis: 'x', in: { box: 'safe' }, ...input } }),
  ];
  test('equal gaps: (box − sum of sizes) ÷ (n − 1), the first and last at the ends', () => {
    const boxes = laid([member('a', 20), member('b', 40), member('c', 30)], { groups: row({ gap: 'equal' }) });
    const gap = (138 - 90) / 2;
    expect(['a', 'b', 'c'].map((id) => rectOf(boxes, id)[0])).toEqual([5, 25 + gap, 65 + 2 * gap]);
    expect((boxes.placed['c']?.x ?? 0) + 30).toBeCloseTo(143, 9);
  });
  test('a given gap from the start, the centre or the end, by a measure too', () => {
    const starts = (from: string) => {
      const boxes = laid([member('a', 20), member('b', 40)], {
        groups: row({ gap: { measure: 'caption-gap' }, from }),
      });
      return [boxes.placed['a']?.x, boxes.placed['b']?.x];
    };
    expect(starts('start')).toEqual([5, 28]);
    expect(starts('end')).toEqual([143 - 63, 143 - 40]);
    expect(starts('centre')).toEqual([5 + (138 - 63) / 2, 5 + (138 - 63) / 2 + 23]);
  });
  test('whatever the sizes, no gap differs from another', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 1, max: 30, noNaN: true }), { minLength: 2, maxLength: 12 }), (sizes) => {
        const boxes = laid(
          sizes.map((s, i) => member(`e${i}`, s)),
          { groups: row({ gap: 'equal' }) },
        );
        const ends = sizes.map((s, i) => [boxes.placed[`e${i}`]?.x ?? 0, (boxes.placed[`e${i}`]?.x ?? 0) + s] as const);
        const gaps = ends.slice(1).map(([x], i) => x - (ends[i]?.[1] ?? 0));
        for (const gap of gaps) expect(gap).toBeCloseTo(gaps[0] ?? 0, 6);
        expect(ends[0]?.[0]).toBeCloseTo(5, 6);
        expect(ends.at(-1)?.[1]).toBeCloseTo(143, 6);
      }),
    );
  });
});

describe('guides', () => {
  const guides = (input: object) =>
    laid([], { guides: [Guide.parse({ id: 'g', axis: 'x', in: { box: 'trim' }, ...input })] }).guides.map((g) => g.at);
  test('three quarters of an inch inside the left trim', () =>
    expect(guides({ at: { how: 'from-start', distance: 19.05 } })).toEqual([19.05]));
  test('inside the right edge of the safe area', () =>
    expect(guides({ in: { box: 'safe' }, at: { how: 'from-end', distance: 10 } })).toEqual([133]));
  test('every quarter', () => expect(guides({ at: { how: 'parts', parts: 4 } })).toEqual([37, 74, 111]));
  test('one against a box that is gone is not drawn', () =>
    expect(guides({ in: { box: 'panel', panel: 'nowhere' }, at: { how: 'centre' } })).toEqual([]));
  test('down a hole', () =>
    expect(guides({ axis: 'y', in: { box: 'hole', hole: 1 }, at: { how: 'centre' } })).toEqual([103]));
});
