import { blankOf, type CellBlock, type Job, type SideName, type SolidPaint, type TextRange } from '@/core/job';
import type { Lost } from '@/core/check';
import { pieceOf } from '@/core/edit';
import type { Measured } from '@/core/figure';
import { savedAs, type Saving } from '@/core/save';
import type { Station } from './station';

/** A change of a job, whichever state that is in by then. */
export type Recipe = (job: Job) => Job;

/** A state that undo or redo leads to, and what was done there. */
export interface PastJob {
  readonly job: Job;
  readonly label: string;
}

/** The same: at hand, or still on the server from an earlier visit. */
export type Past = PastJob | { readonly revision: number };

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

/** What is worked within, of what is selected. */
export interface Within {
  /** The text being typed in place. */
  readonly typing: string | undefined;
  /** What is selected of the text being typed, from where it was begun to where it was drawn. */
  readonly range: TextRange | undefined;
  /** Cells chosen in the table that is selected. */
  readonly cells: CellBlock | undefined;
  /** The path whose points are being edited. */
  readonly editing: string | undefined;
  /** The picture whose content is moved within its frame. */
  readonly framing: string | undefined;
  /** What a colour that is picked on the bench is for. */
  readonly picking: ((paint: SolidPaint) => void) | undefined;
}

export const WITHIN_NOTHING: Within = {
  typing: undefined,
  range: undefined,
  cells: undefined,
  editing: undefined,
  framing: undefined,
  picking: undefined,
};

/** A job that is open: the document and its history, how far it is kept, and what is looked at. */
export interface OpenJob extends Within {
  readonly job: Job;
  /** The job while a drag is under way; nothing is kept of it until it is let go. */
  readonly live: Job | undefined;
  readonly undoStack: readonly Past[];
  readonly redoStack: readonly Past[];
  /** The name under which the last change may be joined by the next, and when it was made, ms. */
  readonly merging: { readonly name: string; readonly at: number } | undefined;
  /** The last change that the template did not allow; a new one each time. */
  readonly refused: { readonly problem: string } | undefined;
  /** A change of size or kind that would leave something without its place, waiting for a yes. */
  readonly proposal: Proposal | undefined;

  /** How far it is kept. */
  readonly saving: Saving;

  /** All that there are, in their order. */
  readonly stations: readonly Station[];
  /** The one that is shown. */
  readonly station: Station;
  readonly side: SideName;
  /** The record that is shown, from 0; undefined: the names of its columns. */
  readonly record: number | undefined;
  readonly selection: readonly string[];
  readonly pointed: Measured | undefined;
  /** The piece shown folded, as a dummy. */
  readonly folded: boolean;
}

/** A job as the server gives it, and the revisions that undo and redo lead to. */
export interface Current {
  readonly head: number;
  readonly job: Job;
  readonly undo: readonly number[];
  readonly redo: readonly number[];
}

/**
 * A job as it is opened.
 * @param at id of the station that is asked for; without it, the one where jobs are opened
 * @param left what an earlier sitting left unsaved
 * @throws where there is no station
 */
export function opened(current: Current, stations: readonly Station[], at?: string, left?: Saving): OpenJob {
  const station = stations.find(({ id }) => id === at) ?? stations.find(({ opens }) => opens) ?? stations[0];
  if (!station) throw new Error('There is no station.');
  const job = left?.pending.at(-1)?.document ?? current.job;
  return {
    ...WITHIN_NOTHING,
    job,
    live: undefined,
    undoStack: [...current.undo.map((revision) => ({ revision })), ...statesBefore(left)],
    redoStack: left ? [] : current.redo.map((revision) => ({ revision })),
    merging: undefined,
    refused: undefined,
    proposal: undefined,
    saving: left ?? savedAs(current.head, current.job),
    stations,
    station,
    side: blankOf(job, pieceOf(job)).surfaces[0]?.name ?? 'front',
    record: 0,
    selection: [],
    pointed: undefined,
    folded: false,
  };
}

/** The states that undo leads back to through work that was left unsaved. */
function statesBefore(left: Saving | undefined): readonly PastJob[] {
  if (!left?.base) return [];
  const before = [left.base, ...left.pending.slice(0, -1).map(({ document }) => document)];
  return before.map((job, i) => ({ job, label: left.pending[i]?.label ?? '' }));
}
