import type { Job, SideName } from '@/core/job';
import type { Made } from '@/core/edit';
import type { Measured } from '@/core/figure';
import type { Saving } from '@/core/save';
import type { PastJob, Proposal, Recipe, Within } from './state';
import type { Ability, Station } from './station';

/** When something was done, ms, and the id of the step that is kept of it. */
export interface Stamp {
  readonly at: number;
  readonly step: string;
}

/** What can be done with an open job. */
export type Action =
  /** Changes the job. Changes under the same merge name within a moment are one step for undo. */
  | {
      readonly do: 'change';
      readonly label: string;
      readonly recipe: Recipe;
      readonly merge?: string | undefined;
      readonly stamp: Stamp;
    }
  /** Changes the job, and selects what is new in it. */
  | { readonly do: 'make'; readonly label: string; readonly recipe: (job: Job) => Made; readonly stamp: Stamp }
  /** Shows the job as a change would leave it; undefined shows it as it is. */
  | { readonly do: 'preview'; readonly recipe: Recipe | undefined }
  | { readonly do: 'propose'; readonly proposal: Proposal | undefined }
  /** Goes back to a state, or forth again to one. */
  | { readonly do: 'travel'; readonly way: 'undo' | 'redo'; readonly to: PastJob; readonly stamp: Stamp }
  /** After a conflict: goes on with what is kept, or with another version on top of it. */
  | {
      readonly do: 'settle';
      readonly theirs: Job;
      readonly head: number;
      readonly mine: Job | undefined;
      readonly stamp: Stamp;
    }
  /** Something became of what was to be kept. */
  | { readonly do: 'keep'; readonly change: (saving: Saving) => Saving }
  | { readonly do: 'select'; readonly ids: readonly string[] }
  /** Begins or ends to work within something. */
  | { readonly do: 'enter'; readonly within: Partial<Within> }
  | { readonly do: 'show'; readonly side: SideName }
  /** Shows a record, or the names of the columns. */
  | { readonly do: 'show-record'; readonly record: number | undefined }
  | { readonly do: 'go'; readonly station: Station }
  /** Goes to the first station where something can be done; begins anew here where that is this one. */
  | { readonly do: 'go-where'; readonly ability: Ability }
  | { readonly do: 'point'; readonly measured: Measured | undefined }
  | { readonly do: 'fold'; readonly folded: boolean };
