import type { StrokeStyle } from '../../core/drawing';
import type { Matrix, Path } from '../../core/layout';
import { Edges, polylines, type Polyline } from './edges';

/** Sharp corners are cut off where they would reach further than so many widths (ISO 32000-1, 8.4.3.5). */
const MITRE_LIMIT = 10;

/**
 * The edges of a stroked path: each part as one band with its joins and caps, so that thin lines have their true
 * weight. The band is made in the path’s own units and then set down: a stretched line has a stretched pen.
 * @param width  of the line, in the path’s units
 * @param matrix to pixels
 */
export function strokeEdges(
  path: Path,
  style: Pick<StrokeStyle, 'cap' | 'join' | 'dash'>,
  width: number,
  matrix: Matrix,
): Edges {
  const scale = Math.sqrt(Math.abs(matrix[0] * matrix[3] - matrix[1] * matrix[2])) || 1;
  const edges = new Edges();
  const pen: Pen = { half: width / 2, style, stray: 0.05 / scale, matrix, edges };
  for (const part of polylines(path, UNMOVED, 0.05 / scale)) {
    const clean = withoutDoubles(part);
    for (const run of style.dash.length > 0 ? dashed(clean, style.dash) : [clean]) band(run, pen);
  }
  return edges;
}

const UNMOVED: Matrix = [1, 0, 0, 1, 0, 0];

interface Pen {
  readonly half: number;
  readonly style: Pick<StrokeStyle, 'cap' | 'join'>;
  readonly stray: number;
  readonly matrix: Matrix;
  readonly edges: Edges;
}

/** Points that follow on themselves have no direction. */
function withoutDoubles({ points, closed }: Polyline): Polyline {
  const kept: number[] = [];
  for (let i = 0; i < points.length; i += 2) {
    const [x = 0, y = 0] = [points[i], points[i + 1]];
    if (kept.length === 0 || Math.hypot(x - (kept.at(-2) ?? 0), y - (kept.at(-1) ?? 0)) > 1e-9) kept.push(x, y);
  }
  if (
    closed &&
    kept.length > 2 &&
    Math.hypot((kept[0] ?? 0) - (kept.at(-2) ?? 0), (kept[1] ?? 0) - (kept.at(-1) ?? 0)) <= 1e-9
  )
    kept.length -= 2;
  return { points: kept, closed };
}

/** A run cut into its dashes; they go on around corners. */
function dashed({ points, closed }: Polyline, dash: readonly number[]): readonly Polyline[] {
  const period = dash.reduce((sum, d) => sum + d, 0);
  if (period <= 1e-9) return [{ points, closed }];
  const along = closed ? [...points, points[0] ?? 0, points[1] ?? 0] : points;
  const runs: Polyline[] = [];
  let index = 0;
  let left = dash[0] ?? 0;
  let run: number[] | undefined = [along[0] ?? 0, along[1] ?? 0];
  const turn = () => {
    index += 1;
    left = dash[index % dash.length] ?? 0;
  };
  for (let i = 0; i + 3 < along.length; i += 2) {
    let [x, y] = [along[i] ?? 0, along[i + 1] ?? 0];
    const [nx, ny] = [along[i + 2] ?? 0, along[i + 3] ?? 0];
    let rest = Math.hypot(nx - x, ny - y);
    const [ux, uy] = rest > 0 ? [(nx - x) / rest, (ny - y) / rest] : [0, 0];
    while (rest > left + 1e-12) {
      x += ux * left;
      y += uy * left;
      rest -= left;
      if (run) {
        run.push(x, y);
        runs.push(dotted(run, ux, uy));
        run = undefined;
      } else run = [x, y];
      turn();
    }
    left -= rest;
    if (run) run.push(nx, ny);
  }
  if (run && run.length >= 4) runs.push({ points: run, closed: false });
  return runs;
}

/** A dash without length still has a direction, by which its cap stands. */
function dotted(points: number[], ux: number, uy: number): Polyline {
  const kept = withoutDoubles({ points, closed: false });
  if (kept.points.length >= 4) return kept;
  const [x = 0, y = 0] = points;
  return { points: [x - ux * 1e-6, y - uy * 1e-6, x + ux * 1e-6, y + uy * 1e-6], closed: false };
}

/** One band: along its left side, around the end, back along its right side. */
function band({ points, closed }: Polyline, pen: Pen): void {
  const count = points.length / 2;
  if (count === 0) return;
  if (count === 1) {
    // A point has a round or a square cap and nothing else.
    if (pen.style.cap === 'butt') return;
    const [x = 0, y = 0] = points;
    return band({ points: [x - 1e-6, y, x + 1e-6, y], closed: false }, pen);
  }
  if (closed && count > 2) {
    emit(side(points, true, pen), pen);
    emit(side(backwards(points), true, pen), pen);
    return;
  }
  const outline = side(points, false, pen);
  cap(outline, points, pen);
  const back = backwards(points);
  outline.push(...side(back, false, pen));
  cap(outline, back, pen);
  emit(outline, pen);
}

