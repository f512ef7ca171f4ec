import { parsePair, type FieldContext, type Parsed } from '../measure';
import { paperSize, type Size } from './sizes';

/** Reads a size field: a paper name or a pair of lengths. */
export function readSize(text: string, context: FieldContext): Parsed<Size> {
  const named = paperSize(text);
  if (named) return { ok: true, value: named };
  if (/^[a-z][a-z\s]*\d*$/i.test(text.trim()) && !/\bx\b|\bby\b/i.test(text)) {
    const message =
      `“${text.trim()}” is not a paper this sheet knows. Write A5, letter landscape, half letter, SRA3, or ` +
      'width x height.';
    return { ok: false, error: { at: 0, length: text.length, message } };
  }
  return parsePair(text, context);
}
