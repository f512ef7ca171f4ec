import { z } from 'zod';
import type { Allowance } from '../fold';
import { extent } from '../element';
import {
  formatLength,
  formatNumber,
  formatSize,
  parseLength,
  type FieldContext,
  type FieldError,
  type Mm,
  type Parsed,
  type Unit,
} from '../measure';
import { readSize, type Size } from '../paper';

export type ParameterKind = 'size' | 'length' | 'count' | 'number' | 'choice' | 'allowance' | 'scale' | 'text';

/**
 * A decision of a format, with the plain name it has everywhere: in the job file, on the command line, as a field.
 * `V` is what it is read as: mm, a size in mm, a whole number, a word.
 */
export interface Parameter<V = unknown> {
  readonly kind: ParameterKind;
  readonly label: string;
  readonly help: string;
  /** As one would type it, by the unit the job is thought in; null where it follows from others. */
  readonly default: { readonly metric: string; readonly imperial: string } | null;
  readonly options?: readonly { readonly value: string; readonly label: string }[];
  readonly least?: number;
  readonly most?: number;
  /** Whether it means anything beside the other decisions; left out, it always does. */
  readonly when?: (values: Readonly<Record<string, unknown>>) => boolean;
  readonly schema: z.ZodType<V>;
  readonly read: (text: string, context: FieldContext) => Parsed<V>;
  readonly write: (value: V, unit: Unit, ppi?: number) => string;
}

export type Parameters = Readonly<Record<string, Parameter<never>>>;
type Read<P> = P extends Parameter<infer V> ? V : never;
/** The values of a set of parameters. */
export type ValuesOf<P> = { readonly [K in keyof P]: Read<P[K]> };

type Default = string | readonly [metric: string, imperial: string];
type More = Pick<Parameter, 'when'>;
const both = (text: Default) =>
  typeof text === 'string' ? { metric: text, imperial: text } : { metric: text[0], imperial: text[1] };

export const ok = <V>(value: V): Parsed<V> => ({ ok: true, value });
export const wrong = (text: string, message: string): { readonly ok: false; readonly error: FieldError } => ({
  ok: false,
  error: { at: 0, length: text.length, message },
});

const side = z.number().min(1, 'Each side must be at least 1 mm.').max(20_000, 'Each side can be at most 20 m.');
const sizeSchema = z.strictObject({ width: side, height: side });

/** Width and height, or a paper name. */
export function size(label: string, preset: Default, help: string, more: More = {}): Parameter<Size> {
  return {
    kind: 'size',
    label,
    help,
    default: both(preset),
    schema: sizeSchema,
    read: (text, context) => {
      const read = readSize(text, context);
      if (!read.ok) return read;
      const fits = sizeSchema.safeParse(read.value);
      return fits.success ? read : wrong(text, fits.error.issues[0]?.message ?? 'Not a size.');
    },
    write: (value, unit, ppi) => formatSize(value, unit, ppi),
    ...more,
  };
}

const readLengthWithin = (label: string, least: Mm, most: Mm, text: string, context: FieldContext): Parsed<Mm> => {
  const read = parseLength(text, context);
  if (!read.ok) return read;
  if (read.value < 0 && least >= 0) return wrong(text, `${label} cannot be negative.`);
  if (read.value < least || read.value > most)
    return wrong(text, `${label} is from ${formatLength(least, context.unit)} to ${formatLength(most, context.unit)}.`);
  return read;
};

interface Between {
  readonly least?: Mm;
  readonly most?: Mm;
}

/** A length, 0 or more. */
export function length(
  label: string,
  preset: Default,
  help: string,
  { least = 0, most = 20_000, ...more }: Between & More = {},
): Parameter<Mm> {
  return {
    kind: 'length',
    label,
    help,
    default: both(preset),
    least,
    most,
    schema: z.number().min(least).max(most),
    read: (text, context) => readLengthWithin(label, least, most, text, context),
    write: formatLength,
    ...more,
  };
}

/** A length that follows from the others until somebody gives it. */
export function solvedLength(
  label: string,
  help: string,
  { least = 0, most = 20_000, ...more }: Between & More = {},
): Parameter<Mm | undefined> {
  return {
    kind: 'length',
    label,
    help,
    default: null,
    least,
    most,
    schema: z.number().min(least).max(most).optional(),
    read: (text, context) => readLengthWithin(label, least, most, text, context),
    write: (value, unit, ppi) => (value === undefined ? '' : formatLength(value, unit, ppi)),
    ...more,
  };
}

function readCount(label: string, least: number, most: number, text: string): Parsed<number> {
  const count = Number(text.trim());
  if (!Number.isInteger(count) || text.trim() === '' || count < least || count > most)
    return wrong(text, `${label} must be a whole number from ${least} to ${most}.`);
  return ok(count);
}

