import type { Figure } from '@/core/figure';
import { formatLengthValue, formatNumber, otherUnit, type JobUnit, type Unit } from '@/core/measure';

/** Figures as the sheet writes them: the value, its unit, and the same in the other system. */
export interface FigureText {
  readonly value: string;
  readonly unit: string;
  readonly other: string;
}

export function figureText(figure: Figure, unit: JobUnit): FigureText {
  const values = typeof figure.value === 'number' ? [figure.value] : figure.value;
  if (figure.unit !== 'mm') {
    return {
      value: values.map((v) => formatNumber(v, 3)).join(' × '),
      unit: figure.unit === 'count' ? '' : figure.unit,
      other: '',
    };
  }
  const write = (u: Unit) => {
    const texts = values.map((mm) => formatLengthValue(mm, u));
    const isSame = texts.every((t) => t === texts[0]);
    if (texts.length === 4) return isSame ? (texts[0] ?? '') : texts.join(' ');
    return texts.join(' × ');
  };
  const other = otherUnit(unit);
  return { value: write(unit), unit, other: values.length === 4 ? 'each edge' : `${write(other)} ${other}` };
}
