import type { RevisionKind } from '@/core/save';

/**
 * Replays the log of revisions: which saved states undo and redo lead to now.
 * An edit forgets what could be redone; undo and redo are revisions of their own, so that the log only grows.
 */
export function history(log: readonly { readonly number: number; readonly kind: RevisionKind }[]): {
  undo: number[];
  redo: number[];
} {
  const undo: number[] = [];
  let redo: number[] = [];
  let shown: number | undefined;
  for (const { number, kind } of log) {
    switch (kind) {
      case 'edit':
        if (shown !== undefined) undo.push(shown);
        redo = [];
        shown = number;
        break;
      case 'amend':
        redo = [];
        shown = number;
        break;
      case 'undo':
        if (shown !== undefined) redo.push(shown);
        shown = undo.pop() ?? number;
        break;
      case 'redo':
        if (shown !== undefined) undo.push(shown);
        shown = redo.pop() ?? number;
        break;
    }
  }
  return { undo, redo };
}
