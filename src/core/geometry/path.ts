import { apply, around, type Matrix, type Point, type Rect } from './geometry';

/** One step of an outline, in mm. */
export type Segment =
  | readonly ['M', number, number]
  | readonly ['L', number, number]
  | readonly ['C', number, number, number, number, number, number]
  | readonly ['Z'];
export type Path = readonly Segment[];

/** Handle length of a cubic that follows a quarter circle of radius 1: 4/3 × (√2 − 1). */
export const KAPPA = (4 / 3) * (Math.SQRT2 - 1);

/** A quadratic curve as the cubic that is the same: its handles reach two thirds of the way to the control point. */
export const cubicOf = (from: Point, control: Point, to: Point): Segment => [
  'C',
  from.x + (2 / 3) * (control.x - from.x),
  from.y + (2 / 3) * (control.y - from.y),
  to.x + (2 / 3) * (control.x - to.x),
  to.y + (2 / 3) * (control.y - to.y),
  to.x,
  to.y,
];

/** Radii of the corners clockwise from the top left. */
export type CornerRadii = readonly [topLeft: number, topRight: number, bottomRight: number, bottomLeft: number];

const squareCorners = ({ x, y, width, height }: Rect): Path => [
  ['M', x, y],
  ['L', x + width, y],
  ['L', x + width, y + height],
  ['L', x, y + height],
  ['Z'],
];

/** A rectangle, its corners rounded; radii that do not fit side by side all shrink alike. */
export function rectPath(r: Rect, radius: number | CornerRadii = 0): Path {
  // Most have no radius, and there are thousands of them in codes and tables.
  if (radius === 0) return squareCorners(r);
  const [right, bottom] = [r.x + r.width, r.y + r.height];
  const asked: CornerRadii = typeof radius === 'number' ? [radius, radius, radius, radius] : radius;
  const [a, b, c, d] = asked;
  const share = (side: number, both: number) => (both > side && both > 0 ? side / both : 1);
  const fit = Math.min(share(r.width, a + b), share(r.width, c + d), share(r.height, b + c), share(r.height, a + d));
  const fitted = (v: number) => Math.max(0, v * fit);
  const [tl, tr, br, bl] = [fitted(a), fitted(b), fitted(c), fitted(d)];
  if (tl + tr + br + bl <= 0) return squareCorners(r);
  const k = 1 - KAPPA;
  const path: Segment[] = [
    ['M', r.x + tl, r.y],
    ['L', right - tr, r.y],
  ];
  if (tr > 0) path.push(['C', right - tr * k, r.y, right, r.y + tr * k, right, r.y + tr]);
  path.push(['L', right, bottom - br]);
  if (br > 0) path.push(['C', right, bottom - br * k, right - br * k, bottom, right - br, bottom]);
  path.push(['L', r.x + bl, bottom]);
  if (bl > 0) path.push(['C', r.x + bl * k, bottom, r.x, bottom - bl * k, r.x, bottom - bl]);
  path.push(['L', r.x, r.y + tl]);
  if (tl > 0) path.push(['C', r.x, r.y + tl * k, r.x + tl * k, r.y, r.x + tl, r.y]);
  path.push(['Z']);
  return path;
}

/** An ellipse that touches the four sides of the box. */
export function ellipsePath(r: Rect): Path {
  const [cx, cy, rx, ry] = [r.x + r.width / 2, r.y + r.height / 2, r.width / 2, r.height / 2];
  const [kx, ky] = [rx * KAPPA, ry * KAPPA];
  return [
    ['M', cx + rx, cy],
    ['C', cx + rx, cy + ky, cx + kx, cy + ry, cx, cy + ry],
    ['C', cx - kx, cy + ry, cx - rx, cy + ky, cx - rx, cy],
    ['C', cx - rx, cy - ky, cx - kx, cy - ry, cx, cy - ry],
    ['C', cx + kx, cy - ry, cx + rx, cy - ky, cx + rx, cy],
    ['Z'],
  ];
}

export const linePath = (a: Point, b: Point): Path => [
  ['M', a.x, a.y],
  ['L', b.x, b.y],
];

/** Every point of a path moved by a matrix. */
export function mapPath(path: Path, matrix: Matrix): Path {
  const at = (x: number, y: number): [number, number] => {
    const p = apply(matrix, { x, y });
    return [p.x, p.y];
  };
  return path.map((s): Segment => {
    switch (s[0]) {
      case 'M':
      case 'L':
        return [s[0], ...at(s[1], s[2])];
      case 'C':
        return ['C', ...at(s[1], s[2]), ...at(s[3], s[4]), ...at(s[5], s[6])];
      case 'Z':
        return s;
    }
  });
}

/** The path moved by a distance across and down. */
export const shiftPath = (path: Path, dx: number, dy: number): Path =>
  path.map((s): Segment => {
    switch (s[0]) {
      case 'M':
      case 'L':
        return [s[0], s[1] + dx, s[2] + dy];
      case 'C':
        return ['C', s[1] + dx, s[2] + dy, s[3] + dx, s[4] + dy, s[5] + dx, s[6] + dy];
      case 'Z':
        return s;
    }
  });

