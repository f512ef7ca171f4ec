import { formatNumber } from '../measure';
import { largestInked, shareOf } from './inked-area';
import type { Rule } from './rule';

/** From so much ink on, on paper that takes it in, it stays wet, percent on each other [cp]. */
const WET = 220;
/** A smaller area than this share of the side dries soon enough [own]. */
const LARGE = 0.1;

/** Much ink on uncoated paper takes long to dry. */
export const slowDryingRule: Rule = {
  id: 'slow-drying',
  title: 'Dries slowly',
  why:
    'Uncoated paper keeps ink wet for long: it sets off on the sheet above and smears under the knife and in the ' +
    'folder.',
  check: ({ job, drawing }) => {
    if (job.stock.kind === 'coated') return [];
    const area = largestInked(drawing, WET);
    if (!area || shareOf(area, drawing) < LARGE) return [];
    return [
      {
        severity: 'note',
        element: null,
        where: area,
        message:
          `${formatNumber(WET, 0)} % of ink and more on ${job.stock.kind} paper, on ` +
          `${formatNumber(100 * shareOf(area, drawing), 0)} % of the side: allow a day more before it is cut and ` +
          'folded, or lay down less (common practice).',
      },
    ];
  },
};
