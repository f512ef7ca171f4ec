import { onPage, type OnPage } from './page';
import { act } from '@testing-library/react';
import type { ReactNode } from 'react';
import { chosenOf } from '@/core/edit';
import type { Element, Job } from '@/core/job';
import { ElementSlip } from '@/ui/slip/ElementSlip';
import { handOf } from './hand';
import { makeJob } from './jobs';

/** A part of the page for a job that is open, and what a hand does there. */
export async function partOf(part: ReactNode, before: Job, selection: readonly string[] = []) {
  const page = await onPage(part, before, { selection });
  return { ...page, ...handOf(), before };
}

/** The slip of some elements. */
export async function slipOf(
  elements: readonly Element[],
  selection: readonly string[] = elements.map((e) => e.id),
  more: Partial<Job> = {},
) {
  const page = await partOf(<ElementSlip />, makeJob(elements, more), selection);
  const now = (id = selection[0] ?? '') => {
    const [found] = chosenOf(page.job(), 'front', [id]);
    if (!found) throw new Error(`no ${id}`);
    return found;
  };
  return { ...page, now };
}

/** Undone to the last step, the job is the very one that it was. */
export async function undone({ store }: Pick<OnPage, 'store'>, before: Job): Promise<void> {
  await act(async () => {
    while (store.getState().undoStack.length > 0) await store.getState().undo();
  });
  expect(JSON.stringify(store.getState().job)).toBe(JSON.stringify(before));
}
