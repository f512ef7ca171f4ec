/**
 * What the designer does to a layout, as plain functions of the job: undone exactly, frozen and taken apart in place.
 */
import fc from 'fast-check';
import type { Drawing } from '@/core/drawing';
import { Effect, Guide, NamedGrid, Repeat, elementsOn, type Element, type Job } from '@/core/job';
import { apply, centreOf, mappedBounds, pathBounds, type Path } from '@/core/layout';
import { box, element, inMemory, makeJob, shape, words } from '@/testing/jobs';
import { openDesk } from '@/output';
import {
  addLayer,
  alignSelection,
  putLayer,
  copiedEffects,
  copyEffects,
  distributeSelection,
  dragContent,
  dragMove,
  framesInCells,
  frozenCopies,
  groupOf,
  groupSelection,
  handlesOf,
  insertPoint,
  moveBy,
  moveLayer,
  movePoint,
  nearestOn,
  pieceOf,
  removeLayer,
  removePoint,
  scaledEffects,
  switchCurve,
  ungrouped,
  ungroupSelection,
  withElements,
  withGroup,
  withGroupMates,
  withoutMeasure,
  withPath,
  type DrawnJob,
} from '@/core/edit';
import { pickedAt } from '../bench/pick';
import { boxChoices, dependants } from '@/core/edit';
import { defineStation } from './station';
import { createJobStore } from './store';
import { drawnJobOf } from '../../testing/drawn';

let resources: DrawnJob['resources'];
beforeAll(async () => {
  const desk = await openDesk(makeJob(), inMemory());
  ({ resources } = desk);
});

const deskOn = (job: Job) => drawnJobOf(job, resources);
const drawn = (job: Job): Drawing => deskOn(job).drawing;
const find = (job: Job, id: string): Element => {
  const found = elementsOn(pieceOf(job), 'front').find((e) => e.id === id);
  if (!found) throw new Error(`no ${id}`);
  return found;
};
const boundsIn = (drawing: Drawing, ids: readonly string[]) =>
  drawing.frames.filter((f) => ids.includes(f.element)).map((f) => f.bounds);

const start = makeJob([
  box('a', [10, 10, 20, 20]),
  shape('b', [50, 20, 30, 15], { form: 'star' }, { group: null }),
  words('c', 'Quillrook', [20, 60, 80, 12]),
  box('d', [90, 100, 12, 12], { repeat: [{ way: 'mirror', in: { box: 'trim' } }] }),
]);

/** Everything that the bench, the slip and the sheet do to a layout. */
const ACTIONS: readonly ((desk: DrawnJob) => Job)[] = [
  ({ job, drawing }) => moveBy(job, 'front', drawing.boxes, ['a', 'c'], 3, -2),
  (desk) => dragMove({ ...desk, side: 'front', selection: ['b'], step: 0.5, reach: 2 }, 7, 9).job,
  (desk) => alignSelection(desk, ['a', 'b'], { element: 'c' }, 'left'),
  (desk) => distributeSelection(desk, ['a', 'b', 'd'], 'x', { box: 'safe' }),
  ({ job }) => groupSelection(job, 'front', ['a', 'b']),
  ({ job }) => ungroupSelection(job, 'front', ['a', 'b']),
  ({ job, piece }) => {
    const group = piece.groups[0];
    return group
      ? withGroup(job, { ...group, row: { axis: 'x', in: { box: 'safe' }, gap: 'equal', from: 'start' } })
      : job;
  },
  ({ job }) => addLayer(job),
  ({ job, piece }) => moveLayer(job, piece.layers[0]?.id ?? '', 1),
  ({ job, piece }) => (piece.layers.length > 1 ? removeLayer(job, piece.layers.at(-1)?.id ?? '') : job),
  ({ job, piece }) => {
    const l = piece.layers[0];
    return l ? putLayer(job, { ...l, hidden: !l.hidden }) : job;
  },
  ({ job }) => ({
    ...job,
    measures: [...job.measures, { id: `m${job.measures.length}`, name: `m ${job.measures.length}`, value: 9 }],
  }),
  ({ job }) =>
    withElements(job, 'front', (e) =>
      e.id === 'a' && job.measures[0]
        ? { ...e, placement: { ...e.placement, x: { start: { measure: job.measures[0].id }, size: 20 } } }
        : e,
    ),
  ({ job }) => (job.measures[0] ? withoutMeasure(job, job.measures[0].id) : job),
  ({ job }) =>
    withElements(job, 'front', (e) =>
      e.id === 'b' ? { ...e, effects: [Effect.parse({ effect: 'shadow', paint: { kind: 'paper' } })] } : e,
    ),
  ({ job }) =>
    withElements(job, 'front', (e) =>
      e.id === 'a' ? { ...e, repeat: [Repeat.parse({ way: 'around', in: { box: 'trim' }, count: 5 })] } : e,
    ),
  (desk) => frozenCopies(desk, find(desk.job, 'd')).job,
  ({ job }) => ({
    ...job,
    pieces: job.pieces.map((p) => ({
      ...p,
      grids: [...p.grids, NamedGrid.parse({ id: `g${p.grids.length}`, name: 'g', in: { box: 'safe' }, columns: 2 })],
    })),
  }),
  (desk) => (desk.piece.grids[0] ? framesInCells(desk, desk.piece.grids[0]).job : desk.job),
  ({ job }) => ({
    ...job,
    pieces: job.pieces.map((p) => ({
      ...p,
      guides: [
        ...p.guides,
        Guide.parse({ id: `u${p.guides.length}`, axis: 'y', in: { box: 'trim' }, at: { how: 'parts', parts: 4 } }),
      ],
    })),
  }),
];

