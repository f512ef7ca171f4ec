import { Impossible } from '../format';
import type { Figure } from '../figure';
import type { ScaleDrawing } from '../glossary';
import { formatLength, type FieldError, type JobUnit } from '../measure';
import { isImperial } from '../rules';
import type { Question } from './question';

export type Answer =
  | { readonly ok: true; readonly figures: readonly Figure[]; readonly drawing: ScaleDrawing | undefined }
  | { readonly ok: false; readonly parameter: string; readonly error: FieldError };

/**
 * Answers a question from what was typed; fields left empty have their usual value in the unit asked for.
 * @returns the figures, or the field that cannot be and why
 */
export function reckon(question: Question, typed: Readonly<Record<string, string>>, unit: JobUnit): Answer {
  const values: Record<string, unknown> = {};
  for (const [name, parameter] of Object.entries(question.parameters)) {
    const text = (typed[name] ?? '').trim() || parameter.default?.[isImperial(unit) ? 'imperial' : 'metric'] || '';
    if (text === '') continue;
    const read = parameter.read(text, { unit, ppi: 300 });
    if (!read.ok) return { ok: false, parameter: name, error: read.error };
    values[name] = read.value;
  }
  try {
    const writing = { unit, write: (mm: number) => formatLength(mm, unit) };
    return { ok: true, figures: question.answer(values, writing), drawing: question.draw?.(values, writing) };
  } catch (error) {
    if (!(error instanceof Impossible)) throw error;
    return { ok: false, parameter: error.parameter, error: { at: 0, length: 0, message: error.message } };
  }
}

/** What a question’s fields mean to the format that it leads to: those that both know. */
export function jobSettings(
  question: Question,
  typed: Readonly<Record<string, string>>,
  known: readonly string[],
): Readonly<Record<string, string>> {
  return Object.fromEntries(
    Object.entries(typed).flatMap(([name, text]) => {
      const to = question.job.rename?.[name] ?? name;
      return text.trim() !== '' && known.includes(to) ? [[to, text]] : [];
    }),
  );
}
