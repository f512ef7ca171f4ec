import { intersection, type Rect } from '../../core/layout';
import type { PixelBox } from './coverage';
import type { Edges } from './edges';

// Named once: a look-up of a global in every step is dear where code runs in a context of its own.
const { round, floor, ceil, max } = Math;

/** A part of the page that lets through: 255 for all. */
export interface Stencil {
  readonly box: PixelBox;
  readonly pixels: Uint8Array;
}

/** Coverage with opacity and clip applied. @returns whether all of it is full */
export function applyAlpha(
  row: Uint8Array,
  from: number,
  to: number,
  opacity: number,
  clip: Stencil | undefined,
  y: number,
  box: PixelBox,
  into: Uint8Array,
): boolean {
  let isFull = true;
  if (!clip && opacity === 255) {
    for (let x = from; x < to; x += 1) {
      const a = row[x] ?? 0;
      into[x] = a;
      if (a !== 255) isFull = false;
    }
    return isFull;
  }
  for (let x = from; x < to; x += 1) {
    let a = row[x] ?? 0;
    if (a > 0 && clip) a = (a * sample(clip, box.x + x, y)) / 255;
    if (opacity < 255) a = (a * opacity) / 255;
    a = round(a);
    into[x] = a;
    if (a !== 255) isFull = false;
  }
  return isFull;
}

export function sample({ box, pixels }: Stencil, x: number, y: number): number {
  if (x < box.x || y < box.y || x >= box.x + box.width || y >= box.y + box.height) return 0;
  return pixels[(y - box.y) * box.width + x - box.x] ?? 0;
}

/** What both let through. */
export function intersect(one: Stencil, two: Stencil): Stencil {
  const box = clipBox(one.box, two.box);
  const pixels = new Uint8Array(max(0, box.width) * max(0, box.height));
  for (let y = 0, i = 0; y < box.height; y += 1)
    for (let x = 0; x < box.width; x += 1, i += 1)
      pixels[i] = round((sample(one, box.x + x, box.y + y) * sample(two, box.x + x, box.y + y)) / 255);
  return { box, pixels };
}

export function outward({ left, top, right, bottom }: ReturnType<Edges['bounds']>): PixelBox {
  const [x, y] = [floor(left), floor(top)];
  return { x, y, width: ceil(right) - x, height: ceil(bottom) - y };
}

export const sidesOf = ({ x, y, width, height }: Rect): ReturnType<Edges['bounds']> => ({
  left: x,
  top: y,
  right: x + width,
  bottom: y + height,
});

export function clipBox(box: PixelBox, within: PixelBox): PixelBox {
  return intersection(box, within);
}
