import type { Point } from '../layout';
import type { Mm } from '../measure';
import type { Facet, FacetState } from './laid-facet';

export type { Facet } from './laid-facet';

/** One fold of a sheet that lies inside up: which crease, which side of it moves, and over or under the rest. */
export interface Fold {
  readonly axis: 'x' | 'y';
  /** Counted from 1: the crease between part n and part n + 1 of that axis. */
  readonly crease: number;
  readonly moves: 'low' | 'high';
  readonly over: 'up' | 'under';
  /** What the folder does, in words. */
  readonly name: string;
}

/** A rigid turn of some facets about a crease. */
export interface Turn {
  readonly facets: readonly number[];
  /** The facet on the other side of the crease, which stays. */
  readonly stays: number;
  /** The crease, on the flat sheet. */
  readonly from: Point;
  readonly to: Point;
  /** Degrees; positive lifts the moving side toward the inside’s viewer (a valley on the inside). */
  readonly angle: number;
}

export interface FoldStep {
  readonly name: string;
  readonly turns: readonly Turn[];
  /** Height of each facet in the stack after the step, in sheets. */
  readonly layers: readonly number[];
}

/** A stretch of crease that folds one way. */
export interface Crease {
  readonly from: Point;
  readonly to: Point;
  /** As the viewer of the inside sees it. */
  readonly direction: 'up' | 'down';
  /** Which fold makes it, from 0. */
  readonly step: number;
}

/** Something in the way. */
export interface Collision {
  readonly step: number;
  readonly facets: readonly number[];
  readonly kind: 'crosses' | 'tight';
  /** How far past the crease, or how much clearance is missing, mm. */
  readonly by: Mm;
}

export interface Folded {
  readonly facets: readonly Facet[];
  readonly steps: readonly FoldStep[];
  readonly creases: readonly Crease[];
  readonly collisions: readonly Collision[];
  /** Outline box when folded, mm. */
  readonly size: { readonly width: Mm; readonly height: Mm };
  /** Most sheets lying on each other. */
  readonly layers: number;
  /** Which facet one looks at from above and from below, and whether its outside shows, and upside down. */
  readonly top: Showing;
  readonly bottom: Showing;
  readonly states: readonly FacetState[];
}

export interface Showing {
  readonly facet: number;
  readonly face: 'inside' | 'outside';
  readonly turned: boolean;
}
