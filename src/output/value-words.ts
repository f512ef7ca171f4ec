import { formatNumber } from '../core/measure';

/** The value of a figure, or the values side by side. */
export const valueWords = (value: number | readonly number[], decimals = 3): string =>
  [value]
    .flat()
    .map((n) => formatNumber(n, decimals))
    .join(' × ');
