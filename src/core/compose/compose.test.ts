import { itemsOf } from '../drawing';
import { openDesk } from '../../output';
import { box, inMemory, line, makeJob, picture, pictureFacts, words } from '../../testing/jobs';
import { createComposer, composeContextOf, effectivePpi, faceFor, fitPicture } from './index';
import { nameOf, shortNameOf } from '../element';

const SHA = 'd'.repeat(64);

describe('a picture in its frame', () => {
  const frame = { x: 10, y: 20, width: 60, height: 30 };
  const square = { width: 600, height: 600 };
  const middle = { x: 0.5, y: 0.5 };
  test('fill covers it, cropped alike on both sides', () => {
    expect(fitPicture(frame, square, { mode: 'fill' }, middle, 300)).toEqual({ x: 10, y: 5, width: 60, height: 60 });
  });
  test('the focal point is kept in view as far as the frame stays covered', () => {
    expect(fitPicture(frame, square, { mode: 'fill' }, { x: 0.5, y: 0 }, 300).y).toBe(20);
    expect(fitPicture(frame, square, { mode: 'fill' }, { x: 0.5, y: 1 }, 300).y).toBe(-10);
    expect(fitPicture(frame, square, { mode: 'fill' }, { x: 0.5, y: 0.4 }, 300).y).toBeCloseTo(11, 9);
  });
  test('fit stays wholly inside', () => {
    expect(fitPicture(frame, square, { mode: 'fit' }, middle, 300)).toEqual({ x: 25, y: 20, width: 30, height: 30 });
  });
  test('100 % is its size at the needed resolution: 600 px at 300 ppi are 2 in', () => {
    const image = fitPicture(frame, square, { mode: 'scale', percent: 100 }, middle, 300);
    expect(image.width).toBeCloseTo(50.8, 9);
    expect(effectivePpi(image, square)).toBeCloseTo(300, 9);
  });
});

const drawn = async (front: Parameters<typeof makeJob>[0], more: Parameters<typeof makeJob>[1] = {}) => {
  const side = (await openDesk(makeJob(front, more), inMemory())).sides[0];
  if (!side) throw new Error('nothing drawn');
  return side.drawing;
};

test('an element is composed once while it and its surroundings stay', async () => {
  const job = makeJob([box('a', [0, 0, 10, 10]), words('b', 'Moon', [20, 20, 40, 10])]);
  const desk = await openDesk(job, inMemory());
  const [side] = desk.sides;
  if (!side) throw new Error('nothing drawn');
  const composer = createComposer(composeContextOf(job, 300, desk.resources));
  const [piece] = job.pieces;
  if (!piece) throw new Error('no piece');
  const drawn = (of: typeof piece) => composer.piece(of, side.blank.surfaces).drawings[0];
  const one = drawn(piece);
  const front = piece.surfaces['front'] ?? [];
  const two = drawn({
    ...piece,
    surfaces: { ...piece.surfaces, front: front.map((e, i) => (i === 0 ? { ...e } : e)) },
  });
  if (!one || !two) throw new Error('nothing drawn');
  expect(two.frames[1]).toBe(one.frames[1]);
  expect(two.frames[0]).not.toBe(one.frames[0]);
  expect(two.frames[0]).toEqual(one.frames[0]);
});

test('a drawing is plain data: it survives being sent to a worker', async () => {
  const drawing = await drawn(
    [box('a', [0, 0, 148, 210]), words('b', 'Moon', [20, 20, 40, 10]), picture('c', SHA, [0, 0, 50, 50])],
    { assets: { [SHA]: pictureFacts(600, 600) } },
  );
  expect(structuredClone(drawing)).toEqual(drawing);
  expect(JSON.parse(JSON.stringify(drawing))).toEqual(drawing);
});

test('paint order is the order of the elements, and every item knows where it came from', async () => {
  const drawing = await drawn([box('low', [0, 0, 10, 10]), box('high', [0, 0, 10, 10])]);
  expect(itemsOf(drawing).map((i) => i.from)).toEqual(['low', 'high']);
});

test('a line at the trim runs out to the bleed at its ends and nowhere else', async () => {
  const [item] = itemsOf(await drawn([line('rule', [0, 50, 148, 0])]));
  expect(item?.kind === 'path' && item.path).toEqual([
    ['M', -3, 50],
    ['L', 151, 50],
  ]);
});

test('the ink of type is measured, not its frame', async () => {
  const [frame] = (await drawn([words('a', 'moon', [20, 20, 100, 40])])).frames;
  expect(frame?.bounds.width).toBeLessThan(15);
  // x-height letters only: lower than a third of the em.
  expect(frame?.bounds.height).toBeLessThan(4);
});

test('things are called what a designer would call them', () => {
  expect(nameOf(words('a', 'Meteor night over the moor again', [0, 0, 1, 1], {}, { name: '' }))).toBe(
    'Meteor night over the',
  );
  expect(nameOf({ ...box('a', [0, 0, 1, 1]), name: '' })).toBe('Box');
  expect(nameOf(box('Band', [0, 0, 1, 1]))).toBe('Band');
  expect(shortNameOf({ ...box('a', [0, 0, 1, 1]), name: '😀'.repeat(60) })).toBe(`${'😀'.repeat(48)}…`);
});

test('a face comes from the job or from the shelf, whichever is nearer; the job’s own where both are', () => {
  const font = (weight: number) => ({
    kind: 'font' as const,
    name: 'Mine.ttf',
    family: 'Barlow',
    weight,
    italic: false,
    postscript: 'Mine',
    embedding: 'installable' as const,
  });
  const job = makeJob([], { assets: { [SHA]: font(700), ['e'.repeat(64)]: font(900) } });
  const from = (weight: number) => faceFor(job, { family: 'Barlow', weight, italic: false });
  expect(from(400)).toMatchObject({ from: 'shipped', face: { weight: 400 } });
  expect(from(700)).toMatchObject({ from: 'job', font: { sha: SHA } });
  expect(from(1000)).toMatchObject({ from: 'job', font: { weight: 900 } });
  expect(faceFor(job, { family: 'Nowhere Sans', weight: 400, italic: false })).toBeUndefined();
});
