import { intersection, type Rect } from '../layout';
import { formatNumber } from '../measure';
import { opacityOf } from '../shop';
import { largestInked } from './inked-area';
import type { Rule, Subject } from './rule';

/** From so much on, of what is dark on the back, it is seen, percent [cp]. */
const SEEN = 5;
/** Ink of an area that is dark, percent on each other, and how large it has to be, mm² [own]. */
const [DARK, LARGE] = [140, 900];

/** The dark area on the back that paper which lets it through would show; undefined where there is none. */
export function darkBehind({ job, drawing, back }: Pick<Subject, 'job' | 'drawing' | 'back'>): Rect | undefined {
  if (!back || job.stock.clear === true || drawing.frames.every(({ items }) => items.length === 0)) return undefined;
  const dark = largestInked(back, DARK);
  return dark && dark.width * dark.height >= LARGE ? dark : undefined;
}

/** What is dark on one side is seen on the other where paper is thin. */
export const showThroughRule: Rule = {
  id: 'show-through',
  title: 'Shows through',
  why: 'Thin paper lets through what is dark on its back: words are read with a shadow behind them.',
  check: (subject) => {
    const { job, drawing, back } = subject;
    const dark = darkBehind(subject);
    if (!back || !dark) return [];
    const { percent, rule } = opacityOf(job.stock);
    const through = 100 - percent;
    if (through < SEEN) return [];
    const { trim } = drawing.boxes;
    // The back is seen from behind: left and right change places.
    const where = intersection({ ...dark, x: trim.width - dark.x - dark.width }, trim);
    return [
      {
        severity: 'note',
        element: null,
        where,
        message:
          `About ${formatNumber(through, 0)} % of a dark area on the ${back.surface} shows through (opacity ` +
          `${formatNumber(percent, 1)} %: ${rule}). A heavier paper, or less ink there, hides it.`,
      },
    ];
  },
};
