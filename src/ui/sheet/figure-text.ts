import type { Figure } from '@/core/figure';
import { formatLengthValue, formatNumber, mmPer, otherUnit, type JobUnit, type Unit } from '@/core/measure';

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
  const isEdges = values.length === 4 && figure.measured?.kind !== 'stops';
  const isChain = figure.measured?.kind === 'stops' && values.length > 1;
  const write = (u: Unit) => {
    const texts = values.map((mm) => formatLengthValue(mm, u));
    const isSame = texts.every((t) => t === texts[0]);
    if (isEdges) return isSame ? (texts[0] ?? '') : texts.join(' ');
    if (texts.length < 3 && !isChain) return texts.join(' × ');
    return isSame ? `${texts.length} × ${texts[0] ?? ''}` : texts.join(' | ');
  };
  const isUneven = isEdges && !values.every((v) => v === values[0]);
  if ((values.length > 2 || isChain) && !isEdges) return { value: write(unit), unit, other: '' };
  return { value: write(unit), unit, other: isUneven ? 'top right bottom left' : elsewhere(values, otherUnit(unit)) };
}

/**
 * The same in the other system, to a tenth of a millimetre or a hundredth of an inch; a sign says when that is not
 * exact.
 */
function elsewhere(values: readonly number[], unit: Unit): string {
  const all = values.length === 4 ? values.slice(0, 1) : values;
  const parts = unit === 'mm' ? 10 : 100;
  const rounded = all.map((mm) => Math.round((mm / mmPer(unit, 300)) * parts) / parts);
  const isExact = all.every((mm, i) => Math.abs(mm - (rounded[i] ?? 0) * mmPer(unit, 300)) < 1e-6);
  return `${isExact ? '' : '≈ '}${rounded.map((v) => formatNumber(v)).join(' × ')} ${unit}`;
}
