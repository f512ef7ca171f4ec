import { EndType, FillRule, JoinType, differenceD, inflatePathsD, unionD, type PathsD } from 'clipper2-ts';
import type { Mm } from '../measure';
import { flatten, polygonPath, type Path } from '../geometry';

/** Decimals that the polygon library keeps, of a millimetre. */
const PRECISION = 4;

const toPolygons = (path: Path): PathsD => flatten(path).map((part) => part.map(({ x, y }) => ({ x, y })));
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
  // Round joins are arcs of chords that stray no more than a hundredth of a millimetre.
  return toPath(inflatePathsD(toPolygons(path), by, join, EndType.Polygon, 2, PRECISION, 0.01));
}

/** Everything inside either outline. */
export const unionPath = (a: Path, b: Path): Path =>
  toPath(unionD(toPolygons(a), toPolygons(b), FillRule.NonZero, PRECISION));

/** What is inside the first and outside the second. */
export const differencePath = (a: Path, b: Path): Path =>
  toPath(differenceD(toPolygons(a), toPolygons(b), FillRule.NonZero, PRECISION));
