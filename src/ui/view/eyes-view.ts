'use client';
import { create } from 'zustand';
import type { Vision } from '@/core/eyes';

/** Whose eyes look at the piece, and from how far. */
interface EyesView {
  /** mm; 0 from as near as the screen. */
  readonly distance: number;
  readonly vision: Vision;
  readonly set: (values: Partial<Pick<EyesView, 'distance' | 'vision'>>) => void;
}

export const useEyesView = create<EyesView>((set) => ({
  distance: 0,
  vision: 'usual',
  set: (values) => set(values),
}));
