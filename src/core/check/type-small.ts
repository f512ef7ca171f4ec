import { inksIn, totalInk } from '../colour';
import { leavesOf, type Ink } from '../drawing';
import { formatNumber } from '../measure';
import { framed, replace, type Rule } from './rule';

/** Type lighter than this total counts as reversed out of what is beneath, % [cp]. */
const PALE = 40;

function isDelicate(ink: Ink): boolean {
  return ink.kind === 'process' && (totalInk(ink.build) < PALE || inksIn(ink.build).length > 1);
}

/** Type has a smallest size that ink and paper hold. */
export const typeSmallRule: Rule = {
  id: 'type-small',
  title: 'Type too small',
  why: 'Small letters fill in when they are reversed, and blur when several inks have to meet.',
  check: (subject) =>
    framed(subject).flatMap(({ element, frame }) => {
      const run = leavesOf(frame.items).find((i) => i.kind === 'glyphs');
      if (element.kind !== 'text' || run?.kind !== 'glyphs') return [];
      const delicate = isDelicate(run.ink);
      const asked = delicate ? subject.rules.minReversedTypePt.value : subject.rules.minTypePt.value;
      const least = asked / subject.blank.scale;
      const { sizePt } = element.style;
      if (sizePt >= least) return [];
      const how = delicate ? ' reversed or in several inks' : '';
      return [
        {
          severity: 'warning',
          element: element.id,
          where: frame.bounds,
          message: `${formatNumber(sizePt, 2)} pt type${how}; at least ${formatNumber(least, 2)} pt is wanted.`,
          fixes: [replace(`Set it in ${formatNumber(least, 2)} pt`, { ...element, style: { ...element.style, sizePt: least } })],
        },
      ];
    }),
}; // prettier-ignore
