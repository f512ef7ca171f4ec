import fc from 'fast-check';
import { asShares, Form, readPathData, shapePath, stretched } from '../element';
import { flatten, pathArea, pathBounds, pathLengths, pathText, type Rect } from '../layout';
import { carriedOut, wholeDashes } from './index';

const square: Rect = { x: 0, y: 0, width: 100, height: 100 };
const path = (form: object, r: Rect = square) => shapePath(Form.parse(form), r, {});
const points = (form: object, r?: Rect) =>
  path(form, r).flatMap((s) => (s[0] === 'L' || s[0] === 'M' ? [[s[1], s[2]]] : []));

describe('regular forms', () => {
  test.each([3, 4, 5, 6, 8, 12])('a polygon of %i sides has the area n/2 · R² · sin(2π/n)', (sides) => {
    expect(pathArea(path({ form: 'polygon', sides }))).toBeCloseTo(
      (sides / 2) * 2500 * Math.sin((2 * Math.PI) / sides),
      6,
    );
  });
  test('one corner is up', () => expect(points({ form: 'polygon', sides: 5 })[0]).toEqual([50, 0]));
  test.each([5, 6, 9])('a star of %i points has the area n · R · r · sin(π/n)', (n) => {
    expect(pathArea(path({ form: 'star', points: n, inner: 40 }))).toBeCloseTo(n * 50 * 20 * Math.sin(Math.PI / n), 6);
  });
  test('a slice of a circle has the area r²θ/2, a chord r²(θ − sin θ)/2', () => {
    const theta = (100 * Math.PI) / 180;
    expect(pathArea(path({ form: 'arc', sweep: 100, ends: 'pie' })) / ((2500 * theta) / 2)).toBeCloseTo(1, 3);
    expect(
      pathArea(path({ form: 'arc', sweep: 100, ends: 'chord' })) / ((2500 * (theta - Math.sin(theta))) / 2),
    ).toBeCloseTo(1, 2);
  });
  test('an arc begins at its angle clockwise from the top and sweeps clockwise', () => {
    const arc = path({ form: 'arc', from: 0, sweep: 90 });
    expect(arc[0]).toEqual(['M', 50, 0]);
    const [x, y] = (arc.at(-1) ?? []).slice(-2) as number[];
    expect([x, y].map((v) => Math.round((v ?? 0) * 1e6) / 1e6)).toEqual([100, 50]);
  });
  test('a rectangle with a radius for each corner loses (1 − π/4) r² at each', () => {
    const area = pathArea(path({ form: 'rectangle', radius: [10, 20, 0, 5] }));
    expect(area / (10_000 - (1 - Math.PI / 4) * (100 + 400 + 25))).toBeCloseTo(1, 4);
  });
  test('radii that do not fit side by side shrink alike', () => {
    const box = pathBounds(path({ form: 'rectangle', radius: [80, 80, 0, 0] }));
    expect(box).toMatchObject({ x: 0, y: 0, width: 100, height: 100 });
  });
});

describe('arrows', () => {
  const arrow = { form: 'arrow', shaft: 10, head: 30 };
  const flat: Rect = { x: 0, y: 0, width: 120, height: 40 };
  test('a straight one is its shaft and its head', () => {
    expect(pathArea(path(arrow, flat))).toBeCloseTo(90 * 10 + (30 * 40) / 2, 9);
    expect(points(arrow, flat)).toContainEqual([120, 20]);
  });
  test('a head at both ends', () =>
    expect(pathArea(path({ ...arrow, tail: 'head' }, flat))).toBeCloseTo(60 * 10 + 2 * ((30 * 40) / 2), 9));
  test('a notched tail loses its notch', () =>
    expect(pathArea(path({ ...arrow, tail: 'notched' }, flat))).toBeCloseTo(90 * 10 + 600 - (5 * 10) / 2, 9));
  test('a curved shaft is a ring of its thickness along the arc: t · R · θ', () => {
    // Chord 120, rise 20: R = (3600 + 400) ÷ 40 = 100, half angle asin(60 ÷ 100).
    const whole = 2 * 100 * Math.asin(0.6);
    const area = pathArea(path({ ...arrow, bend: 20 }, flat));
    expect(area / ((whole - 30) * 10 + 600)).toBeCloseTo(1, 2);
  });
  test('bent up and bent down are mirror images', () => {
    const up = pathBounds(path({ ...arrow, bend: 20 }, flat));
    const down = pathBounds(path({ ...arrow, bend: -20 }, flat));
    expect(up.y + 20 - 20).toBeCloseTo(40 - down.y - down.height, 6);
  });
  test('a head longer than the arrow ends at its tail', () => {
    expect(pathBounds(path({ ...arrow, head: 500 }, flat))).toMatchObject({ x: 0, width: 120 });
  });
});

describe('a ribbon', () => {
  const notch = (width: number) => {
    const xs = points({ form: 'ribbon', depth: 6, right: 'pointed' }, { x: 0, y: 0, width, height: 12 });
    return xs.find(([x, y]) => y === 6 && (x ?? 0) <= width / 2)?.[0];
  };
  test('its notch keeps its form when it is shortened', () => {
    expect(notch(100)).toBe(6);
    expect(notch(30)).toBe(6);
  });
  test('its ends never take more than its length', () => expect(notch(8)).toBe(4));
  test('flat ends are a rectangle', () => {
    expect(pathArea(path({ form: 'ribbon', left: 'flat', right: 'flat' }, { x: 0, y: 0, width: 50, height: 10 }))).toBe(
      500,
    );
  });
});

