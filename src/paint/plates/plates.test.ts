import fc from 'fast-check';
import type { Ink, Item, PathItem } from '../../core/drawing';
import { ellipsePath, linePath, polygonPath, rectPath, type Path } from '../../core/layout';
import { coverageOf, differences, mostInk, packInks, readPlates, unpackInks, type PlateSource } from './index';
import { plateNames } from '../../core/drawing';

const SCALE = 300 / 25.4;
const VIEW = { box: { x: 0, y: 0, width: 60, height: 60 }, scale: SCALE };
const NOTHING: PlateSource = { outline: () => undefined, picture: () => undefined, page: () => undefined };
const SPOT: Ink = { kind: 'technical', name: 'Varnish', shown: { c: 0, m: 60, y: 0, k: 0 } };
const CYAN: Ink = { kind: 'process', build: { c: 100, m: 0, y: 0, k: 0 }, overprint: false };

const item = (path: Path, more: Partial<PathItem> = {}): PathItem => ({
  kind: 'path',
  from: 'x',
  opacity: 1,
  matrix: [1, 0, 0, 1, 0, 0],
  path,
  fill: SPOT,
  stroke: null,
  ...more,
});

/** The area that a plate carries, mm². */
function areaOn(items: readonly Item[], plate = 'Varnish'): number {
  const plates = readPlates(items, plateNames(items), VIEW, NOTHING);
  const share = coverageOf(plates, { x: 0, y: 0, width: plates.width, height: plates.height }).get(plate) ?? 0;
  return (share * plates.width * plates.height) / SCALE ** 2;
}

/** How far off, as a share. */
const off = (found: number, true_: number) => Math.abs(found - true_) / true_;

describe('the area on a plate is that of the shape, to a thousandth', () => {
  test('circles: π r²', () => {
    for (const r of [5, 12.34, 28])
      expect(
        off(areaOn([item(ellipsePath({ x: 30 - r, y: 30 - r, width: 2 * r, height: 2 * r }))]), Math.PI * r ** 2),
      ).toBeLessThan(0.001);
  });

  test('triangles anywhere: half the cross product of two sides', () => {
    const at = fc.tuple(fc.double({ min: 1, max: 59, noNaN: true }), fc.double({ min: 1, max: 59, noNaN: true }));
    fc.assert(
      fc.property(at, at, at, ([ax, ay], [bx, by], [cx, cy]) => {
        const area = Math.abs((bx - ax) * (cy - ay) - (cx - ax) * (by - ay)) / 2;
        // A sliver has more edge than area: every pixel of it is rounded.
        fc.pre(area > 200);
        expect(
          off(
            areaOn([
              item(
                polygonPath([
                  { x: ax, y: ay },
                  { x: bx, y: by },
                  { x: cx, y: cy },
                ]),
              ),
            ]),
            area,
          ),
        ).toBeLessThan(0.001);
      }),
      { numRuns: 40 },
    );
  });

  test('a ring by the even-odd rule, and a hole the other way round', () => {
    const outer = ellipsePath({ x: 10, y: 10, width: 40, height: 40 });
    const inner = ellipsePath({ x: 20, y: 20, width: 20, height: 20 });
    expect(off(areaOn([item([...outer, ...inner], { rule: 'evenodd' })]), Math.PI * (400 - 100))).toBeLessThan(0.001);
    expect(off(areaOn([item([...outer, ...inner])]), Math.PI * 400)).toBeLessThan(0.001);
  });

  test('strokes: length times width, caps and joins', () => {
    const stroke = { ink: SPOT, width: 3, dash: [], cap: 'butt' } as const;
    const line = linePath({ x: 10, y: 12 }, { x: 50, y: 42 });
    expect(off(areaOn([item(line, { fill: null, stroke })]), 50 * 3)).toBeLessThan(0.001);
    expect(off(areaOn([item(line, { fill: null, stroke: { ...stroke, cap: 'square' } })]), 53 * 3)).toBeLessThan(0.001);
    expect(
      off(areaOn([item(line, { fill: null, stroke: { ...stroke, cap: 'round' } })]), 150 + Math.PI * 1.5 ** 2),
    ).toBeLessThan(0.001);
    const square = rectPath({ x: 15, y: 15, width: 30, height: 30 });
    expect(off(areaOn([item(square, { fill: null, stroke })]), 33 ** 2 - 27 ** 2)).toBeLessThan(0.001);
    // A round join has a quarter of a disc at each corner, a bevel half a square less than a mitre.
    expect(
      off(
        areaOn([item(square, { fill: null, stroke: { ...stroke, join: 'round' } })]),
        30 * 4 * 3 - 4 * 1.5 ** 2 + Math.PI * 1.5 ** 2,
      ),
    ).toBeLessThan(0.001);
    expect(
      off(
        areaOn([item(square, { fill: null, stroke: { ...stroke, join: 'bevel' } })]),
        33 ** 2 - 27 ** 2 - 4 * (1.5 ** 2 / 2),
      ),
    ).toBeLessThan(0.001);
    const circle = ellipsePath({ x: 10, y: 10, width: 40, height: 40 });
    expect(
      off(areaOn([item(circle, { fill: null, stroke: { ...stroke, width: 0.3 } })]), Math.PI * 40 * 0.3),
    ).toBeLessThan(0.002);
    // Half of it is dash.
    expect(
      off(
        areaOn([
          item(linePath({ x: 5, y: 30 }, { x: 55, y: 30 }), { fill: null, stroke: { ...stroke, dash: [2.5, 2.5] } }),
        ]),
        75,
      ),
    ).toBeLessThan(0.001);
  });
});

