import { z } from 'zod';

/** What a person writes down of a job. */
export const LOG_KINDS = ['note', 'call', 'complaint', 'differently'] as const;
export type LogKind = (typeof LOG_KINDS)[number];

/** Something that happened with a job, written down by hand. */
export const LogEntry = z.strictObject({
  id: z.string().min(1).max(80),
  at: z.iso.datetime(),
  kind: z.enum(LOG_KINDS).describe('`differently`: what is to be done in another way next time.'),
  text: z.string().min(1).max(2000),
});
export type LogEntry = z.infer<typeof LogEntry>;

/** What comes back when a job like it begins. */
const LESSONS: readonly LogKind[] = ['complaint', 'differently'];

/** What a job has to teach, the last first. */
export const lessonsIn = (log: readonly LogEntry[] | undefined): readonly LogEntry[] =>
  (log ?? []).filter(({ kind }) => LESSONS.includes(kind)).toReversed();

/** By what one job is like another. */
export const ALIKE = ['kind', 'client', 'printer', 'paper'] as const;
export type Alike = (typeof ALIKE)[number];
export type AlikeFacts = Readonly<Record<Alike, string>>;

/** In what two jobs are alike; what is open in one of them counts for nothing. */
export const alikeIn = (one: AlikeFacts, other: AlikeFacts): readonly Alike[] =>
  ALIKE.filter((fact) => one[fact].trim() !== '' && one[fact].trim() === other[fact].trim());

/** Whether what was learnt with one job is of use for the other: they are of a kind, or share two other facts. */
export const isAlike = (alike: readonly Alike[]): boolean => alike.includes('kind') || alike.length >= 2;

/** What was learnt with another job. */
export interface Lesson {
  readonly job: string;
  readonly name: string;
  readonly at: string;
  readonly kind: LogKind;
  readonly text: string;
  /** In what the jobs are alike. */
  readonly alike: readonly Alike[];
}
