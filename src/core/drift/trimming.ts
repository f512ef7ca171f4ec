import { isDied, type Blank, type BlankSurface } from '../format';
import type { Rules } from '../rules';
import type { MachineFigures, MachineKind } from '../shop';

/** What brings a side to its size, and what it is off by. */
export interface Trimming {
  readonly by: Extract<MachineKind, 'guillotine' | 'cutter' | 'die' | 'hem'>;
  /** Each edge by itself, as a knife cuts them one after the other, or the whole outline as one. */
  readonly moves: 'edges' | 'outline';
  /** As drawn: in a drawing of 1 : 10, a tenth of life. */
  readonly figures: MachineFigures;
  /** Where the figures come from. */
  readonly rule: string;
}

/** A die where the outline is no rectangle or labels are kiss-cut, the seam of a hem, a plotter for large formats. */
export function trimmingOf(blank: Blank, surface: BlankSurface, rules: Rules, isLarge: boolean): Trimming {
  const by = cutBy(blank, surface, isLarge);
  const { value, rule } = rules.machines[by];
  return { by, moves: by === 'die' ? 'outline' : 'edges', figures: drawnAt(value, blank.scale), rule };
}

function cutBy({ edges }: Blank, surface: BlankSurface, isLarge: boolean): Trimming['by'] {
  if (edges === 'hem') return 'hem';
  if (isDied(surface)) return 'die';
  return isLarge ? 'cutter' : 'guillotine';
}

/** Figures in the scale of the drawing; a turn is the same in each. */
export function drawnAt(figures: MachineFigures, scale: number): MachineFigures {
  if (scale === 1) return figures;
  const { drift, deeper, ...others } = figures;
  return { ...others, drift: drift / scale, deeper: deeper / scale };
}
