import { totalLaid } from '../colour';
import { leavesOf, type Drawing, type Frame } from '../drawing';
import { intersection, type Rect } from '../layout';
import { formatNumber } from '../measure';
import { opacityOf } from '../shop';
import { inksOf } from './paints';
import type { Rule } from './rule';

/** From so much on, of what is dark on the back, it is seen, percent [cp]. */
const SEEN = 5;
/** Ink of an area that is dark, percent on each other, and how large it has to be, mm² [own]. */
const [DARK, LARGE] = [140, 900];

/** What is dark on one side is seen on the other where paper is thin. */
export const showThroughRule: Rule = {
  id: 'show-through',
  title: 'Shows through',
  why: 'Thin paper lets through what is dark on its back: words are read with a shadow behind them.',
  check: ({ job, drawing, back }) => {
    if (!back || job.stock.clear === true || drawing.frames.every(({ items }) => items.length === 0)) return [];
    const { percent, rule } = opacityOf(job.stock);
    const through = 100 - percent;
    if (through < SEEN) return [];
    const dark = darkest(back);
    if (!dark) return [];
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

/** The largest dark area of a side; undefined where there is none. */
function darkest({ frames, boxes }: Drawing): Rect | undefined {
  const areas = frames.flatMap((frame) => (isDark(frame) ? [intersection(frame.ink, boxes.trim)] : []));
  const sized = areas.filter(({ width, height }) => width * height >= LARGE);
  return sized.sort((a, b) => b.width * b.height - a.width * a.height)[0];
}

function isDark(frame: Frame): boolean {
  if (frame.kind === 'text' || frame.kind === 'table') return false;
  const pictured = leavesOf(frame.items).some((item) => item.kind === 'picture' && (item.inkMost ?? 0) >= DARK);
  return pictured || inksOf(frame).some((ink) => totalLaid(ink) >= DARK);
}
