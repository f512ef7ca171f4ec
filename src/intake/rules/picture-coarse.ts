import { formatNumber } from '../../core/measure';
import { paintedOf, perPage, type IntakeRule } from '../rule';

/** Where a house does not say [cp]. */
const USUAL = 200;
/** Pictures of one ink have hard edges and need more [cp]. */
const HARD = 3;

const leastOf = ({ minPpi = USUAL }: { readonly minPpi?: number | undefined }, isMask: boolean): number =>
  isMask ? minPpi * HARD : minPpi;

/** Pictures with too few pixels for the size at which they stand. */
export const pictureCoarseRule: IntakeRule = {
  id: 'picture-coarse',
  title: 'A picture too coarse',
  wish: (house) => `At least ${leastOf(house, false)} ppi as placed.`,
  look: ({ file, house }) =>
    perPage(
      paintedOf(file, 'picture').filter(({ ppi, isMask }) => ppi < leastOf(house, isMask) - 0.5),
      ({ width, height, ppi }) => ({
        weight: 'warning',
        found: `${width} × ${height} px give ${formatNumber(ppi, 0)} ppi here.`,
      }),
    ),
};
