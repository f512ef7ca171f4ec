import { z } from 'zod';
import { extent } from '../element';
import type { Allowance } from '../fold';
import { formatLength } from '../measure';
import { ok, optional, readLengthWithin, wrong, type Parameter } from '../parameter';

type More = Pick<Parameter, 'when'>;

const allowanceSchema = z.discriminatedUnion('school', [
  z.strictObject({ school: z.literal('even') }),
  z.strictObject({ school: z.literal('shift'), mm: extent }),
  z.strictObject({ school: z.literal('thickness'), mm: extent.nullable() }),
]);

/**
 * How panels differ: `even`, `shift:1mm`, `thickness` or `thickness:0.12mm`; left out, the house or common practice
 * says.
 */
export const allowance = (label: string, help: string, more: More = {}): Parameter<Allowance | undefined> =>
  optional<Allowance>({
    kind: 'allowance',
    label,
    help,
    default: null,
    schema: allowanceSchema,
    read: (text, context) => {
      const [school = '', length] = text
        .trim()
        .toLowerCase()
        .split(':', 2)
        .map((part) => part.trim());
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
      value.school === 'even' || value.mm === null
        ? value.school
        : `${value.school}:${formatLength(value.mm, unit).replace(' ', '')}`,
    ...more,
  });
