import { EndType, FillRule, JoinType, differenceD, inflatePathsD, intersectD, unionD, type PathsD } from 'clipper2-ts';
import type { Mm } from '../measure';
import { flatten, polygonPath, subPaths, type Path } from '../geometry';

/** Decimals that the polygon library keeps, of a millimetre. */
const PRECISION = 4;

const toPolygons = (path: Path): PathsD => flatten(path, 0.002).map((part) => part.map(({ x, y }) => ({ x, y })));
const toPath = (polygons: PathsD): Path =>
  polygons.flatMap((polygon) => polygonPath(polygon.map(({ x, y }) => ({ x, y }))));

/**
 * The outline at a constant distance outside a closed path (inside when negative), corners kept sharp up to twice
 * the distance or rounded.
 * @returns the outline; empty when nothing is left of it inside
 */
export function offsetPath(path: Path, by: Mm, corners: 'sharp' | 'round' = 'round'): Path {
  if (by === 0) return path;
  const join = corners === 'round' ? JoinType.Round : JoinType.Miter;
  return toPath(inflated(toPolygons(path), by, join));
}

/** Outlines of more points than this grow in steps. */
const MANY_POINTS = 1_000;
/** The first of the steps, each twice the one before, mm. */
const FIRST_STEP = 0.05;

/**
 * Grows polygons by a distance. What lies closer together than the distance crosses all that it meets on its way; in
 * steps it merges with its neighbours first, so that thousands of points take n log n. The sum is the same distance
 * outside; corners sharper than the mitre limit are cut once a step, which leaves them no shorter.
 */
function inflated(polygons: PathsD, by: Mm, join: JoinType): PathsD {
  // Round joins are arcs of chords that stray no more than a hundredth of a millimetre.
  const grown = (from: PathsD, step: Mm) => inflatePathsD(from, step, join, EndType.Polygon, 2, PRECISION, 0.01);
  const points = polygons.reduce((sum, polygon) => sum + polygon.length, 0);
  if (points <= MANY_POINTS) return grown(polygons, by);
  let all = polygons;
  let left = Math.abs(by);
  for (let step = FIRST_STEP; left > 0; step *= 2) {
    const now = Math.min(step, left);
    all = grown(all, Math.sign(by) * now);
    left -= now;
  }
  return all;
}

/** Polygons inside one of several outlines, each read by its own rule. */
export function unionOf(
  outlines: readonly { readonly path: Path; readonly rule?: 'nonzero' | 'evenodd' | undefined }[],
): Path {
  const solid = outlines.flatMap(({ path, rule }) =>
    resolved(toPolygons(path), rule === 'evenodd' ? FillRule.EvenOdd : FillRule.NonZero),
  );
  return toPath(resolved(solid, FillRule.NonZero));
}

/** Outlines that do not cross, holes the other way round. */
const resolved = (polygons: PathsD, rule: FillRule): PathsD => unionD(polygons, [], rule, PRECISION);

/** The outline of a line of a width along a path, open or closed. */
export function bandOf(path: Path, width: Mm, cap: 'butt' | 'round' | 'square'): Path {
  const ends = { butt: EndType.Butt, round: EndType.Round, square: EndType.Square }[cap];
  return subPaths(path).reduce<Path>((all, part) => {
    const end = part.at(-1)?.[0] === 'Z' ? EndType.Joined : ends;
    return [...all, ...toPath(inflatePathsD(toPolygons(part), width / 2, JoinType.Round, end, 2, PRECISION, 0.005))];
  }, []);
}

/** What is inside both outlines. @param rule how the first is read */
export const intersectionPath = (a: Path, b: Path, rule: 'nonzero' | 'evenodd' = 'nonzero'): Path => {
  const inside = rule === 'evenodd' ? resolved(toPolygons(a), FillRule.EvenOdd) : toPolygons(a);
  return toPath(intersectD(inside, toPolygons(b), FillRule.NonZero, PRECISION));
};

/** Everything inside either outline. */
export const unionPath = (a: Path, b: Path): Path =>
  toPath(unionD(toPolygons(a), toPolygons(b), FillRule.NonZero, PRECISION));

/** What is inside the first and outside the second. */
export const differencePath = (a: Path, b: Path): Path =>
  toPath(differenceD(toPolygons(a), toPolygons(b), FillRule.NonZero, PRECISION));
