'use client';
import { create } from 'zustand';
import type { PlateFacts } from '@/workers/plates.worker';

/** What is laid over the plates. */
export type PlateMap = 'none' | 'total';

/** How a side is looked at under Finish. */
interface PlateView {
  /** The plates as they will print, instead of the artwork as it was laid out. */
  readonly plates: boolean;
  /** Names of plates that are not shown. */
  readonly hidden: readonly string[];
  /** One plate alone, as it is set: grey. */
  readonly grey: boolean;
  /** With the white of the paper; else on plain white. */
  readonly paperWhite: boolean;
  readonly map: PlateMap;
  /** Over the artwork, what of its pictures this paper cannot show. */
  readonly gamut: boolean;
  /** A plate that lies off, and by how much, mm. */
  readonly off: { readonly plate: string; readonly x: number; readonly y: number } | undefined;
  /** What was read last, and of which side. */
  readonly facts: (PlateFacts & { readonly side: string }) | undefined;
  readonly busy: boolean;
  readonly problem: string | undefined;
  /** Dot area under the pointer by plate, percent; nothing where the pointer is elsewhere. */
  readonly under: readonly number[] | undefined;
  /** What the other plates do without a layer: pixels that change. */
  readonly compared: { readonly layer: string; readonly changes: Readonly<Record<string, number>> } | undefined;
  /** The layer to compare without. */
  readonly without: string | undefined;
  readonly set: (values: Partial<Omit<PlateView, 'set' | 'toggle' | 'alone' | 'reset'>>) => void;
  readonly toggle: (plate: string) => void;
  /** Shows one plate of some, or all again when it was alone already. */
  readonly alone: (plate: string, all: readonly string[]) => void;
  /** As another job is opened: nothing hidden, nothing off. */
  readonly reset: () => void;
}

const PLAIN = {
  plates: false,
  hidden: [],
  grey: false,
  paperWhite: false,
  map: 'none',
  gamut: false,
  off: undefined,
  facts: undefined,
  busy: false,
  problem: undefined,
  under: undefined,
  compared: undefined,
  without: undefined,
} as const;

export const usePlateView = create<PlateView>((set, get) => ({
  ...PLAIN,
  reset: () => set(PLAIN),
  set: (values) => set(values),
  toggle: (plate) => {
    const { hidden } = get();
    set({ hidden: hidden.includes(plate) ? hidden.filter((n) => n !== plate) : [...hidden, plate], grey: false });
  },
  alone: (plate, all) => {
    const others = all.filter((name) => name !== plate);
    const { hidden } = get();
    const isAlone = !hidden.includes(plate) && others.every((name) => hidden.includes(name));
    set(isAlone ? { hidden: [], grey: false } : { hidden: others });
  },
}));
