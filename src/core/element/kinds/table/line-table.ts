import { seenCells } from './cells-of';
import type { Stroke } from '../../stroke';
import { type TableLine, type TableElement } from './schema';

/** A line to draw along one of a table’s lines, over some of its rows or columns. */
export interface DrawnLine {
  readonly axis: 'x' | 'y';
  /** Which line, from 0 at the left or top edge. */
  readonly at: number;
  readonly from: number;
  readonly to: number;
  readonly stroke: Stroke;
}

/** Which stroke a table’s sets give to a piece of a line. */
function ofSets({ borders, header, columns, rows }: TableElement, axis: 'x' | 'y', at: number): Stroke | null {
  if (axis === 'x') return at === 0 ? borders.left : at === columns.length ? borders.right : borders.columns;
  if (at === 0) return borders.top;
  if (at === rows.length) return borders.bottom;
  return at === header.rows && borders.header ? borders.header : borders.rows;
}

const covers = (line: TableLine, axis: 'x' | 'y', at: number, n: number): boolean =>
  line.axis === axis && line.at === at && n >= line.from && n < line.to;

/** The lines of a table: those of its sets, single ones where they say otherwise, and none within a span. */
export function tableLines(table: TableElement): readonly DrawnLine[] {
  const { columns, rows, borders } = table;
  const within = { x: new Set<string>(), y: new Set<string>() };
  for (const { row, column, across, down } of seenCells(table)) {
    for (let c = column + 1; c < column + across; c += 1)
      for (let r = row; r < row + down; r += 1) within.x.add(`${c} ${r}`);
    for (let r = row + 1; r < row + down; r += 1)
      for (let c = column; c < column + across; c += 1) within.y.add(`${r} ${c}`);
  }
  const along = (axis: 'x' | 'y', lines: number, length: number): DrawnLine[] =>
    Array.from({ length: lines + 1 }, (_, at) => at).flatMap((at) => {
      const found: DrawnLine[] = [];
      for (let n = 0; n < length; n += 1) {
        const single = borders.lines.findLast((line) => covers(line, axis, at, n));
        const stroke = within[axis].has(`${at} ${n}`) ? null : single ? single.stroke : ofSets(table, axis, at);
        const last = found.at(-1);
        if (!stroke) continue;
        if (last?.to === n && JSON.stringify(last.stroke) === JSON.stringify(stroke))
          found[found.length - 1] = { ...last, to: n + 1 };
        else found.push({ axis, at, from: n, to: n + 1, stroke });
      }
      return found;
    });
  return [...along('y', rows.length, columns.length), ...along('x', columns.length, rows.length)];
}
