import { counted, formatNumber } from '../../core/measure';
import type { Colour } from '../painted';
import { paintedOf, perPage, type IntakeRule } from '../rule';

/** Where a house does not say, pt [cp]. */
const [USUAL, USUAL_IN_INKS] = [5, 7];
/** Less of an ink is no plate that must register. */
const LAID = 0.05;

/** In how many inks words stand. */
export function inksOf({ space, values }: Colour): number {
  if (space === 'rgb') return values.some((v, i) => Math.abs(v - (values[0] ?? 0)) > 0.02 && i > 0) ? 3 : 1;
  return values.filter((v) => v > LAID).length;
}

/** Type too small to be read, or to register in its inks. */
export const typeSmallRule: IntakeRule = {
  id: 'type-small',
  title: 'Type too small',
  wish: ({ minTypePt = USUAL, minReversedTypePt = USUAL_IN_INKS }) =>
    `${formatNumber(minTypePt)} pt or more; ${formatNumber(minReversedTypePt)} pt in several inks.`,
  look: ({ file, house: { minTypePt = USUAL, minReversedTypePt = USUAL_IN_INKS } }) =>
    perPage(
      paintedOf(file, 'text').filter(
        ({ sizePt, colour }) => sizePt > 0 && sizePt < (inksOf(colour) > 1 ? minReversedTypePt : minTypePt) - 0.05,
      ),
      ({ sizePt, colour }) => ({
        weight: 'warning',
        found: `Type of ${formatNumber(sizePt, 1)} pt in ${counted(inksOf(colour), 'ink')}.`,
      }),
    ),
};
