import fc from 'fast-check';
import { Grid, Group, Guide, NamedGrid, type BoxRef, type Element } from '../element';
import { box } from '../../testing/jobs';
import {
  createLayoutSolver,
  edges,
  solveLayout,
  surfaceBoxes,
  type ContentReader,
  type SideLayout,
  type SurfaceBoxes,
} from './index';

const IDS = Array.from({ length: 9 }, (_, i) => `e${i}`);
const base = surfaceBoxes({ width: 148, height: 210 }, edges(3), edges(5), Grid.parse({ columns: 3 }), {});
/** Tables lay a track of their own into their box; what follows its content takes its name’s length. */
const content: ContentReader = {
  name: (e) => e.name,
  size: (e) => 10 + e.name.length,
  tracks: (e, area) => {
    const [columns, rows] = [
      { start: area.x, size: area.width / 2 },
      { start: area.y, size: area.height / 2 },
    ];
    return e.name === 'table' ? { name: e.name, area, columns: [columns], rows: [rows] } : undefined;
  },
};

const targets: fc.Arbitrary<BoxRef> = fc.oneof(
  fc.constantFrom<BoxRef>({ box: 'trim' }, { box: 'safe' }, { box: 'columns', from: 1, to: 2 }),
  fc.constantFrom<BoxRef>({ box: 'columns', from: 1, to: 1, grid: 'named' }),
  fc.record({
    box: fc.constant('element' as const),
    element: fc.constantFrom(...IDS, 'gone'),
    part: fc.constantFrom('whole' as const, 'visible' as const, 'before' as const, 'past' as const),
  }),
  fc.record({
    box: fc.constant('columns' as const),
    from: fc.constant(1),
    to: fc.constant(1),
    grid: fc.constantFrom(...IDS),
  }),
);

const axis = fc.record({
  start: fc.integer({ min: -20, max: 120 }),
  size: fc.oneof(fc.integer({ min: 1, max: 60 }), fc.constant('content' as const)),
  of: fc.oneof(fc.constant(undefined), targets),
});

const elementOf = (id: string): fc.Arbitrary<Element> =>
  fc
    .record({
      against: targets,
      x: axis,
      y: axis,
      name: fc.constantFrom('a', 'longer', 'table'),
      group: fc.constantFrom(null, null, 'row', 'plain'),
    })
    .map(({ name, group, x, y, against }): Element => ({
      ...box(id, [0, 0, 1, 1]),
      name,
      group,
      placement: { against, x, y, rotate: 0, shear: 0 },
    }));

const sides: fc.Arbitrary<SideLayout> = fc
  .record({
    elements: fc.tuple(...IDS.map(elementOf)),
    grids: fc.constantFrom(
      [],
      [NamedGrid.parse({ id: 'named', name: 'Named', in: { box: 'safe' }, columns: 2 })],
      [NamedGrid.parse({ id: 'named', name: 'Named', in: { box: 'element', element: 'e3' }, columns: 2 })],
    ),
    guides: fc.constantFrom(
      [],
      [Guide.parse({ id: 'g', in: { box: 'element', element: 'e1' }, axis: 'x', at: { how: 'centre' } })],
    ),
  })
  .map((layout) => ({
    ...layout,
    side: 'front',
    groups: [
      Group.parse({ id: 'row', name: 'Row', row: { axis: 'x', in: { box: 'element', element: 'e0' }, gap: 'equal' } }),
      Group.parse({ id: 'plain', name: 'Plain' }),
    ],
  }));

/** One element after the other is put in the place of one that is there, or only goes elsewhere. */
const edits = fc.array(
  fc.record({ at: fc.nat(IDS.length - 1), by: fc.integer({ min: 1, max: 9 }), other: fc.option(elementOf('x')) }),
  { maxLength: 6 },
);

function edited(layout: SideLayout, { at, by, other }: { at: number; by: number; other: Element | null }): SideLayout {
  const elements = layout.elements.map((e, i): Element => {
    if (i !== at) return e;
    if (other) return { ...other, id: e.id };
    const { start } = e.placement.x;
    const x = { ...e.placement.x, start: (typeof start === 'number' ? start : 0) + by };
    return { ...e, placement: { ...e.placement, x } };
  });
  return { ...layout, elements };
}

test('whatever is changed after what, each place is as if it had been solved by itself', () => {
  fc.assert(
    fc.property(sides, edits, (first, steps) => {
      const solve = createLayoutSolver();
      let layout = first;
      expect(solve(base, layout, content)).toEqual(solveLayout(base, layout, content));
      for (const step of steps) {
        layout = edited(layout, step);
        expect(solve(base, layout, content)).toEqual(solveLayout(base, layout, content));
      }
    }),
    { numRuns: 300 },
  );
});

const placedBy = (boxes: SurfaceBoxes) => IDS.map((id) => boxes.placed[id]);

test('what did not move has the same box, also where all of them had to be placed anew', () => {
  const elements = IDS.map((id, i) => box(id, [10 * i, 20, 8, 8]));
  const layout: SideLayout = { side: 'front', elements, grids: [], groups: [], guides: [] };
  const solve = createLayoutSolver();
  const before = placedBy(solve(base, layout, content));
  const after = placedBy(solve(base, edited(layout, { at: 4, by: 3, other: null }), content));
  expect(after.map((b, i) => b === before[i])).toEqual(IDS.map((_, i) => i !== 4));
  expect(after[4]?.x).toBe(43);
  // Another grid: nobody knows who stands in it.
  const anew = placedBy(solve(base, { ...edited(layout, { at: 4, by: 3, other: null }), grids: [] }, content));
  expect(anew.every((b, i) => b === after[i])).toBe(true);
});

test('of many that stand by themselves, one that is moved is the only one that is measured again', () => {
  const elements = IDS.map((id, i) => box(id, [10 * i, 20, 8, 8]));
  const layout: SideLayout = { side: 'front', elements, grids: [], groups: [], guides: [] };
  const named: string[] = [];
  const told: ContentReader = { ...content, name: (e) => (named.push(e.id), e.name) };
  const solve = createLayoutSolver();
  solve(base, layout, told);
  named.length = 0;
  solve(base, edited(layout, { at: 7, by: 1, other: null }), told);
  expect(named).toEqual(['e7']);
});
