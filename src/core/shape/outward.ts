import { TOUCH, type Path, type Point, type Rect, type Segment } from '../layout';

/**
 * The path with every straight edge that lies on the trim carried out to the bleed, so that no paper shows behind a
 * cut that wanders. A corner at which two trimmed edges meet goes out both ways.
 */
export function carriedOut(path: Path, trim: Rect, bleed: Rect): Path {
  const lines = {
    left: [trim.x, bleed.x],
    right: [trim.x + trim.width, bleed.x + bleed.width],
    top: [trim.y, bleed.y],
    bottom: [trim.y + trim.height, bleed.y + bleed.height],
  } as const;
  type Line = keyof typeof lines;
  const on = (line: Line, p: Point) =>
    Math.abs((line === 'left' || line === 'right' ? p.x : p.y) - lines[line][0]) <= TOUCH;
  const names = Object.keys(lines) as Line[];
  /** The point moved out across one line, and across a second one where it lies on that too. */
  const out = (p: Point): Point => {
    let moved = p;
    for (const line of names)
      if (on(line, p))
        moved = line === 'left' || line === 'right' ? { ...moved, x: lines[line][1] } : { ...moved, y: lines[line][1] };
    return moved;
  };
  const result: Segment[] = [];
  let first: Point | undefined;
  let at: Point | undefined;
  const edge = (from: Point, to: Point): readonly Segment[] => {
    const shared = names.find((line) => on(line, from) && on(line, to));
    if (!shared || (from.x === to.x && from.y === to.y)) return [];
    const [a, b] = [out(from), out(to)];
    return [
      ['L', a.x, a.y],
      ['L', b.x, b.y],
    ];
  };
  for (const s of path) {
    if (s[0] === 'M') first = at = { x: s[1], y: s[2] };
    if (s[0] === 'L' && at) {
      const to = { x: s[1], y: s[2] };
      result.push(...edge(at, to));
      at = to;
    }
    if (s[0] === 'C') at = { x: s[5], y: s[6] };
    if (s[0] === 'Z' && at && first) {
      result.push(...edge(at, first));
      at = first;
    }
    result.push(s);
  }
  return result;
}
