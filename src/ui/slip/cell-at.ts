import { cellOver, type CellPlace, type ElementOf } from '@/core/job';
import { centreOf, type NamedTracks, type Point, type Span } from '@/core/layout';

const inSpans = (spans: readonly Span[], at: number): number => {
  const found = spans.findIndex((s) => at < s.start + s.size);
  return found < 0 ? spans.length - 1 : found;
};

/**
 * The cell of a table, however it is turned, that a point of the side lies in; the nearest one where it lies outside.
 */
export function cellAt(table: ElementOf<'table'>, { area, columns, rows }: NamedTracks, point: Point): CellPlace {
  const centre = centreOf(area);
  const by = (-table.placement.rotate * Math.PI) / 180;
  const [dx, dy] = [point.x - centre.x, point.y - centre.y];
  const row = inSpans(rows, centre.y + dx * Math.sin(by) + dy * Math.cos(by));
  const column = inSpans(columns, centre.x + dx * Math.cos(by) - dy * Math.sin(by));
  const over = cellOver(table, { row, column });
  return over ? { row: over.row, column: over.column } : { row, column };
}
