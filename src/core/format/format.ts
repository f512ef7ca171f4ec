import type { z } from 'zod';
import type { Figure } from '../figure';
import type { Folding } from '../fold';
import type { EdgeLengths, Path } from '../layout';
import type { JobUnit, Mm } from '../measure';
import type { Size } from '../paper';
import type { Rules, Usual } from '../rules';
import type { Stock } from '../shop';
import type { Binding } from './binding';
import type { BlankProblem, Panel, ProcessLine, Repeats, Zone } from './blank';
import { shapeOf, type Parameters, type ValuesOf } from '../parameter';

export const GROUPS = ['flat', 'folded', 'bound', 'wrap', 'large', 'label', 'die-cut', 'own'] as const;
export type Group = (typeof GROUPS)[number];

/** What a format may look at beside its own decisions. */
export interface FormatContext {
  readonly unit: JobUnit;
  readonly rules: Rules;
  readonly stock: Stock;
  /** A length in words, in the job’s unit. */
  readonly write: (mm: Mm) => string;
}

/** One side or page as a format gives it; what is left out is plain. */
export interface SurfacePlan {
  readonly name: string;
  readonly size: Size;
  /** Left out, the rectangle of the size. */
  readonly outline?: Path;
  readonly panels?: readonly Panel[];
  readonly processLines?: readonly ProcessLine[];
  readonly zones?: readonly Zone[];
  /** Edges whose bleed is not the piece’s. */
  readonly bleed?: Partial<EdgeLengths>;
  /** Another surface whose artwork stands here too, at each of these places. */
  readonly repeats?: Repeats;
  /** A left-hand page of a book: its inner margin lies at the right. */
  readonly isLeftPage?: boolean;
  /** On which side another page lies beside it in the open book. */
  readonly facing?: 'left' | 'right';
  /** Kept clear beyond the safe margin, at each edge (a hem, a binding). */
  readonly clear?: Partial<EdgeLengths>;
}

/** What a format makes of its decisions. */
export interface Plan {
  readonly finished: Size;
  /** Left out, the size of the first surface. */
  readonly flat?: Size;
  readonly surfaces: readonly SurfacePlan[];
  readonly figures?: readonly Figure[];
  readonly problems?: readonly BlankProblem[];
  readonly folding?: Folding;
  readonly scale?: number;
  /** What its edges are made by, where no knife cuts them. */
  readonly edges?: 'hem';
  /** Why it is never laid on a press sheet with others, as a sentence. */
  readonly byItself?: string;
  /** How its pages become a book. */
  readonly bound?: Binding;
  /** The surface that goes through the press, where that is not the first. */
  readonly pressed?: string;
  /** A sheet that the piece itself names, checked beside the house’s. */
  readonly onSheet?: { readonly name: string; readonly size: Size };
}

/** A kind of piece: its decisions, and how they become a flat piece of paper. */
export interface Format {
  readonly kind: string;
  readonly title: string;
  readonly about: string;
  readonly group: Group;
  /** What this kind usually has, where it differs from the rest. */
  readonly usual: Usual | undefined;
  readonly parameters: Parameters;
  /** The decisions as a job file holds them, with defaults filled in. */
  readonly shape: Readonly<Record<string, z.ZodType>>;
  readonly plan: (decisions: Readonly<Record<string, unknown>>, context: FormatContext) => Plan;
}

interface Definition<P> {
  readonly kind: string;
  readonly title: string;
  readonly about: string;
  readonly group: Group;
  readonly usual?: Usual;
  readonly parameters: P;
  /** @throws Impossible when the decisions cannot be, naming the one to change */
  readonly plan: (decisions: ValuesOf<P>, context: FormatContext) => Plan;
}

/** Puts a kind of piece into the common form. */
export function defineFormat<P extends Parameters>(definition: Definition<P>): Format {
  const { parameters, plan, usual, ...about } = definition;
  return {
    ...about,
    usual,
    parameters,
    shape: shapeOf(parameters),
    // The job was read by the schema of these very parameters.
    plan: (decisions, context) => plan(decisions as ValuesOf<P>, context),
  };
}
