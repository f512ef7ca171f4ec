import type { Item } from '../../core/drawing';
import { ellipsePath, mapPath, rectPath } from '../../core/drawing';
import { IDENTITY, rotation } from '../../core/layout';
import { SANS } from '../../testing/type';
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

describe('letters', () => {
  const [file] = SANS.files;
  if (!file) throw new Error('no font');

  /** Points that a path of M, m, l, c and z leads through, as SVG reads it (SVG 2, 9.3). */
  function pointsOf(d: string): number[][] {
    let [at, start] = [
      [0, 0],
      [0, 0],
    ];
    return [...d.matchAll(/([Mmlcz])([^Mmlcz]*)/g)].flatMap(([, letter = '', rest = '']) => {
      if (letter === 'z') {
        at = start;
        return [];
      }
      const numbers = rest.trim().split(/\s+/).map(Number);
      const pairs = numbers.flatMap((x, i) => (i % 2 === 0 ? [[x, numbers[i + 1] ?? NaN]] : []));
      const from = letter === 'M' ? [0, 0] : at;
      const points = pairs.map(([x = NaN, y = NaN]) => [x + (from[0] ?? 0), y + (from[1] ?? 0)]);
      at = points.at(-1) ?? at;
      if (letter === 'M' || letter === 'm') start = at;
      return points;
    });
  }

  test.each(['&', 'g', '%', 'Å'])('%s is written as its font draws it, wherever it stands', (letter) => {
    const gid = file.shape(letter, 'en-GB', [])[0]?.gid ?? 0;
    const [size, x, y] = [14.1, 33.337, 71.9];
    const item: Item = {
      kind: 'glyphs',
      from: 't',
      opacity: 1,
      matrix: IDENTITY,
      font: 'f',
      size,
      glyphs: [
        { gid, x: 5, y: 5, text: letter },
        { gid, x, y, text: letter },
      ],
      ink: { kind: 'process', build: { c: 0, m: 0, y: 0, k: 100 }, overprint: true },
    };
    const [, d = ''] = / d="([^"]*)"/.exec(svgItems([item], { ...context, fonts: { file: () => file } })) ?? [];
    const scale = size / file.unitsPerEm;
    const drawn = file.outline(gid).flatMap(([, ...numbers]) => {
      const units: readonly number[] = numbers;
      return units.flatMap((u, i) => (i % 2 === 0 ? [[u * scale, -(units[i + 1] ?? NaN) * scale]] : []));
    });
    const points = pointsOf(d);
    expect(points).toHaveLength(2 * drawn.length);
    drawn.forEach(([u = 0, v = 0], i) => {
      const [px = NaN, py = NaN] = points[drawn.length + i] ?? [];
      expect(Math.abs(px - x - u)).toBeLessThan(2e-4);
      expect(Math.abs(py - y - v)).toBeLessThan(2e-4);
    });
  });
});
