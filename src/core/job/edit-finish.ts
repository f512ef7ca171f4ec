import type { Finishing } from '../finish';
import type { Job, Piece, SideName } from './schema';

/** What is done to a side beyond printing, in the order in which it is made. */
export const finishOn = (piece: Pick<Piece, 'finish'>, side: SideName): readonly Finishing[] =>
  piece.finish?.[side] ?? [];

/** A piece with other lines and coatings on a side; a side without any is not listed. */
export function withFinish(piece: Piece, side: SideName, list: readonly Finishing[]): Piece {
  const others = Object.entries(piece.finish ?? {}).filter(([name]) => name !== side);
  const all: (readonly [SideName, Finishing[]])[] = list.length > 0 ? [...others, [side, [...list]]] : others;
  return { ...piece, finish: all.length > 0 ? Object.fromEntries(all) : undefined };
}

/** A job with other lines and coatings on a side of a piece. */
export const editFinish = (
  job: Job,
  piece: string,
  side: SideName,
  change: (list: readonly Finishing[]) => readonly Finishing[],
): Job => ({
  ...job,
  pieces: job.pieces.map((p) => (p.id === piece ? withFinish(p, side, change(finishOn(p, side))) : p)),
});

/** The list with one of it a place earlier or later. */
export function movedFinishing(list: readonly Finishing[], id: string, by: 1 | -1): readonly Finishing[] {
  const at = list.findIndex((f) => f.id === id);
  const to = at + by;
  const [one, two] = [list[at], list[to]];
  return one && two ? list.map((f, i) => (i === at ? two : i === to ? one : f)) : list;
}
