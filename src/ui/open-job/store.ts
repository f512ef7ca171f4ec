'use client';
import { createStore, type StoreApi } from 'zustand/vanilla';
import type { CellBlock, Job, SideName, SolidPaint, TextRange } from '@/core/job';
import type { Made } from '@/core/edit';
import type { Measured } from '@/core/figure';
import type { Saving } from '@/core/save';
import { api } from '../shell/api';
import type { Action, Stamp } from './action';
import { reduce } from './reduce';
import { opened, type Current, type OpenJob, type Past, type PastJob, type Proposal, type Recipe } from './state';
import type { Ability, Station } from './station';

/** What is done with an open job, by name. */
interface Doings {
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
  /** @param record from 0; undefined shows the names of the columns */
  readonly showRecord: (record: number | undefined) => void;
  readonly go: (station: Station) => void;
  /** Goes to the first station where something can be done; begins anew here where that is this one. */
  readonly goWhere: (ability: Ability) => void;
  readonly point: (measured: Measured | undefined) => void;
  /** Something became of what was to be kept. */
  readonly keep: (change: (saving: Saving) => Saving) => void;
  /** After a conflict: goes on with what is kept, or with another version on top of it. */
  readonly settle: (theirs: Job, head: number, mine: Job | undefined) => void;
}

export type JobState = OpenJob & Doings;
export type JobStore = StoreApi<JobState>;

const stamp = (): Stamp => ({ at: Date.now(), step: crypto.randomUUID() });

/**
 * The job that is open: what is done goes through `reduce`, always on the newest state.
 * @param at id of the station that is asked for
 * @param left what an earlier sitting left unsaved
 */
export const createJobStore = (current: Current, stations: readonly Station[], at?: string, left?: Saving): JobStore =>
  createStore<JobState>((set, get) => ({
    ...opened(current, stations, at, left),
    ...doings(
      (action) => set((state) => reduce(state, action)),
      () => get(),
    ),
  }));

function doings(act: (action: Action) => void, now: () => OpenJob): Doings {
  const fetched = async (past: Past): Promise<PastJob> =>
    'job' in past ? past : { job: (await api.revision(now().job.id, past.revision)).job, label: 'Earlier change' };
  const travel = async (way: 'undo' | 'redo') => {
    const past = now()[way === 'undo' ? 'undoStack' : 'redoStack'].at(-1);
    if (past) act({ do: 'travel', way, to: await fetched(past), stamp: stamp() });
  };
  return {
    change: (label, recipe, merge) => act({ do: 'change', label, recipe, merge, stamp: stamp() }),
    make: (label, recipe) => act({ do: 'make', label, recipe, stamp: stamp() }),
    preview: (recipe) => act({ do: 'preview', recipe }),
    propose: (proposal) => act({ do: 'propose', proposal }),
    setFolded: (folded) => act({ do: 'fold', folded }),
    undo: () => travel('undo'),
    redo: () => travel('redo'),
    select: (ids) => act({ do: 'select', ids }),
    type: (typing) => act({ do: 'enter', within: { typing, range: undefined } }),
    mark: (range) => act({ do: 'enter', within: { range } }),
    pick: (picking) => act({ do: 'enter', within: { picking } }),
    chooseCells: (cells) => act({ do: 'enter', within: { cells } }),
    editPath: (editing) => act({ do: 'enter', within: { editing } }),
    frame: (framing) => act({ do: 'enter', within: { framing } }),
    show: (side) => act({ do: 'show', side }),
    showRecord: (record) => act({ do: 'show-record', record }),
    go: (station) => act({ do: 'go', station }),
    goWhere: (ability) => act({ do: 'go-where', ability }),
    point: (measured) => act({ do: 'point', measured }),
    keep: (change) => act({ do: 'keep', change }),
    settle: (theirs, head, mine) => act({ do: 'settle', theirs, head, mine, stamp: stamp() }),
  };
}
