import { openDesk } from '../../output';
import { box, inMemory, makeJob, shape, words } from '../../testing/jobs';
import { python } from '../../testing/programs';
import { flatten, pathArea, pathBounds } from '../layout';
import type { Element, Finishing, Job } from '../job';

const drawn = async (front: readonly Element[], list: readonly Finishing[], more: Partial<Job> = {}) => {
  const [side] = (await openDesk(makeJob(front, more, { finish: { front: [...list] } }), inMemory())).sides;
  if (!side) throw new Error('no side');
  return side.drawing;
};
const coat = (of: Extract<Finishing, { does: 'coat' }>['of'], spread = 0): Finishing => ({
  does: 'coat',
  id: 'c',
  coating: 'uv',
  of,
  spread,
});
const MOON = shape('moon', [40, 60, 50, 50], { form: 'ellipse' });

describe('coated areas', () => {
  test('spread and choke of a circle: π (r ± s)²', async () => {
    for (const spread of [0, 0.3, 2, -0.25, -5]) {
      const { coats } = await drawn([MOON], [coat({ from: 'elements', elements: ['moon'] }, spread)]);
      const area = Math.PI * (25 + spread) ** 2;
      expect(Math.abs(pathArea(coats[0]?.path ?? []) - area) / area).toBeLessThan(0.001);
    }
  });

  test('shapes that overlap are one area: what shapely makes of them', async () => {
    const star = shape('star', [70, 70, 40, 40], { form: 'star' });
    const { coats, frames } = await drawn([MOON, star], [coat({ from: 'elements', elements: ['moon', 'star'] }, 0.5)]);
    const outlines = frames.map((f) => {
      const [leaf] = f.items;
      return leaf?.kind === 'path' ? flatten(leaf.path, 0.002).flatMap((part) => part.map(({ x, y }) => [x, y])) : [];
    });
    const theirs = python(
      'from shapely.geometry import Polygon\nfrom shapely.ops import unary_union\n' +
        'print(json.dumps(unary_union([Polygon(p) for p in data]).buffer(0.5, 64).area))',
      outlines,
    );
    expect(Math.abs(pathArea(coats[0]?.path ?? []) - Number(theirs)) / Number(theirs)).toBeLessThan(0.001);
  });

  test('type is coated by its letters, and everything of a colour by that colour', async () => {
    const red = { kind: 'process', c: 0, m: 90, y: 80, k: 0 } as const;
    const front = [
      MOON,
      words('t', 'Moon', [20, 20, 80, 30], { sizePt: 40, paint: red }),
      box('b', [10, 150, 20, 20], { fill: red }),
    ];
    const text = await drawn(front, [coat({ from: 'elements', elements: ['t'] })]);
    const both = await drawn(front, [coat({ from: 'paint', paint: red })]);
    expect(text.notes).toEqual([]);
    const [letters, all] = [text, both].map(({ coats }) => pathArea(coats[0]?.path ?? []));
    expect(letters).toBeGreaterThan(20);
    expect(all).toBeCloseTo((letters ?? 0) + 400, 1);
  });

  test('an element that is not printed is followed all the same', async () => {
    const { coats, frames } = await drawn(
      [{ ...MOON, unprinted: true }],
      [coat({ from: 'elements', elements: ['moon'] })],
    );
    expect(frames[0]?.items).toEqual([]);
    expect(pathArea(coats[0]?.path ?? []) / (Math.PI * 625)).toBeCloseTo(1, 3);
  });

  test('shapes of a picture that is not there are said to be lost', async () => {
    const { coats, notes } = await drawn(
      [],
      [coat({ from: 'picture', element: 'gone', by: 'ground', threshold: 12, shapes: 'M0 0L1 0L1 1Z' })],
    );
    expect(coats).toEqual([]);
    expect(notes).toMatchObject([{ kind: 'finish-lost', finishing: 'c' }]);
  });
});

describe('process lines', () => {
  const line = (course: Extract<Finishing, { does: 'line' }>['course'], past = 0): Finishing => ({
    does: 'line',
    id: 'l',
    process: 'perforation',
    course,
    past,
  });
  const trim = { box: 'trim' } as const;

  test('at a value from either edge, past both ends', async () => {
    const { lines } = await drawn([], [line({ course: 'straight', way: 'level', against: trim, at: -70 }, 3)]);
    expect(lines).toMatchObject([{ from: { x: -3, y: 140 }, to: { x: 151, y: 140 } }]);
  });

  test('in equal parts', async () => {
    const { lines } = await drawn([], [line({ course: 'divide', way: 'upright', against: trim, into: 4 })]);
    expect(lines.map((l) => l.from.x)).toEqual([37, 74, 111]);
  });

  test('along an outline, outside it', async () => {
    const { lines } = await drawn([MOON], [line({ course: 'outline', elements: ['moon'], offset: 2 })]);
    expect(lines).toHaveLength(1);
    const { x, width } = pathBounds(lines[0]?.path ?? []);
    expect([x, width].map((v) => Math.round(v * 10) / 10)).toEqual([38, 54]);
  });

  test('along a line that is drawn', async () => {
    const { lines } = await drawn(
      [box('b', [10, 10, 20, 20], { fill: null, stroke: { paint: { kind: 'paper' }, widthPt: 1 }, unprinted: true })],
      [line({ course: 'outline', elements: ['b'], offset: 0 })],
    );
    expect(pathBounds(lines[0]?.path ?? [])).toEqual({ x: 10, y: 10, width: 20, height: 20 });
  });
});
