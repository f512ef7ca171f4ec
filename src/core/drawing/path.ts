import { apply, type Matrix, type Point, type Rect } from '../layout';
import type { Path, Segment } from './drawing';

/** Handle length of a cubic that follows a quarter circle of radius 1: 4/3 × (√2 − 1). */
const KAPPA = (4 / 3) * (Math.SQRT2 - 1);

/** A rectangle, its corners rounded by a radius no larger than half its shorter side. */
export function rectPath(r: Rect, radius = 0): Path {
  const [right, bottom] = [r.x + r.width, r.y + r.height];
  const c = Math.min(radius, r.width / 2, r.height / 2);
  if (c <= 0) {
    return [['M', r.x, r.y], ['L', right, r.y], ['L', right, bottom], ['L', r.x, bottom], ['Z']];
  }
  const k = c * (1 - KAPPA);
  return [
    ['M', r.x + c, r.y],
    ['L', right - c, r.y],
    ['C', right - k, r.y, right, r.y + k, right, r.y + c],
    ['L', right, bottom - c],
    ['C', right, bottom - k, right - k, bottom, right - c, bottom],
    ['L', r.x + c, bottom],
    ['C', r.x + k, bottom, r.x, bottom - k, r.x, bottom - c],
    ['L', r.x, r.y + c],
    ['C', r.x, r.y + k, r.x + k, r.y, r.x + c, r.y],
    ['Z'],
  ];
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

export const linePath = (a: Point, b: Point): Path => [['M', a.x, a.y], ['L', b.x, b.y]]; // prettier-ignore

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
