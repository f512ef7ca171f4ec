import { EDGE_NAMES, TOUCH, isUpright, type EdgeName, type Rect } from '../layout';
import { linesOn } from '../marks';
import type { ProcessLine } from '../shop';
import { laidOn, reachesOut, stretched } from './reaching';
import { framed, writeIn, type Report, type Rule } from './rule';

/** What ends this near a fold was meant to end on it; further past it, it goes round on purpose, mm [cp]. */
const MEANT = 1.5;
/** A fold counts where it runs along this much of an edge. */
const ALONG = 0.5;

/** A colour that changes at a fold changes on it. */
export const foldMeetRule: Rule = {
  id: 'fold-meet',
  title: 'Ends beside the fold',
  why:
    'Where a colour ends a hair beside the fold, a stripe of it shows on the wrong panel, or paper on the ' +
    'right one.',
  check: (subject) => {
    const surface = subject.blank.surfaces.find((s) => s.name === subject.side);
    const folds = surface
      ? linesOn(surface, subject.drawing).filter((l) => l.process === 'fold' || l.process === 'score')
      : [];
    if (folds.length === 0) return [];
    return framed(subject).flatMap(({ element, frame }): Report[] => {
      if (!reachesOut(element) || !isUpright(element.placement) || frame.items.length === 0) return [];
      const { rect } = frame;
      return EDGE_NAMES.flatMap((edge): Report[] => {
        const off = folds.map((fold) => beside(fold, rect, edge)).find((d) => d !== undefined);
        if (off === undefined) return [];
        const words = off > 0 ? `${writeIn(subject.job, off)} past` : `${writeIn(subject.job, -off)} short of`;
        return [
          {
            severity: 'warning',
            element: element.id,
            where: rect,
            message: `Its ${edge} edge ends ${words} the fold.`,
            fixes: [laidOn('Bring it to the fold', subject, element, rect, stretched(rect, { [edge]: -off }))],
          },
        ];
      });
    });
  },
};

/**
 * How far an edge lies past a straight fold that runs along it, mm; negative short of it, undefined where neither is
 * near.
 */
function beside({ from, to, path }: ProcessLine, rect: Rect, edge: EdgeName): number | undefined {
  if (path) return undefined;
  const isUprightEdge = edge === 'left' || edge === 'right';
  const [across, along] = isUprightEdge ? (['x', 'y'] as const) : (['y', 'x'] as const);
  if (Math.abs(from[across] - to[across]) > TOUCH) return undefined;
  const [start, size, length] = isUprightEdge ? [rect.x, rect.width, rect.height] : [rect.y, rect.height, rect.width];
  const at = isUprightEdge ? rect.y : rect.x;
  const shared =
    Math.min(at + length, Math.max(from[along], to[along])) - Math.max(at, Math.min(from[along], to[along]));
  if (shared < ALONG * length) return undefined;
  const past = edge === 'left' || edge === 'top' ? from[across] - start : start + size - from[across];
  return Math.abs(past) > TOUCH && Math.abs(past) < MEANT ? past : undefined;
}
