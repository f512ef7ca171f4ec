import { platesIn, totalLaid } from '../colour';
import { leavesOf, type Ink } from '../drawing';
import { formatNumber } from '../measure';
import { framed, replace, type Rule } from './rule';

/** A line in one solid ink holds at the least width; in a tint, several inks or paper it needs twice that [cp]. */
const isSolid = (ink: Ink): boolean => ink.kind !== 'process' || (platesIn(ink).length === 1 && totalLaid(ink) === 100);

export const lineThinRule: Rule = {
  id: 'line-thin',
  title: 'Line too thin',
  why: 'A hairline breaks up on the plate, and in a tint or in several inks it turns into dots.',
  check: (subject) =>
    framed(subject).flatMap(({ element, frame }) => {
      const item = leavesOf(frame.items).find((i) => i.kind === 'path');
      if (item?.kind !== 'path' || !item.stroke) return [];
      if (!('stroke' in element) || !element.stroke) return [];
      const least = subject.rules.minLinePt.value * (isSolid(item.stroke.ink) ? 1 : 2);
      const { widthPt } = element.stroke;
      if (widthPt >= least) return [];
      const thicker = { ...element, stroke: { ...element.stroke, widthPt: least } };
      return [
        {
          severity: 'warning',
          element: element.id,
          where: frame.bounds,
          message:
            `${formatNumber(widthPt, 3)} pt line; at least ${formatNumber(least, 3)} pt is ` +
            `wanted${least > subject.rules.minLinePt.value ? ' in a tint, in several inks or reversed' : ''}.`,
          fixes: [replace(`Make it ${formatNumber(least, 3)} pt`, thicker)],
        },
      ];
    }),
};
