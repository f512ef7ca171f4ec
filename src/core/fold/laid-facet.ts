import type { Point, Rect } from '../layout';
import type { Mm } from '../measure';

export type FoldAxis = 'x' | 'y';

/** A part of the sheet between creases. */
export interface Facet {
  readonly column: number;
  readonly row: number;
  /** On the inside, flat. */
  readonly rect: Rect;
}

/** Where a facet lies: folded = flip × flat + shift on each axis. */
export interface FacetState {
  readonly sx: 1 | -1;
  readonly sy: 1 | -1;
  readonly tx: Mm;
  readonly ty: Mm;
  /** Height in the pile, in sheets. */
  readonly layer: number;
}

/** A facet where it lies. */
export interface LaidFacet extends Facet, FacetState {
  /** Its place among the facets, which are counted row by row. */
  readonly index: number;
}

/** Two numbers that belong together are nearer to each other than this, mm. */
export const NEAR = 1e-6;

/** Where a line of the flat sheet lies, as far as it is a part of the facet, mm. */
export const placed = (flat: Mm, { sx, sy, tx, ty }: FacetState, axis: FoldAxis): Mm =>
  axis === 'x' ? sx * flat + tx : sy * flat + ty;

/** From where to where a facet lies along an axis, mm. */
export function extent(facet: LaidFacet, axis: FoldAxis): readonly [from: Mm, to: Mm] {
  const { x, y, width, height } = facet.rect;
  const [start, size] = axis === 'x' ? [x, width] : [y, height];
  const [a, b] = [placed(start, facet, axis), placed(start + size, facet, axis)];
  return a < b ? [a, b] : [b, a];
}

export function middle(facet: LaidFacet, axis: FoldAxis): Mm {
  const [from, to] = extent(facet, axis);
  return (from + to) / 2;
}

/** Whether the inside of the sheet shows to who looks from above. */
export const isInsideUp = ({ sx, sy }: FacetState): boolean => sx * sy === 1;

/** The facet turned over about a line. @param about where that line lies on the folded sheet, mm */
export function flipped(facet: LaidFacet, over: FoldAxis, about: Mm, layer: number): LaidFacet {
  // Named one by one: maps have many of them.
  const { index, column, row, rect, sx, sy, tx, ty } = facet;
  return over === 'x'
    ? { index, column, row, rect, sx: sx === 1 ? -1 : 1, sy, tx: 2 * about - tx, ty, layer }
    : { index, column, row, rect, sx, sy: sy === 1 ? -1 : 1, tx, ty: 2 * about - ty, layer };
}

/** The stretch of a crease beside a facet, on the flat sheet. @param flat where the crease lies along the axis, mm */
export const stretchBeside = (
  { rect: { x, y, width, height } }: Facet,
  axis: FoldAxis,
  flat: Mm,
): { readonly from: Point; readonly to: Point } =>
  axis === 'x'
    ? { from: { x: flat, y }, to: { x: flat, y: y + height } }
    : { from: { x, y: flat }, to: { x: x + width, y: flat } };
