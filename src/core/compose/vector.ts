import type { ElementOf, SolidPaint } from '../element';
import type { Item } from '../drawing';
import { multiply } from '../layout';
import { artMatrix } from './picture';
import { fineInkOf, solidInk } from './ink';
import type { Body, Setting, ElementContext } from './context';

/** Whether two paints are the same colour as given. */
export const samePaint = (a: SolidPaint, b: SolidPaint): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Every shape of a drawing as a path of its own, in its colours or those it was given instead. */
export function composeVector(element: ElementOf<'vector'>, { rect, matrix }: Setting, context: ElementContext): Body {
  const art = context.art(element.drawing);
  if (!art || rect.width <= 0 || rect.height <= 0) {
    return { items: [], ink: rect, notes: [{ kind: 'missing-picture', element: element.id, empty: false }] };
  }
  const colourOf = (paint: SolidPaint): SolidPaint =>
    element.recolour.find(({ from }) => samePaint(from, paint))?.to ?? paint;
  const set = artMatrix(rect, art, element.stretch);
  const items = art.shapes.map((shape): Item => ({
    kind: 'path',
    from: element.id,
    opacity: shape.opacity,
    // Strokes are stretched with the drawing, so the matrix stays beside the path.
    matrix: multiply(matrix, set),
    path: shape.path,
    fill: shape.fill && solidInk(colourOf(shape.fill), context.colour),
    stroke: shape.stroke && {
      ink: fineInkOf(colourOf(shape.stroke.paint), context.colour),
      width: shape.stroke.width,
      dash: shape.stroke.dash,
      cap: shape.stroke.cap,
      ...(shape.stroke.join !== 'miter' && { join: shape.stroke.join }),
    },
    ...(shape.rule === 'evenodd' && { rule: 'evenodd' as const }),
  }));
  return { items, ink: rect, notes: [] };
}
