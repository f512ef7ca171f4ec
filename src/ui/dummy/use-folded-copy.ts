'use client';
import { useMemo, useState } from 'react';
import { driftSide, driftedFolding, rankedByFolds } from '@/core/drift';
import type { Folding } from '@/core/fold';
import { formatLength } from '@/core/measure';
import { useDesk } from '../open-job/use-desk';

/** Which of a thousand copies is folded; the last shows the worst five times as far off, for eyes and screens. */
export type FoldedChoice = 'meant' | 'usual' | 'worst' | 'larger';

export const FOLDED_CHOICES: readonly { readonly value: FoldedChoice; readonly label: string }[] = [
  { value: 'meant', label: 'as meant' },
  { value: 'usual', label: 'usual copy' },
  { value: 'worst', label: 'worst of 1,000' },
  { value: 'larger', label: 'worst, 5 ×' },
];

const LARGER = 5;

/** The folding of the piece as it is meant, or of a copy as the folder of its house makes it. */
export function useFoldedCopy(): {
  readonly folding: Folding | undefined;
  /** Left out where nothing is folded straight across. */
  readonly choice: FoldedChoice | undefined;
  readonly setChoice: (choice: FoldedChoice) => void;
  /** How far its folds lie off. */
  readonly offWords: string | undefined;
} {
  const { blank, drawingOf, rules, job } = useDesk();
  const [choice, setChoice] = useState<FoldedChoice>('meant');
  const { folding } = blank;
  const { press } = job.house;
  const drawing = folding && drawingOf(folding.up);
  const side = useMemo(() => drawing && driftSide({ blank, drawing, rules, press }), [blank, drawing, rules, press]);
  return useMemo(() => {
    if (!folding || !side || side.folds.length === 0)
      return { folding, choice: undefined, setChoice, offWords: undefined };
    if (choice === 'meant') return { folding, choice, setChoice, offWords: undefined };
    const copies = side.copies();
    const order = rankedByFolds(copies);
    const copy = copies[order[choice === 'usual' ? Math.floor(order.length / 2) : order.length - 1] ?? 0];
    const offs = copy?.folds ?? [];
    const by = choice === 'larger' ? LARGER : 1;
    const words = offs.map((mm) => `${mm < 0 ? '−' : '+'}${formatLength(Math.abs(mm) * blank.scale, job.unit)}`);
    return {
      folding: driftedFolding(
        folding,
        side.folds,
        offs.map((mm) => mm * by),
      ),
      choice,
      setChoice,
      offWords: `${offs.length > 1 ? 'Its folds lie' : 'Its fold lies'} ${words.join(', ')} off.`,
    };
  }, [folding, side, choice, blank.scale, job.unit]);
}
