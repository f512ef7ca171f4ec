import { z } from 'zod';
import { STEPS } from '@/core/job';
import type { KeptStep } from '@/core/schedule';
import type { JobRow } from './store/models';

const KeptPlan = z.object({
  head: z.number(),
  steps: z.array(z.object({ id: z.enum(STEPS), from: z.iso.date(), to: z.iso.date(), isDone: z.boolean() })),
});

/** The steps that are kept of the newest state of a job; undefined where they are to be worked out. */
export function stepsIn({ head, plan }: Pick<JobRow, 'head' | 'plan'>): readonly KeptStep[] | undefined {
  // A row that was just made does not have what nobody gave it.
  const read = plan ? KeptPlan.safeParse(JSON.parse(plan)) : undefined;
  return read?.success && read.data.head === head ? read.data.steps : undefined;
}

/** As they are kept. */
export const writtenPlan = (head: number, steps: readonly KeptStep[]): string =>
  JSON.stringify({ head, steps } satisfies { head: number; steps: readonly KeptStep[] });
