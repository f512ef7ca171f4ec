import type { Finding } from '@/core/check';
import { instantOf, readDay } from '@/core/dates';
import { elementsOf, type JobReading } from '@/core/job';
import { keptSteps, type KeptStep } from '@/core/schedule';
import { readPacked } from '@/upkeep';
import { blankPng, checkDesk, openDesk, planAt, previewPng } from '@/output';
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

/** So long before, days, nothing of a job is late yet: its steps lie on the last days on which they can. */
const LONG_BEFORE = 1000;

/** The steps of a job on the last days on which they can be done in time. */
export function planSteps({ document }: Kept): readonly KeptStep[] {
  const job = unpack(document);
  const due = job.due === null ? undefined : readDay(job.due);
  return due === undefined ? [] : keptSteps(planAt(job, instantOf(due - LONG_BEFORE)), job.stage === 'sent');
}

/** What stands in a job’s way. */
export const findings = async ({ document }: Kept): Promise<readonly Finding[]> =>
  checkDesk(await openDesk(unpack(document), assets));
