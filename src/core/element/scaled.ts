import { z } from 'zod';
import { LENGTHS } from './length';

/** Places kept of a scaled length: a thousandth of a millimetre, a hundredth of a point. */
const ROUND = { mm: 1e3, pt: 1e2 } as const;

/**
 * A value with every length in it times a factor; shares, angles and counts stay. Which numbers are lengths, the schema
 * says (`LENGTHS`), so that a new fact of an element need not be named here too.
 * @param value fits the schema
 * @param times above zero; a length that would leave its bounds ends at them
 */
export function scaled<T>(schema: z.ZodType<T>, value: T, times: number): T {
  return walk(schema, value, times) as T;
}

function walk(schema: z.core.$ZodType, value: unknown, times: number): unknown {
  if (value === undefined || value === null) return value;
  const { def } = (schema as z.core.$ZodTypes)._zod;
  const inner = (to: z.core.$ZodType) => walk(to, value, times);
  switch (def.type) {
    case 'number':
      return typeof value === 'number' ? scaledNumber(schema, value, times) : value;
    case 'optional':
    case 'nullable':
    case 'default':
    case 'prefault':
      return inner(def.innerType);
    case 'object':
      return mapped(value, (key, v) => walk(def.shape[key] ?? NOTHING, v, times));
    case 'record':
      return mapped(value, (_key, v) => walk(def.valueType, v, times));
    case 'array':
      return Array.isArray(value) ? value.map((v) => walk(def.element, v, times)) : value;
    case 'tuple':
      return Array.isArray(value) ? value.map((v, i) => walk(def.items[i] ?? NOTHING, v, times)) : value;
    case 'union': {
      const option = optionOf(def, value);
      return option ? inner(option) : value;
    }
    default:
      return value;
  }
}

/** The option that a value is of: told by its discriminator, or by what fits. */
function optionOf(def: z.core.$ZodUnionDef, value: unknown): z.core.$ZodType | undefined {
  const key = 'discriminator' in def && typeof def.discriminator === 'string' ? def.discriminator : undefined;
  if (key === undefined) return def.options.find((option) => z.safeParse(option, value).success);
  const tag: unknown = Reflect.get(Object(value), key);
  return def.options.find((option) => {
    const { def: of } = (option as z.core.$ZodTypes)._zod;
    const tagged = of.type === 'object' ? of.shape[key] : undefined;
    return tagged !== undefined && z.safeParse(tagged, tag).success;
  });
}

const NOTHING = z.unknown();

const mapped = (value: unknown, to: (key: string, v: unknown) => unknown): unknown =>
  typeof value === 'object' && value !== null
    ? Object.fromEntries(Object.entries(value).map(([key, v]) => [key, to(key, v)]))
    : value;

function scaledNumber(schema: z.core.$ZodType, value: number, times: number): number {
  const length = LENGTHS.get(schema);
  if (!length) return value;
  const to = Math.round(value * times * ROUND[length.per]) / ROUND[length.per];
  const { minValue, maxValue } = schema instanceof z.ZodNumber ? schema : { minValue: null, maxValue: null };
  return Math.min(Math.max(to, minValue ?? -Infinity), maxValue ?? Infinity);
}
