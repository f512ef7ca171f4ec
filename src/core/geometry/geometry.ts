import type { Mm } from '../measure';

export interface Point {
  readonly x: Mm;
  readonly y: Mm;
}

/** A box in millimetres from the trimmed top-left corner, y down. */
export interface Rect {
  readonly x: Mm;
  readonly y: Mm;
  readonly width: Mm;
  readonly height: Mm;
}

export interface EdgeLengths {
  readonly top: Mm;
  readonly right: Mm;
  readonly bottom: Mm;
  readonly left: Mm;
}

export const EDGE_NAMES = ['top', 'right', 'bottom', 'left'] as const;
export type EdgeName = (typeof EDGE_NAMES)[number];

export const edges = (all: Mm): EdgeLengths => ({ top: all, right: all, bottom: all, left: all });

export const negated = (e: EdgeLengths): EdgeLengths => ({
  top: -e.top,
  right: -e.right,
  bottom: -e.bottom,
  left: -e.left,
});

/** Lengths of edges, each so many times as long. */
export const scaledEdges = ({ top, right, bottom, left }: EdgeLengths, by: number): EdgeLengths => ({
  top: top * by,
  right: right * by,
  bottom: bottom * by,
  left: left * by,
});

/** The box with each edge moved outward by its length (inward when negative). */
export function grow(rect: Rect, by: EdgeLengths): Rect {
  return {
    x: rect.x - by.left,
    y: rect.y - by.top,
    width: rect.width + by.left + by.right,
    height: rect.height + by.top + by.bottom,
  };
}

/** How far each edge of the box lies inside the outer box; negative where it sticks out. */
export function insets(inner: Rect, outer: Rect): EdgeLengths {
  return {
    top: inner.y - outer.y,
    right: outer.x + outer.width - inner.x - inner.width,
    bottom: outer.y + outer.height - inner.y - inner.height,
    left: inner.x - outer.x,
  };
}

export const centreOf = (r: Rect): Point => ({ x: r.x + r.width / 2, y: r.y + r.height / 2 });

/** mm², or whatever its sides are measured in, squared. */
export const areaOf = ({ width, height }: Rect): number => width * height;

export const overlaps = (a: Rect, b: Rect): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;

/** Edges that passed each other leave nothing, rather than a box turned inside out. */
export const positive = (r: Rect): Rect => ({ ...r, width: Math.max(r.width, 0), height: Math.max(r.height, 0) });

/** What two boxes share; without area where they do not meet. */
export function intersection(a: Rect, b: Rect): Rect {
  const [x, y] = [Math.max(a.x, b.x), Math.max(a.y, b.y)];
  return {
    x,
    y,
    width: Math.max(0, Math.min(a.x + a.width, b.x + b.width) - x),
    height: Math.max(0, Math.min(a.y + a.height, b.y + b.height) - y),
  };
}

/** Smallest box around points, however many they are. */
export function around(points: readonly Point[]): Rect {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { x, y } of points) {
    left = Math.min(left, x);
    top = Math.min(top, y);
    right = Math.max(right, x);
    bottom = Math.max(bottom, y);
  }
  return { x: left, y: top, width: right - left, height: bottom - top };
}

export const cornersOf = (r: Rect): readonly Point[] => [
  { x: r.x, y: r.y },
  { x: r.x + r.width, y: r.y },
  { x: r.x + r.width, y: r.y + r.height },
  { x: r.x, y: r.y + r.height },
];

/** Smallest box around all of the boxes. */
export const union = (rects: readonly Rect[]): Rect => around(rects.flatMap(cornersOf));

/** An affine map as PDF and SVG write it: x′ = a·x + c·y + e, y′ = b·x + d·y + f. */
export type Matrix = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

export const IDENTITY: Matrix = [1, 0, 0, 1, 0, 0];

export const isIdentity = (m: Matrix): boolean => m.every((n, i) => n === IDENTITY[i]);

/** Rotation by degrees clockwise (y down) about a point. */
export function rotation(degrees: number, about: Point): Matrix {
  const angle = (degrees * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return [cos, sin, -sin, cos, about.x - cos * about.x + sin * about.y, about.y - sin * about.x - cos * about.y];
}

/** First `b`, then `a`. */
export const multiply = (a: Matrix, b: Matrix): Matrix => [
  a[0] * b[0] + a[2] * b[1],
  a[1] * b[0] + a[3] * b[1],
  a[0] * b[2] + a[2] * b[3],
  a[1] * b[2] + a[3] * b[3],
  a[0] * b[4] + a[2] * b[5] + a[4],
  a[1] * b[4] + a[3] * b[5] + a[5],
];

/**
 * The map back.
 * @throws RangeError when the matrix flattens everything onto a line
 */
export function inverse(m: Matrix): Matrix {
  const [a, b, c, d, e, f] = m;
  const det = a * d - b * c;
  if (det === 0) throw new RangeError('This matrix has no inverse.');
  return [d / det, -b / det, -c / det, a / det, (c * f - d * e) / det, (b * e - a * f) / det];
}

export const translation = (x: Mm, y: Mm): Matrix => [1, 0, 0, 1, x, y];

/** Scaling about a point. */
export const scaling = (sx: number, sy: number, about: Point): Matrix => [
  sx,
  0,
  0,
  sy,
  about.x * (1 - sx),
  about.y * (1 - sy),
];

/** Upright lines leaning to the right by degrees, about a point; y down. */
export function shearing(degrees: number, about: Point): Matrix {
  const t = Math.tan((degrees * Math.PI) / 180);
  return [1, 0, -t, 1, t * about.y, 0];
}

/** What turning and shearing do to an element: sheared first, then turned, both about its centre. */
export function pose(rect: Rect, rotate: number, shear: number): Matrix {
  const about = centreOf(rect);
  const turned = rotate % 360 === 0 ? IDENTITY : rotation(rotate, about);
  return shear === 0 ? turned : multiply(turned, shearing(shear, about));
}

export const apply = (m: Matrix, p: Point): Point => ({
  x: m[0] * p.x + m[2] * p.y + m[4],
  y: m[1] * p.x + m[3] * p.y + m[5],
});

/** Smallest upright box around a box under a matrix. */
export const mappedBounds = (rect: Rect, matrix: Matrix): Rect =>
  isIdentity(matrix) ? rect : around(cornersOf(rect).map((p) => apply(matrix, p)));

/** Smallest upright box around a box turned about its centre. */
export function turnedBounds(rect: Rect, degrees: number): Rect {
  if (degrees % 360 === 0) return rect;
  const turn = rotation(degrees, centreOf(rect));
  return around(cornersOf(rect).map((p) => apply(turn, p)));
}
