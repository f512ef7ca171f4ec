import { formatNumber } from '../../core/measure';
import { paintedOf, perPage, type IntakeRule } from '../rule';

/** Pictures with more pixels than the press can use. */
export const pictureFineRule: IntakeRule = {
  id: 'picture-fine',
  title: 'A picture finer than of use',
  wish: ({ maxPpi }) => `Up to ${maxPpi ?? ''} ppi as placed: more makes the file slow and prints no better.`,
  look: ({ file, house: { maxPpi } }) =>
    maxPpi === undefined
      ? []
      : perPage(
          paintedOf(file, 'picture').filter(({ ppi, isMask }) => !isMask && ppi > maxPpi + 0.5),
          ({ width, height, ppi }) => ({
            weight: 'note',
            found: `${width} × ${height} px give ${formatNumber(ppi, 0)} ppi here.`,
          }),
        ),
};
