'use client';
import { createStore, type StoreApi } from 'zustand/vanilla';
import isEqual from 'fast-deep-equal';
import {
  blankOf,
  placeOfCell,
  type CellBlock,
  elementsOf,
  keptToTemplate,
  type Job,
  type SideName,
  type SolidPaint,
  type TextRange,
} from '@/core/job';
import type { Lost } from '@/core/check';
import type { Measured } from '@/core/figure';
import { isOpen, noted, savedAs, type PendingStep, type Saving } from '@/core/save';
import { api } from '../shell/api';
import type { Ability, Station } from './station';
import { pieceOf, type Made } from '@/core/edit';

/** A state that undo or redo leads to: at hand, or still on the server from an earlier visit. */
type Past = { readonly job: Job; readonly label: string } | { readonly revision: number };

/** A change of a job, whichever state that is in by then. */
export type Recipe = (job: Job) => Job;

/** A change that waits for the designer. */
export interface Proposal {
  readonly label: string;
  readonly recipe: Recipe;
  readonly lost: readonly Lost[];
  /** Figures that change, in words. */
  readonly changes: readonly string[];
  /** What fails that did not fail before. */
  readonly fails: readonly string[];
}

export interface JobState {
  readonly job: Job;
  /** The job while a drag is under way; nothing is kept of it until it is let go. */
  readonly live: Job | undefined;
  /** How far it is kept. */
  readonly saving: Saving;
  readonly undoStack: readonly Past[];
  readonly redoStack: readonly Past[];
  readonly selection: readonly string[];
  /** The text being typed in place. */
  readonly typing: string | undefined;
  /** What is selected of the text being typed, from where it was begun to where it was drawn. */
  readonly range: TextRange | undefined;
  readonly side: SideName;
  /** All that there are, in their order. */
  readonly stations: readonly Station[];
  /** The one that is shown. */
  readonly station: Station;
  readonly pointed: Measured | undefined;
  /** The last change that the template did not allow; a new one each time. */
  readonly refused: { readonly problem: string } | undefined;
  /** A change of size or kind that would leave something without its place, waiting for a yes. */
  readonly proposal: Proposal | undefined;
  /** The piece shown folded, as a dummy. */
  readonly folded: boolean;
  /** What a colour that is picked on the bench is for. */
  readonly picking: ((paint: SolidPaint) => void) | undefined;
  /** Cells chosen in the table that is selected. */
  readonly cells: CellBlock | undefined;
  /** The path whose points are being edited. */
  readonly editing: string | undefined;
  /** The picture whose content is moved within its frame. */
  readonly framing: string | undefined;

  /**
   * Changes the job as it is now, whatever was on the screen when the change was begun. Changes under the same merge
   * name within a moment are one step for undo.
   */
  readonly change: (label: string, recipe: Recipe, merge?: string) => void;
  /** Changes the job likewise, and selects what is new in it. */
  readonly make: (label: string, recipe: (job: Job) => Made) => void;
  /** Shows the job as a change would leave it; undefined shows it as it is. */
  readonly preview: (recipe: Recipe | undefined) => void;
  readonly propose: (proposal: Proposal | undefined) => void;
  readonly setFolded: (folded: boolean) => void;
  readonly undo: () => Promise<void>;
  readonly redo: () => Promise<void>;
  readonly select: (ids: readonly string[]) => void;
  readonly type: (id: string | undefined) => void;
  readonly mark: (range: TextRange) => void;
  readonly pick: (take: ((paint: SolidPaint) => void) | undefined) => void;
  readonly chooseCells: (cells: CellBlock | undefined) => void;
  readonly editPath: (id: string | undefined) => void;
  readonly frame: (id: string | undefined) => void;
  readonly show: (side: SideName) => void;
  readonly go: (station: Station) => void;
  /** Goes to the first station where something can be done; begins anew here where that is this one. */
  readonly goWhere: (ability: Ability) => void;
  readonly point: (measured: Measured | undefined) => void;
  /** Something became of what was to be kept. */
  readonly keep: (change: (saving: Saving) => Saving) => void;
  /** After a conflict: goes on with what is kept, or with another version on top of it. */
  readonly settle: (theirs: Job, head: number, mine: Job | undefined) => void;
}

export type JobStore = StoreApi<JobState>;

/** Edits with the same merge name within this time are one step for undo, ms. */
const MERGE_WITHIN = 1_200;

/** Nothing typed, edited, framed or picked. */
const NO_MODE = {
  cells: undefined,
  typing: undefined,
  range: undefined,
  editing: undefined,
  framing: undefined,
  picking: undefined,
};

