import type { DeskSheetRequest } from '../impose';
import type { Size } from '../paper';
import { isImperial } from '../rules';
import type { DeskOutput, Job } from './schema';

/** Rim that desk printers usually leave white, mm [cp]. */
const USUAL_EDGE = 5;

/** What is printed on at a desk, where nothing is said. */
export const usualDesk = (job: Pick<Job, 'unit' | 'house'>): DeskOutput => ({
  sheet: isImperial(job.unit) ? { width: 215.9, height: 279.4 } : { width: 210, height: 297 },
  edge: job.house.unprintable ?? USUAL_EDGE,
  gap: 0,
  bleed: 0,
  fill: 'same',
  marks: true,
  overlap: 10,
});

/** A piece on desk sheets, as the job wants it. */
export function deskRequest(job: Job, trim: Size): DeskSheetRequest {
  const { sheet, edge, gap, bleed, marks, across, down } = job.output.desk ?? usualDesk(job);
  return { trim, bleed, sheet, edge, gap, marks, across, down };
}
