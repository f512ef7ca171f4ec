import { formatNumber } from '../../core/measure';
import { onPiece, perPage, type IntakeRule } from '../rule';

/** Where a house does not say, percent [cp]. */
const USUAL = 300;

/** Flat colours that lay on more ink than dries. */
export const inkHeavyRule: IntakeRule = {
  id: 'ink-heavy',
  title: 'Too much ink',
  wish: ({ inkLimit = USUAL }) => `No more than ${inkLimit} % of ink on each other.`,
  look: ({ file, house: { inkLimit = USUAL } }) => {
    const total = (values: readonly number[]) => 100 * values.reduce((sum, v) => sum + v, 0);
    return perPage(
      onPiece(file).filter(({ colour }) => colour.space === 'cmyk' && total(colour.values) > inkLimit + 0.5),
      ({ colour }) => ({
        weight: 'fault',
        found: `${formatNumber(total(colour.values), 0)} % of ink.`,
      }),
    );
  },
};
