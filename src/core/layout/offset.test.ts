import { python } from '../../testing/programs';
import { blankOf } from '../job';
import { begin } from '../../testing/jobs';
import {
  differencePath,
  ellipsePath,
  flatten,
  offsetPath,
  pathArea,
  pathBounds,
  polygonPath,
  rectPath,
  unionPath,
  type Path,
  type Point,
} from './index';

/** A star of so many points. */
const star = (count: number): Path =>
  polygonPath(
    Array.from({ length: count }, (_, i) => {
      const [turn, radius] = [(2 * Math.PI * i) / count, i % 2 === 0 ? 60 : 45];
      return { x: radius * Math.cos(turn), y: radius * Math.sin(turn) };
    }),
  );

/** A rectangle with many points along its edges that change nothing. */
function pricked(width: number, height: number, count: number): Path {
  const along = (from: Point, to: Point) =>
    Array.from({ length: count }, (_, i) => ({
      x: from.x + ((to.x - from.x) * i) / count,
      y: from.y + ((to.y - from.y) * i) / count,
    }));
  const [a, b, c, d] = [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height },
    { x: 0, y: height },
  ];
  return polygonPath([...along(a, b), ...along(b, c), ...along(c, d), ...along(d, a)]);
}

const SHAPES: readonly (readonly [string, Path])[] = [
  ['rectangle', rectPath({ x: 0, y: 0, width: 80, height: 50 })],
  ['round corners', rectPath({ x: 0, y: 0, width: 80, height: 50 }, 8)],
  ['ellipse', ellipsePath({ x: 0, y: 0, width: 60, height: 40 })],
  [
    'chevron',
    polygonPath([
      { x: 0, y: 0 },
      { x: 60, y: 0 },
      { x: 80, y: 25 },
      { x: 60, y: 50 },
      { x: 0, y: 50 },
      { x: 20, y: 25 },
    ]),
  ],
  ['star of 1,200 points', star(1_200)],
  ...(['sticker', 'tuck-box', 'pocket-folder', 'hang-tag', 'envelope'] as const).map(
    (kind): readonly [string, Path] => {
      const job = begin(kind, kind === 'sticker' ? { shape: 'crescent' } : {});
      const [piece] = job.pieces;
      return [kind, (piece && blankOf(job, piece).surfaces.at(-1)?.outline) ?? []];
    },
  ),
];

/** Area of an offset outline and how far ours strays from it, by shapely (GEOS) 1.8 of Debian. */
const shapely = (path: Path, by: number, ours: Path) =>
  python(
    `from shapely.geometry import Polygon
rings = lambda parts: Polygon(parts[0])
theirs = rings(data['path']).buffer(data['by'], resolution=64)
mine = rings(data['ours'])
print(json.dumps({'area': theirs.area, 'stray': theirs.hausdorff_distance(mine), 'valid': mine.is_valid}))`,
    { path: points(path), by, ours: points(ours) },
  ) as { area: number; stray: number; valid: boolean };

const points = (path: Path) => flatten(path, 0.002).map((part) => part.map((p) => [p.x, p.y]));

describe('offsets agree with shapely’s', () => {
  test.each(SHAPES.flatMap(([name, path]) => [2, 3, 5].map((by) => [name, by, path] as const)))(
    '%s by %d mm',
    (_name, by, path) => {
      const ours = offsetPath(path, by);
      const theirs = shapely(path, by, ours);
      expect(theirs.valid).toBe(true);
      expect(Math.abs(pathArea(ours) / theirs.area - 1)).toBeLessThan(0.0005);
      expect(theirs.stray).toBeLessThan(0.03);
    },
  );

  test('inward too, and nothing is left where the distance is more than half the width', () => {
    const rect = rectPath({ x: 0, y: 0, width: 80, height: 50 });
    const smaller = offsetPath(rect, -5, 'sharp');
    expect(pathBounds(smaller)).toMatchObject({ x: 5, y: 5, width: 70, height: 40 });
    expect(offsetPath(rect, -26)).toEqual([]);
  });
});

test('sharp corners stay sharp: a rectangle grows into a rectangle', () => {
  expect(pathArea(offsetPath(rectPath({ x: 0, y: 0, width: 10, height: 10 }), 1, 'sharp'))).toBeCloseTo(144, 3);
});

test('an outline of thousands of points grows in steps to the same: corners stay sharp, and none is cut short', () => {
  const grown = offsetPath(pricked(80, 50, 600), 3, 'sharp');
  expect(pathArea(grown)).toBeCloseTo(86 * 56, 2);
  expect(pathBounds(grown)).toMatchObject({ x: -3, y: -3, width: 86, height: 56 });
  expect(pathArea(offsetPath(pricked(80, 50, 600), -3, 'sharp'))).toBeCloseTo(74 * 44, 2);

  const [sharp, round] = [offsetPath(star(1_500), 3, 'sharp'), offsetPath(star(1_500), 3)];
  expect(pathArea(differencePath(round, sharp)) / pathArea(round)).toBeLessThan(0.0005);
  const reach = Math.max(
    ...flatten(sharp)
      .flat()
      .map(({ x, y }) => Math.hypot(x, y)),
  );
  expect(reach).toBeLessThanOrEqual(60 + 2 * 3);
});

test('union and difference keep the sum of areas', () => {
  const a = rectPath({ x: 0, y: 0, width: 10, height: 10 });
  const b = rectPath({ x: 5, y: 5, width: 10, height: 10 });
  expect(pathArea(unionPath(a, b))).toBeCloseTo(175, 3);
  expect(pathArea(differencePath(a, b))).toBeCloseTo(75, 3);
});
