import type { FoldStep } from '../fold';
import type { Point } from '../layout';
import type { ProcessLine } from './blank';

/** A part of a flat net, between its creases and its edges. */
export interface NetPart<Name extends string = string> {
  readonly name: Name;
  readonly outline: readonly Point[];
}

/** Parts that turn together about a crease, away from who looks at the inside. */
export interface NetTurn<Name extends string = string> {
  readonly parts: readonly Name[];
  /** What lies on the other side of the crease, and stays. */
  readonly stays: Name;
  readonly crease: Pick<ProcessLine, 'from' | 'to'>;
  /** Degrees; negative folds behind. */
  readonly angle: number;
}

/** Parts that turn at once. */
export interface NetStep<Name extends string = string> {
  readonly name: string;
  readonly turns: readonly NetTurn<Name>[];
  /** How high a part lies in the pile after the step, in sheets; 0 where the net stands open. */
  readonly layer?: (part: Name) => number;
}

/** The steps of folding a net, by the places that its parts have in their list. */
export function netSteps<Name extends string>(
  parts: readonly NetPart<Name>[],
  steps: readonly NetStep<Name>[],
): readonly FoldStep[] {
  const at = (name: Name) => parts.findIndex((part) => part.name === name);
  return steps.map(({ name, turns, layer }) => ({
    name,
    turns: turns.map(({ parts: turned, stays, crease: { from, to }, angle }) => ({
      facets: turned.map(at),
      stays: at(stays),
      from,
      to,
      angle,
    })),
    layers: parts.map((part) => layer?.(part.name) ?? 0),
  }));
}
