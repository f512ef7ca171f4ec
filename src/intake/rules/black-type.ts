import { formatNumber } from '../../core/measure';
import { paintedOf, perPage, type IntakeRule } from '../rule';

/** Larger type may be black of several inks, pt [cp]. */
const SMALL = 18;
/** From so much on, of one, it is meant to be black. */
const DARK = 0.85;

/** Small black type in four inks: the smallest shift of a plate shows at its edges. */
export const blackTypeRule: IntakeRule = {
  id: 'black-type',
  title: 'Black type in several inks',
  wish: () => 'Black type in black alone, overprinting.',
  look: ({ file }) =>
    perPage(
      paintedOf(file, 'text').filter(({ colour: { space, values }, sizePt }) => {
        const [c = 0, m = 0, y = 0, k = 0] = values;
        return space === 'cmyk' && sizePt < SMALL && k >= DARK && c + m + y > 0.3;
      }),
      ({ sizePt, colour }) => ({
        weight: 'warning',
        found:
          `Type of ${formatNumber(sizePt, 1)} pt in ` +
          `${colour.values.map((v) => formatNumber(v * 100, 0)).join(' ')}.`,
      }),
    ),
};
