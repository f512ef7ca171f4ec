import type { BaselineGrid, Guide, Job, NamedGrid } from '../job';
import { changePiece } from './on-side';
import { putRecord, withoutRecord } from './records';

/** Puts a guide in the place of the one of its id, or adds it. */
export const putGuide = (job: Job, guide: Guide): Job =>
  changePiece(job, (piece) => ({ ...piece, guides: putRecord(piece.guides, guide) }));

export const removeGuide = (job: Job, id: string): Job =>
  changePiece(job, (piece) => ({ ...piece, guides: withoutRecord(piece.guides, id) }));

/** Puts a grid in the place of the one of its id, or adds it. */
export const putGrid = (job: Job, grid: NamedGrid): Job =>
  changePiece(job, (piece) => ({ ...piece, grids: putRecord(piece.grids, grid) }));

export const removeGrid = (job: Job, id: string): Job =>
  changePiece(job, (piece) => ({ ...piece, grids: withoutRecord(piece.grids, id) }));

/** Level lines for the baselines of every side; null for none. */
export const setBaselineGrid = (job: Job, baselineGrid: BaselineGrid | null): Job =>
  changePiece(job, (piece) => ({ ...piece, baselineGrid }));