/** A whole number. */
export function count(
  label: string,
  preset: string,
  help: string,
  least: number,
  most: number,
  more: More = {},
): Parameter<number> {
  return {
    kind: 'count',
    label,
    help,
    default: both(preset),
    least,
    most,
    schema: z.number().int().min(least).max(most),
    read: (text) => readCount(label, least, most, text),
    write: String,
    ...more,
  };
}

/** A whole number that follows from the others until somebody gives it. */
export function solvedCount(
  label: string,
  help: string,
  least: number,
  most: number,
  more: More = {},
): Parameter<number | undefined> {
  return {
    kind: 'count',
    label,
    help,
    default: null,
    least,
    most,
    schema: z.number().int().min(least).max(most).optional(),
    read: (text) => readCount(label, least, most, text),
    write: (value) => (value === undefined ? '' : String(value)),
    ...more,
  };
}

/** A plain number. */
export function number(
  label: string,
  preset: Default,
  help: string,
  least: number,
  most: number,
  more: More = {},
): Parameter<number> {
  return {
    kind: 'number',
    label,
    help,
    default: both(preset),
    least,
    most,
    schema: z.number().min(least).max(most),
    read: (text) => {
      const value = Number(text.trim().replace(',', '.'));
      return text.trim() !== '' && value >= least && value <= most
        ? ok(value)
        : wrong(text, `${label} is a number from ${least} to ${most}.`);
    },
    write: (value) => formatNumber(value, 4),
    ...more,
  };
}

/** One of a few words. */
export function choice<const O extends Readonly<Record<string, string>>>(
  label: string,
  preset: keyof O & string,
  help: string,
  options: O,
  more: More = {},
): Parameter<keyof O & string> {
  const words = Object.keys(options) as (keyof O & string)[];
  return {
    kind: 'choice',
    label,
    help,
    default: both(preset),
    options: words.map((value) => ({ value, label: options[value] ?? value })),
    schema: z.enum(words as unknown as [keyof O & string, ...(keyof O & string)[]]),
    read: (text) => {
      const word = words.find((w) => w === text.trim().toLowerCase());
      return word ? ok(word) : wrong(text, `${label} is one of ${words.join(', ')}.`);
    },
    write: (value) => value,
    ...more,
  };
}

const allowanceSchema = z.discriminatedUnion('school', [
  z.strictObject({ school: z.literal('even') }),
  z.strictObject({ school: z.literal('shift'), mm: extent }),
  z.strictObject({ school: z.literal('thickness'), mm: extent.nullable() }),
]);

/** How panels differ: `even`, `shift:1mm`, `thickness` or `thickness:0.12mm`; left out, the house or common practice says. */
export function allowance(label: string, help: string, more: More = {}): Parameter<Allowance | undefined> {
  return {
    kind: 'allowance',
    label,
    help,
    default: null,
    schema: allowanceSchema.optional(),
    read: (text, context) => {
      const [school = '', length] = text
        .trim()
        .toLowerCase()
        .split(/\s*:\s*/, 2);
      const at = text.length - (length?.length ?? 0);
      if (school === 'even' && length === undefined) return ok({ school });
      if (school === 'thickness' && length === undefined) return ok({ school, mm: null });
      if (school !== 'shift' && school !== 'thickness')
        return wrong(text, `${label} is even, shift:1mm, thickness, or thickness:0.12mm.`);
      const read = readLengthWithin(label, 0, school === 'shift' ? 10 : 5, length ?? '1mm', context);
      if (!read.ok) return { ok: false, error: { ...read.error, at: read.error.at + at } };
      return ok({ school, mm: read.value });
    },
    write: (value, unit) =>
      value === undefined
        ? ''
        : value.school === 'even' || value.mm === null
          ? value.school
          : `${value.school}:${formatLength(value.mm, unit).replace(' ', '')}`,
    ...more,
  };
}

/** How much smaller than life it is drawn: `1:10` is read as 10. */
export function scale(label: string, preset: string, help: string, more: More = {}): Parameter<number> {
  return {
    kind: 'scale',
    label,
    help,
    default: both(preset),
    schema: z.number().min(1).max(100),
    read: (text) => {
      const n = Number(/^\s*(?:1\s*:\s*)?(\d+(?:\.\d+)?)\s*$/.exec(text)?.[1] ?? NaN);
      return n >= 1 && n <= 100 ? ok(n) : wrong(text, `${label} is written 1:1, 1:2 or 1:10, at most 1:100.`);
    },
    write: (value) => `1:${formatNumber(value)}`,
    ...more,
  };
}

/** Words that a format reads itself; `read` gives them back in the form in which a job keeps them. */
export function text(
  label: string,
  preset: string,
  help: string,
  read: (text: string, context: FieldContext) => Parsed<string>,
  more: More = {},
): Parameter<string> {
  return {
    kind: 'text',
    label,
    help,
    default: both(preset),
    schema: z.string().max(200_000),
    read,
    write: (value) => value,
    ...more,
  };
}

/** A decision that cannot be: names the parameter at whose field the message belongs. */
export class Impossible extends Error {
  constructor(
    readonly parameter: string,
    message: string,
  ) {
    super(message);
  }
}