export function createJobStore(
  current: {
    head: number;
    job: Job;
    undo: readonly number[];
    redo: readonly number[];
  },
  stations: readonly Station[],
  at?: string,
  left?: Saving,
): JobStore {
  const station = stations.find(({ id }) => id === at) ?? stations.find(({ opens }) => opens) ?? stations[0];
  if (!station) throw new Error('There is no station.');
  const newest = left?.pending.at(-1)?.document ?? current.job;
  let merging: { name: string; at: number } | undefined;
  return createStore<JobState>((set, get) => {
    const commit = (label: string, wanted: Job, merge: string | undefined) => {
      const { job: before, undoStack, saving } = get();
      if (isEqual(wanted, before)) {
        set({ live: undefined, proposal: undefined });
        return;
      }
      const kept = keptToTemplate(before, wanted);
      if (!kept.ok) {
        // Nothing changes, and what was dragged goes back.
        set({ live: undefined, proposal: undefined, refused: { problem: kept.problem } });
        return;
      }
      const { job } = kept;
      const now = Date.now();
      const joins = merge !== undefined && merging?.name === merge && now - merging.at < MERGE_WITHIN;
      merging = merge === undefined ? undefined : { name: merge, at: now };
      // A joined edit replaces the step while that has not been sent; one that was sent is amended.
      const last = joins && isOpen(saving) ? saving.pending.at(-1) : undefined;
      const kind = last?.kind ?? (joins ? 'amend' : 'edit');
      const step: PendingStep = { id: last?.id ?? crypto.randomUUID(), kind, label, document: job };
      set({
        job,
        live: undefined,
        proposal: undefined,
        undoStack: joins ? undoStack : [...undoStack, { job: before, label }],
        redoStack: [],
        saving: noted(saving, step, last !== undefined, now),
      });
    };
    const fetchPast = async (past: Past): Promise<{ job: Job; label: string }> =>
      'job' in past ? past : { job: (await api.revision(get().job.id, past.revision)).job, label: 'Earlier change' };
    const travel = async (kind: 'undo' | 'redo') => {
      const from = kind === 'undo' ? get().undoStack : get().redoStack;
      const past = from.at(-1);
      if (!past) return;
      const { job, label } = await fetchPast(past);
      const state = get();
      merging = undefined;
      const here = { job: state.job, label };
      const exists = new Set(job.pieces.flatMap((p) => elementsOf(p).map(({ element }) => element.id)));
      set({
        job,
        live: undefined,
        proposal: undefined,
        typing:
          state.typing !== undefined && exists.has(placeOfCell(state.typing)?.table ?? state.typing)
            ? state.typing
            : undefined,
        selection: state.selection.filter((id) => exists.has(id)),
        undoStack: kind === 'undo' ? state.undoStack.slice(0, -1) : [...state.undoStack, here],
        redoStack: kind === 'undo' ? [...state.redoStack, here] : state.redoStack.slice(0, -1),
        saving: noted(state.saving, { id: crypto.randomUUID(), kind, label, document: job }, false, Date.now()),
      });
    };
    return {
      job: newest,
      live: undefined,
      saving: left ?? savedAs(current.head, current.job),
      undoStack: [
        ...current.undo.map((revision) => ({ revision })),
        ...statesBefore(left).map(({ document, label }) => ({ job: document, label })),
      ],
      redoStack: left ? [] : current.redo.map((revision) => ({ revision })),
      selection: [],
      typing: undefined,
      range: undefined,
      side: blankOf(newest, pieceOf(newest)).surfaces[0]?.name ?? 'front',
      stations,
      station,
      pointed: undefined,
      proposal: undefined,
      refused: undefined,
      folded: false,
      picking: undefined,
      cells: undefined,
      editing: undefined,
      framing: undefined,
      change: (label, recipe, merge) => commit(label, recipe(get().job), merge),
      make: (label, recipe) => {
        const { job, ids } = recipe(get().job);
        commit(label, job, undefined);
        get().select(ids);
      },
      preview: (recipe) => set({ live: recipe?.(get().job) }),
      // While it waits, the bench shows what it would be.
      propose: (proposal) => set({ proposal, live: proposal?.recipe(get().job) }),
      setFolded: (folded) => set({ folded }),
      undo: () => travel('undo'),
      redo: () => travel('redo'),
      select: (selection) =>
        set((s) => ({
          selection,
          cells:
            s.selection.length === 1 && selection.length === 1 && s.selection[0] === selection[0] ? s.cells : undefined,
          editing: s.editing && selection.includes(s.editing) ? s.editing : undefined,
          framing: s.framing && selection.includes(s.framing) ? s.framing : undefined,
        })),
      type: (typing) => set({ typing, range: undefined }),
      mark: (range) => set({ range }),
      pick: (picking) => set({ picking }),
      chooseCells: (cells) => set({ cells }),
      editPath: (editing) => set({ editing }),
      frame: (framing) => set({ framing }),
      show: (side) => set({ side, selection: [], ...NO_MODE }),
      go: (to) => set({ station: to, ...NO_MODE, proposal: undefined, live: undefined, folded: false }),
      goWhere: (ability) => {
        const { station: here, go } = get();
        const to = here[ability] ? here : stations.find((other) => other[ability]);
        if (to) go(to);
      },
      point: (pointed) => set({ pointed }),
      keep: (change) => set((s) => ({ saving: change(s.saving) })),
      settle: (theirs, head, mine) =>
        set((s) => {
          const job = mine ?? theirs;
          const step = { id: crypto.randomUUID(), kind: 'edit', label: 'Kept my version', document: job } as const;
          const saving = savedAs(head, theirs);
          return {
            job,
            live: undefined,
            selection: [],
            typing: undefined,
            undoStack: [...s.undoStack, { job: mine ? theirs : s.job, label: 'Choice between versions' }],
            redoStack: [],
            saving: mine ? noted(saving, step, false, Date.now()) : saving,
          };
        }),
    };
  });
}

/** The states that undo leads back to through work that was left unsaved. */
function statesBefore(left: Saving | undefined): readonly { readonly document: Job; readonly label: string }[] {
  if (!left?.base) return [];
  const states = [{ document: left.base, label: 'Earlier change' }, ...left.pending];
  return states.slice(0, -1).map(({ document }, i) => ({ document, label: left.pending[i]?.label ?? '' }));
}
