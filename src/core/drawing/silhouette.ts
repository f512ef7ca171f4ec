import { rectPath } from '../layout';
import type { Ink, Item } from './drawing';

/** Items drawn in one ink and grown by a distance all round. */
export function dilate(items: readonly Item[], ink: Ink, by: number): readonly Item[] {
  const stroke = { ink, width: by * 2, dash: [], cap: 'round', join: 'round' } as const;
  return items.map((item): Item => {
    switch (item.kind) {
      case 'path': {
        // A line that is not filled is a wider line; a filled area gets a rim.
        if (!item.fill && item.stroke)
          return {
            ...item,
            stroke: {
              ...item.stroke,
              ink,
              width: item.stroke.width + by * 2,
              join: 'round',
              cap: item.stroke.cap === 'butt' ? 'butt' : item.stroke.cap,
            },
          };
        const own = item.stroke
          ? item.stroke.align === 'in'
            ? 0
            : item.stroke.align === 'out'
              ? item.stroke.width * 2
              : item.stroke.width
          : 0;
        return { ...item, fill: ink, stroke: by * 2 + own > 0 ? { ...stroke, width: by * 2 + own } : null };
      }
      case 'glyphs':
        return by > 0 ? { ...item, ink, stroke } : { ...item, ink };
      case 'picture':
        if (item.isClear) return { ...item, flat: ink };
        return {
          kind: 'path',
          from: item.from,
          opacity: 1,
          matrix: item.matrix,
          path: rectPath(item.frame),
          fill: ink,
          stroke: by > 0 ? stroke : null,
          ...(item.clip && { clip: item.clip }),
        };
      case 'page':
        return {
          kind: 'path',
          from: item.from,
          opacity: 1,
          matrix: item.matrix,
          path: rectPath(item.image),
          fill: ink,
          stroke: by > 0 ? stroke : null,
        };
      case 'group':
        return { ...item, items: dilate(item.items, ink, by) };
    }
  });
}

const SOLID: Ink = { kind: 'process', build: { c: 0, m: 0, y: 0, k: 100 }, overprint: false };

/** Items as their shapes alone: one ink, opaque. Pictures stay, for what of them is transparent. */
export const silhouettes = (items: readonly Item[]): readonly Item[] =>
  items.map((item): Item => {
    const plain = { ...item, opacity: 1 };
    switch (plain.kind) {
      case 'path':
        return { ...plain, fill: plain.fill && SOLID, stroke: plain.stroke && { ...plain.stroke, ink: SOLID } };
      case 'glyphs':
        return { ...plain, ink: SOLID };
      case 'group':
        return { ...plain, items: silhouettes(plain.items) };
      case 'picture':
      case 'page':
        return plain;
    }
  });

/** The outlines of items as bands of an ink, a distance to either side. */
export const dilatedOutlines = (items: readonly Item[], ink: Ink, by: number): readonly Item[] =>
  dilate(items, ink, by).map((item): Item => {
    switch (item.kind) {
      case 'path':
        return { ...item, fill: null };
      case 'glyphs':
        return { ...item, hollow: true };
      case 'group':
        return { ...item, items: dilatedOutlines(item.items, ink, by) };
      case 'picture':
      case 'page':
        return item;
    }
  });
