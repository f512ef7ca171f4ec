import { extentOf, insetsOf, type Grid, type Measures, type TrackSizes } from '../element';
import type { Mm } from '../measure';
import type { Span } from './axis';
import { grow, negated, type EdgeLengths, type Rect } from '../geometry';

export const spanX = (r: Rect): Span => ({ start: r.x, size: r.width });
export const spanY = (r: Rect): Span => ({ start: r.y, size: r.height });
export const rectOf = (x: Span, y: Span): Rect => ({ x: x.start, y: y.start, width: x.size, height: y.size });

/** Columns and rows of a grid, and the area inside its margins. */
export interface Tracks {
  readonly area: Rect;
  readonly columns: readonly Span[];
  readonly rows: readonly Span[];
}

/** Equal parts of a length with a gap between them: part = (length − (n − 1) × gap) ÷ n. */
export function divide(span: Span, count: number, gap: Mm): readonly Span[] {
  const size = (span.size - (count - 1) * gap) / count;
  return Array.from({ length: count }, (_, i) => ({ start: span.start + i * (size + gap), size }));
}

/** Parts of given sizes one after another; those without one share what is left equally. */
export function divideBy(span: Span, sizes: TrackSizes, gap: Mm, measures: Measures): readonly Span[] {
  const given = sizes.map((size) => (size === null ? null : extentOf(size, measures)));
  const open = given.filter((size) => size === null).length;
  const used = given.reduce<number>((sum, size) => sum + (size ?? 0), 0) + gap * (sizes.length - 1);
  const share = open > 0 ? Math.max(0, (span.size - used) / open) : 0;
  let at = span.start;
  return given.map((size) => {
    const part = { start: at, size: size ?? share };
    at += part.size + gap;
    return part;
  });
}

/** The tracks of a grid in a box. */
export function tracksOf(grid: Grid, area: Rect, measures: Measures): Tracks {
  const [across, down] = [extentOf(grid.gutter, measures), extentOf(grid.rowGutter, measures)];
  return {
    area,
    columns: grid.columnWidths
      ? divideBy(spanX(area), grid.columnWidths, across, measures)
      : divide(spanX(area), grid.columns, across),
    rows: grid.rowHeights
      ? divideBy(spanY(area), grid.rowHeights, down, measures)
      : divide(spanY(area), grid.rows, down),
  };
}

/**
 * The area of a grid: its own margins inside a box, or what it has without any.
 * @param isLeftPage on a left-hand page the inner margin lies at the right
 */
export function gridArea(grid: Grid, box: Rect, without: Rect, measures: Measures, isLeftPage = false): Rect {
  if (!grid.margins) return without;
  const by: EdgeLengths = insetsOf(grid.margins, measures);
  const turned = grid.facing && isLeftPage ? { ...by, left: by.right, right: by.left } : by;
  return grow(box, negated(turned));
}
