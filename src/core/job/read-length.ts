import { mmOf, type Length, type MeasureRef } from '../element';
import {
  formatLength,
  formatNumber,
  parseLength,
  type FieldContext,
  type Mm,
  type Parsed,
  type Unit,
} from '../measure';
import { measuresOf, type NamedMeasure } from './named-measure';

const NUMBER = String.raw`\d+(?:[.,]\d+)?`;
const BEFORE = new RegExp(`^([-−–]?)\\s*(?:(${NUMBER})\\s*[×x*·])?$`);
const AFTER = new RegExp(`^(?:([×x*·÷/])\\s*(${NUMBER})\\s*)?(?:([-−–+])\\s*(\\S.*))?$`);

const toNumber = (text: string): number => Number(text.replace(',', '.'));
const isMinus = (sign: string | undefined): boolean => sign !== undefined && sign !== '' && sign !== '+';

/**
 * Reads a length, or one of the job’s measures by its name: `edge distance`, `2 × edge distance`, `-caption gap`,
 * `edge distance / 2 + 3 mm`.
 * @returns the length as the job keeps it, or where and why the text is none
 */
export function readLength(text: string, context: FieldContext, measures: readonly NamedMeasure[]): Parsed<Length> {
  const low = text.toLowerCase();
  // The longest name wins, so that “gap” does not hide “caption gap”.
  const named = [...measures]
    .sort((a, b) => b.name.length - a.name.length)
    .find((m) => low.includes(m.name.toLowerCase()));
  if (!named) return parseLength(text, context);
  const at = low.indexOf(named.name.toLowerCase());
  const before = BEFORE.exec(text.slice(0, at).trim());
  const end = at + named.name.length;
  const after = AFTER.exec(text.slice(end).trimStart());
  if (!before || !after) {
    const place = before ? { at: end, length: text.length - end } : { at: 0, length: at };
    const message = `Beside “${named.name}” a factor and a distance can stand: 2 × ${named.name} + 3 mm.`;
    return { ok: false, error: { ...place, message } };
  }
  const factor = after[2] ? (/[÷/]/.test(after[1] ?? '') ? 1 / toNumber(after[2]) : toNumber(after[2])) : 1;
  const times = (isMinus(before[1]) ? -1 : 1) * (before[2] ? toNumber(before[2]) : 1) * factor;
  if (!Number.isFinite(times))
    return { ok: false, error: { at: end, length: text.length - end, message: 'Division by zero.' } };
  let plus = 0;
  if (after[4] !== undefined) {
    const read = parseLength(after[4], context);
    const from = text.length - after[4].length;
    if (!read.ok) return { ok: false, error: { ...read.error, at: read.error.at + from } };
    plus = isMinus(after[3]) ? -read.value : read.value;
  }
  const ref: MeasureRef = { measure: named.id, ...(times !== 1 && { times }), ...(plus !== 0 && { plus }) };
  return { ok: true, value: ref };
}

/** A length as it would be typed. */
export function writeLength(length: Length, unit: Unit, ppi: number, measures: readonly NamedMeasure[]): string {
  if (typeof length === 'number') return formatLength(length, unit, ppi);
  const { measure, times = 1, plus = 0 } = length;
  const name = measures.find((m) => m.id === measure)?.name ?? measure;
  const factor = times === 1 ? '' : times === -1 ? '−' : `${formatNumber(times)} × `;
  const rest = plus === 0 ? '' : ` ${plus < 0 ? '−' : '+'} ${formatLength(Math.abs(plus), unit, ppi)}`;
  return `${factor}${name}${rest}`;
}

/** A length in mm, by the job’s measures. */
export const lengthIn = (length: Length, measures: readonly NamedMeasure[]): Mm =>
  mmOf(length, measuresOf({ measures }));
