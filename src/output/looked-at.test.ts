import sharp from 'sharp';
import { flatten, pathArea, subPaths } from '../core/layout';
import { pictureFacts } from '../testing/jobs';
import { gamutMap, openShipped, traceShapes } from './index';
import { readPathData } from '../core/element';

/** An SVG as the bytes of a PNG or a JPEG. */
const drawn = async (svg: string, format: 'png' | 'jpeg' = 'png'): Promise<Uint8Array> => {
  const { Resvg } = await import('@resvg/resvg-js');
  const png = new Resvg(svg).render().asPng();
  return new Uint8Array(
    await (format === 'png' ? Promise.resolve(png) : sharp(png).flatten().jpeg({ quality: 92 }).toBuffer()),
  );
};
const picture = (inside: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="600" height="400" viewBox="0 0 600 400">${inside}</svg>`;

const DISCS = [
  [110, 120, 80],
  [330, 210, 120],
  [520, 330, 45],
] as const;
const discs = (fill: string) =>
  DISCS.map(([x, y, r]) => `<circle cx="${x}" cy="${y}" r="${r}" fill="${fill}"/>`).join('');

describe('shapes in a picture', () => {
  test.each([
    ['ground', 12, `<rect width="600" height="400" fill="#1b2148"/>${discs('#f3e6bd')}`],
    ['clear', 50, discs('#f3e6bd')],
    ['dark', 50, `<rect width="600" height="400" fill="#ffffff"/>${discs('#222222')}`],
    ['light', 50, `<rect width="600" height="400" fill="#000000"/>${discs('#eeeeee')}`],
  ] as const)('discs told by %s: as many, and as large as they are (π r²)', async (by, threshold, inside) => {
    const { shapes, count } = await traceShapes(await drawn(picture(inside)), by, threshold);
    expect(count).toBe(3);
    const read = readPathData(shapes);
    if (!read.ok) throw new Error(read.problem);
    const areas = subPaths(read.path)
      .map((part) => pathArea(part) * 600 * 400)
      .sort((a, b) => a - b);
    const true_ = DISCS.map(([, , r]) => Math.PI * r * r).sort((a, b) => a - b);
    // A low threshold takes in a third of a pixel of the rim.
    areas.forEach((area, i) => expect(Math.abs(area - (true_[i] ?? 0)) / (true_[i] ?? 1)).toBeLessThan(0.025));
  });

  test('a ring keeps its hole, and dust is no shape', async () => {
    const ring =
      '<rect width="600" height="400" fill="#fff"/><path fill-rule="evenodd" fill="#000" d="M300 50A150 150 0 ' +
      '1 0 300 350A150 150 0 1 0 300 50ZM300 120A80 80 0 1 1 300 280A80 80 0 1 1 300 120Z"/><rect x="20" ' +
      'y="20" width="3" height="3"/>';
    const { shapes, count } = await traceShapes(await drawn(picture(ring)), 'dark', 50);
    expect(count).toBe(1);
    const read = readPathData(shapes);
    expect(read.ok && flatten(read.path)).toHaveLength(2);
  });

  test('an even picture has none', async () => {
    const even = await drawn(picture('<rect width="600" height="400" fill="#888"/>'), 'jpeg');
    expect(await traceShapes(even, 'ground', 12)).toEqual({ shapes: '', count: 0 });
  });
});

test('the gamut map of a picture: half of it a green that no press has, half a grey that any has', async () => {
  const bytes = await drawn(
    picture('<rect width="300" height="400" fill="#00ff3c"/><rect x="300" width="300" height="400" fill="#808080"/>'),
  );
  const profile = await openShipped('coated-fogra39');
  const { png, share, worst } = await gamutMap(profile, bytes, pictureFacts(600, 400), undefined);
  expect(share).toBeCloseTo(0.5, 2);
  expect(worst).toBeGreaterThan(10);
  const { data, info } = await sharp(png).raw().toBuffer({ resolveWithObject: true });
  const alpha = (x: number) => data[(Math.floor(info.height / 2) * info.width + Math.floor(x * info.width)) * 4 + 3];
  expect([alpha(0.25), alpha(0.75)]).toEqual([255, 0]);
});
