import type { Item } from '../../core/drawing';
import { ellipsePath, mapPath, rectPath } from '../../core/drawing';
import { IDENTITY, rotation } from '../../core/layout';
import { svgItems, svgPage } from './index';

const context = {
  fonts: { file: () => undefined },
  colour: { toRgb: () => ({ r: 255, g: 0, b: 128 }) },
  picture: ({ picture }: { picture: string }) => `/p/${picture}?"><script>`,
  page: () => '',
};
const path = (more: Partial<Extract<Item, { kind: 'path' }>> = {}): Item => ({
  kind: 'path',
  from: 'x',
  opacity: 1,
  matrix: IDENTITY,
  path: rectPath({ x: 0, y: 0, width: 10, height: 5 }),
  fill: { kind: 'process', build: { c: 0, m: 0, y: 0, k: 0 }, overprint: false },
  stroke: null,
  ...more,
});

test('a box is one path in millimetres, in the colour that the engine gives', () => {
  expect(svgItems([path()], context)).toBe('<path d="M0 0L10 0L10 5L0 5Z" fill="#ff0080"/>');
});

test('opacity and turning wrap it, marks are black', () => {
  const svg = svgItems(
    [path({ opacity: 0.5, matrix: rotation(90, { x: 0, y: 0 }), fill: { kind: 'registration', tint: 100 } })],
    context,
  );
  expect(svg).toContain('opacity="0.5"');
  expect(svg).toContain('matrix(0 1 -1 0 0 0)');
  expect(svg).toContain('fill="#000000"');
});

test('an address cannot break out of its attribute', () => {
  const item: Item = {
    kind: 'picture',
    from: 'x',
    opacity: 1,
    matrix: IDENTITY,
    picture: 'a',
    image: { x: -5, y: 0, width: 20, height: 10 },
    frame: { x: 0, y: 0, width: 10, height: 10 },
  };
  const svg = svgItems([item], context);
  expect(svg).not.toContain('<script>');
  // The frame crops: a viewport of the clip, with the picture placed inside it.
  expect(svg).toContain(
    '<svg x="0" y="0" width="10" height="10" viewBox="0 0 10 10" preserveAspectRatio="none" ' +
      'overflow="hidden"><image x="-5" y="0" width="20" height="10"',
  );
});

test('a page shows the box that is asked for, on white', () => {
  expect(svgPage([], { x: -3, y: -3, width: 154, height: 216 }, context)).toMatch(
    /viewBox="-3 -3 154 216" width="154mm" height="216mm"/,
  );
});

describe('outlines', () => {
  test('a circle of four cubics is round to three parts in ten thousand of its radius', () => {
    // The well-known error of the 4/3(√2 − 1) handle is 0.027 %.
    let [x, y] = [0, 0];
    let worst = 0;
    for (const s of ellipsePath({ x: -1, y: -1, width: 2, height: 2 })) {
      if (s[0] === 'C') {
        const [, a, b, c, d, e, f] = s;
        for (let t = 0; t <= 1; t += 0.05) {
          const u = 1 - t;
          const at = (p0: number, p1: number, p2: number, p3: number) =>
            u ** 3 * p0 + 3 * u * u * t * p1 + 3 * u * t * t * p2 + t ** 3 * p3;
          worst = Math.max(worst, Math.abs(Math.hypot(at(x, a, c, e), at(y, b, d, f)) - 1));
        }
        [x, y] = [e, f];
      } else if (s[0] === 'M') [x, y] = [s[1], s[2]];
    }
    expect(worst).toBeLessThan(0.0003);
  });
  test('a corner radius is at most half the shorter side', () => {
    expect(rectPath({ x: 0, y: 0, width: 10, height: 4 }, 50)).toEqual(
      rectPath({ x: 0, y: 0, width: 10, height: 4 }, 2),
    );
  });
  test('a quarter turn moves every point by the closed form', () => {
    expect(mapPath([['M', 1, 0], ['C', 1, 1, 2, 0, 3, 1], ['Z']], [0, 1, -1, 0, 5, 0])).toEqual([
      ['M', 5, 1],
      ['C', 4, 1, 5, 2, 4, 3],
      ['Z'],
    ]);
  });
});
