import type { Build } from '@/core/colour';
import { paintOfInk } from '@/core/compose';
import { leavesOf, type Drawing, type Ink, type InkStop, type Leaf } from '@/core/drawing';
import type { SolidPaint } from '@/core/job';
import { apply, inverse, isInside, type Point } from '@/core/layout';

/** What is under a point: a paint, or a place in a picture (shares of it). */
export type Picked =
  | { readonly kind: 'paint'; readonly paint: SolidPaint }
  | { readonly kind: 'pixel'; readonly picture: string; readonly x: number; readonly y: number };

const round = (n: number) => Math.round(n);
const rounded = ({ c, m, y, k }: Build): Build => ({ c: round(c), m: round(m), y: round(y), k: round(k) });

const paintOf = (ink: Ink, point: Point): SolidPaint | undefined => {
  switch (ink.kind) {
    case 'process':
      return paintOfInk({ ...ink, overprint: false, build: rounded(ink.build) });
    case 'gradient':
      return { kind: 'process', ...mixedAt(ink.stops, alongRun(ink.run, point)) };
    case 'technical':
    case 'registration':
      return undefined;
  }
};

type Run = Extract<Ink, { kind: 'gradient' }>['run'];

/** Where a point lies along a gradient, 0 to 1. */
function alongRun(run: Run, p: Point): number {
  if (run.kind === 'radial')
    return run.radius > 0 ? Math.hypot(p.x - run.centre.x, p.y - run.centre.y) / run.radius : 1;
  const [dx, dy] = [run.to.x - run.from.x, run.to.y - run.from.y];
  const length = dx * dx + dy * dy;
  return length > 0 ? ((p.x - run.from.x) * dx + (p.y - run.from.y) * dy) / length : 0;
}

function mixedAt(stops: readonly InkStop[], at: number): { c: number; m: number; y: number; k: number } {
  const after = stops.findIndex((s) => s.at >= at);
  const b = stops[after === -1 ? stops.length - 1 : after];
  const a = stops[Math.max(0, (after === -1 ? stops.length : after) - 1)] ?? b;
  if (!a || !b) return { c: 0, m: 0, y: 0, k: 0 };
  const t = b.at > a.at ? Math.min(Math.max((at - a.at) / (b.at - a.at), 0), 1) : 1;
  const mix = (ink: 'c' | 'm' | 'y' | 'k') => round(a.build[ink] + (b.build[ink] - a.build[ink]) * t);
  return { c: mix('c'), m: mix('m'), y: mix('y'), k: mix('k') };
}

/** What the topmost thing under a point is coloured with; nothing where the paper is bare. */
export function pickedAt(drawing: Drawing, point: Point): Picked | undefined {
  for (const frame of [...drawing.frames].reverse())
    for (const leaf of [...leavesOf(frame.items)].reverse()) {
      const found = pickedFrom(leaf, apply(inverse(leaf.matrix), point));
      if (found) return found;
    }
  return undefined;
}

/** How near to a glyph’s or line’s place is on it, mm. */
const NEAR = 1.5;

function pickedFrom(leaf: Leaf, p: Point): Picked | undefined {
  const paint = (ink: Ink): Picked | undefined => {
    const found = paintOf(ink, p);
    return found && { kind: 'paint', paint: found };
  };
  switch (leaf.kind) {
    case 'path':
      if (leaf.fill && isInside(p, leaf.path)) return paint(leaf.fill);
      return undefined;
    case 'glyphs': {
      const hit = leaf.glyphs.some(
        (g) => p.x >= g.x - NEAR && p.x <= g.x + leaf.size * 0.6 && p.y <= g.y + NEAR && p.y >= g.y - leaf.size * 0.75,
      );
      return hit ? paint(leaf.ink) : undefined;
    }
    case 'picture': {
      const { frame, image, content } = leaf;
      if (p.x < frame.x || p.y < frame.y || p.x > frame.x + frame.width || p.y > frame.y + frame.height)
        return undefined;
      const q = content ? apply(inverse(content), p) : p;
      const [x, y] = [(q.x - image.x) / image.width, (q.y - image.y) / image.height];
      return x >= 0 && y >= 0 && x <= 1 && y <= 1 ? { kind: 'pixel', picture: leaf.picture, x, y } : undefined;
    }
    case 'page':
      return undefined;
  }
}
