import type { Figure } from '../figure';
import type { ScaleDrawing } from '../glossary';
import type { Parameters, ValuesOf } from '../format';
import type { JobUnit, Mm } from '../measure';

/** What an answer is written with. */
export interface Writing {
  readonly unit: JobUnit;
  readonly write: (mm: Mm) => string;
}

/** A small question of the day: what is asked for, and what follows, each with its working. */
export interface Question {
  readonly id: string;
  readonly title: string;
  readonly about: string;
  readonly parameters: Parameters;
  /** @throws Impossible when the values cannot be, naming the one to change */
  readonly answer: (values: Readonly<Record<string, unknown>>, writing: Writing) => readonly Figure[];
  /** What the answer looks like, to scale. */
  readonly draw?: (values: Readonly<Record<string, unknown>>, writing: Writing) => ScaleDrawing;
  /** The kind of piece that the question is about, and what was typed that its format asks for under another name. */
  readonly job: { readonly kind: string; readonly rename?: Readonly<Record<string, string>> };
}

interface Definition<P> extends Omit<Question, 'parameters' | 'answer' | 'draw'> {
  readonly parameters: P;
  readonly answer: (values: ValuesOf<P>, writing: Writing) => readonly Figure[];
  readonly draw?: (values: ValuesOf<P>, writing: Writing) => ScaleDrawing;
}

/** Puts a question into the common form. */
export function defineQuestion<P extends Parameters>(definition: Definition<P>): Question {
  const { draw, ...rest } = definition;
  return {
    ...rest,
    // The values were read by these very parameters.
    answer: (values, writing) => definition.answer(values as ValuesOf<P>, writing),
    ...(draw && {
      draw: (values: Readonly<Record<string, unknown>>, writing: Writing) => draw(values as ValuesOf<P>, writing),
    }),
  };
}

/** A figure of an answer, with less said than on a job’s sheet. */
export const answerFigure = (figure: Pick<Figure, 'id' | 'name' | 'value' | 'unit' | 'working' | 'rule'>): Figure => ({
  ...figure,
  group: 'size',
});

/** To a thousandth: as fine as a figure is shown. */
export const toThousandths = (n: number): number => Math.round(n * 1000) / 1000;
