import { z } from 'zod';

/** What is done with a job from its proof to its delivery, in order. */
export const STEPS = [
  'proof',
  'approval',
  'files',
  'queue',
  'plates',
  'print',
  'dry',
  'finish',
  'bind',
  'deliver',
] as const;
export type StepId = (typeof STEPS)[number];

/** What a person said of a step; what is left out follows. */
export const StepSaid = z.strictObject({
  on: z.iso.date().optional().describe('Its last day, put there by hand.'),
  done: z.iso.date().optional().describe('The day on which it was done.'),
  days: z.number().int().min(0).max(365).optional().describe('Working days that it takes.'),
});
export type StepSaid = z.infer<typeof StepSaid>;

/** How a job is to come to its due date, as far as it was said by hand. */
export const ScheduleSaid = z.strictObject({
  steps: z.partialRecord(z.enum(STEPS), StepSaid).default({}),
});
export type ScheduleSaid = z.infer<typeof ScheduleSaid>;
