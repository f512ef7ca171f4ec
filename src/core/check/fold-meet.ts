import { EDGE_NAMES, TOUCH, isUpright } from '../layout';
import { linesOn } from '../marks';
import { MEANT, pastFold } from './past-fold';
import { laidOn, reachesOut, stretched } from './reaching';
import { framed, writeIn, type Report, type Rule } from './rule';

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
        const off = folds.map((fold) => pastFold(fold, rect, edge)).find((d) => d !== undefined && isBeside(d));
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

/** Near the fold, and not on it. */
const isBeside = (past: number): boolean => Math.abs(past) > TOUCH && Math.abs(past) < MEANT;
