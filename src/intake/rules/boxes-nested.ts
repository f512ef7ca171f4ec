import type { Rect } from '../../core/geometry';
import type { IntakeRule } from '../rule';

/** Numbers in files are rounded, pt. */
const ROUNDED = 0.01;

const isWithin = (inner: Rect, outer: Rect): boolean =>
  inner.x >= outer.x - ROUNDED &&
  inner.y >= outer.y - ROUNDED &&
  inner.x + inner.width <= outer.x + outer.width + ROUNDED &&
  inner.y + inner.height <= outer.y + outer.height + ROUNDED;

/** The trim lies within the bleed, and that within the page (ISO 15930-7, 6.2, from memory). */
export const boxesNestedRule: IntakeRule = {
  id: 'boxes-nested',
  title: 'Boxes that lie across each other',
  wish: () => 'TrimBox within BleedBox within MediaBox.',
  look: ({ file }) =>
    file.pages.flatMap(({ trim, bleed, media }, i) => {
      const outer = bleed ?? media;
      const isBad = (trim && !isWithin(trim, outer)) || !isWithin(outer, media);
      return isBad
        ? [{ weight: 'fault' as const, page: i + 1, found: 'Its boxes do not lie one within the other.' }]
        : [];
    }),
};
