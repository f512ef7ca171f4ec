'use client';
import { changePiece } from '@/core/edit';
import { lostByChange } from '@/core/check';
import { formatOf, type Format } from '@/core/format';
import { refusalOf, remade, type Job, type Piece } from '@/core/job';
import { useJob } from '../open-job/context';
import type { Recipe } from '../open-job/state';

/** Changes of the piece itself: refused where they cannot be, asked about where content would lose its place. */
export interface Resize {
  /** Why a decision cannot take a value; undefined when it can. */
  readonly refuse: (name: string, value: unknown) => string | undefined;
  readonly set: (name: string, value: unknown) => void;
  readonly setAll: (label: string, change: (piece: Piece) => Piece, more?: (job: Job) => Job) => void;
  readonly become: (format: Format) => void;
}

/** The piece with a decision changed; one that is left out again follows from the others. */
const withDecision = (job: Job, name: string, value: unknown): Job =>
  changePiece(job, (piece) => {
    const { [name]: _before, ...others } = piece.decisions;
    return { ...piece, decisions: value === undefined ? others : { ...piece.decisions, [name]: value } };
  });

export function useResize(): Resize {
  const job = useJob((s) => s.job);
  const change = useJob((s) => s.change);
  const propose = useJob((s) => s.propose);
  const offer = (label: string, recipe: Recipe) => {
    const lost = lostByChange(job, recipe(job));
    if (lost.length === 0) change(label, recipe);
    else propose({ label, recipe, lost, changes: [], fails: [] });
  };
  return {
    refuse: (name, value) => {
      const after = withDecision(job, name, value);
      return refusalOf(after, after.pieces[0])?.error.message;
    },
    set: (name, value) => {
      const label = formatOf(job.pieces[0]?.kind ?? '')?.parameters[name]?.label ?? name;
      offer(`Change ${label.toLowerCase()}`, (now) => withDecision(now, name, value));
    },
    setAll: (label, recipe, more = (j) => j) => offer(label, (now) => more(changePiece(now, recipe))),
    become: (format) =>
      offer(`Make it a ${format.title.toLowerCase()}`, (now) =>
        changePiece(now, (piece) => remade(now, piece, format)),
      ),
  };
}
