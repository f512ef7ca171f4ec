import type { FillRule } from '../../core/drawing';
import type { Edges } from './edges';

/** Pixels of a target: where it begins and how large it is. */
export interface PixelBox {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/**
 * Takes one row of coverage.
 * @param y     row
 * @param from  first column
 * @param to    column after the last
 * @param cover 0 to 255 for each column from 0 on; only `from` to `to` counts
 */
export type TakeRow = (y: number, from: number, to: number, cover: Uint8Array) => void;

/** Cells that are added up at a time. */
const CELLS = 1 << 20;

let cells = new Float32Array(CELLS);
/** First and last column that an edge touches in each row. */
let firstTouched = new Int32Array(1024);
let lastTouched = new Int32Array(1024);

/**
 * How much of each pixel an area covers, row by row, from exact areas: each edge adds what lies to its right.
 * Where edges of one area cross inside a pixel its sum is cut off at full, as is usual.
 * @param edges in pixels
 * @param box   rows and columns that are wanted; columns are counted from its left
 */
export function cover(edges: Edges, rule: FillRule, box: PixelBox, take: TakeRow): void {
  if (edges.length === 0 || box.width <= 0 || box.height <= 0) return;
  const bounds = edges.bounds();
  const firstRow = max(box.y, floor(bounds.top));
  const lastRow = min(box.y + box.height, ceil(bounds.bottom));
  const firstColumn = max(box.x, floor(bounds.left));
  const lastColumn = min(box.x + box.width, ceil(bounds.right));
  if (firstRow >= lastRow || firstColumn >= lastColumn) return;
  const width = lastColumn - firstColumn;
  const stride = width + 2;
  if (stride > cells.length) cells = new Float32Array(stride);
  const rowsAtOnce = max(1, floor(cells.length / stride));
  const row = new Uint8Array(box.width);
  const shift = firstColumn - box.x;
  for (let start = firstRow; start < lastRow; start += rowsAtOnce) {
    const end = min(lastRow, start + rowsAtOnce);
    const rows = end - start;
    cells.fill(0, 0, rows * stride);
    if (firstTouched.length < rows) {
      firstTouched = new Int32Array(rows);
      lastTouched = new Int32Array(rows);
    }
    firstTouched.fill(width, 0, rows);
    lastTouched.fill(-1, 0, rows);
    const { data, length } = edges;
    for (let i = 0; i < length; i += 4)
      addEdge(
        stride,
        width,
        (data[i] ?? 0) - firstColumn,
        (data[i + 1] ?? 0) - start,
        (data[i + 2] ?? 0) - firstColumn,
        (data[i + 3] ?? 0) - start,
        rows,
      );
    for (let y = 0; y < rows; y += 1) {
      const touched = min(lastTouched[y] ?? -1, width - 1);
      const begin = firstTouched[y] ?? width;
      const base = y * stride;
      let sum = 0;
      let value = 0;
      let from = -1;
      let to = 0;
      for (let x = begin; x <= touched; x += 1) {
        const change = cells[base + x] ?? 0;
        if (change !== 0) {
          sum += change;
          value = rule === 'evenodd' ? folded(sum) : clamped(sum);
        }
        row[shift + x] = value;
        if (value > 0) {
          if (from < 0) from = x;
          to = x + 1;
        }
      }
      // What goes on beyond the right edge of the box.
      if (value > 0 && touched + 1 < width) {
        row.fill(value, shift + touched + 1, shift + width);
        to = width;
      }
      if (from >= 0) take(start + y, shift + from, shift + to, row);
    }
  }
}

// Named once: a look-up of a global in every step is dear where code runs in a context of its own.
const { min, max, floor, ceil } = Math;

const clamped = (sum: number): number => {
  const covered = ((sum < 0 ? -sum : sum) * 255 + 0.5) | 0;
  return covered > 255 ? 255 : covered;
};

/** Even layers cancel: 1 is full, 2 is none, 3 is full again. */
function folded(sum: number): number {
  const within = (sum < 0 ? -sum : sum) % 2;
  return ((within > 1 ? 2 - within : within) * 255 + 0.5) | 0;
}

/**
 * Adds what an edge changes in each cell, so that sums from the left give covered areas. What lies left of the box
 * counts at its left edge.
 */
function addEdge(stride: number, width: number, xa: number, ya: number, xb: number, yb: number, rows: number): void {
  if (ya === yb) return;
  const dir = ya < yb ? 1 : -1;
  let [x0, y0, x1, y1] = ya < yb ? [xa, ya, xb, yb] : [xb, yb, xa, ya];
  if (y1 <= 0 || y0 >= rows) return;
  const slope = (x1 - x0) / (y1 - y0);
  if (y0 < 0) {
    x0 -= slope * y0;
    y0 = 0;
  }
  if (y1 > rows) {
    x1 = x0 + slope * (rows - y0);
    y1 = rows;
  }
  // Parts beyond the left and the right edge run along them.
  if (x0 < 0 || x1 < 0 || x0 > width || x1 > width) {
    // Where it crosses the left and the right edge.
    const left = slope === 0 ? y0 : y0 - x0 / slope;
    const right = slope === 0 ? y0 : y0 + (width - x0) / slope;
    const one = min(max(min(left, right), y0), y1);
    const two = min(max(max(left, right), y0), y1);
    const at = (y: number) => min(max(x0 + slope * (y - y0), 0), width);
    addInside(stride, at(y0), y0, at(one), one, dir);
    addInside(stride, at(one), one, at(two), two, dir);
    addInside(stride, at(two), two, at(y1), y1, dir);
    return;
  }
  addInside(stride, x0, y0, x1, y1, dir);
}

/** An edge within the box, downward. */
function addInside(stride: number, x0: number, y0: number, x1: number, y1: number, dir: number): void {
  if (y1 <= y0) return;
  const acc = cells;
  const slope = (x1 - x0) / (y1 - y0);
  let x = x0;
  const last = ceil(y1);
  for (let row = floor(y0); row < last; row += 1) {
    const dy = min(row + 1, y1) - max(row, y0);
    const next = x + slope * dy;
    const d = dy * dir;
    const left = x < next ? x : next;
    const right = x < next ? next : x;
    const first = floor(left);
    const base = row * stride + first;
    const end = ceil(right);
    if (first < (firstTouched[row] ?? 0)) firstTouched[row] = first;
    if (end > (lastTouched[row] ?? 0) || end === first) lastTouched[row] = max(end, first + 1, lastTouched[row] ?? 0);
    if (end <= first + 1) {
      const middle = 0.5 * (x + next) - first;
      acc[base] = (acc[base] ?? 0) + d - d * middle;
      acc[base + 1] = (acc[base + 1] ?? 0) + d * middle;
    } else {
      const share = 1 / (right - left);
      const lead = left - first;
      const a0 = 0.5 * share * (1 - lead) * (1 - lead);
      const tail = right - end + 1;
      const am = 0.5 * share * tail * tail;
      const count = end - first;
      acc[base] = (acc[base] ?? 0) + d * a0;
      if (count === 2) acc[base + 1] = (acc[base + 1] ?? 0) + d * (1 - a0 - am);
      else {
        const a1 = share * (1.5 - lead);
        acc[base + 1] = (acc[base + 1] ?? 0) + d * (a1 - a0);
        for (let i = 2; i < count - 1; i += 1) acc[base + i] = (acc[base + i] ?? 0) + d * share;
        const a2 = a1 + (count - 3) * share;
        acc[base + count - 1] = (acc[base + count - 1] ?? 0) + d * (1 - a2 - am);
      }
      acc[base + count] = (acc[base + count] ?? 0) + d * am;
    }
    x = next;
  }
}
