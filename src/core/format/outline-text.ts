import svgpath from 'svgpath';
import { LONGEST } from '../element';
import { cubicOf, pathFault } from '../geometry';
import { flatten, pathBounds, shiftPath, type Path, type Segment } from '../layout';
import { formatCount } from '../measure';

/**
 * Points of an outline whose curves are drawn as chords no further away than this, mm: more than so many are no die but
 * a picture.
 */
const [FINE, MOST_POINTS] = [0.002, 10_000];

/**
 * Reads an outline written as path data (M, L, H, V, C, S, Q, T, A, Z; absolute or relative), in millimetres.
 * Arcs and quadratic curves become cubics.
 * @returns the path, or what is wrong with it
 */
export function readOutline(text: string): { readonly path: Path } | { readonly problem: string } {
  const parsed = svgpath(text).abs().unarc().unshort();
  const fault = pathFault(parsed);
  if (fault) return { problem: `This is not an outline: ${fault}.` };
  const path: Segment[] = [];
  let [x, y, sx, sy] = [0, 0, 0, 0];
  let failed = '';
  parsed.iterate((s) => {
    const n = s.slice(1).map(Number);
    const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0] = n;
    switch (s[0]) {
      case 'M':
        path.push(['M', a, b]);
        [x, y, sx, sy] = [a, b, a, b];
        break;
      case 'L':
        path.push(['L', a, b]);
        [x, y] = [a, b];
        break;
      case 'H':
        path.push(['L', a, y]);
        x = a;
        break;
      case 'V':
        path.push(['L', x, a]);
        y = a;
        break;
      case 'Q':
        path.push(cubicOf({ x, y }, { x: a, y: b }, { x: c, y: d }));
        [x, y] = [c, d];
        break;
      case 'C':
        path.push(['C', a, b, c, d, e, f]);
        [x, y] = [e, f];
        break;
      case 'Z':
        path.push(['Z']);
        [x, y] = [sx, sy];
        break;
      default:
        failed = `“${s[0]}” is not a step of an outline`;
    }
  });
  if (failed) return { problem: failed };
  const isWild = path.some((s) => s.slice(1).some((n) => !(Math.abs(Number(n)) <= LONGEST)));
  if (isWild) return { problem: 'A point of this outline lies further away than 20 m, or nowhere.' };
  if (path.length === 0) return { problem: 'The outline is empty.' };
  const points = flatten(path, FINE).reduce((sum, part) => sum + part.length, 0);
  if (points > MOST_POINTS)
    return {
      problem:
        `This outline has ${formatCount(points)} points; at most ` +
        `${formatCount(MOST_POINTS)} make a die. Simplify it in the program it comes from.`,
    };
  return { path };
}

/** The first sub-path that does not come back to its start. */
export function openEnd(path: Path): string | undefined {
  let start: readonly [number, number] = [0, 0];
  let at = start;
  let open = false;
  const gap = () => Math.hypot(at[0] - start[0], at[1] - start[1]);
  const report = () =>
    `The outline is open: from ${round(at)} back to ${round(start)} ${gap().toFixed(2)} mm are missing. ` +
    'Close it with Z or bring it back to its start.';
  for (const s of path) {
    if (s[0] === 'M') {
      if (open && gap() > 0.01) return report();
      start = [s[1], s[2]];
      at = start;
      open = true;
    } else if (s[0] === 'Z') {
      at = start;
      open = false;
    } else at = [Number(s.at(-2)), Number(s.at(-1))];
  }
  return open && gap() > 0.01 ? report() : undefined;
}

const round = ([x, y]: readonly [number, number]) => `(${x.toFixed(1)}, ${y.toFixed(1)})`;

/** The outline moved so that its box begins at the corner. */
export function toCorner(path: Path): { readonly path: Path; readonly width: number; readonly height: number } {
  const box = pathBounds(path);
  const moved = shiftPath(path, -box.x, -box.y);
  return { path: moved, width: box.width, height: box.height };
}
