import { TOUCH, type EdgeName, type Rect } from '../layout';
import type { ProcessLine } from '../shop';

/** What ends this near a fold was meant to end on it; further past it, it goes round on purpose, mm [cp]. */
export const MEANT = 1.5;
/** A fold counts where it runs along this much of an edge. */
const ALONG = 0.5;

/** How far an edge lies past a straight fold that runs along it, mm; negative short of it. */
export function pastFold(
  { from, to, path }: Pick<ProcessLine, 'from' | 'to' | 'path'>,
  rect: Rect,
  edge: EdgeName,
): number | undefined {
  if (path) return undefined;
  const isUprightEdge = edge === 'left' || edge === 'right';
  const [across, along] = isUprightEdge ? (['x', 'y'] as const) : (['y', 'x'] as const);
  if (Math.abs(from[across] - to[across]) > TOUCH) return undefined;
  const [start, size, length] = isUprightEdge ? [rect.x, rect.width, rect.height] : [rect.y, rect.height, rect.width];
  const at = isUprightEdge ? rect.y : rect.x;
  const shared =
    Math.min(at + length, Math.max(from[along], to[along])) - Math.max(at, Math.min(from[along], to[along]));
  if (shared < ALONG * length) return undefined;
  return edge === 'left' || edge === 'top' ? from[across] - start : start + size - from[across];
}
