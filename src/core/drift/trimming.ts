import type { Blank, BlankSurface } from '../format';
import { TOUCH, flatten, pathBounds } from '../layout';
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
  const isDied = surface.processLines.some((line) => line.process === 'kiss-cut' || line.process === 'cut');
  if (isDied || !isRectangle(surface)) return 'die';
  return isLarge ? 'cutter' : 'guillotine';
}

/** Whether the trimmed outline is the rectangle around it. */
function isRectangle({ outline }: BlankSurface): boolean {
  const { x, y, width, height } = pathBounds(outline);
  const isOn = (value: number, from: number, size: number) =>
    Math.abs(value - from) < TOUCH || Math.abs(value - from - size) < TOUCH;
  return flatten(outline)
    .flat()
    .every((p) => isOn(p.x, x, width) && isOn(p.y, y, height));
}

/** Figures in the scale of the drawing; a turn is the same in each. */
export function drawnAt(figures: MachineFigures, scale: number): MachineFigures {
  if (scale === 1) return figures;
  const { drift, deeper, ...others } = figures;
  return { ...others, drift: drift / scale, deeper: deeper / scale };
}
