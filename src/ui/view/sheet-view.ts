'use client';
import { create } from 'zustand';

/** Whether the press sheet stands in the place of the piece under Output, and which of its forms. */
interface SheetView {
  readonly isShown: boolean;
  /** Which sheet, and which form of it, from 0. */
  readonly sheet: number;
  readonly face: number;
  /** A cut of the programme that is pointed at. */
  readonly cut: number | undefined;
  /** A signature stands there as the folder folds it. */
  readonly isFolded: boolean;
  readonly set: (values: Partial<Pick<SheetView, 'isShown' | 'sheet' | 'face' | 'cut' | 'isFolded'>>) => void;
  /** As another job is opened: the piece. */
  readonly reset: () => void;
}

const PLAIN = { isShown: false, sheet: 0, face: 0, cut: undefined, isFolded: false };

export const useSheetView = create<SheetView>((set) => ({
  ...PLAIN,
  set: (values) => set(values),
  reset: () => set(PLAIN),
}));