test('any sequence of actions, undone, gives the same drawing; redone, the last one', async () => {
  const first = drawn(start);
  await fc.assert(
    fc.asyncProperty(fc.array(fc.nat(ACTIONS.length - 1), { minLength: 1, maxLength: 14 }), async (sequence) => {
      const store = createJobStore({ head: 1, job: start, undo: [], redo: [] }, [
        defineStation({ id: 'lay-out', title: 'Lay out', opens: true }),
      ]);
      for (const i of sequence) {
        const action = ACTIONS[i];
        if (action) store.getState().change(`step ${i}`, (now) => action(deskOn(now)));
      }
      const last = drawn(store.getState().job);
      while (store.getState().undoStack.length > 0) await store.getState().undo();
      expect(drawn(store.getState().job)).toEqual(first);
      while (store.getState().redoStack.length > 0) await store.getState().redo();
      expect(drawn(store.getState().job)).toEqual(last);
    }),
    { numRuns: 40 },
  );
});

describe('what is frozen or taken apart stays where it was', () => {
  test.each([
    ['rows', { way: 'rows', in: { box: 'safe' }, across: 3, down: 2, gapAcross: 4, gapDown: 5 }],
    ['around', { way: 'around', in: { box: 'trim' }, count: 7 }],
    ['growing', { way: 'around', in: { box: 'trim' }, count: 4, grow: 80 }],
    ['a mirror image', { way: 'mirror', in: { box: 'trim' } }],
    ['a mirror image top to bottom', { way: 'mirror', in: { box: 'trim' }, axis: 'y' }],
  ] as const)('%s', (_name, repeat) => {
    const job = makeJob([
      shape(
        'e',
        [30, 40, 24, 10],
        { form: 'ribbon', right: 'flat' },
        {
          repeat: [repeat],
          placement: { against: { box: 'trim' }, x: { start: 30, size: 24 }, y: { start: 40, size: 10 }, rotate: 20 },
        },
      ),
    ]);
    const desk = deskOn(job);
    const copies = desk.drawing.frames[0];
    const { job: frozen, ids } = frozenCopies(desk, find(job, 'e'));
    const after = drawn(frozen);
    const items = copies?.items ?? [];
    expect(ids).toHaveLength(items.length);
    const outlines = (list: Drawing['frames'][number]['items']) =>
      list.map((i) => (i.kind === 'path' ? mappedBounds(pathBounds(i.path), i.matrix) : undefined));
    const [was, is] = [outlines(items), outlines(after.frames.flatMap((f) => f.items))];
    was.forEach((r, i) => {
      for (const key of ['x', 'y', 'width', 'height'] as const) expect(is[i]?.[key]).toBeCloseTo(r?.[key] ?? NaN, 3);
    });
  });
  test('a drawing becomes a group of paths in its colours', () => {
    const path: Path = [['M', 0, 0], ['L', 40, 0], ['L', 20, 30], ['Z']];
    const red = { kind: 'rgb', r: 200, g: 0, b: 0 } as const;
    const art = {
      width: 40,
      height: 30,
      shapes: [{ path, rule: 'nonzero', fill: red, stroke: null, opacity: 1 }],
    } as const;
    const vector = element<'vector'>({
      kind: 'vector',
      id: 'v',
      drawing: 'a'.repeat(64),
      placement: { against: { box: 'trim' }, x: { start: 10, size: 80 }, y: { start: 10, size: 60 } },
      recolour: [{ from: red, to: { kind: 'paper' } }],
    });
    const job = makeJob([vector]);
    const { job: apart, ids } = ungrouped(deskOn(job), vector, art);
    const [made] = elementsOn(pieceOf(apart), 'front');
    expect(ids).toHaveLength(1);
    expect(made).toMatchObject({ kind: 'shape', fill: { kind: 'paper' } });
    expect(drawn(apart).frames[0]?.rect).toMatchObject({ x: 10, y: 10, width: 80, height: 60 });
    expect(pieceOf(apart).groups).toHaveLength(1);
  });
  test('a measure taken off the list leaves its length behind', () => {
    const measures = [{ id: 'm', name: 'edge', value: 14 }];
    const job = makeJob(
      [
        box('a', [0, 0, 5, 5], {
          placement: {
            against: { box: 'trim' },
            x: { start: { measure: 'm', times: 2 }, size: 5 },
            y: { start: 0, size: 5 },
          },
        }),
      ],
      { measures },
    );
    const after = withoutMeasure(job, 'm');
    expect(find(after, 'a').placement.x.start).toBe(28);
    expect(after.measures).toEqual([]);
  });
});

