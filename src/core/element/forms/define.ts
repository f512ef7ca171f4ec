import type { z } from 'zod';
import type { Path, Rect } from '../../geometry';
import type { Extent, Length, Measures } from '../length';

/** A field in which a form is changed: what it says now, and the form with another value. */
export type FormField<F> =
  | Field<F, 'extent', Extent>
  | Field<F, 'length', Length>
  | (Field<F, 'number', number> & Bounds)
  | (Field<F, 'choice', string> & { readonly options: readonly string[]; readonly width: number })
  /** The four corners of a box, all alike or each by itself. */
  | Field<F, 'corners', Extent | readonly [Extent, Extent, Extent, Extent]>
  /** Its points are edited on the bench. */
  | { readonly kind: 'points' };

interface Field<F, Kind extends string, Value> {
  readonly kind: Kind;
  readonly label: string;
  readonly get: (form: F) => Value;
  readonly put: (form: F, to: Value) => F;
}

interface Bounds {
  readonly least: number;
  readonly most: number;
  readonly whole?: true;
  readonly after?: string;
  readonly width: number;
}

/** A form that a shape can have within its box. */
export interface FormKindOf<S extends z.ZodObject, F = z.output<S>> {
  /** How it is held in a job; `form` is its name. */
  readonly schema: S;
  /** What it is called on its button, and within a sentence. */
  readonly label: string;
  readonly words: string;
  /** The key that adds one. */
  readonly key?: string;
  /** How a new one is: wide for its height, and high as a share of what is usual. */
  readonly proportions?: readonly [wide: number, high: number];
  /** What of a new one cannot be left out. */
  readonly first?: Readonly<Record<string, unknown>>;
  /** A new one is a line and not an area. */
  readonly isDrawnAsLine?: true;
  readonly fields: readonly FormField<F>[];
  /** Fields behind a door of this name. */
  readonly behind?: { readonly label: string; readonly fields: readonly FormField<F>[] };
  /** Its outline in a box, mm. */
  readonly outline: (form: F, box: Rect, measures: Measures) => Path;
  /** Whether it has an inside to fill and to lie in or out of; left out, it has. */
  readonly isClosed?: (form: F) => boolean;
  /** Left for right; left out, it is the same both ways. */
  readonly mirrored?: (form: F) => F;
}

export const defineForm = <S extends z.ZodObject>(form: FormKindOf<S>): FormKindOf<S> => form;

type KeyOf<F, Value> = { [K in keyof F]-?: F[K] extends Value ? K : never }[keyof F];

/** Fields of a form by the keys of its facts. */
export const fieldsOf = <F extends object>() => ({
  extent: (key: KeyOf<F, Extent>, label: string): FormField<F> => ({
    kind: 'extent',
    label,
    get: (form) => form[key] as Extent,
    put: (form, to) => ({ ...form, [key]: to }),
  }),
  length: (key: KeyOf<F, Length>, label: string): FormField<F> => ({
    kind: 'length',
    label,
    get: (form) => form[key] as Length,
    put: (form, to) => ({ ...form, [key]: to }),
  }),
  number: (key: KeyOf<F, number>, label: string, bounds: Bounds): FormField<F> => ({
    kind: 'number',
    label,
    ...bounds,
    get: (form) => form[key] as number,
    put: (form, to) => ({ ...form, [key]: to }),
  }),
  choice: <K extends KeyOf<F, string>>(
    key: K,
    label: string,
    options: readonly (F[K] & string)[],
    width: number,
  ): FormField<F> => ({
    kind: 'choice',
    label,
    options,
    width,
    get: (form) => form[key] as string,
    put: (form, to) => ({ ...form, [key]: to }),
  }),
});
