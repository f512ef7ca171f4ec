import type { Finding } from '@/core/check';
import { elementsOf } from '@/core/job';
import { blankPng, checkDesk, openDesk, previewPng } from '@/output';
import { unpack } from '../packed';
import { Problem } from '../problem';
import { assets } from './kept';

/** Longest side of the picture of a job on the board, pixels. */
const THUMBNAIL = 480;

interface State {
  /** A state of a job as it is kept. */
  readonly document: Uint8Array;
}

/** The front of a job, small, for the board. */
export async function thumbnail({ document }: State): Promise<Uint8Array> {
  const job = unpack(document);
  const desk = await openDesk(job, assets);
  const [front] = desk.sides;
  if (!front) throw new Problem(404, 'This job has no side to show.', 'Open it and set its size.');
  // What nobody laid anything on yet is told by its shape, its folds and its lines.
  const isBare = job.pieces.every((piece) => elementsOf(piece).length === 0);
  return isBare ? blankPng(front.surface) : previewPng(desk, front, THUMBNAIL);
}

/** What stands in a job’s way. */
export const findings = async ({ document }: State): Promise<readonly Finding[]> =>
  checkDesk(await openDesk(unpack(document), assets));
