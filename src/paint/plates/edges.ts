import type { Matrix, Path } from '../../core/layout';

/** How far a flattened curve may stray from the true one, pixels. */
const STRAY = 0.05;

/** Straight edges in pixels, four numbers each: from x, y to x, y. A list that grows. */
export class Edges {
  data = new Float64Array(256);
  length = 0;

  add(x0: number, y0: number, x1: number, y1: number): void {
    if (this.length + 4 > this.data.length) {
      const more = new Float64Array(this.data.length * 2);
      more.set(this.data);
      this.data = more;
    }
    const { data, length: at } = this;
    data[at] = x0;
    data[at + 1] = y0;
    data[at + 2] = x1;
    data[at + 3] = y1;
    this.length = at + 4;
  }

  /** The box around all of them. */
  bounds(): { readonly left: number; readonly top: number; readonly right: number; readonly bottom: number } {
    const { data, length } = this;
    let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
    for (let i = 0; i < length; i += 2) {
      const x = data[i] ?? 0;
      const y = data[i + 1] ?? 0;
      if (x < left) left = x;
      if (x > right) right = x;
      if (y < top) top = y;
      if (y > bottom) bottom = y;
    }
    return { left, top, right, bottom };
  }

  /** The outline of a polygon, closed. @param points x, y one after the other */
  ring(points: readonly number[] | Float64Array, count = points.length): void {
    let x = points[count - 2] ?? 0;
    let y = points[count - 1] ?? 0;
    for (let i = 0; i < count; i += 2) {
      const nx = points[i] ?? 0;
      const ny = points[i + 1] ?? 0;
      this.add(x, y, nx, ny);
      x = nx;
      y = ny;
    }
  }
}

/** Points of a part of a path, x, y one after the other. */
export interface Polyline {
  readonly points: number[];
  closed: boolean;
}

/**
 * The parts of a path as straight runs.
 * @param matrix to pixels
 * @param stray  how far they may lie from the curve, in the units they come out in
 */
export function polylines(path: Path, matrix: Matrix, stray = STRAY): readonly Polyline[] {
  const [a, b, c, d, e, f] = matrix;
  const parts: Polyline[] = [];
  let part: Polyline | undefined;
  let [x, y] = [0, 0];
  let [startX, startY] = [0, 0];
  const open = (px: number, py: number): Polyline => {
    part = { points: [px, py], closed: false };
    parts.push(part);
    return part;
  };
  for (const s of path) {
    switch (s[0]) {
      case 'M':
        x = startX = a * s[1] + c * s[2] + e;
        y = startY = b * s[1] + d * s[2] + f;
        open(x, y);
        break;
      case 'L':
        part ??= open(x, y);
        x = a * s[1] + c * s[2] + e;
        y = b * s[1] + d * s[2] + f;
        part.points.push(x, y);
        break;
      case 'C': {
        part ??= open(x, y);
        const x1 = a * s[1] + c * s[2] + e;
        const y1 = b * s[1] + d * s[2] + f;
        const x2 = a * s[3] + c * s[4] + e;
        const y2 = b * s[3] + d * s[4] + f;
        const x3 = a * s[5] + c * s[6] + e;
        const y3 = b * s[5] + d * s[6] + f;
        const steps = stepsFor(x, y, x1, y1, x2, y2, x3, y3, stray);
        for (let i = 1; i < steps; i += 1) {
          const t = i / steps;
          const u = 1 - t;
          const [k0, k1, k2, k3] = [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t];
          part.points.push(k0 * x + k1 * x1 + k2 * x2 + k3 * x3, k0 * y + k1 * y1 + k2 * y2 + k3 * y3);
        }
        part.points.push(x3, y3);
        x = x3;
        y = y3;
        break;
      }
      case 'Z':
        if (part) part.closed = true;
        // What follows without a new beginning starts here.
        x = startX;
        y = startY;
        part = undefined;
        break;
    }
  }
  return parts;
}

/**
 * Steps in which a cubic Bézier may be cut: a chord strays by 1/8 of the second derivative times the step squared,
 * and the second derivative is at most six times the larger second difference of the control points.
 */
function stepsFor(
  x0: number,
  y0: number,
  x1: number,
  y1: number,
  x2: number,
  y2: number,
  x3: number,
  y3: number,
  stray: number,
): number {
  const one = Math.hypot(x0 - 2 * x1 + x2, y0 - 2 * y1 + y2);
  const two = Math.hypot(x1 - 2 * x2 + x3, y1 - 2 * y2 + y3);
  return Math.min(500, Math.max(1, Math.ceil(Math.sqrt((0.75 * Math.max(one, two)) / stray))));
}

/** The edges of the area that a path encloses; parts that are open are closed. */
export function fillEdges(path: Path, matrix: Matrix, into = new Edges()): Edges {
  for (const { points } of polylines(path, matrix)) if (points.length >= 6) into.ring(points);
  return into;
}
