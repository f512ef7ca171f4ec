import type { ElementOf } from '../element';
import { turnedBounds, type Rect } from '../layout';
import { MM_PER_INCH, type Mm } from '../measure';

/** Size of a picture at a resolution, mm. */
export const naturalSize = (pixels: { width: number; height: number }, ppi: number): { width: Mm; height: Mm } => ({
  width: (pixels.width / ppi) * MM_PER_INCH,
  height: (pixels.height / ppi) * MM_PER_INCH,
});

/**
 * The whole picture on the sheet so that it sits in its frame as asked.
 *
 * The focal point is drawn to the frame’s centre as far as the frame stays covered (fill), or as far as the picture
 * stays inside (fit).
 * @param frame   what the picture has to cover, bleed included
 * @param pixels  size of the picture
 * @param ppi     resolution that 100 % scale means
 * @param turn    degrees that the content is turned within its frame, about its own middle
 */
export function fitPicture(
  frame: Rect,
  pixels: { width: number; height: number },
  fit: ElementOf<'picture'>['fit'],
  focus: ElementOf<'picture'>['focus'],
  ppi: number,
  turn = 0,
): Rect {
  const natural = naturalSize(pixels, ppi);
  // Turned within its frame a picture has to cover, or to keep within, the frame as seen from its own side.
  const seen = turn % 360 === 0 ? frame : turnedBounds(frame, -turn);
  const covers = turnedBounds({ x: 0, y: 0, ...natural }, turn);
  const [across, down] =
    fit.mode === 'fit'
      ? [frame.width / covers.width, frame.height / covers.height]
      : [seen.width / natural.width, seen.height / natural.height];
  const scale =
    fit.mode === 'fill' ? Math.max(across, down) : fit.mode === 'fit' ? Math.min(across, down) : fit.percent / 100;
  const width = natural.width * scale;
  const height = natural.height * scale;
  return {
    x: frame.x + offset(frame.width, width, focus.x),
    y: frame.y + offset(frame.height, height, focus.y),
    width,
    height,
  };
}

/** Where the picture starts within the frame on one axis. */
function offset(frame: Mm, picture: Mm, focus: number): Mm {
  const wanted = frame / 2 - picture * focus;
  const slack = frame - picture;
  return Math.min(Math.max(wanted, Math.min(slack, 0)), Math.max(slack, 0));
}

/** Pixels to the inch that a picture has where it stands; the smaller of the two axes. */
export const effectivePpi = (image: Rect, pixels: { width: number; height: number }): number =>
  Math.min((pixels.width / image.width) * MM_PER_INCH, (pixels.height / image.height) * MM_PER_INCH);
