import type { Finding } from '@/core/check';
import { elementsOf, type JobReading } from '@/core/job';
import { readPacked } from '@/upkeep';
import { blankPng, checkDesk, openDesk, previewPng } from '@/output';
import { unpack } from '../packed';
import { stateFrom, type State } from '../state';
import { assets } from './kept';
import { missing } from '../problems';

/** Longest side of the picture of a job on the board, pixels. */
const THUMBNAIL = 480;

interface Kept {
  /** A state of a job as it is kept. */
  readonly document: Uint8Array;
}

/** The front of a job, small, for the board. */
export async function thumbnail({ document }: Kept): Promise<Uint8Array> {
  const job = unpack(document);
  const desk = await openDesk(job, assets);
  const [front] = desk.sides;
  if (!front) throw missing.side();
  // What nobody laid anything on yet is told by its shape, its folds and its lines.
  const isBare = job.pieces.every((piece) => elementsOf(piece).length === 0);
  return isBare ? blankPng(front.surface) : previewPng(desk, front, THUMBNAIL);
}

/** A job as JSON, read, with its content and how it is kept. @throws Problem where it is no job */
export const readJobText = ({ text }: { readonly text: string }): Promise<State> => stateFrom(JSON.parse(text), text);

/** A state as it is kept: the job, or what is wrong with it. */
export const readKeptState = ({ document }: Kept): JobReading => readPacked(document);

/** What stands in a job’s way. */
export const findings = async ({ document }: Kept): Promise<readonly Finding[]> =>
  checkDesk(await openDesk(unpack(document), assets));
