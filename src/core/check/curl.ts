import { formatNumber } from '../measure';
import { areaOf } from '../layout';
import { largestInked, shareOf } from './inked-area';
import type { Rule, Subject } from './rule';

/** A side is full where so much ink lies on so much of it [own]; percent on each other, and share. */
const FULL = { ink: 150, share: 0.6 } as const;
/** A side is bare where less of it is inked at all [own]. */
const BARE = { ink: 20, share: 0.1 } as const;
/** What is larger both ways is hung or rolled anyway, mm [own]. */
const HUNG = 300;
/** Heavier paper stays flat, g/m² [cp]. */
const LIGHT = 170;

/** Whether a full side would bend the sheet: light paper, small enough to lie about, with a bare back. */
export function wouldCurl({ job, blank, back }: Pick<Subject, 'job' | 'blank' | 'back'>): boolean {
  const { grammage } = job.stock;
  const isLone = blank.surfaces.length === 1;
  const { width, height } = blank.finished;
  if (grammage === null || grammage > LIGHT || Math.min(width, height) > HUNG || !(back ?? isLone)) return false;
  return !back || shareOf(largestInked(back, BARE.ink), back) < BARE.share;
}

/** Ink on one side alone bends the sheet. */
export const curlRule: Rule = {
  id: 'curl',
  title: 'May curl',
  why:
    'Ink wets and shrinks the side that it lies on. A thin sheet that is full on one side and bare on the other ' +
    'rolls.',
  check: (subject) => {
    const { job, drawing } = subject;
    if (!wouldCurl(subject)) return [];
    const area = largestInked(drawing, FULL.ink);
    if (!area || areaOf(area) === 0 || shareOf(area, drawing) < FULL.share) return [];
    return [
      {
        severity: 'note',
        element: null,
        where: area,
        message:
          `${formatNumber(100 * shareOf(area, drawing), 0)} % of this side is full of ink and the other is bare, on ` +
          `${formatNumber(job.stock.grammage ?? 0, 0)} g/m²: it rolls up. Heavier paper, a tint on the back or a ` +
          'varnish there keeps it flat (common practice).',
      },
    ];
  },
};
