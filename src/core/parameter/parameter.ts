import { z } from 'zod';
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
  /** Words that take several lines. */
  readonly isLong?: true;
  /** Asked less often: what things look like. */
  readonly aside?: true;
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
  // A method, so that a parameter of lengths is one of the parameters that somebody holds by name: what is written was
  // read by the same parameter.
  write(value: V, unit: Unit, ppi?: number): string;
}

export type Parameters = Readonly<Record<string, Parameter>>;
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

export const readLengthWithin = (
  label: string,
  least: Mm,
  most: Mm,
  text: string,
  context: FieldContext,
): Parsed<Mm> => {
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

/** The same, but it follows from the others until somebody gives it. */
export const optional = <V>(parameter: Parameter<V>): Parameter<V | undefined> => ({
  ...parameter,
  default: null,
  schema: parameter.schema.optional(),
  write: (value, unit, ppi) => (value === undefined ? '' : parameter.write(value, unit, ppi)),
});

/** A length that follows from the others until somebody gives it. */
export const solvedLength = (label: string, help: string, more: Between & More = {}): Parameter<Mm | undefined> =>
  optional(length(label, '', help, more));

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
export const solvedCount = (
  label: string,
  help: string,
  least: number,
  most: number,
  more: More = {},
): Parameter<number | undefined> => optional(count(label, '', help, least, most, more));

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
  const words = Object.keys(options) as [keyof O & string, ...(keyof O & string)[]];
  return {
    kind: 'choice',
    label,
    help,
    default: both(preset),
    options: words.map((value) => ({ value, label: options[value] ?? value })),
    schema: z.enum(words),
    read: (text) => {
      const word = words.find((w) => w === text.trim().toLowerCase());
      return word ? ok(word) : wrong(text, `${label} is one of ${words.join(', ')}.`);
    },
    write: (value) => value,
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

/** The decisions as a job file holds them, with defaults filled in: a schema for each name. */
export const shapeOf = (parameters: Readonly<Record<string, Parameter>>): Readonly<Record<string, z.ZodType>> =>
  Object.fromEntries(Object.entries(parameters).map(([name, parameter]) => [name, withDefault(parameter)]));

function withDefault(parameter: Parameter): z.ZodType {
  const described = parameter.schema.describe(`${parameter.label}. ${parameter.help}`);
  if (parameter.default === null) return described;
  const read = parameter.read(parameter.default.metric, { unit: 'mm', ppi: 300 });
  if (!read.ok) throw new Error(`The default of “${parameter.label}” cannot be read: ${read.error.message}`);
  return described.default(read.value);
}

/** Decisions read from what was typed, by their names. */
export type TypedDecisions =
  | { readonly ok: true; readonly values: Readonly<Record<string, unknown>> }
  | { readonly ok: false; readonly parameter: string; readonly error: FieldError };

/** Reads what was typed, each by its own rule. @param whose what has these decisions: “A flyer” */
export function readTyped(
  parameters: Readonly<Record<string, Parameter>>,
  typed: Readonly<Record<string, string>>,
  context: FieldContext,
  whose: string,
): TypedDecisions {
  const values: Record<string, unknown> = {};
  for (const [name, text] of Object.entries(typed)) {
    const parameter = Object.hasOwn(parameters, name) ? parameters[name] : undefined;
    if (!parameter) {
      const message = `${whose} has no “${name}”. It has: ${Object.keys(parameters).join(', ')}.`;
      return { ok: false, parameter: name, error: { at: 0, length: name.length, message } };
    }
    // An empty field of a decision that follows from others leaves it to them.
    if (parameter.default === null && text.trim() === '') continue;
    const read = parameter.read(text, context);
    if (!read.ok) return { ok: false, parameter: name, error: read.error };
    values[name] = read.value;
  }
  return { ok: true, values };
}

/** Every decision: as given, or as is usual where people think in mm or in inches. */
export function withUsual(
  parameters: Readonly<Record<string, Parameter>>,
  values: Readonly<Record<string, unknown>>,
  habit: 'metric' | 'imperial',
): Record<string, unknown> {
  const all: Record<string, unknown> = {};
  for (const [name, parameter] of Object.entries(parameters)) {
    if (Object.hasOwn(values, name)) all[name] = values[name];
    else if (parameter.default !== null) {
      const read = parameter.read(parameter.default[habit], { unit: habit === 'imperial' ? 'in' : 'mm', ppi: 300 });
      if (read.ok) all[name] = read.value;
    }
  }
  return all;
}
