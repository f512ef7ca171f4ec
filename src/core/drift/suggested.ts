import { edges, grow, negated } from '../layout';
import type { Mm } from '../measure';
import { borderOf } from './border';
import { RARE, cutClearance, exceededBy } from './chance';
import type { DriftSide } from './side';

/** What the machines of a house ask of a layout. */
export interface Suggested {
  /** So far inside the trim the cut comes on one copy in a thousand, mm; what has to be seen whole stays clear. */
  readonly clear: Mm;
  /** A border of this width or more looks even on all but one copy in a thousand, mm. */
  readonly border: Mm;
}

/** A border to measure by, mm: how wide it has to become does not depend on how wide it is. */
const PROBE = 1;

/** Safe margin and least border, as they follow from what the machines are off by. */
export function suggestedBy(side: DriftSide): Suggested {
  const { trimming } = side.line;
  // Where edges are cut one by one a formula says it; where a tool moves as a whole, the copies do.
  const clear =
    trimming.moves === 'edges'
      ? cutClearance(RARE, trimming.figures)
      : exceededBy(
          side.copies().map(({ die }) => Math.hypot(die.x, die.y)),
          RARE,
        );
  const border = borderOf(side, grow(side.trim, negated(edges(PROBE))));
  return { clear, border: border?.clearance ?? 0 };
}
