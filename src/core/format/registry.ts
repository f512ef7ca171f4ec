import type { Job, Piece } from '../job';
import { rulesFor, type Rules } from '../rules';
import type { Blank } from './blank';
import { flyer, flyerBlank } from './flyer';
import type { Format } from './parameter';

/** Every kind of piece, in the order a shop thinks of them. */
export const FORMATS: readonly Format[] = [flyer];

export const formatOf = (kind: string): Format | undefined => FORMATS.find((f) => f.kind === kind);

/** The flat piece of paper that a piece of a job is. */
export function blankOf(job: Job, piece: Piece): Blank {
  return BLANKS[piece.kind](job, piece, rulesFor(job, piece));
}

/** How each kind becomes a blank. */
const BLANKS: { readonly [K in Piece['kind']]: (job: Job, piece: Extract<Piece, { kind: K }>, rules: Rules) => Blank } =
  {
    flyer: flyerBlank,
  };
