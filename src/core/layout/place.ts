import type { BoxRef, Placement } from '../element';
import { heldKeys, solveAxis, writeAxis } from './axis';
import { boxRect, rectOf, spanX, spanY, type SurfaceBoxes } from './boxes';
import type { EdgeLengths, Rect } from './geometry';

/** Where an element stands, before it is turned about its centre. */
export function solve(placement: Placement, boxes: SurfaceBoxes): Rect {
  const box = boxRect(placement.against, boxes);
  return rectOf(solveAxis(placement.x, spanX(box)), solveAxis(placement.y, spanY(box)));
}

/** The placement that puts the element at a rectangle, with the same box and the same facts in charge. */
export function moveTo(placement: Placement, rect: Rect, boxes: SurfaceBoxes): Placement {
  const box = boxRect(placement.against, boxes);
  return {
    ...placement,
    x: writeAxis(placement.x, spanX(rect), spanX(box)),
    y: writeAxis(placement.y, spanY(rect), spanY(box)),
  };
}

/** The same place on the sheet, said against another box. */
export function restate(placement: Placement, against: BoxRef, boxes: SurfaceBoxes): Placement {
  return moveTo({ ...placement, against }, solve(placement, boxes), boxes);
}

/** A plain placement: distance from the box's left and top, and a size. */
export function placed(rect: Rect, against: BoxRef, boxes: SurfaceBoxes): Placement {
  const box = boxRect(against, boxes);
  return {
    against,
    x: writeAxis({}, spanX(rect), spanX(box), ['start', 'size']),
    y: writeAxis({}, spanY(rect), spanY(box), ['start', 'size']),
    rotate: 0,
  };
}

/** Whether the two held facts say that the size follows the box. */
export const fillsAxis = (axis: Placement['x']): boolean => heldKeys(axis).join(' ') === 'start end';

/** Two edges closer than this are the same edge, mm. */
export const TOUCH = 0.001;

/**
 * How far each edge goes past the placed rectangle: an edge that lies on the trim goes out to the bleed by itself.
 * A turned element has no edge that lies on the trim.
 */
export function bleedOut(rect: Rect, rotate: number, boxes: SurfaceBoxes): EdgeLengths {
  const { trim, bleed } = boxes;
  const upright = rotate % 360 === 0;
  const reach = (edge: number, trimEdge: number, bleedEdge: number): number =>
    upright && Math.abs(edge - trimEdge) <= TOUCH ? Math.abs(bleedEdge - edge) : 0;
  return {
    top: reach(rect.y, trim.y, bleed.y),
    left: reach(rect.x, trim.x, bleed.x),
    right: reach(rect.x + rect.width, trim.x + trim.width, bleed.x + bleed.width),
    bottom: reach(rect.y + rect.height, trim.y + trim.height, bleed.y + bleed.height),
  };
}
