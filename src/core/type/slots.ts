import type { Mm } from '../measure';
import { HAIR } from './break-lines';

/** A frame that lines are set into; lengths from its inner top-left corner. */
export interface TextBox {
  readonly width: Mm;
  readonly height: Mm;
  readonly columns: number;
  readonly columnGap: Mm;
  readonly vertical: 'top' | 'middle' | 'bottom' | 'spread';
  readonly balance: boolean;
  /** The baseline grid of its side, where there is one. */
  readonly grid: { readonly first: Mm; readonly step: Mm } | undefined;
  /** What lines keep clear of between two heights, as spans across. */
  readonly avoid: ((top: Mm, bottom: Mm) => readonly (readonly [from: Mm, to: Mm])[]) | undefined;
}

/** A box with nothing said of it but its size. */
export const plainBox = (width: Mm, height: Mm, vertical: TextBox['vertical'] = 'top'): TextBox => ({
  width,
  height,
  columns: 1,
  columnGap: 0,
  vertical,
  balance: false,
  grid: undefined,
  avoid: undefined,
});

/** A column of a frame that lines flow through; what is past the last flows into one without end. */
export interface Column {
  readonly frame: number;
  readonly x: Mm;
  readonly width: Mm;
  readonly height: Mm;
  readonly box: TextBox;
}

/** Where lines have come to. */
export interface Cursor {
  readonly column: number;
  /** Baseline of the line before; undefined at the head of a column. */
  readonly baseline: Mm | undefined;
  /** Room that the paragraph before wants below it. */
  readonly after: Mm;
}

/** A place for a line. */
export interface Slot {
  readonly column: number;
  readonly baseline: Mm;
  readonly x: Mm;
  readonly width: Mm;
}

/** How high lines are. */
export interface LineHeight {
  readonly ascent: Mm;
  readonly descent: Mm;
  readonly leading: Mm;
  readonly onGrid: boolean;
}

/** @param heightOf height of a column of a frame, counted from 0 */
export function columnsOf(
  boxes: readonly TextBox[],
  heightOf: (frame: number, column: number) => Mm,
): readonly Column[] {
  return boxes.flatMap((box, frame) => {
    const width = (box.width - (box.columns - 1) * box.columnGap) / box.columns;
    return Array.from({ length: box.columns }, (_, i) => ({
      frame,
      x: i * (width + box.columnGap),
      width: Math.max(0, width),
      height: heightOf(frame, i),
      box,
    }));
  });
}

/** Least room between what is avoided that a line is set into, as a multiple of its leading [cp]. */
const LEAST_ROOM = 3;

/** Next place for a line. Past the last column lines go on below it, unseen. @param skip further down than the next */
export function nextSlot(columns: readonly Column[], cursor: Cursor, line: LineHeight, before: Mm): Slot {
  const last = columns.length - 1;
  const column = columns[Math.min(cursor.column, last)];
  if (!column) return { column: 0, baseline: line.ascent, x: 0, width: 0 };
  const isHead = cursor.baseline === undefined;
  const natural = isHead ? line.ascent : cursor.baseline + line.leading + before + cursor.after;
  let baseline = line.onGrid && column.box.grid ? onGrid(natural, column.box.grid) : natural;
  const isBeyond = cursor.column > last;
  const fits = () => baseline + line.descent <= column.height + HAIR;
  if (isBeyond) return { column: cursor.column, baseline, x: column.x, width: column.width };
  while (fits()) {
    const span = freeSpan(column, baseline - line.ascent, baseline + line.descent);
    if (span && span.width >= Math.min(line.leading * LEAST_ROOM, column.width) - HAIR)
      return { column: cursor.column, baseline, ...span };
    baseline += line.leading;
  }
  // Past the last column the lines go on from where they stand; else they begin at the head of the next.
  const next: Cursor = {
    column: cursor.column + 1,
    baseline: cursor.column === last ? cursor.baseline : undefined,
    after: cursor.column === last ? cursor.after : 0,
  };
  return nextSlot(columns, next, line, next.baseline === undefined ? 0 : before);
}

const onGrid = (baseline: Mm, grid: { first: Mm; step: Mm }): Mm =>
  grid.first + Math.ceil((baseline - grid.first) / grid.step - 1e-6) * grid.step;

/** The widest span of a column that nothing stands in. */
function freeSpan(column: Column, top: Mm, bottom: Mm): { readonly x: Mm; readonly width: Mm } | undefined {
  const blocked = column.box.avoid?.(top, bottom) ?? [];
  if (blocked.length === 0) return { x: column.x, width: column.width };
  const right = column.x + column.width;
  let best: { x: Mm; width: Mm } | undefined;
  let from = column.x;
  const consider = (to: Mm) => {
    if (to > from && (!best || to - from > best.width)) best = { x: from, width: to - from };
  };
  for (const [a, b] of [...blocked].sort((p, q) => p[0] - q[0])) {
    if (b <= column.x || a >= right) continue;
    consider(Math.min(a, right));
    from = Math.max(from, b);
  }
  consider(right);
  return best;
}

export const HEAD: Cursor = { column: 0, baseline: undefined, after: 0 };
export const headOf = (column: number): Cursor => ({ column, baseline: undefined, after: 0 });
