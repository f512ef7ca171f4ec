import type { Draft } from 'immer';
import type { OverrideField } from '@/core/figure';
import type { Job } from '@/core/job';

const edges = (mm: number) => ({ top: mm, right: mm, bottom: mm, left: mm });

/** Puts the designer’s value in place of a computed one. */
export function overrideFigure(draft: Draft<Job>, field: OverrideField, value: number): void {
  const [piece] = draft.pieces;
  switch (field) {
    case 'bleed':
    case 'safe':
      if (piece) piece[field] = edges(value);
      return;
    case 'ppi':
      draft.ppi = value;
      return;
    case 'inkLimit':
    case 'minTypePt':
    case 'minLinePt':
      draft.house[field] = value;
      return;
    case 'markOffset':
      draft.output.markOffset = value;
      return;
  }
}

/** Takes the designer’s value back; the computed one stands again. */
export function restoreFigure(draft: Draft<Job>, field: OverrideField): void {
  const [piece] = draft.pieces;
  switch (field) {
    case 'bleed':
      delete piece?.bleed;
      return;
    case 'safe':
      delete piece?.safe;
      return;
    case 'ppi':
      delete draft.ppi;
      return;
    case 'inkLimit':
      delete draft.house.inkLimit;
      return;
    case 'minTypePt':
      delete draft.house.minTypePt;
      return;
    case 'minLinePt':
      delete draft.house.minLinePt;
      return;
    case 'markOffset':
      delete draft.output.markOffset;
      return;
  }
}
