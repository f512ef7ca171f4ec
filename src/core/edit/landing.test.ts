import { begin, box, inMemory, line, makeJob, words } from '../../testing/jobs';
import { blankOf, type Element, type Job } from '../job';
import { landed, landingAt, landingOnBare, overlaps, type Rect } from '../layout';
import { openDesk } from '../../output';
import { drawnJobOf } from '../../testing/drawn';
import { landingOn, styleUsedIn } from './landing';
import { added, pieceOf } from './on-side';
import { newElement, type Addable } from './new-element';

const drawn = async (job: Job) => drawnJobOf(job, (await openDesk(job, inMemory())).resources);

/** What is added to a side, and where it then stands. */
async function place(job: Job, what: Addable, eye?: { x: number; y: number }) {
  const { drawing } = await drawn(job);
  const element = newElement(what, drawing.boxes, landingOn(drawing, eye));
  const after = await drawn(added(job, drawing.surface, [element]).job);
  const rect = after.drawing.frames.find((f) => f.element === element.id)?.rect;
  if (!rect) throw new Error('it is not there');
  return { element, rect };
}

const frame = (id: string, [x, y, width, height]: readonly [number, number, number, number]): Element =>
  box(id, [x, y, width, height]);

test('on a bare side it stands as a hand would put it: across the safe area, in its upper third', async () => {
  const { element, rect } = await place(makeJob([]), 'text');
  expect(element.placement).toMatchObject({ against: { box: 'safe' }, x: { start: 0, end: 0 } });
  expect(rect.y + rect.height / 2).toBeCloseTo(5 + 200 / 3, 6);
});

test('not on top of what is there: below it, and above it where there is no room below', async () => {
  const head = frame('head', [10, 50, 120, 40]);
  const under = await place(makeJob([head]), 'text');
  expect(under.rect.y).toBeCloseTo(93, 6);
  const tall = frame('tall', [10, 50, 60, 155]);
  const over = await place(makeJob([tall]), 'text');
  expect(over.rect.y + over.rect.height).toBeCloseTo(47, 6);
  // Beside it there is room at the same height.
  const small = frame('small', [10, 50, 20, 60]);
  expect((await place(makeJob([small]), 'rectangle')).rect.x).toBeGreaterThan(30);
});

test('beside what fills the column, and smaller where there is no room for it as large as it is', async () => {
  const column = frame('column', [30, 8, 60, 190]);
  const beside = await place(makeJob([column]), 'picture');
  expect(overlaps(beside.rect, { x: 30, y: 8, width: 60, height: 190 })).toBe(false);
  // A gap of 42 mm in the middle of the side, from edge to edge.
  const shelves = [frame('top', [5, 5, 138, 79]), frame('bottom', [5, 126, 138, 79])];
  const between = await place(makeJob(shelves), 'picture');
  expect([between.rect.y >= 84, between.rect.y + between.rect.height <= 126]).toEqual([true, true]);
  const usual = (await place(makeJob([]), 'picture')).rect;
  expect(between.rect.width / usual.width).toBeCloseTo(3 / 4, 6);
  expect(between.rect.width / between.rect.height).toBeCloseTo(usual.width / usual.height, 6);
});

test('words take half the room where nothing goes from side to side, and lie on top where all is full', async () => {
  const left = frame('left', [5, 5, 60, 200]);
  const { rect } = await place(makeJob([left]), 'text');
  expect(rect.x).toBeGreaterThanOrEqual(65);
  expect(rect.width).toBeCloseTo(69, 6);
  const full = Array.from({ length: 8 }, (_, i) => frame(`f${i}`, [5, 5 + i * 25, 138, 25]));
  expect((await place(makeJob(full), 'text')).rect.y).toBeGreaterThan(5);
});

test.each([
  [139.7, 215.9, 4.7625],
  [88.9, 50.8, 3.175],
])('a side of inches, %s × %s mm, is gone across from edge to edge', async (width, height, safe) => {
  const inches = makeJob(
    [],
    {},
    { size: { width, height }, safe: { top: safe, right: safe, bottom: safe, left: safe } },
  );
  const { element } = await place(inches, 'text');
  expect(element.placement.x).toEqual({ start: 0, end: 0 });
});

