import { elementsOn, withPiece, withSide, type Element, type Job, type Piece, type SideName } from '../job';

/** What an edit made: the job, and the ids of what is new in it. */
export interface Made {
  readonly job: Job;
  readonly ids: readonly string[];
}

/** The piece on the bench: the job’s first. */
export function pieceOf(job: Job): Piece {
  const [piece] = job.pieces;
  if (!piece) throw new Error('A job has at least one piece.');
  return piece;
}

/** The job with the piece on the bench changed; the same job where that stays as it was. */
export function changePiece(job: Job, change: (piece: Piece) => Piece): Job {
  const before = pieceOf(job);
  const piece = change(before);
  return piece === before ? job : withPiece(job, piece);
}

/** Changes what lies on a side of the piece on the bench. */
export const changeSide = (
  job: Job,
  side: SideName,
  change: (elements: readonly Element[]) => readonly Element[],
): Job =>
  changePiece(job, (piece) => {
    const before = elementsOn(piece, side);
    const elements = change(before);
    const isSame = elements.length === before.length && elements.every((e, i) => e === before[i]);
    return isSame ? piece : withSide(piece, side, elements);
  });

/** Changes some elements of a side; elements the change leaves alone stay the same objects. */
export const withElements = (job: Job, side: SideName, change: (element: Element) => Element): Job =>
  changeSide(job, side, (elements) => elements.map(change));

/** What is chosen of a side, from the lowest up. */
export const chosenOf = (job: Job, side: SideName, ids: readonly string[]): readonly Element[] =>
  elementsOn(pieceOf(job), side).filter(({ id }) => ids.includes(id));

/** Lays elements above all others of a side. */
export const added = (job: Job, side: SideName, elements: readonly Element[]): Made => ({
  job: changeSide(job, side, (list) => [...list, ...elements]),
  ids: elements.map(({ id }) => id),
});