describe('groups, boxes and dependants', () => {
  test('one of a group stands for all of it', () => {
    const grouped = groupSelection(start, 'front', ['a', 'c']);
    const elements = elementsOn(pieceOf(grouped), 'front');
    expect(withGroupMates(elements, ['c'])).toEqual(['a', 'c']);
    expect(
      groupOf(
        pieceOf(grouped),
        elements.filter((e) => e.id === 'a' || e.id === 'c'),
      )?.name,
    ).toBe('Group 1');
    expect(groupOf(pieceOf(grouped), elements)).toBeUndefined();
    // Members lie together, where the topmost lay.
    expect(elements.map((e) => e.id)).toEqual(['b', 'a', 'c', 'd']);
    expect(pieceOf(ungroupSelection(grouped, 'front', ['a', 'c'])).groups).toEqual([]);
  });
  test('what waits for an element is not offered to it', () => {
    const on = (id: string) =>
      ({
        against: { box: 'element', element: id, part: 'past' },
        x: { start: 1, size: 5 },
        y: { start: 1, size: 5 },
      }) as const;
    const job = makeJob([
      box('a', [0, 0, 9, 9]),
      box('b', [0, 0, 1, 1], { placement: on('a') }),
      box('c', [0, 0, 1, 1], { placement: on('b') }),
    ]);
    const waiting = dependants('a', elementsOn(pieceOf(job), 'front'), []);
    expect([...waiting].sort()).toEqual(['a', 'b', 'c']);
    const names = boxChoices(drawn(job).boxes, dependants('c', elementsOn(pieceOf(job), 'front'), [])).map(
      (c) => c.name,
    );
    expect(names).toEqual(expect.arrayContaining(['trim', 'a', 'past a', 'before b', 'visible part of a']));
    expect(names.filter((n) => n.includes('c'))).toEqual([]);
  });
  test('what stands against something that moves along is carried once', () => {
    const placement = {
      against: { box: 'element', element: 'a', part: 'whole' },
      x: { start: 2, size: 5 },
      y: { start: 2, size: 5 },
    } as const;
    const job = makeJob([box('a', [10, 10, 20, 20]), box('b', [0, 0, 1, 1], { placement })]);
    const { boxes } = drawn(job);
    const moved = drawn(moveBy(job, 'front', boxes, ['a', 'b'], 6, 0));
    expect(boundsIn(moved, ['a', 'b']).map((r) => r.x)).toEqual([16, 18]);
  });
  test('frames fill every cell in reading order', () => {
    const grids = [
      NamedGrid.parse({ id: 'g', name: 'pictures', in: { box: 'safe' }, columns: 3, rows: 2, gutter: 3, rowGutter: 3 }),
    ];
    const job = makeJob([], {}, { grids });
    const { job: after, ids } = framesInCells(deskOn(job), grids[0] ?? NamedGrid.parse({}));
    const rects = drawn(after).frames.map((f) => f.rect);
    expect(ids).toHaveLength(6);
    expect(rects[0]).toMatchObject({ x: 5, y: 5, width: (138 - 6) / 3 });
    expect(rects[1]?.x).toBeCloseTo(5 + 44 + 3, 9);
    expect(rects[3]).toMatchObject({ x: 5, y: 5 + (200 - 3) / 2 + 3 });
  });
});

