import { expose } from 'comlink';
import { checkSurface, type Finding } from '../core/check';
import type { Drawing } from '../core/drawing';
import type { Job, SideName } from '../core/job';

const worker = {
  /** Checks the sides of a piece as they are drawn. */
  check(
    job: Job,
    pieceId: string,
    drawings: readonly { readonly side: SideName; readonly drawing: Drawing }[],
  ): readonly Finding[] {
    const piece = job.pieces.find((p) => p.id === pieceId);
    return piece ? drawings.flatMap(({ side, drawing }) => checkSurface(job, piece, side, drawing)) : [];
  },
};

export type CheckWorker = typeof worker;

expose(worker);
