import 'server-only';
import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import { CannotChange, JOB_FACTS, withJobFacts } from '@/core/edit';
import { contentHash } from '@/core/save';
import { stateAt } from './newest';
import { jobRow } from './jobs';
import { problemOf } from './respond';
import { saveSteps } from './save';

/** Facts that several jobs are given at once: where they stand, when they are due. */
export const SeveralChange = z.object({
  ids: z.array(z.string()).min(1).max(500),
  facts: z.partialRecord(z.enum(JOB_FACTS), z.unknown()),
  label: z.string().min(1).max(200),
});
export type SeveralChange = z.infer<typeof SeveralChange>;

/** What became of each: each job is saved by itself, and one that cannot be keeps none of the others back. */
export interface SeveralAnswer {
  readonly changed: readonly { readonly id: string; readonly head: number }[];
  readonly refused: readonly { readonly id: string; readonly message: string }[];
}

/** Gives facts to several jobs, each as a revision of its own that can be undone there. */
export async function changeSeveral({ ids, facts, label }: SeveralChange): Promise<SeveralAnswer> {
  const changed: { id: string; head: number }[] = [];
  const refused: { id: string; message: string }[] = [];
  for (const id of ids) {
    try {
      const { head: base } = await jobRow(id);
      const job = await stateAt(id, base);
      const document = withJobFacts(job, facts);
      const step = { id: randomUUID(), kind: 'edit' as const, label, change: { as: 'whole' as const, document } };
      const { head } = await saveSteps(id, { base, hash: contentHash(job), steps: [step] });
      changed.push({ id, head });
    } catch (error) {
      refused.push({ id, message: error instanceof CannotChange ? error.message : problemOf(error).message });
    }
  }
  return { changed, refused };
}
