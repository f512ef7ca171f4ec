import type { RuleId } from '../check';
import type { SideName } from '../job';
import { SPOILERS } from '../spoil';
import type { Fault } from './round';

/** Something that was marked: where, and what is said to be wrong with it. */
export interface Mark {
  readonly side: SideName;
  /** Null: it is said of the side, or of the piece as a whole. */
  readonly element: string | null;
  readonly rule: RuleId;
}

/** Found and called by its name; seen, and called something else or not pointed at; missed. */
export type Outcome = 'found' | 'seen' | 'missed';

export interface Marked {
  /** One for each fault. */
  readonly outcomes: readonly Outcome[];
  /** Marks where nothing is wrong. */
  readonly wrong: readonly Mark[];
}

/** How near a mark comes to a fault. */
function outcomeOf(fault: Fault, mark: Mark): Outcome {
  const isWhole = fault.elements.length === 0;
  const isThere = isWhole || (mark.element !== null && fault.elements.includes(mark.element));
  const isCalled = mark.rule === fault.rule || (SPOILERS[fault.rule].brings ?? []).includes(mark.rule);
  if (isWhole) return isCalled && mark.rule === fault.rule ? 'found' : 'missed';
  if (isThere) return isCalled ? 'found' : 'seen';
  return mark.rule === fault.rule && mark.side === fault.side ? 'seen' : 'missed';
}

const WORTH: Readonly<Record<Outcome, number>> = { found: 2, seen: 1, missed: 0 };

/** What was found of what is wrong. */
export function marked(faults: readonly Fault[], marks: readonly Mark[]): Marked {
  const outcomes = faults.map((fault) =>
    marks
      .map((mark) => outcomeOf(fault, mark))
      .reduce<Outcome>((best, one) => (WORTH[one] > WORTH[best] ? one : best), 'missed'),
  );
  const wrong = marks.filter((mark) => faults.every((fault) => outcomeOf(fault, mark) === 'missed'));
  return { outcomes, wrong };
}
