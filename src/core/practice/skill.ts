import { addDays, formatISO, parseISO } from 'date-fns';
import supermemo from 'supermemo';
import type { RuleId } from '../check';
import type { Outcome } from './marking';

/** How well one kind of fault is known, and when it comes again. */
export interface Skill {
  readonly rule: RuleId;
  /** How easily it is kept: by what the days between are multiplied, 1.3 at least. */
  readonly efactor: number;
  /** Times it was known in a row. */
  readonly repetition: number;
  /** Days until it comes again. */
  readonly interval: number;
  /** ISO dates: of the last trial, and of the next one. */
  readonly on: string;
  readonly due: string;
  /** How often it was there, and how often it was found. */
  readonly met: number;
  readonly found: number;
}

/** What is kept of something that was never met: the published beginning of SM-2. */
const NEW = { efactor: 2.5, repetition: 0, interval: 0 } as const;

/** Grades of SM-2: from 3 up it was known. What was seen and called wrongly was known with difficulty. */
const GRADES = { found: 5, seen: 3, missed: 1 } as const satisfies Readonly<Record<Outcome, number>>;

/**
 * A skill after one more trial, by SM-2 (Woźniak 1990, chapter 3.2): after 1 day, after 6, then each time longer by its
 * ease. What was missed begins anew with the ease it had; what was not known well comes again on the same day, until it
 * is, and that changes nothing else.
 * @param today ISO date
 */
export function practised(before: Skill | undefined, rule: RuleId, outcome: Outcome, today: string): Skill {
  const isAgain = before !== undefined && before.on === today && before.due === today;
  const after = isAgain ? before : supermemo(before ?? NEW, GRADES[outcome]);
  const { interval, repetition } = after;
  const efactor = outcome === 'missed' ? (before ?? NEW).efactor : after.efactor;
  return {
    rule,
    interval,
    repetition,
    efactor,
    on: today,
    due: outcome === 'found' ? formatISO(addDays(parseISO(today), interval), { representation: 'date' }) : today,
    met: (before?.met ?? 0) + 1,
    found: (before?.found ?? 0) + (outcome === 'found' ? 1 : 0),
  };
}

/** What is to come again by a day, the longest overdue first. */
export const dueBy = (skills: readonly Skill[], today: string): readonly RuleId[] =>
  skills
    .filter(({ due }) => due <= today)
    .sort((a, b) => (a.due < b.due ? -1 : a.due > b.due ? 1 : a.efactor - b.efactor))
    .map(({ rule }) => rule);

/** What is known on a day: it comes again later. */
export const knownOn = (skills: readonly Skill[], today: string): readonly RuleId[] =>
  skills.filter(({ due }) => due > today).map(({ rule }) => rule);
