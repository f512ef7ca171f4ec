import { platesIn, totalLaid } from '../colour';
import { leavesOf, type Ink } from '../drawing';
import { mapLooks } from '../element';
import { formatNumber, mmToPt } from '../measure';
import { framed, replace, type Rule } from './rule';

/** Type lighter than this total counts as reversed out of what is beneath, % [cp]. */
const PALE = 40;

function isDelicate(ink: Ink): boolean {
  return ink.kind === 'process' && (totalLaid(ink) < PALE || platesIn(ink).length > 1);
}

/** Room for rounding, pt. */
const HAIR = 1e-6;

/** Type has a smallest size that ink and paper hold. */
export const typeSmallRule: Rule = {
  id: 'type-small',
  title: 'Type too small',
  why: 'Small letters fill in when they are reversed, and blur when several inks have to meet.',
  check: (subject) =>
    framed(subject).flatMap(({ element, frame }) => {
      const isSet = element.kind === 'text' || element.kind === 'table';
      if (!isSet && element.kind !== 'printable') return [];
      // Every piece of type is held against what its own ink asks for; the worst is said.
      const tooSmall = leavesOf(frame.items).flatMap((item) => {
        if (item.kind !== 'glyphs' || item.glyphs.length === 0) return [];
        const isFine = isDelicate(item.ink);
        const least =
          (isFine ? subject.rules.minReversedTypePt.value : subject.rules.minTypePt.value) / subject.blank.scale;
        const sizePt = mmToPt(item.size);
        return sizePt < least - HAIR ? [{ sizePt, least, isFine }] : [];
      });
      const worst = tooSmall.sort((a, b) => a.sizePt / a.least - b.sizePt / b.least)[0];
      if (!worst) return [];
      const { sizePt, least, isFine } = worst;
      return [
        {
          // In a printable it follows from its box and how much is in it.
          severity: isSet ? 'warning' : 'note',
          element: element.id,
          where: frame.bounds,
          message:
            `${formatNumber(sizePt, 2)} pt type${isFine ? ' reversed or in several inks' : ''}; at least ` +
            `${formatNumber(least, 2)} pt is wanted.`,
          fixes:
            element.kind === 'text'
              ? [
                  replace(
                    `Set it in ${formatNumber(least, 2)} pt`,
                    mapLooks(element, subject.book, (look) => (look.sizePt < least ? { sizePt: least } : {})),
                  ),
                ]
              : [],
        },
      ];
    }),
};
