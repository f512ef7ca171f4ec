import type { Finishing } from '../finish';
import type { Piece, SideName } from './schema';

/** What is done to a side beyond printing, in the order in which it is made. */
export const finishOn = (piece: Pick<Piece, 'finish'>, side: SideName): readonly Finishing[] =>
  piece.finish?.[side] ?? [];

/** A piece with other lines and coatings on a side; a side without any is not listed. */
export function withFinish(piece: Piece, side: SideName, list: readonly Finishing[]): Piece {
  const others = Object.entries(piece.finish ?? {}).filter(([name]) => name !== side);
  const all: (readonly [SideName, Finishing[]])[] = list.length > 0 ? [...others, [side, [...list]]] : others;
  return { ...piece, finish: all.length > 0 ? Object.fromEntries(all) : undefined };
}
