import type { Folding } from '../fold';
import { TOUCH, type Point } from '../layout';
import type { Mm } from '../measure';
import type { ProcessLine } from '../shop';
import type { Copy } from './copies';

/**
 * How one copy is folded: each crease where the folder laid it, while the sheet and its print stay where they are.
 * @param lines the folds, on the side that lies up
 * @param offs  how far each lies off its place, mm, toward larger x or y
 */
export function driftedFolding(folding: Folding, lines: readonly ProcessLine[], offs: readonly Mm[]): Folding {
  const along = lines.map(({ from, to }, n) => ({
    isUpright: Math.abs(from.x - to.x) < TOUCH,
    at: Math.abs(from.x - to.x) < TOUCH ? from.x : from.y,
    off: offs[n] ?? 0,
  }));
  const shifted = (value: Mm, isUpright: boolean): Mm => {
    const crease = along.find((line) => line.isUpright === isUpright && Math.abs(line.at - value) < TOUCH);
    return value + (crease?.off ?? 0);
  };
  const moved = (p: Point): Point => ({ x: shifted(p.x, true), y: shifted(p.y, false) });
  return {
    ...folding,
    parts: folding.parts.map((part) => ({ ...part, outline: part.outline.map(moved) })),
    steps: folding.steps.map((step) => ({
      ...step,
      turns: step.turns.map((turn) => ({ ...turn, from: moved(turn.from), to: moved(turn.to) })),
    })),
  };
}

/** Numbers of copies, from 0, by how far their folds lie off, from the truest to the worst. */
export const rankedByFolds = (copies: readonly Copy[]): readonly number[] =>
  copies
    .map(({ folds }, number) => ({ number, off: Math.max(0, ...folds.map(Math.abs)) }))
    .sort((a, b) => a.off - b.off)
    .map(({ number }) => number);
