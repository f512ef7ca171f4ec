import fc from 'fast-check';
import type { Drawing } from '../drawing';
import type { Element, Job } from '../job';
import { apply, centreOf, cornersOf, rotation, solve } from '../layout';
import { openDesk } from '../../output';
import { box, inMemory, line, makeJob } from '../../testing/jobs';
import { boundsOf, dragMove, dragStretch, dragTurn, framesAt, isGround, moveBy, type Handle } from './gestures';

const drawn = async (front: readonly Element[]): Promise<{ job: Job; drawing: Drawing }> => {
  const job = makeJob(front);
  const drawing = (await openDesk(job, inMemory())).sides[0]?.drawing;
  if (!drawing) throw new Error('nothing drawn');
  return { job, drawing };
};
const context = (desk: { job: Job; drawing: Drawing }, selection: readonly string[], reach = 0, step = 0.001) => ({
  ...desk,
  side: 'front' as const,
  selection,
  step,
  reach,
});
const rectOf = (job: Job, drawing: Drawing, id: string) => {
  const element = job.pieces[0]?.surfaces['front']?.find((e) => e.id === id);
  if (!element) throw new Error('gone');
  return solve(element.placement, drawing.boxes);
};

const ground = box('ground', [0, 0, 148, 210]);
const turned: Element = {
  ...box('turned', [40, 40, 40, 20]),
  placement: { ...box('x', [40, 40, 40, 20]).placement, rotate: 30 },
};

describe('finding what lies under the pointer', () => {
  test('the topmost first, and the whole pile', async () => {
    const { drawing } = await drawn([ground, box('a', [10, 10, 20, 20]), box('b', [15, 15, 20, 20])]);
    expect(framesAt(drawing, { x: 20, y: 20 }, 0).map((f) => f.element)).toEqual(['b', 'a', 'ground']);
    expect(framesAt(drawing, { x: 12, y: 12 }, 0).map((f) => f.element)).toEqual(['a', 'ground']);
  });
  test('a turned element where it really is, a thin line within reach', async () => {
    const { drawing } = await drawn([turned, line('rule', [10, 150, 100, 0])]);
    // The upright corner is empty once it is turned; the turned corner is not.
    expect(framesAt(drawing, { x: 41, y: 41 }, 0)).toEqual([]);
    const corner = apply(rotation(30, { x: 60, y: 50 }), { x: 42, y: 42 });
    expect(framesAt(drawing, corner, 0).map((f) => f.element)).toEqual(['turned']);
    expect(framesAt(drawing, { x: 50, y: 151 }, 2).map((f) => f.element)).toEqual(['rule']);
    expect(framesAt(drawing, { x: 50, y: 153 }, 2)).toEqual([]);
  });
  test('a background is known as one', async () => {
    const { drawing } = await drawn([ground, turned]);
    expect(drawing.frames.map((f) => isGround(f, drawing.boxes))).toEqual([true, false]);
  });
});

describe('moving', () => {
  test('goes as far as the pointer, for any distance, all of the selection alike', async () => {
    const desk = await drawn([box('a', [10, 10, 20, 20]), box('b', [60, 90, 10, 10])]);
    fc.assert(
      fc.property(fc.integer({ min: -50, max: 50 }), fc.integer({ min: -50, max: 50 }), (dx, dy) => {
        const { job } = dragMove(context(desk, ['a', 'b']), dx, dy);
        const [a, b] = [rectOf(job, desk.drawing, 'a'), rectOf(job, desk.drawing, 'b')];
        expect([a.x, a.y, b.x, b.y].map((v) => Math.round(v * 1000) / 1000)).toEqual([
          10 + dx,
          10 + dy,
          60 + dx,
          90 + dy,
        ]);
      }),
    );
  });
  test('catches on the centre of the trim and says so', async () => {
    const desk = await drawn([box('a', [10, 10, 20, 20])]);
    const { job, caught } = dragMove(context(desk, ['a'], 1), 53.6, 3);
    expect(centreOf(rectOf(job, desk.drawing, 'a')).x).toBe(74);
    expect(caught).toEqual([{ axis: 'x', line: { at: 74, name: 'centre of trim' } }]);
  });
  test('rounds to the step where nothing catches', async () => {
    const desk = await drawn([box('a', [10, 10, 20, 20])]);
    const { job } = dragMove(context(desk, ['a'], 0, 0.5), 3.3, 0);
    expect(rectOf(job, desk.drawing, 'a').x).toBe(13.5);
  });
  test('ten steps in quick succession are ten steps', async () => {
    const desk = await drawn([box('a', [10, 10, 20, 20])]);
    let { job } = desk;
    for (let i = 0; i < 10; i += 1) job = moveBy(job, 'front', desk.drawing.boxes, ['a'], 0.5, 0);
    expect(rectOf(job, desk.drawing, 'a').x).toBe(15);
  });
  test('there and back again is where it was', async () => {
    const desk = await drawn([turned]);
    const { boxes } = desk.drawing;
    const there = moveBy(desk.job, 'front', boxes, ['turned'], 12.345, -6.789);
    const back = moveBy(there, 'front', boxes, ['turned'], -12.345, 6.789);
    expect(rectOf(back, desk.drawing, 'turned')).toEqual(rectOf(desk.job, desk.drawing, 'turned'));
  });
});

