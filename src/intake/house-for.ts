import type { House } from '../core/shop';
import type { ReadFile } from './painted';
import { mmOf, trimOf, type Order } from './rule';

/** Widths and heights that are as many times larger to this share are drawn to scale. */
const SAME = 0.01;
/** Less than this many times smaller is another size, not a scale [own]. */
const LEAST = 1.5;

/** How many times smaller than ordered a file is drawn: large formats come at a tenth. 1 where it is not. */
export function scaleOf({ pages: [first] }: ReadFile, { sizes }: Order): number {
  const [size] = sizes ?? [];
  if (!first || !size) return 1;
  const { width, height } = trimOf(first);
  const [across, down] = [size.width / mmOf(width), size.height / mmOf(height)];
  return across >= LEAST && Math.abs(across / down - 1) < SAME ? across : 1;
}

/** The book of a house as it holds for a file that is drawn smaller, with the bleed that was agreed. */
export function houseFor(house: House, { bleed }: Order, scale: number): House {
  const by = (value: number | undefined) => (value === undefined ? undefined : value / scale);
  const around = (edges: House['bleed']): House['bleed'] =>
    edges && {
      top: edges.top / scale,
      right: edges.right / scale,
      bottom: edges.bottom / scale,
      left: edges.left / scale,
    };
  const agreed = bleed === undefined ? undefined : { top: bleed, right: bleed, bottom: bleed, left: bleed };
  return {
    ...house,
    bleed: around(agreed ?? house.bleed),
    safe: around(house.safe),
    minTypePt: by(house.minTypePt),
    minReversedTypePt: by(house.minReversedTypePt),
    minLinePt: by(house.minLinePt),
    minPpi: house.minPpi === undefined ? undefined : house.minPpi * scale,
  };
}
