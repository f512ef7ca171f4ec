import { expose } from 'comlink';
import { imposed, type Guest, type Imposed, type Job } from '../core/job';

/** Lays several jobs on sheets together: that is searched for seconds, and the page goes on meanwhile. */
const worker = {
  impose(job: Job, pieceId: string, guests: readonly Guest[]): Imposed {
    const piece = job.pieces.find(({ id }) => id === pieceId);
    return piece ? imposed(job, piece, guests) : { ok: false, message: 'There is no piece.' };
  },
};

export type ImposeWorker = typeof worker;

expose(worker);
