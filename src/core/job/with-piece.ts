import type { Job, Piece } from './schema';

/** The job with a piece as it is after a change. @param piece found by its id */
export const withPiece = (job: Job, piece: Piece): Job => ({
  ...job,
  pieces: job.pieces.map((p) => (p.id === piece.id ? piece : p)),
});
