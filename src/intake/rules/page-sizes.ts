import { inMm, trimOf, type IntakeRule } from '../rule';

/** Differences that come from rounding, pt. */
const ROUNDED = 0.3;

/** Pages of one size, and of the size that was ordered. */
export const pageSizesRule: IntakeRule = {
  id: 'page-sizes',
  title: 'Another size',
  wish: () => 'Every page in the finished size.',
  look: ({ file, order }) => {
    const [first] = file.pages;
    if (!first) return [];
    const [usual] = order.sizes ?? [];
    return file.pages.flatMap((page, i) => {
      const ordered = order.sizes?.[i] ?? usual;
      const wanted = ordered
        ? { width: (ordered.width * 72) / 25.4, height: (ordered.height * 72) / 25.4 }
        : trimOf(first);
      const { width, height } = trimOf(page);
      const isTurned = page.rotate % 180 !== 0;
      const [w, h] = isTurned ? [height, width] : [width, height];
      return Math.abs(w - wanted.width) <= ROUNDED && Math.abs(h - wanted.height) <= ROUNDED
        ? []
        : [
            {
              weight: ordered ? ('fault' as const) : ('warning' as const),
              page: i + 1,
              found: `It is ${inMm(w)} × ${inMm(h)}; ${inMm(wanted.width)} × ${inMm(wanted.height)} is wanted.`,
            },
          ];
    });
  },
};