describe('a speech bubble', () => {
  test.each(['bottom', 'top', 'left', 'right'] as const)('its tail grows out at the %s', (side) => {
    const box = pathBounds(path({ form: 'bubble', side, radius: 5, length: 12, width: 8, lean: 0 }));
    const [least = 0, most = 0] = [box.width, box.height].sort((a, b) => a - b);
    expect(least).toBeCloseTo(100, 9);
    expect(most).toBeCloseTo(112, 9);
    if (side === 'top') expect(box.y).toBeCloseTo(-12, 9);
    if (side === 'left') expect(box.x).toBeCloseTo(-12, 9);
  });
  test('the tail adds a triangle', () => {
    const plain = pathArea(path({ form: 'rectangle', radius: 5 }));
    expect(pathArea(path({ form: 'bubble', radius: 5, width: 8, length: 12 }))).toBeCloseTo(plain + 48, 6);
  });
});

describe('paths', () => {
  test('coordinates are shares of the box', () => {
    expect(path({ form: 'path', data: 'M0 0L1 0L0.5 1Z' }, { x: 10, y: 20, width: 40, height: 10 })).toEqual([
      ['M', 10, 20],
      ['L', 50, 20],
      ['L', 30, 30],
      ['Z'],
    ]);
  });
  test('what cannot be read is said', () => {
    expect(readPathData('M0 0L1')).toMatchObject({ ok: false });
    expect(readPathData('L1 1')).toMatchObject({ ok: false });
    expect(readPathData('')).toEqual({ ok: true, path: [] });
  });
  test('to shares and back is the same path', () => {
    const r = { x: -3, y: 7, width: 55, height: 21 };
    const shape = path({ form: 'star' }, r);
    const back = stretched(asShares(shape, r), r);
    back.flat().forEach((v, i) => (typeof v === 'number' ? expect(v).toBeCloseTo(shape.flat()[i] as number, 9) : null));
  });
});

describe('dashes that end whole', () => {
  const line = (length: number) =>
    [
      ['M', 0, 0],
      ['L', length, 0],
    ] as const;
  test('an open line of length L takes n dashes and n − 1 gaps', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 400, noNaN: true }),
        fc.double({ min: 0.5, max: 6, noNaN: true }),
        fc.double({ min: 0.5, max: 6, noNaN: true }),
        (length, dash, gap) => {
          const [[d = 0, g = 0] = []] = wholeDashes(line(length), dash, gap);
          const n = (length + g) / (d + g);
          expect(Math.abs(n - Math.round(n))).toBeLessThan(1e-6);
          expect(d / g).toBeCloseTo(dash / gap, 6);
          // Never more than half a period away from what was asked for.
          expect(Math.abs(d / dash - 1)).toBeLessThan((dash + gap) / length);
        },
      ),
    );
  });
  test('a closed line takes as many gaps as dashes', () => {
    const [[d = 0, g = 0] = []] = wholeDashes(path({ form: 'rectangle' }), 7, 4);
    expect(400 / (d + g)).toBeCloseTo(Math.round(400 / 11), 9);
  });
  test('a circle’s length is 2πr', () => {
    expect(pathLengths(path({ form: 'ellipse' }))[0]?.length).toBeCloseTo(Math.PI * 100, 1);
  });
  test('too short for a second dash: solid', () => expect(wholeDashes(line(5), 4, 3)).toEqual([[]]));
});

describe('what lies on the trim is carried out to the bleed', () => {
  const bleed: Rect = { x: -3, y: -3, width: 106, height: 106 };
  const out = (data: string) => pathBounds(carriedOut(path({ form: 'path', data }), square, bleed));
  test('a hill along the foot, with both corners', () => {
    expect(out('M0 1L0 0.8C0.3 0.6 0.7 0.6 1 0.8L1 1Z')).toMatchObject({ x: -3, width: 106 });
    const hill = out('M0 1L0 0.8C0.3 0.6 0.7 0.6 1 0.8L1 1Z');
    expect(hill.y + hill.height).toBe(103);
  });
  test('one edge alone goes out straight', () => {
    expect(out('M0 0.2L0 0.6L0.5 0.4Z')).toMatchObject({ x: -3, y: 20, height: 40 });
  });
  test('what only touches the trim with a corner stays', () => {
    expect(out('M0 0.5L0.5 0.2L0.5 0.8Z')).toMatchObject({ x: 0 });
  });
  test('a full box is the bleed itself', () => {
    expect(out('M0 0L1 0L1 1L0 1Z')).toEqual(bleed);
    expect(flatten(carriedOut(path({ form: 'path', data: 'M0 0L1 0L1 1L0 1Z' }), square, bleed))).toHaveLength(1);
  });
});

describe('a ring', () => {
  test('has the area between its ellipses, π(R² − r²), and bare paper in its middle by both rules', async () => {
    const outline = path({ form: 'ring', hole: 50 });
    const [outer, inner] = [50, 25].map((radius) => Math.PI * radius ** 2);
    expect(Math.abs(pathArea(outline) - ((outer ?? 0) - (inner ?? 0)))).toBeLessThan(5);
    const { Resvg } = await import('@resvg/resvg-js');
    for (const rule of ['nonzero', 'evenodd']) {
      const shape = `<path d="${pathText(outline)}" fill-rule="${rule}"/>`;
      const size = 'viewBox="0 0 100 100" width="100" height="100"';
      const svg = `<svg xmlns="http://www.w3.org/2000/svg" ${size}>${shape}</svg>`;
      const { pixels } = new Resvg(svg).render();
      const alpha = (x: number, y: number) => pixels[(y * 100 + x) * 4 + 3];
      expect([alpha(50, 50), alpha(50, 10), alpha(1, 1)]).toEqual([0, 255, 0]);
    }
  });
});
