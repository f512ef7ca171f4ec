import { RARE, exceededBy, inAThousand } from '../drift';
import { EDGE_NAMES, TOUCH, isUpright } from '../layout';
import { MEANT, pastFold } from './past-fold';
import { laidOn, reachesOut, stretched } from './reaching';
import { framed, writeIn, type Report, type Rule } from './rule';

/** A stripe that is narrower is not seen, mm [own]. */
const SEEN = 0.3;

/** To the next twentieth of a millimetre. */
export const rounded = (mm: number): number => Math.round(mm * 20) / 20;

/** A colour that changes exactly on a fold stands beside it on most copies. */
export const foldDriftRule: Rule = {
  id: 'fold-drift',
  title: 'Changes colour on a fold',
  why:
    'The folder wanders, and what one fold is off adds to the next. A stripe of one colour shows on the wrong panel. ' +
    'Taken round the fold, the change lies where nobody looks for it.',
  check: (subject) => {
    const side = subject.drift();
    if (!side || side.folds.length === 0) return [];
    const { job, blank } = subject;
    const offs = side.folds.map((_, n) => side.copies().map((copy) => Math.abs(copy.folds[n] ?? 0)));
    return framed(subject).flatMap(({ element, frame }): Report[] => {
      if (!reachesOut(element) || !isUpright(element.placement) || frame.items.length === 0) return [];
      const { rect } = frame;
      return EDGE_NAMES.flatMap((edge): Report[] => {
        const n = side.folds.findIndex((fold) => Math.abs(pastFold(fold, rect, edge) ?? Infinity) <= TOUCH);
        const off = offs[n];
        if (!off) return [];
        const seen = off.filter((mm) => mm > SEEN).length / off.length;
        if (seen <= RARE) return [];
        // So far round that it is no longer taken for one that was meant to end on the fold.
        const round = Math.ceil(Math.max(exceededBy(off, RARE), MEANT) * 2) / 2;
        const write = (mm: number) => writeIn(job, mm * blank.scale);
        return [
          {
            severity: 'note',
            element: element.id,
            where: rect,
            copy: off.indexOf(Math.max(...off)),
            message:
              `Its ${edge} edge lies on the fold. A stripe of more than ${write(SEEN / blank.scale)} shows on ` +
              `${inAThousand(seen)}, at worst ${write(rounded(Math.max(...off)))}.`,
            fixes: [
              laidOn(
                `Take it ${write(round)} round the fold`,
                subject,
                element,
                rect,
                stretched(rect, { [edge]: round }),
              ),
            ],
          },
        ];
      });
    });
  },
};
