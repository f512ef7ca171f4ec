import { mapPath, type Path, type Rect, type Segment } from '../../geometry';

/** How many numbers each step takes. */
const COUNTS: Readonly<Record<string, number>> = { M: 2, L: 2, C: 6, Z: 0 };

/** A step with its numbers, of which there are as many as it takes. */
function segmentOf(kind: string, [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0]: readonly number[]): Segment {
  return kind === 'C' ? ['C', a, b, c, d, e, f] : [kind === 'M' ? 'M' : 'L', a, b];
}

/**
 * Reads path data of M, L, C and Z with absolute coordinates.
 * @returns the path, or where and why it cannot be read
 */
export function readPathData(
  data: string,
): { readonly ok: true; readonly path: Path } | { readonly ok: false; readonly problem: string } {
  const path: Segment[] = [];
  for (const [, letter = '', rest = ''] of data.matchAll(/([MLCZ])([^MLCZ]*)/g)) {
    const numbers = rest.match(/-?(?:\d+(?:\.\d+)?|\.\d+)(?:[eE][+-]?\d+)?/g)?.map(Number) ?? [];
    const per = COUNTS[letter] ?? 0;
    if (per === 0) {
      path.push(['Z']);
      continue;
    }
    if (numbers.length === 0 || numbers.length % per !== 0)
      return { ok: false, problem: `“${letter}” needs ${per} numbers, and here are ${numbers.length}.` };
    for (let i = 0; i < numbers.length; i += per) {
      const own = numbers.slice(i, i + per);
      // What goes on after a move is a line.
      const kind = letter === 'M' && i > 0 ? 'L' : letter;
      path.push(segmentOf(kind, own));
    }
  }
  if (path.length > 0 && path[0]?.[0] !== 'M') return { ok: false, problem: 'A path begins with M.' };
  return { ok: true, path };
}

/** The path of shares stretched into a box. */
export const stretched = (path: Path, r: Rect): Path => mapPath(path, [r.width, 0, 0, r.height, r.x, r.y]);

/** A path as shares of a box; on an axis without extent everything lies at 0. */
export function asShares(path: Path, r: Rect): Path {
  const [sx, sy] = [r.width > 0 ? 1 / r.width : 0, r.height > 0 ? 1 / r.height : 0];
  return mapPath(path, [sx, 0, 0, sy, -r.x * sx, -r.y * sy]);
}