function backwards(points: readonly number[]): number[] {
  const out: number[] = [];
  for (let i = points.length - 2; i >= 0; i -= 2) out.push(points[i] ?? 0, points[i + 1] ?? 0);
  return out;
}

function emit(points: readonly number[], { matrix: [a, b, c, d, e, f], edges }: Pen): void {
  const set = new Float64Array(points.length);
  for (let i = 0; i < points.length; i += 2) {
    const [x, y] = [points[i] ?? 0, points[i + 1] ?? 0];
    set[i] = a * x + c * y + e;
    set[i + 1] = b * x + d * y + f;
  }
  edges.ring(set, set.length);
}

/** The left side of a run, corners and all. */
function side(points: readonly number[], closed: boolean, pen: Pen): number[] {
  const count = points.length / 2;
  const out: number[] = [];
  const at = (i: number) => {
    const n = ((i % count) + count) % count;
    return [points[2 * n] ?? 0, points[2 * n + 1] ?? 0] as const;
  };
  const segments = closed ? count : count - 1;
  const normals = Array.from({ length: segments }, (_, i) => {
    const [x0, y0] = at(i);
    const [x1, y1] = at(i + 1);
    const length = Math.hypot(x1 - x0, y1 - y0);
    return { nx: (y1 - y0) / length, ny: -(x1 - x0) / length, length };
  });
  const { half } = pen;
  for (let i = 0; i < segments; i += 1) {
    const n = normals[i];
    if (!n) continue;
    const [x0, y0] = at(i);
    const [x1, y1] = at(i + 1);
    const before = i === 0 ? (closed ? normals[segments - 1] : undefined) : normals[i - 1];
    if (before) corner(out, x0, y0, before, n, pen);
    else out.push(x0 + n.nx * half, y0 + n.ny * half);
    if (!closed && i === segments - 1) out.push(x1 + n.nx * half, y1 + n.ny * half);
  }
  return out;
}

interface Normal {
  readonly nx: number;
  readonly ny: number;
  readonly length: number;
}

function corner(out: number[], x: number, y: number, one: Normal, two: Normal, { half, style, stray }: Pen): void {
  const cross = one.nx * two.ny - one.ny * two.nx;
  const dot = one.nx * two.nx + one.ny * two.ny;
  const ax = x + one.nx * half;
  const ay = y + one.ny * half;
  const bx = x + two.nx * half;
  const by = y + two.ny * half;
  if (Math.abs(cross) < 1e-9 && dot > 0) {
    out.push(bx, by);
    return;
  }
  // The tip where both sides meet, as a share of half the width from the corner.
  const tip =
    1 + dot > 1e-9
      ? { x: x + ((one.nx + two.nx) * half) / (1 + dot), y: y + ((one.ny + two.ny) * half) / (1 + dot) }
      : undefined;
  if (cross < 0) {
    // The inner side: the tip, where both segments are long enough to reach it; else through the corner itself.
    const reach = tip ? Math.hypot(tip.x - ax, tip.y - ay) : Infinity;
    if (tip && reach <= Math.min(one.length, two.length)) out.push(tip.x, tip.y);
    else out.push(ax, ay, x, y, bx, by);
    return;
  }
  switch (style.join ?? 'miter') {
    case 'round':
      out.push(ax, ay);
      arc(out, x, y, half, Math.atan2(one.ny, one.nx), Math.atan2(cross, dot), stray);
      out.push(bx, by);
      return;
    case 'miter':
      // The length of the tip over the width is 1 / sin(half the angle).
      if (tip && Math.hypot(tip.x - x, tip.y - y) <= MITRE_LIMIT * half) {
        out.push(tip.x, tip.y);
        return;
      }
      break;
    case 'bevel':
      break;
  }
  out.push(ax, ay, bx, by);
}

/** Points between two directions on a circle, its ends left out. */
function arc(out: number[], x: number, y: number, radius: number, from: number, turn: number, stray: number): void {
  const step = 2 * Math.acos(Math.max(0, 1 - stray / Math.max(radius, stray)));
  const steps = Math.max(1, Math.ceil(Math.abs(turn) / Math.max(step, 0.05)));
  for (let i = 1; i < steps; i += 1) {
    const angle = from + (turn * i) / steps;
    out.push(x + Math.cos(angle) * radius, y + Math.sin(angle) * radius);
  }
}

/** The cap at the end of a run. */
function cap(out: number[], points: readonly number[], { half, style, stray }: Pen): void {
  if (style.cap === 'butt') return;
  const [x1 = 0, y1 = 0] = points.slice(-2);
  const [x0 = 0, y0 = 0] = points.slice(-4, -2);
  const length = Math.hypot(x1 - x0, y1 - y0);
  const [ux, uy] = [(x1 - x0) / length, (y1 - y0) / length];
  // The left side’s normal is (uy, −ux).
  if (style.cap === 'round') arc(out, x1, y1, half, Math.atan2(-ux, uy), Math.PI, stray);
  else out.push(x1 + (uy + ux) * half, y1 + (-ux + uy) * half, x1 + (-uy + ux) * half, y1 + (ux + uy) * half);
}
