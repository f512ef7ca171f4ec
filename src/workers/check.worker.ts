import { expose } from 'comlink';
import { backOf, checkSurface, type Finding } from '../core/check';
import type { Drawing } from '../core/drawing';
import { blankOf, type Job, type SideName } from '../core/job';

/** The sides as they were drawn last: only those that changed are sent again. */
const drawings = new Map<SideName, Drawing>();

const worker = {
  /** Takes a side that was drawn anew. */
  take(side: SideName, drawing: Drawing): void {
    drawings.set(side, drawing);
  },

  /** Checks the sides of a piece as they are drawn. */
  check(job: Job, pieceId: string, sides: readonly SideName[]): readonly Finding[] {
    const piece = job.pieces.find((p) => p.id === pieceId);
    if (!piece) return [];
    const blank = blankOf(job, piece);
    return sides.flatMap((side) => {
      const drawing = drawings.get(side);
      const other = backOf(blank, side);
      const back = other === undefined ? undefined : drawings.get(other);
      return drawing ? checkSurface(job, piece, side, drawing, { blank, back }) : [];
    });
  },
};

export type CheckWorker = typeof worker;

expose(worker);
