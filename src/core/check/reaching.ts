import type { Element, ElementOf, FormKind } from '../job';
import { moveTo, type EdgeName, type Rect } from '../layout';
import { replace, type Fix, type Subject } from './rule';

/** What covers an area up to straight edges. */
export type Reaching = ElementOf<'shape' | 'picture'>;

/** Forms with straight edges that may lie on the trim or on a fold. */
const STRAIGHT: readonly FormKind[] = ['rectangle', 'path', 'ribbon'];

export const reachesOut = (element: Element): element is Reaching =>
  element.kind === 'picture' || (element.kind === 'shape' && STRAIGHT.includes(element.shape.form));

/** The rectangle with edges moved outwards by some lengths; the others stay. */
export function stretched(rect: Rect, by: Readonly<Partial<Record<EdgeName, number>>>): Rect {
  const { top = 0, right = 0, bottom = 0, left = 0 } = by;
  return { x: rect.x - left, y: rect.y - top, width: rect.width + left + right, height: rect.height + top + bottom };
}

/** A fix that lays an element on a rectangle. */
export function laidOn(
  label: string,
  { drawing }: Subject,
  element: Reaching,
  rect: Rect,
  to: Rect,
  more: Partial<Reaching> = {},
): Fix {
  return replace(label, {
    ...element,
    placement: moveTo(element.placement, to, drawing.boxes, rect),
    ...more,
  } as Reaching);
}