test('a ground, and what fills most of the side, is lain upon', async () => {
  const ground = frame('ground', [-3, -3, 154, 216]);
  const panel = frame('panel', [8, 8, 132, 180]);
  const bare = await place(makeJob([]), 'text');
  expect((await place(makeJob([ground, panel]), 'text')).rect).toEqual(bare.rect);
});

test('words take the style that was used last in their place', async () => {
  const folder = begin('brochure', { fold: 'letter' });
  const styled = (id: string, panel: Rect, style: string | null) => ({
    ...words(id, id, [panel.x + 10, 20, 60, 10]),
    style,
  });
  const styles = ['head', 'body'].map((id) => ({
    of: 'paragraph' as const,
    id,
    name: id,
    basedOn: null,
    next: null,
    look: {},
  }));
  const [side] = blankOf(folder, pieceOf(folder)).surfaces;
  const [first, second, third] = side?.boxes.panels ?? [];
  if (!side || !first || !second || !third) throw new Error('no panels');
  const elements = [
    styled('a', first, 'head'),
    styled('b', first, 'body'),
    styled('c', first, null),
    styled('d', second, 'head'),
  ];
  const job = { ...added(folder, side.name, elements).job, styles };
  const { drawing } = await drawn(job);
  const used = ({ x, width }: Rect) => styleUsedIn(landingOn(drawing, { x: x + width / 2, y: 100 }), drawing, elements);
  expect([used(first), used(second), used(third)]).toEqual(['body', 'head', null]);
  expect(newElement('text', drawing.boxes, undefined, 'body')).toMatchObject({ style: 'body', look: {} });
  expect(newElement('text', drawing.boxes)).toMatchObject({ style: null, look: { sizePt: 12 } });
});

test('where one looks', async () => {
  const { rect } = await place(makeJob([]), 'star', { x: 40, y: 150 });
  expect([rect.x + rect.width / 2, rect.y + rect.height / 2]).toEqual([40, 150]);
});

describe('on a folded piece', () => {
  const folder = begin('brochure', { fold: 'letter' });
  const [side] = blankOf(folder, pieceOf(folder)).surfaces;
  const panels = side?.boxes.panels ?? [];

  test.each(panels.map(({ name }, i) => [name, i] as const))('in panel %s, never across a fold', async (name, i) => {
    const panel = panels[i] as Rect;
    const eye = { x: panel.x + 2, y: panel.y + panel.height / 2 };
    for (const what of ['text', 'table', 'picture', 'line', 'star'] as const) {
      const { element, rect } = await place(folder, what, eye);
      expect(element.placement.against).toEqual({ box: 'panel', panel: name });
      expect(rect.x).toBeGreaterThanOrEqual(panel.x);
      expect(rect.x + rect.width).toBeLessThanOrEqual(panel.x + panel.width + 1e-9);
    }
  });
});

test('many things one after the other lie on nothing, as long as there is room', async () => {
  let job = makeJob([words('t', 'There already', [10, 60, 100, 10]), line('l', [10, 90, 100, 0])]);
  const rects: Rect[] = [];
  for (let i = 0; i < 6; i += 1) {
    const { element, rect } = await place(job, 'text');
    expect(rects.filter((other) => overlaps(other, rect))).toEqual([]);
    rects.push(rect);
    job = added(job, 'front', [element]).job;
  }
});

test('what is dropped lies where it falls; where nothing is free, on top after all', () => {
  const [surface] = blankOf(makeJob([]), pieceOf(makeJob([]))).surfaces;
  if (!surface) throw new Error('no side');
  const { boxes } = surface;
  expect(landed(landingAt(boxes, { x: 0, y: 20 }), { width: 6, height: 10 })).toMatchObject({ x: -3, y: 15 });
  const full = { ...landingOnBare(boxes), taken: [boxes.safe] };
  expect(landed(full, { width: 50, height: 20 })).toEqual(landed(landingOnBare(boxes), { width: 50, height: 20 }));
});
