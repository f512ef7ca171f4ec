import type { Job, Piece } from '../job';
import { rulesFor } from '../rules';
import type { Blank } from './blank';
import { flyer, flyerBlank } from './flyer';
import type { Format } from './parameter';

/** Every kind of piece, in the order a shop thinks of them. */
export const FORMATS: readonly Format[] = [flyer];

export const formatOf = (kind: string): Format | undefined => FORMATS.find((f) => f.kind === kind);

/** The flat piece of paper that a piece of a job is. */
export function blankOf(job: Job, piece: Piece): Blank {
  const rules = rulesFor(job, piece);
  switch (piece.kind) {
    case 'flyer':
      return flyerBlank(job, piece, rules);
  }
}
