import { FIGURE, seededRandom, truncatedNormal } from '../chance';
import type { Mm } from '../measure';
import type { Size } from '../paper';
import type { Programme } from './cutting';
import { runProgramme } from './run-programme';

/** What a simulated run of a programme gives. */
export interface ProgrammeRun {
  /** Pieces that come out. */
  readonly pieces: number;
  /** How far the worst of them is from its size or its place when every cut falls where it should, mm. */
  readonly exact: Mm;
  /** The same when cuts wander: of all pieces of many piles, so many in a hundred are no further off. */
  readonly off: { readonly half: Mm; readonly most: Mm };
}

/** Piles that are cut: enough for two figures of a percentage. */
const PILES = 100;

/**
 * Runs a programme on the simulated guillotine, once exactly and many times with cuts that wander.
 * @param drift by how much a cut wanders, as houses say it: two standard deviations, mm
 */
export function runWithDrift(sheet: Size, { cuts, pieces }: Programme, drift: Mm): ProgrammeRun {
  const worstOf = (off?: () => Mm): readonly Mm[] => {
    const piles = runProgramme(sheet, cuts, off);
    return pieces.map(({ pile, piece: { rect } }) => {
      const got = piles.get(pile);
      if (!got) return Infinity;
      const edges = [
        got.x - rect.x,
        got.y - rect.y,
        got.x + got.width - rect.x - rect.width,
        got.y + got.height - rect.y - rect.height,
      ];
      return Math.max(...edges.map(Math.abs));
    });
  };
  const random = seededRandom(cuts.length);
  const wandering = Array.from({ length: PILES }, () => worstOf(() => (truncatedNormal(random) * drift) / FIGURE))
    .flat()
    .sort((a, b) => a - b);
  const share = (of: number) => wandering[Math.min(wandering.length - 1, Math.floor(of * wandering.length))] ?? 0;
  return { pieces: pieces.length, exact: Math.max(0, ...worstOf()), off: { half: share(0.5), most: share(0.99) } };
}
