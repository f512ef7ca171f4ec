import type { Copy, Shift } from './copies';

/** How far the machine that was off most on a copy was off, mm. */
export function offBy({ cut, die, back, folds, passes, holes }: Copy): number {
  const long = ({ x, y }: Shift) => Math.hypot(x, y);
  const cuts = [cut.top, cut.right, cut.bottom, cut.left].map(Math.abs);
  return Math.max(...cuts, long(die), long(back), long(holes), ...folds.map(Math.abs), ...passes.map(long));
}

/** Numbers of copies, from 0, from the truest to the worst. */
export const ranked = (copies: readonly Copy[]): readonly number[] =>
  copies
    .map((copy, number) => ({ number, off: offBy(copy) }))
    .sort((a, b) => a.off - b.off)
    .map(({ number }) => number);