describe('points of a path', () => {
  const wave: Path = [
    ['M', 0, 0],
    ['C', 10, 0, 20, 10, 30, 10],
    ['L', 50, 10],
  ];
  test('a point takes its handles with it, a handle goes alone', () => {
    expect(movePoint(wave, { step: 1, part: 'end' }, { x: 33, y: 14 })).toEqual([
      ['M', 0, 0],
      ['C', 10, 0, 23, 14, 33, 14],
      ['L', 50, 10],
    ]);
    expect(movePoint(wave, { step: 1, part: 'first' }, { x: 1, y: 2 })[1]).toEqual(['C', 1, 2, 20, 10, 30, 10]);
    expect(handlesOf(wave)).toHaveLength(5);
  });
  test('a point put in changes nothing of the form (de Casteljau)', () => {
    const two = insertPoint(wave, 1, 0.3);
    expect(two).toHaveLength(4);
    const [a, b] = [pathBounds(wave), pathBounds(two)];
    for (const key of ['x', 'y', 'width', 'height'] as const) expect(b[key]).toBeCloseTo(a[key], 2);
    expect(nearestOn(wave, { x: 40, y: 11 })).toMatchObject({ step: 2 });
  });
  test('taken out, bent and straightened', () => {
    expect(removePoint(wave, { step: 0, part: 'end' })[0]).toEqual(['M', 30, 10]);
    const bent = switchCurve(wave, { step: 2, part: 'end' });
    expect(bent[2]?.[0]).toBe('C');
    expect(switchCurve(bent, { step: 2, part: 'end' })).toEqual(wave);
    expect(
      removePoint(
        [
          ['M', 0, 0],
          ['L', 1, 1],
        ],
        { step: 1, part: 'end' },
      ),
    ).toHaveLength(2);
  });
  test('its box follows it', () => {
    const job = makeJob([shape('p', [10, 10, 50, 10], { form: 'path', data: 'M0 0L1 1' })]);
    const { boxes } = drawn(job);
    const after = withPath(
      find(job, 'p'),
      [
        ['M', 10, 10],
        ['L', 90, 40],
      ],
      boxes,
    );
    expect(after.placement.x).toEqual({ start: 10, size: 80 });
    expect(after.kind === 'shape' && after.shape).toMatchObject({ data: 'M0 0L1 1' });
  });
});

describe('by hand', () => {
  test('a colour is picked from the topmost thing: a build, a gradient at its place, a picture’s pixel', () => {
    const sky = {
      kind: 'gradient',
      angle: 0,
      stops: [
        { at: 0, paint: { kind: 'process', c: 100, m: 0, y: 0, k: 0 } },
        { at: 100, paint: { kind: 'process', c: 0, m: 40, y: 0, k: 0 } },
      ],
    } as const;
    const job = makeJob([
      box('g', [0, 0, 100, 50], { fill: { ...sky, stops: [...sky.stops] } }),
      box('top', [20, 20, 10, 10], { fill: { kind: 'rgb', r: 9, g: 8, b: 7 } }),
    ]);
    const drawing = drawn(job);
    expect(pickedAt(drawing, { x: 25, y: 25 })).toEqual({ kind: 'paint', paint: { kind: 'rgb', r: 9, g: 8, b: 7 } });
    expect(pickedAt(drawing, { x: 50, y: 10 })).toEqual({
      kind: 'paint',
      paint: { kind: 'process', c: 50, m: 20, y: 0, k: 0 },
    });
    expect(pickedAt(drawing, { x: 140, y: 200 })).toBeUndefined();
  });
  test('content moves within a turned frame the way the pointer goes', () => {
    const frame = element<'picture'>({
      kind: 'picture',
      id: 'p',
      picture: null,
      placement: { against: { box: 'trim' }, x: { start: 10, size: 40 }, y: { start: 10, size: 40 }, rotate: 90 },
    });
    const job = makeJob([frame]);
    const { job: after } = dragContent(
      { ...deskOn(job), side: 'front', selection: ['p'], step: 0.5, reach: 0 },
      'p',
      4,
      0,
    );
    expect(find(after, 'p')).toMatchObject({ offset: { x: 0, y: -4 } });
  });
  test('a set of effects is pasted as it is or scaled to the size it goes to', () => {
    const shadow = Effect.parse({ effect: 'shadow', dx: 2, dy: 4, blur: 6, paint: { kind: 'paper' } });
    copyEffects([shadow], { width: 30, height: 40 });
    const kept = copiedEffects();
    if (!kept) throw new Error('nothing kept');
    expect(scaledEffects(kept, { width: 60, height: 80 })[0]).toMatchObject({ dx: 4, dy: 8, blur: 12 });
    expect(kept.effects[0]).toBe(shadow);
  });
  test('a mirrored copy is where a mirror would show it', () => {
    const frame = drawn(start).frames.find((f) => f.element === 'd');
    const there = frame?.copies[1];
    expect(there && apply(there, centreOf(frame.rect)).x).toBeCloseTo(148 - 96, 9);
  });
});
