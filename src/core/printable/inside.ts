import { ptToMm, type Mm } from '../measure';
import type { Mark } from './mark';
import type { Box } from './box';

/** Level and upright lines on the edge of the box lie wholly inside it: nothing reaches past what was given. */
export function inside(mark: Mark, box: Box): Mark {
  if (mark.kind !== 'line') return mark;
  const { from, to, style } = mark;
  const half = ptToMm(style.weightPt) / 2;
  const kept = (at: Mm, room: Mm): Mm => (room < 2 * half ? room / 2 : Math.min(Math.max(at, half), room - half));
  if (from.y === to.y) {
    const y = kept(from.y, box.height);
    return y === from.y ? mark : { ...mark, from: { ...from, y }, to: { ...to, y } };
  }
  if (from.x !== to.x) return mark;
  const x = kept(from.x, box.width);
  return x === from.x ? mark : { ...mark, from: { ...from, x }, to: { ...to, x } };
}
