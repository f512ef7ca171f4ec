import type { Item } from '../drawing';
import { IDENTITY, apply, around, multiply, type Matrix, type Point, type Rect } from '../layout';

/** How high letters without descenders stand, as a part of the em [cp]. */
const LETTER_HEIGHT = 0.6;

/**
 * Where the type of a table or of a printable stands: around its points.
 * @returns undefined where there is no type
 */
export function typeIn(items: readonly Item[]): Rect | undefined {
  const points = typePoints(items);
  return points.length > 0 ? around(points) : undefined;
}

/**
 * Points of the letters in some items, at the foot of each and as high as small letters are. Where one of them lies
 * outside there is type outside; a letter may reach a little further.
 */
export const typePoints = (items: readonly Item[]): readonly Point[] => pointsIn(items, IDENTITY);

const pointsIn = (items: readonly Item[], under: Matrix): readonly Point[] =>
  items.flatMap((item): readonly Point[] => {
    const matrix = multiply(under, item.matrix);
    if (item.kind === 'group') return pointsIn(item.items, matrix);
    if (item.kind !== 'glyphs') return [];
    return item.glyphs
      .filter(({ text }) => text.trim() !== '')
      .flatMap(({ x, y }) => [apply(matrix, { x, y }), apply(matrix, { x, y: y - LETTER_HEIGHT * item.size })]);
  });
