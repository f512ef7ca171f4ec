import { z } from 'zod';
import { RULE_IDS } from '../check';
import { writeRows } from '../data';
import { LEVELS } from '../spoil';

const count = z.number().int().min(0).max(1_000_000);

const SkillRecord = z.strictObject({
  rule: z.enum(RULE_IDS),
  efactor: z.number().min(1.3).max(10),
  repetition: count,
  interval: count,
  on: z.iso.date(),
  due: z.iso.date(),
  met: count,
  found: count,
});

/** One round that was handed in. */
export const Trial = z.strictObject({
  at: z.iso.datetime(),
  piece: z.string().max(200),
  level: z.literal(LEVELS),
  found: count,
  seen: count,
  missed: count,
  /** Marks where nothing was wrong. */
  wrong: count,
});
export type Trial = z.infer<typeof Trial>;

/** So many rounds of one person are kept; earlier ones have done their part. */
export const MOST_TRIALS = 500;

/** Somebody who practises: what is known how well, the rounds, and the sums by their kind. */
export const Learner = z.strictObject({
  name: z.string().trim().min(1, 'Say who practises.').max(60),
  skills: z.array(SkillRecord).default([]),
  trials: z.array(Trial).max(MOST_TRIALS).default([]),
  drills: z.record(z.string().max(40), z.strictObject({ asked: count, right: count })).default({}),
});
export type Learner = z.infer<typeof Learner>;

/** The share of faults that was found, 0 to 1; undefined where none was met. */
export function shareFound({ found, seen, missed }: Pick<Trial, 'found' | 'seen' | 'missed'>): number | undefined {
  const met = found + seen + missed;
  return met > 0 ? found / met : undefined;
}

/** Rounds of a person as a table. */
export const trialsCsv = ({ trials }: Learner): string =>
  writeRows([
    ['when', 'piece', 'level', 'found', 'seen', 'missed', 'wrongly marked'],
    ...trials.map((t) => [t.at, t.piece, t.level, t.found, t.seen, t.missed, t.wrong]),
  ]);
