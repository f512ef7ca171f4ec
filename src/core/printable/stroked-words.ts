import { flatten, type Path, type Point, type Segment } from '../geometry';
import type { Mm } from '../measure';
import { strokedLetter } from './letter-strokes';
import { solid, words, type LineStyle, type Mark } from './mark';

/** Heights of a hand, mm: the x-height, and what goes above it and below the baseline. */
export interface Hand {
  readonly x: Mm;
  readonly above: Mm;
  readonly below: Mm;
}

/** Between letters and for a space, in x-heights. */
const BETWEEN = 0.42;
const SPACE = 1;

/** Length of words in strokes, mm; undefined where a character is not among ours. */
export function strokedWidth(text: string, { x }: Hand): Mm | undefined {
  let width = 0;
  for (const character of text) {
    const letter = character === ' ' ? { width: SPACE } : strokedLetter(character);
    if (!letter) return undefined;
    width += letter.width + BETWEEN;
  }
  return Math.max(0, width - BETWEEN) * x;
}

/** What lies above the x-height and below the baseline is stretched to the lines that are there. */
function heightOf(y: number, { x, above, below }: Hand): Mm {
  if (y > 1) return x + (y - 1) * above;
  return y < 0 ? y * below : y * x;
}

const mapped = (path: Path, at: Point, left: Mm, hand: Hand): Path => {
  const to = (px: number, py: number) => [at.x + left + px * hand.x, at.y - heightOf(py, hand)] as const;
  return path.map((s): Segment => {
    if (s[0] === 'Z') return s;
    if (s[0] === 'C') return ['C', ...to(s[1], s[2]), ...to(s[3], s[4]), ...to(s[5], s[6])];
    return [s[0], ...to(s[1], s[2])];
  });
};

/** Words written in strokes from a point on the baseline; with `order`, numbers and arrows show how. */
export function strokedWords(text: string, at: Point, hand: Hand, style: LineStyle, order: boolean): readonly Mark[] {
  const marks: Mark[] = [];
  const guides: Mark[] = [];
  let left = 0;
  for (const character of text) {
    const letter = strokedLetter(character);
    const strokes = letter?.strokes.map((s) => mapped(s, at, left * hand.x, hand)) ?? [];
    strokes.forEach((path) => marks.push({ kind: 'shape', path, fill: null, stroke: style }));
    if (order) strokes.forEach((path, i) => guides.push(...guideOf(path, i + 1, hand)));
    left += (letter?.width ?? SPACE) + BETWEEN;
  }
  return [...marks, ...guides];
}

/** The number of a stroke where it begins, and an arrow beside its first part, straight or bent as the stroke is. */
function guideOf(path: Path, number: number, { x }: Hand): readonly Mark[] {
  const points = flatten(path, x / 200)[0] ?? [];
  const [first] = points;
  if (!first) return [];
  const size = x * 0.3;
  const arrow = alongside(points, x * 0.55, x * 0.13);
  const start = arrow[0] ?? first;
  const out: Mark[] = [
    words(
      String(number),
      { x: start.x + (start.x - first.x) * 0.6, y: start.y + (start.y - first.y) * 0.6 + size * 0.1 },
      size,
      { align: 'centre', role: 'accent', bold: true },
    ),
  ];
  const [before, end] = [arrow.at(-2), arrow.at(-1)];
  if (!before || !end) return out;
  const style = solid(Math.max(0.3, x * 0.09), 'accent');
  const angle = Math.atan2(end.y - before.y, end.x - before.x);
  const barb = (turn: number): Point => ({
    x: end.x - Math.cos(angle + turn) * x * 0.13,
    y: end.y - Math.sin(angle + turn) * x * 0.13,
  });
  const [a, b] = [barb(0.5), barb(-0.5)];
  return [
    ...out,
    { kind: 'shape', path: arrow.map((p, i): Segment => [i === 0 ? 'M' : 'L', p.x, p.y]), fill: null, stroke: style },
    {
      kind: 'shape',
      path: [
        ['M', a.x, a.y],
        ['L', end.x, end.y],
        ['L', b.x, b.y],
      ],
      fill: null,
      stroke: style,
    },
  ];
}

/** The first part of a run, moved sideways: to the left of who walks along it. */
function alongside(points: readonly Point[], length: Mm, away: Mm): readonly Point[] {
  const out: Point[] = [];
  let gone = 0;
  for (let i = 0; i + 1 < points.length && gone < length; i += 1) {
    const [a, b] = [points[i], points[i + 1]];
    if (!a || !b) break;
    const step = Math.hypot(b.x - a.x, b.y - a.y);
    if (step < 1e-9) continue;
    const [dx, dy] = [(b.x - a.x) / step, (b.y - a.y) / step];
    const share = Math.min(1, (length - gone) / step);
    const side = (p: Point): Point => ({ x: p.x + dy * away, y: p.y - dx * away });
    if (out.length === 0) out.push(side(a));
    out.push(side({ x: a.x + dx * step * share, y: a.y + dy * step * share }));
    gone += step;
  }
  return out;
}
