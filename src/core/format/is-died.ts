import { TOUCH, flatten, pathBounds } from '../layout';
import type { BlankSurface } from './blank';

/** Whether a die cuts a side: its outline is no rectangle, or lines within it are cut. */
export const isDied = (surface: BlankSurface): boolean =>
  surface.processLines.some(({ process }) => process === 'kiss-cut' || process === 'cut') || !isRectangle(surface);

/** Whether the trimmed outline is the rectangle around it. */
function isRectangle({ outline }: BlankSurface): boolean {
  const { x, y, width, height } = pathBounds(outline);
  const isOn = (value: number, from: number, size: number) =>
    Math.abs(value - from) < TOUCH || Math.abs(value - from - size) < TOUCH;
  return flatten(outline)
    .flat()
    .every((p) => isOn(p.x, x, width) && isOn(p.y, y, height));
}