describe('what lies on top', () => {
  const ground = item(rectPath({ x: 0, y: 0, width: 60, height: 60 }), { fill: CYAN });
  const square = rectPath({ x: 10, y: 10, width: 30, height: 30 });

  test('a coating leaves the plates beneath as they are; told to knock out, it cuts them', () => {
    expect(off(areaOn([ground, item(square)], 'Cyan'), 3600)).toBeLessThan(0.001);
    expect(off(areaOn([ground, item(square, { fill: { ...SPOT, knocksOut: true } })], 'Cyan'), 2700)).toBeLessThan(
      0.001,
    );
  });

  test('with and without a layer: no pixel of another plate differs where it overprints', () => {
    const names = ['Cyan', 'Varnish'];
    const read = (items: readonly Item[]) => readPlates(items, names, VIEW, NOTHING);
    expect(differences(read([ground, item(square)]), read([ground])).get('Cyan')).toBe(0);
    const hole = differences(read([ground, item(square, { fill: { ...SPOT, knocksOut: true } })]), read([ground]));
    // 900 mm² of pixels, and those along its edge.
    expect(off(hole.get('Cyan') ?? 0, 900 * SCALE ** 2)).toBeLessThan(0.01);
  });

  test('registration is on every plate there is', () => {
    const mark = item(square, { fill: { kind: 'registration', tint: 100 } });
    const spots = item(square, { fill: SPOT });
    for (const name of ['Cyan', 'Varnish']) expect(areaOn([ground, spots, mark], name)).toBeGreaterThan(899);
  });

  test('the most ink is found where two inks meet', () => {
    const magenta = item(square, { fill: { kind: 'process', build: { c: 0, m: 80, y: 0, k: 0 }, overprint: true } });
    const items = [ground, magenta];
    const { total, x, y } = mostInk(readPlates(items, plateNames(items), VIEW, NOTHING), () => true);
    expect(total).toBeCloseTo(180, 0);
    expect([x / SCALE, y / SCALE].every((mm) => mm >= 9.9 && mm <= 40)).toBe(true);
  });
});

test('the inks of a picture come out of their packet as they went in, and a cut packet is refused', () => {
  const inks = {
    width: 3,
    height: 2,
    space: 'cmyk' as const,
    pixels: Uint8Array.from({ length: 24 }, (_, i) => i),
    alpha: Uint8Array.from([0, 1, 2, 3, 4, 5]),
  };
  expect(unpackInks(packInks(inks))).toEqual(inks);
  expect(() => unpackInks(packInks(inks).subarray(0, 30))).toThrow(RangeError);
});
