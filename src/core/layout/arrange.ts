import type { Mm } from '../measure';
import { union, type Rect } from '../geometry';

export type Edge = 'left' | 'centre' | 'right' | 'top' | 'middle' | 'bottom';

/** The rectangle moved so that its edge or centre meets that of the reference. */
export function alignTo(rect: Rect, reference: Rect, edge: Edge): Rect {
  switch (edge) {
    case 'left':
      return { ...rect, x: reference.x };
    case 'centre':
      return { ...rect, x: reference.x + (reference.width - rect.width) / 2 };
    case 'right':
      return { ...rect, x: reference.x + reference.width - rect.width };
    case 'top':
      return { ...rect, y: reference.y };
    case 'middle':
      return { ...rect, y: reference.y + (reference.height - rect.height) / 2 };
    case 'bottom':
      return { ...rect, y: reference.y + reference.height - rect.height };
  }
}

/**
 * The rectangles spread along an axis with equal gaps, in their present order.
 * gap = (length of the stretch − sum of sizes) ÷ (n − 1). Negative when they overlap.
 * @param within the box whose both ends are met; without it the outermost two stay
 * @returns new rectangles in the order given, and the gap
 */
export function distribute(
  rects: readonly Rect[],
  axis: 'x' | 'y',
  within: Rect | undefined,
): { readonly rects: readonly Rect[]; readonly gap: Mm } {
  const size = axis === 'x' ? 'width' : 'height';
  const stretch = within ?? union(rects);
  const total = rects.reduce((sum, r) => sum + r[size], 0);
  const gap = rects.length > 1 ? (stretch[size] - total) / (rects.length - 1) : 0;
  const order = rects.map((_, i) => i).sort((a, b) => (rects[a]?.[axis] ?? 0) - (rects[b]?.[axis] ?? 0));
  const moved = [...rects];
  let at = stretch[axis];
  for (const i of order) {
    const rect = rects[i];
    if (!rect) continue;
    moved[i] = { ...rect, [axis]: at };
    at += rect[size] + gap;
  }
  return { rects: moved, gap };
}
