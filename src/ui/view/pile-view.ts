'use client';
import { create } from 'zustand';

/** What is shown of the copies: none, one of them, some fanned out, or the cuts of all. */
export const PILE_MODES = ['none', 'one', 'fan', 'all'] as const;
export type PileMode = (typeof PILE_MODES)[number];

/** How the copies of a side are looked at under Inspect. */
interface PileView {
  readonly mode: PileMode;
  /** The copy that is shown, from 0. */
  readonly copy: number;
  /** How careful the house is: 1 as its figures say, 2 twice as far off. */
  readonly care: number;
  readonly set: (values: Partial<Pick<PileView, 'mode' | 'copy' | 'care'>>) => void;
  /** As another job is opened: as it is laid out. */
  readonly reset: () => void;
}

const PLAIN = { mode: 'none', copy: 0, care: 1 } as const;

export const usePileView = create<PileView>((set) => ({
  ...PLAIN,
  set: (values) => set(values),
  reset: () => set(PLAIN),
}));
