import { mmOf, type TextElement } from '../element';
import type { Item, Note } from '../drawing';
import {
  IDENTITY,
  flatten,
  mapPath,
  mappedBounds,
  pose,
  positive,
  union,
  type Matrix,
  type Point,
  type Rect,
} from '../layout';
import type { Mm } from '../measure';
import { inkSpan, type Line } from '../type';
import { outlineOf } from './shape';
import type { ElementContext } from './context';
import { glyphItems } from './glyph-items';

interface Track {
  readonly points: readonly Point[];
  /** Distance along it up to each point, mm. */
  readonly at: readonly Mm[];
  readonly length: Mm;
  readonly isClosed: boolean;
}

const distance = (a: Point, b: Point): Mm => Math.hypot(b.x - a.x, b.y - a.y);

function trackOf(points: readonly Point[]): Track {
  const at: Mm[] = [0];
  for (let i = 1; i < points.length; i += 1) {
    const [a, b] = [points[i - 1], points[i]];
    at.push((at[i - 1] ?? 0) + (a && b ? distance(a, b) : 0));
  }
  const [first, last] = [points[0], points.at(-1)];
  return { points, at, length: at.at(-1) ?? 0, isClosed: !!first && !!last && distance(first, last) < 1e-6 };
}

/** The point at a distance along a track, and the way it runs there, degrees. */
function pointAt(track: Track, where: Mm): { readonly point: Point; readonly angle: number } | undefined {
  const s = track.isClosed ? ((where % track.length) + track.length) % track.length : where;
  if (s < -1e-6 || s > track.length + 1e-6) return undefined;
  let i = track.at.findIndex((d) => d > s);
  if (i < 1) i = track.points.length - 1;
  const [a, b] = [track.points[i - 1], track.points[i]];
  if (!a || !b) return undefined;
  const [from, to] = [track.at[i - 1] ?? 0, track.at[i] ?? 0];
  const t = to > from ? (s - from) / (to - from) : 0;
  return {
    point: { x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t },
    angle: (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI,
  };
}

/** Where a closed track is highest, or where an open one begins. */
function topOf(track: Track): Mm {
  if (!track.isClosed) return 0;
  let best = 0;
  track.points.forEach((p, i) => {
    if (p.y < (track.points[best]?.y ?? Infinity)) best = i;
  });
  return track.at[best] ?? 0;
}

/** The first line of a text set along the outline of a shape, each glyph standing square on it. */
export function alongOutline(
  element: TextElement,
  lines: readonly Line[],
  context: ElementContext,
): { readonly items: readonly Item[]; readonly ink: Rect | undefined; readonly notes: readonly Note[] } {
  const { along } = element;
  const shape = along && context.shape(along.shape);
  const placed = shape && context.boxes.placed[shape.id];
  if (!along || !shape || !placed)
    return { items: [], ink: undefined, notes: [{ kind: 'missing-outline', element: element.id }] };
  const rect = positive(placed);
  const { rotate, shear } = shape.placement;
  const path = mapPath(outlineOf(shape, { rect, reach: rect, matrix: IDENTITY }, context), pose(rect, rotate, shear));
  const [points = []] = flatten(path, 0.005);
  const forward = trackOf(along.side === 'outside' ? points : [...points].reverse());
  const line = lines[0];
  const span = line && inkSpan(line, context.type);
  if (!line || !span || forward.length === 0) return { items: [], ink: undefined, notes: [] };
  const start = mmOf(along.start, context.boxes.measures);
  const from =
    along.anchor === 'centre'
      ? topOf(forward) + (forward.isClosed ? 0 : forward.length / 2) + start - (span[0] + span[1]) / 2
      : start - span[0];
  const hidden: string[] = [];
  const items = line.glyphs.flatMap((glyph): readonly Item[] => {
    const middle = from + glyph.x + glyph.advance / 2;
    const there = pointAt(forward, middle);
    if (!there) {
      hidden.push(glyph.text);
      return [];
    }
    const turn = (there.angle * Math.PI) / 180;
    const [c, s] = [Math.cos(turn), Math.sin(turn)];
    const stand: Matrix = [c, s, -s, c, there.point.x, there.point.y];
    return glyphItems(element.id, [{ ...glyph, x: -glyph.advance / 2, y: glyph.y }], stand, context);
  });
  const ink = union(
    items.map((item) => {
      const size = item.kind === 'glyphs' ? item.size : 0;
      return mappedBounds({ x: -size / 2, y: -size, width: size, height: size * 1.3 }, item.matrix);
    }),
  );
  const text = [...hidden, ...lines.slice(1).flatMap((l) => l.glyphs.map((g) => g.text))].join('').trim();
  const notes: Note[] = text
    ? [{ kind: 'overflow', element: element.id, words: text.split(/\s+/).length, text, needs: rect.height }]
    : [];
  return { items, ink: items.length > 0 ? ink : undefined, notes };
}
