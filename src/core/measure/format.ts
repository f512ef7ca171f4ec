import { mmPer, type Mm, type Unit } from './units';

/** Decimals that still mean something on paper: about a thousandth of a millimetre, in each unit. */
const DECIMALS: Readonly<Record<Unit, number>> = {
  mm: 3,
  cm: 4,
  m: 6,
  in: 4,
  ft: 5,
  pt: 3,
  pica: 4,
  px: 1,
};

/** A number with at most so many decimals and no trailing zeros: 94.133, 210, 0.5. */
export function formatNumber(value: number, decimals = 3): string {
  const text = value.toFixed(decimals);
  let end = text.length;
  if (text.includes('.')) {
    while (text[end - 1] === '0') end -= 1;
    if (text[end - 1] === '.') end -= 1;
  }
  const trimmed = text.slice(0, end);
  return trimmed === '-0' ? '0' : trimmed;
}

// Made once: the making of one takes as long as a hundred numbers.
const COUNTS = new Intl.NumberFormat('en-GB');
const MONEY = new Intl.NumberFormat('en-GB', { minimumFractionDigits: 2, maximumFractionDigits: 2 });

/** A count of things, its thousands apart: 12,500. */
export const formatCount = (n: number): string => COUNTS.format(n);

/** Money, as it is asked: £ 1,250.00. */
export const formatMoney = (money: number, currency: string): string => `${currency} ${MONEY.format(money)}`;

/** The figure alone, in the unit, with no digit that the paper could not show. */
export function formatLengthValue(mm: Mm, unit: Unit, ppi = 300): string {
  return formatNumber(mm / mmPer(unit, ppi), DECIMALS[unit]);
}

/** Figure and unit: `94.133 mm`, `8.5 in`. */
export function formatLength(mm: Mm, unit: Unit, ppi = 300): string {
  return `${formatLengthValue(mm, unit, ppi)} ${unit}`;
}

/** `148 × 210 mm`. */
export function formatSize(size: { width: Mm; height: Mm }, unit: Unit, ppi = 300): string {
  return `${formatLengthValue(size.width, unit, ppi)} × ${formatLength(size.height, unit, ppi)}`;
}

/** Where inches are usual beside millimetres, and the other way round. */
export const otherUnit = (unit: Unit): Unit => (unit === 'mm' || unit === 'cm' || unit === 'm' ? 'in' : 'mm');
