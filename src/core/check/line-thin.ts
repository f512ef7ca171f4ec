import { platesIn, totalLaid } from '../colour';
import { leavesOf, type Ink } from '../drawing';
import { formatNumber, mmToPt } from '../measure';
import { framed, replace, type Report, type Rule } from './rule';

/** A line in one solid ink holds at the least width; in a tint, several inks or paper it needs twice that [cp]. */
const isSolid = (ink: Ink): boolean => ink.kind !== 'process' || (platesIn(ink).length === 1 && totalLaid(ink) === 100);

export const lineThinRule: Rule = {
  id: 'line-thin',
  title: 'Line too thin',
  why: 'A hairline breaks up on the plate, and in a tint or in several inks it turns into dots.',
  check: (subject) =>
    framed(subject).flatMap(({ element, frame }): Report[] => {
      const thin = leavesOf(frame.items).flatMap((item) => {
        if (item.kind !== 'path' || !item.stroke) return [];
        const widthPt = mmToPt(item.stroke.width);
        const least = subject.rules.minLinePt.value * (isSolid(item.stroke.ink) ? 1 : 2);
        return widthPt < least - HAIR ? [{ widthPt, least }] : [];
      });
      const [worst] = thin.sort((a, b) => a.widthPt / a.least - b.widthPt / b.least);
      if (!worst) return [];
      const { widthPt, least } = worst;
      const own = 'stroke' in element ? element.stroke : null;
      return [
        {
          // Those of a table or a printable are part of how it is made.
          severity: own ? 'warning' : 'note',
          element: element.id,
          where: frame.bounds,
          message:
            `${formatNumber(widthPt, 3)} pt line; at least ${formatNumber(least, 3)} pt is ` +
            `wanted${least > subject.rules.minLinePt.value ? ' in a tint, in several inks or reversed' : ''}.`,
          fixes: own
            ? [
                replace(`Make it ${formatNumber(least, 3)} pt`, {
                  ...element,
                  stroke: { ...own, widthPt: least },
                } as typeof element),
              ]
            : [],
        },
      ];
    }),
};

/** Room for rounding, pt. */
const HAIR = 1e-6;
