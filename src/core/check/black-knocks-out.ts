import { isBlackOnly } from '../colour';
import { leavesOf } from '../drawing';
import { repaint } from '../job';
import { beneath } from './beneath';
import { framed, replace, type Rule } from './rule';

/** Black type belongs over what is beneath it. */
export const blackKnocksOutRule: Rule = {
  id: 'black-knocks-out',
  title: 'Black type that knocks out',
  why: 'Where black type cuts away the colour beneath it, the smallest shift of a plate shows white at its edges.',
  check: (subject) => {
    const all = framed(subject);
    const below = beneath(all.map(({ frame }) => frame.bounds));
    return all.flatMap(({ element, frame }, i) => {
      const knocks = leavesOf(frame.items).some(
        (leaf) =>
          leaf.kind === 'glyphs' &&
          leaf.ink.kind === 'process' &&
          isBlackOnly(leaf.ink.build) &&
          !leaf.ink.spots &&
          !leaf.ink.overprint,
      );
      const isOver = knocks && below(i).some((lower) => all[lower]?.frame.items.length);
      if (!isOver) return [];
      const mended = repaint(element, subject.book, (paint) => {
        if (paint.kind !== 'process' || paint.overprint !== false || !isBlackOnly(paint)) return paint;
        return { ...paint, overprint: undefined };
      });
      return [
        {
          severity: 'warning',
          element: element.id,
          where: frame.bounds,
          message: 'Its black is told to knock out what lies beneath.',
          fixes: [replace('Let it overprint', mended)],
        },
      ];
    });
  },
};
