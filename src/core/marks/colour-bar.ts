import { NO_INK, PROCESS, PROCESS_PLATES, type Build, type SpotTint } from '../colour';
import type { Ink } from '../drawing';

/** The inks of a side. */
export interface BarInks {
  /** Plates by name, process inks among them. */
  readonly plates: readonly string[];
  readonly spots: readonly SpotTint[];
}

/** Process patches: solids, two-ink overprints, halves, and a grey balance beside its black [cp]. */
const PATCHES: readonly (readonly [c: number, m: number, y: number, k: number])[] = [
  [100, 0, 0, 0],
  [0, 100, 0, 0],
  [0, 0, 100, 0],
  [0, 0, 0, 100],
  [0, 100, 100, 0],
  [100, 0, 100, 0],
  [100, 100, 0, 0],
  [50, 0, 0, 0],
  [0, 50, 0, 0],
  [0, 0, 50, 0],
  [0, 0, 0, 50],
  [50, 40, 40, 0],
];

/** Tints of a spot ink in the bar, percent [cp]. */
const SPOT_TINTS = [100, 50];

/** What the patches of a colour bar are filled with: only inks that the side is printed with. */
export function barPatches({ plates, spots }: BarInks): readonly Ink[] {
  const isPrinted = (build: Build) => PROCESS.every((ink) => build[ink] === 0 || plates.includes(PROCESS_PLATES[ink]));
  const process = PATCHES.map(([c, m, y, k]): Build => ({ c, m, y, k })).filter(isPrinted);
  return [
    ...process.map((build): Ink => ({ kind: 'process', build, overprint: false })),
    ...spots.flatMap((spot) =>
      SPOT_TINTS.map((tint): Ink => ({ kind: 'process', build: NO_INK, overprint: false, spots: [{ ...spot, tint }] })),
    ),
  ];
}
