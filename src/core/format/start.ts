import { Job, JOB_VERSION } from '../job';
import { parseLength, type FieldContext, type JobUnit, type Parsed } from '../measure';
import { readSize } from '../paper';
import type { Format, Parameter, ParameterValue } from './parameter';

/** Reads one parameter as typed. */
export function readParameter(parameter: Parameter, text: string, context: FieldContext): Parsed<ParameterValue> {
  switch (parameter.kind) {
    case 'size': {
      const read = readSize(text, context);
      return read.ok ? { ok: true, value: { kind: 'size', size: read.value } } : read;
    }
    case 'edges':
    case 'length': {
      const read = parseLength(text, context);
      if (!read.ok) return read;
      if (read.value < 0) return wrong(text, `${parameter.label} cannot be negative.`);
      return { ok: true, value: { kind: 'length', mm: read.value } };
    }
    case 'count': {
      const count = Number(text.trim());
      const [least, most] = [parameter.least ?? 0, parameter.most ?? Infinity];
      if (!Number.isInteger(count) || text.trim() === '' || count < least || count > most) {
        return wrong(text, `${parameter.label} must be a whole number from ${least} to ${most}.`);
      }
      return { ok: true, value: { kind: 'count', count } };
    }
  }
}

const wrong = (text: string, message: string): Parsed<never> => ({
  ok: false,
  error: { at: 0, length: text.length, message },
});

/** The unit that a typed size was thought in, so that a job begun in inches goes on in inches. */
export function unitThoughtIn(text: string): JobUnit {
  return /(\d|\s)(in|inch|inches|ft|foot|feet)\b|["″”'′’]|letter|legal|tabloid|ledger|executive|arch|statement/i.test(
    text,
  )
    ? 'in'
    : 'mm';
}

export interface NewJob {
  readonly id: string;
  readonly name: string;
  readonly unit: JobUnit;
}

export type Started =
  | { readonly ok: true; readonly job: Job }
  | { readonly ok: false; readonly parameter: string; readonly error: { at: number; length: number; message: string } };

/**
 * Begins a job of a format from parameters as typed.
 * @returns the job, or the parameter that could not be read and why
 */
export function startJob(format: Format, typed: Readonly<Record<string, string>>, about: NewJob): Started {
  const values: Record<string, ParameterValue> = {};
  for (const [name, text] of Object.entries(typed)) {
    const parameter = format.parameters.find((p) => p.name === name);
    if (!parameter) {
      const known = format.parameters.map((p) => p.name).join(', ');
      const message = `A ${format.kind} has no “${name}”. It has: ${known}.`;
      return { ok: false, parameter: name, error: { at: 0, length: name.length, message } };
    }
    const read = readParameter(parameter, text, { unit: about.unit, ppi: 300 });
    if (!read.ok) return { ok: false, parameter: name, error: read.error };
    values[name] = read.value;
  }
  const piece = format.start({ id: format.kind, unit: about.unit, values });
  const made = Job.safeParse({
    format: 'yellow-sheet-job',
    version: JOB_VERSION,
    id: about.id,
    name: about.name,
    unit: about.unit,
    step: about.unit === 'mm' || about.unit === 'cm' ? 0.5 : 25.4 / 32,
    language: about.unit === 'in' ? 'en-US' : 'en-GB',
    pieces: [piece],
  });
  if (made.success) return { ok: true, job: made.data };
  return { ok: false, parameter: 'size', error: { at: 0, length: 0, message: made.error.issues[0]?.message ?? '' } };
}
