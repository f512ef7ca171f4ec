import { isLeftPage } from '../format';
import type { Piece, SideName } from '../job';
import type { Turn } from '../printable';

/**
 * Which of the sides that follow the same base layout each side is: a printable that lies on a layout goes on from page
 * to page. A side without a layout, and a layout itself, is the first.
 * @param sides in reading order
 */
export function turnsOf(piece: Pick<Piece, 'layouts'>, sides: readonly SideName[]): (side: SideName) => Turn {
  const counts = new Map<string, number>();
  const found = new Map<SideName, Turn>();
  for (const side of sides) {
    const base = piece.layouts[side]?.base ?? undefined;
    const index = base === undefined ? 0 : (counts.get(base) ?? 0);
    if (base !== undefined) counts.set(base, index + 1);
    found.set(side, { index, isLeft: isLeftPage(side) });
  }
  return (side) => found.get(side) ?? { index: 0, isLeft: isLeftPage(side) };
}

/** By what a turn is told from another. */
export const keyOfTurn = ({ index, isLeft }: Turn): string => `${index}${isLeft ? ' left' : ''}`;