describe('stretching', () => {
  const handles: readonly Handle[] = [
    { x: 1, y: 1 },
    { x: -1, y: -1 },
    { x: 1, y: 0 },
    { x: 0, y: -1 },
  ];
  test.each(handles)('by %j, the opposite side stays, also when turned', async (handle) => {
    for (const element of [box('a', [40, 40, 40, 20]), turned]) {
      const desk = await drawn([element]);
      const { job } = dragStretch(context(desk, [element.id]), handle, 5, 7, false);
      const drawing = (await openDesk(job, inMemory())).sides[0]?.drawing;
      const [before, after] = [desk.drawing.frames[0], drawing?.frames[0]];
      if (!before || !after) throw new Error('not drawn');
      // The corner opposite to the handle, where it is on the sheet.
      const index = handle.x >= 0 ? (handle.y >= 0 ? 0 : 3) : handle.y >= 0 ? 1 : 2;
      const corner = (f: typeof before) =>
        apply(rotation(f.rotate, centreOf(f.rect)), cornersOf(f.rect)[index] ?? { x: 0, y: 0 });
      expect(corner(after).x).toBeCloseTo(corner(before).x, 2);
      expect(corner(after).y).toBeCloseTo(corner(before).y, 2);
    }
  });
  test('keeps width to height when asked to', async () => {
    const desk = await drawn([box('a', [40, 40, 40, 20])]);
    const { job } = dragStretch(context(desk, ['a']), { x: 1, y: 1 }, 20, 1, true);
    const rect = rectOf(job, desk.drawing, 'a');
    expect(rect.width / rect.height).toBeCloseTo(2, 6);
    expect(rect.width).toBeCloseTo(60, 6);
  });
  test('never turns inside out', async () => {
    const desk = await drawn([box('a', [40, 40, 40, 20])]);
    const { job } = dragStretch(context(desk, ['a']), { x: 1, y: 1 }, -100, -100, false);
    const rect = rectOf(job, desk.drawing, 'a');
    expect(rect.width).toBeCloseTo(0.1, 6);
    expect([rect.x, rect.y]).toEqual([40, 40]);
  });
});

test('turning points the knob at the pointer, in steps when asked', async () => {
  const desk = await drawn([box('a', [40, 40, 40, 20])]);
  const degrees = (x: number, y: number, steps: boolean) =>
    dragTurn(context(desk, ['a']), { x, y }, steps).job.pieces[0]?.surfaces['front']?.[0]?.placement.rotate;
  expect(degrees(100, 50, false)).toBe(90);
  expect(degrees(60, 100, false)).toBe(180);
  expect(degrees(20, 50, false)).toBe(-90);
  expect(degrees(66, 20, true)).toBe(15);
});

test('bounds of a turned element hold all of its corners', async () => {
  const { drawing } = await drawn([turned]);
  const [frame] = drawing.frames;
  if (!frame) throw new Error('not drawn');
  const bounds = boundsOf([frame]);
  // Closed form: w·cos + h·sin and w·sin + h·cos for 40 × 20 at 30°.
  expect(bounds.width).toBeCloseTo(40 * Math.cos(Math.PI / 6) + 20 * 0.5, 6);
  expect(bounds.height).toBeCloseTo(40 * 0.5 + 20 * Math.cos(Math.PI / 6), 6);
});
