import { formatNumber } from '../../core/measure';
import type { Painted } from '../painted';
import { paintedOf, perPage, type IntakeRule } from '../rule';

/** Where a house does not say, pt [cp]. */
const USUAL = 0.25;

/** A line that a machine follows is on no plate: in an ink of its own, laid over what is beneath. */
const isFollowed = ({ colour, overprint }: Painted): boolean => overprint && colour.space === 'spot';

/** Lines that a plate does not hold. */
export const lineThinRule: IntakeRule = {
  id: 'line-thin',
  title: 'A line too thin',
  wish: ({ minLinePt = USUAL }) => `Lines of ${formatNumber(minLinePt)} pt or more.`,
  look: ({ file, house: { minLinePt = USUAL } }) =>
    perPage(
      paintedOf(file, 'stroke').filter((stroke) => stroke.widthPt < minLinePt - 0.005 && !isFollowed(stroke)),
      ({ widthPt }) => ({
        weight: 'warning',
        found: widthPt === 0 ? `A line without a width.` : `A line of ${formatNumber(widthPt, 3)} pt.`,
      }),
    ),
};
