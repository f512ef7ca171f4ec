import { boxOfAxis, type Axis, type BoxRef, type Placement } from '../element';
import type { Mm } from '../measure';
import { heldKeys, solveAxis, writeAxis, type Span } from './axis';
import { boxRect, type SurfaceBoxes } from './boxes';
import type { EdgeLengths, Rect } from '../geometry';
import { rectOf, spanX, spanY } from './tracks';

/** Both spans of a rectangle. */
const spans = (rect: Rect) => ({ x: spanX(rect), y: spanY(rect) });

/** The stretch of a placement’s box on one axis. */
export function roomOf(placement: Placement, axis: 'x' | 'y', boxes: SurfaceBoxes): Span {
  return spans(boxRect(boxOfAxis(placement, axis), boxes))[axis];
}

/** What an element’s content takes, mm: zero for those whose size does not come from it. */
export interface ContentSize {
  readonly width: Mm;
  readonly height: Mm;
}

const NOTHING: ContentSize = { width: 0, height: 0 };

/** Where an element stands, before it is turned about its centre. */
export function solve(placement: Placement, boxes: SurfaceBoxes, content: ContentSize = NOTHING): Rect {
  const { measures } = boxes;
  return rectOf(
    solveAxis(placement.x, roomOf(placement, 'x', boxes), { measures, content: content.width }),
    solveAxis(placement.y, roomOf(placement, 'y', boxes), { measures, content: content.height }),
  );
}

/**
 * The placement that puts the element at a rectangle, with the same boxes and the same facts in charge.
 * @param before where it stood: a size that came from its content goes on doing so while it keeps that size
 */
export function moveTo(placement: Placement, rect: Rect, boxes: SurfaceBoxes, before?: Rect): Placement {
  const write = (axis: 'x' | 'y', content: Mm): Axis =>
    writeAxis(placement[axis], spans(rect)[axis], roomOf(placement, axis, boxes), {
      measures: boxes.measures,
      content,
    });
  return { ...placement, x: write('x', before?.width ?? NaN), y: write('y', before?.height ?? NaN) };
}

/** The same place on the sheet, said against another box on both axes. */
export function restate(placement: Placement, against: BoxRef, boxes: SurfaceBoxes, rect?: Rect): Placement {
  const here = rect ?? solve(placement, boxes);
  return moveTo({ ...placement, against, x: withoutBox(placement.x), y: withoutBox(placement.y) }, here, boxes, here);
}

/** An axis that follows the placement’s box. */
function withoutBox(axis: Axis): Axis {
  const plain = { ...axis };
  delete plain.of;
  return plain;
}

/** The same place on the sheet, with one axis said against another box. */
export function restateAxis(
  placement: Placement,
  axis: 'x' | 'y',
  against: BoxRef,
  boxes: SurfaceBoxes,
  rect: Rect,
): Placement {
  const rest = withoutBox(placement[axis]);
  const same = JSON.stringify(against) === JSON.stringify(placement.against);
  return moveTo({ ...placement, [axis]: same ? rest : { ...rest, of: against } }, rect, boxes, rect);
}

/** A plain placement: distance from the box’s left and top, and a size. */
export function placed(rect: Rect, against: BoxRef, boxes: SurfaceBoxes): Placement {
  const plain: Placement = { against, x: { start: 0, size: 0 }, y: { start: 0, size: 0 }, rotate: 0, shear: 0 };
  return moveTo(plain, rect, boxes);
}

/** Whether the two held facts say that the size follows the box. */
export const fillsAxis = (axis: Placement['x']): boolean => heldKeys(axis).join(' ') === 'start end';

/** Two edges closer than this are the same edge, mm. */
export const TOUCH = 0.001;

/** Whether an element stands upright: neither turned nor sheared. */
export const isUpright = ({ rotate, shear }: Pick<Placement, 'rotate' | 'shear'>): boolean =>
  rotate % 360 === 0 && shear === 0;

/**
 * How far each edge goes past the placed rectangle: an edge that lies on the trim goes out to the bleed by itself.
 * A turned element has no edge that lies on the trim.
 */
export function bleedOut(
  rect: Rect,
  upright: boolean,
  boxes: Pick<SurfaceBoxes, 'trim' | 'bleed'> & { readonly spread?: Rect },
): EdgeLengths {
  const { trim, bleed, spread = trim } = boxes;
  const reach = (edge: number, trimEdge: number, bleedEdge: number): number =>
    upright && Math.abs(edge - trimEdge) <= TOUCH ? Math.abs(bleedEdge - edge) : 0;
  /** What crosses the spine ends at the far page’s outer edge and bleeds there as this one does at its own. */
  const [outerLeft, outerRight] = [trim.x - bleed.x, bleed.x + bleed.width - trim.x - trim.width];
  const farLeft = spread.x < trim.x ? reach(rect.x, spread.x, spread.x - outerRight) : 0;
  const spreadEnd = spread.x + spread.width;
  const farRight = spreadEnd > trim.x + trim.width ? reach(rect.x + rect.width, spreadEnd, spreadEnd + outerLeft) : 0;
  return {
    top: reach(rect.y, trim.y, bleed.y),
    left: reach(rect.x, trim.x, bleed.x) + farLeft,
    right: reach(rect.x + rect.width, trim.x + trim.width, bleed.x + bleed.width) + farRight,
    bottom: reach(rect.y + rect.height, trim.y + trim.height, bleed.y + bleed.height),
  };
}
