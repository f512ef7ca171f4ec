import type { Mm } from '../measure';
import { insets, type EdgeLengths } from '../layout';
import { blankOf, rulesFor } from './blank-of';
import type { Job } from './schema';

/** What a print house is told beside the file. */
export interface Order {
  /** Sides that are printed, one page of the file each. */
  readonly pages: number;
  /** Finished size of each, in life. */
  readonly sizes: readonly { readonly width: Mm; readonly height: Mm }[];
  /** The bleed that was agreed; left out, what the house asks of everybody. */
  readonly bleed?: Mm;
}

/** What is ordered with a job; undefined where it has no side. */
export function orderOf(job: Job): Order | undefined {
  const blanks = job.pieces.map((piece) => ({ blank: blankOf(job, piece), rules: rulesFor(job, piece) }));
  const sides = blanks.flatMap(({ blank: { surfaces, scale } }) =>
    surfaces.map(({ boxes: { trim, bleed } }) => ({
      size: { width: trim.width * scale, height: trim.height * scale },
      bleed: leastOf(insets(trim, bleed)) * scale,
    })),
  );
  if (sides.length === 0) return undefined;
  const least = Math.min(...sides.map(({ bleed }) => bleed));
  // A sheet of labels bleeds within itself: its own edge has none, whatever its labels have.
  const isBare = least === 0 && blanks.some(({ rules }) => leastOf(rules.bleed.value) > 0);
  return {
    pages: sides.length,
    sizes: sides.map(({ size }) => size),
    ...((job.house.bleed === undefined || isBare) && { bleed: least }),
  };
}

const leastOf = ({ top, right, bottom, left }: EdgeLengths): Mm => Math.min(top, right, bottom, left);
