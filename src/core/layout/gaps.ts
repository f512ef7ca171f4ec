import type { Rect } from '../geometry';
import type { Distance } from './snap';

/**
 * The gaps between two boxes on the axes on which they stand apart; on an axis where one lies within the other’s
 * stretch, how far its edges lie inside.
 */
export function gapsBetween(a: Rect, b: Rect): readonly Distance[] {
  return [...along(a, b, 'x'), ...along(a, b, 'y')];
}

function along(a: Rect, b: Rect, axis: 'x' | 'y'): readonly Distance[] {
  const [start, size, other, otherSize] =
    axis === 'x' ? (['x', 'width', 'y', 'height'] as const) : (['y', 'height', 'x', 'width'] as const);
  const across = middleOfBoth(a[other], a[otherSize], b[other], b[otherSize]);
  const [aEnd, bEnd] = [a[start] + a[size], b[start] + b[size]];
  if (aEnd <= b[start]) return [{ axis, from: aEnd, to: b[start], across }];
  if (bEnd <= a[start]) return [{ axis, from: bEnd, to: a[start], across }];
  const [inner, outer] = a[size] <= b[size] ? [a, b] : [b, a];
  const [from, to] = [inner[start], inner[start] + inner[size]];
  if (from < outer[start] || to > outer[start] + outer[size]) return [];
  return [
    { axis, from: outer[start], to: from, across },
    { axis, from: to, to: outer[start] + outer[size], across },
  ];
}

/** The middle of what two stretches share, or of what lies between them. */
function middleOfBoth(a: number, aSize: number, b: number, bSize: number): number {
  const from = Math.max(a, b);
  const to = Math.min(a + aSize, b + bSize);
  return (from + to) / 2;
}