/** A closed outline through points. */
export const polygonPath = (points: readonly Point[]): Path => [
  ...points.map((p, i): Segment => [i === 0 ? 'M' : 'L', p.x, p.y]),
  ['Z'],
];

/** A circle, or an arc of it, drawn with cubics no longer than a quarter turn each. */
export function arcSegments(centre: Point, radius: number, from: number, to: number): readonly Segment[] {
  const pieces = Math.max(1, Math.ceil(Math.abs(to - from) / 90 - 1e-9));
  const step = ((to - from) / pieces) * (Math.PI / 180);
  const handle = (4 / 3) * Math.tan(step / 4) * radius;
  return Array.from({ length: pieces }, (_, i): Segment => {
    const a = (from * Math.PI) / 180 + i * step;
    const b = a + step;
    const [ax, ay] = [centre.x + radius * Math.cos(a), centre.y + radius * Math.sin(a)];
    const [bx, by] = [centre.x + radius * Math.cos(b), centre.y + radius * Math.sin(b)];
    return [
      'C',
      ax - handle * Math.sin(a),
      ay + handle * Math.cos(a),
      bx + handle * Math.sin(b),
      by - handle * Math.cos(b),
      bx,
      by,
    ];
  });
}

/**
 * Points along a path, each sub-path apart, with curves parted finely enough for paper.
 * @param tolerance how far a chord may stray from its curve, mm
 */
export function flatten(path: Path, tolerance = 0.01): readonly (readonly Point[])[] {
  const parts: Point[][] = [];
  let part: Point[] = [];
  let at: Point = { x: 0, y: 0 };
  for (const s of path) {
    switch (s[0]) {
      case 'M':
        at = { x: s[1], y: s[2] };
        part = [at];
        parts.push(part);
        break;
      case 'L':
        at = { x: s[1], y: s[2] };
        part.push(at);
        break;
      case 'C': {
        const [, ax, ay, bx, by, ex, ey] = s;
        // Chord error of a cubic parted into n is at most √3/18 × the largest second difference ÷ n².
        const second = Math.max(
          Math.hypot(at.x - 2 * ax + bx, at.y - 2 * ay + by),
          Math.hypot(ax - 2 * bx + ex, ay - 2 * by + ey),
        );
        const n = Math.min(200, Math.max(1, Math.ceil(Math.sqrt((0.5774 * second) / tolerance))));
        for (let i = 1; i <= n; i += 1) {
          const t = i / n;
          const u = 1 - t;
          const blend = (p0: number, p1: number, p2: number, p3: number) =>
            u * u * u * p0 + 3 * u * u * t * p1 + 3 * u * t * t * p2 + t * t * t * p3;
          part.push({ x: blend(at.x, ax, bx, ex), y: blend(at.y, ay, by, ey) });
        }
        at = { x: ex, y: ey };
        break;
      }
      case 'Z':
        break;
    }
  }
  return parts;
}

/** Length of each sub-path along its curves, mm; a closed one goes back to where it began. */
export function pathLengths(path: Path): readonly { readonly length: number; readonly closed: boolean }[] {
  return subPaths(path).map((part) => {
    const closed = part.at(-1)?.[0] === 'Z';
    const points = flatten(part, 0.001)[0] ?? [];
    const first = points[0];
    const ring = closed && first ? [...points, first] : points;
    const length = ring.reduce((sum, p, i) => {
      const next = ring[i + 1];
      return next ? sum + Math.hypot(next.x - p.x, next.y - p.y) : sum;
    }, 0);
    return { length, closed };
  });
}

/** The path parted where it is lifted: each begins with its own M. */
export function subPaths(path: Path): readonly Path[] {
  const parts: Segment[][] = [];
  for (const s of path) {
    if (s[0] === 'M' || parts.length === 0) parts.push([s]);
    else parts.at(-1)?.push(s);
  }
  return parts;
}

/** Smallest box around a path. */
export const pathBounds = (path: Path): Rect => around(flatten(path).flat());

/** The path seen from the other side of a sheet of that width. */
export const mirrorPath = (path: Path, width: number): Path => mapPath(path, [-1, 0, 0, 1, width, 0]);

/** As SVG and a person write it: `M0 0L10 0Z`. */
export const pathText = (path: Path): string =>
  path.map(([letter, ...numbers]) => letter + numbers.map((n) => Math.round(n * 1e4) / 1e4).join(' ')).join('');

/** Area inside a closed path, mm². */
export const pathArea = (path: Path): number => Math.abs(flatten(path).reduce((sum, part) => sum + ring(part), 0));

const ring = (points: readonly Point[]): number =>
  points.reduce((sum, p, i) => {
    const next = points[(i + 1) % points.length] ?? p;
    return sum + (p.x * next.y - next.x * p.y) / 2;
  }, 0);

/** Whether a point lies inside a closed path (even-odd). */
export function isInside(point: Point, path: Path): boolean {
  let inside = false;
  for (const part of flatten(path)) {
    part.forEach((a, i) => {
      const b = part[(i + 1) % part.length] ?? a;
      if (a.y > point.y !== b.y > point.y && point.x < ((b.x - a.x) * (point.y - a.y)) / (b.y - a.y) + a.x)
        inside = !inside;
    });
  }
  return inside;
}
