import isEqual from 'fast-deep-equal';
import { elementsOf, keptToTemplate, placeOfCell, type Job } from '@/core/job';
import { isOpen, noted, savedAs, type PendingStep } from '@/core/save';
import type { Action, Stamp } from './action';
import type { OpenJob } from './state';

/** Edits with the same merge name within this time are one step for undo, ms. */
const MERGE_WITHIN = 1_200;

/** What was only shown is gone. */
const NOTHING_SHOWN = { live: undefined, proposal: undefined } as const;

/** The job changed by one step, as far as its template allows; the state itself where nothing differs. */
export function committed(
  state: OpenJob,
  wanted: Job,
  { label, merge, stamp }: { readonly label: string; readonly merge?: string | undefined; readonly stamp: Stamp },
): OpenJob {
  const { job: before, undoStack, saving, merging } = state;
  if (isEqual(wanted, before)) return { ...state, ...NOTHING_SHOWN };
  const kept = keptToTemplate(before, wanted);
  // Nothing changes, and what was dragged goes back.
  if (!kept.ok) return { ...state, ...NOTHING_SHOWN, refused: { problem: kept.problem } };
  const { job } = kept;
  const { at } = stamp;
  const joins = merge !== undefined && merging?.name === merge && at - merging.at < MERGE_WITHIN;
  // A joined edit replaces the step while that has not been sent; one that was sent is amended.
  const last = joins && isOpen(saving) ? saving.pending.at(-1) : undefined;
  const kind = last?.kind ?? (joins ? 'amend' : 'edit');
  const step: PendingStep = { id: last?.id ?? stamp.step, kind, label, document: job };
  return {
    ...state,
    ...NOTHING_SHOWN,
    job,
    merging: merge === undefined ? undefined : { name: merge, at },
    undoStack: joins ? undoStack : [...undoStack, { job: before, label }],
    redoStack: [],
    saving: noted(saving, step, last !== undefined, at),
  };
}

/** The job as it was, or as it was to be again; what is not in it is neither selected nor typed. */
export function travelled(state: OpenJob, { way, to, stamp }: Extract<Action, { do: 'travel' }>): OpenJob {
  const { job, label } = to;
  const here = { job: state.job, label };
  const exists = new Set(job.pieces.flatMap((p) => elementsOf(p).map(({ element }) => element.id)));
  const typed = state.typing === undefined ? undefined : (placeOfCell(state.typing)?.table ?? state.typing);
  const step: PendingStep = { id: stamp.step, kind: way, label, document: job };
  return {
    ...state,
    ...NOTHING_SHOWN,
    job,
    merging: undefined,
    typing: typed !== undefined && exists.has(typed) ? state.typing : undefined,
    selection: state.selection.filter((id) => exists.has(id)),
    undoStack: way === 'undo' ? state.undoStack.slice(0, -1) : [...state.undoStack, here],
    redoStack: way === 'undo' ? [...state.redoStack, here] : state.redoStack.slice(0, -1),
    saving: noted(state.saving, step, false, stamp.at),
  };
}

/** After a conflict: the version that goes on, above the one that the server has. */
export function settled(state: OpenJob, { theirs, head, mine, stamp }: Extract<Action, { do: 'settle' }>): OpenJob {
  const job = mine ?? theirs;
  const saving = savedAs(head, theirs);
  const step: PendingStep = { id: stamp.step, kind: 'edit', label: 'Kept my version', document: job };
  return {
    ...state,
    job,
    live: undefined,
    selection: [],
    typing: undefined,
    undoStack: [...state.undoStack, { job: mine ? theirs : state.job, label: 'Choice between versions' }],
    redoStack: [],
    saving: mine ? noted(saving, step, false, stamp.at) : saving,
  };
}
