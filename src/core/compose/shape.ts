import type { ElementOf } from '../element';
import { edges, grow, linePath, pathBounds, union, type Path, type Rect } from '../layout';
import { carriedOut } from '../shape';
import { strokeReach, strokedItems } from './stroke';
import { inkOf } from './ink';
import type { Body, Setting, ElementContext } from './context';
import { shapePath } from '../element';

/**
 * The outline of a shape where it stands; a rectangle simply grows into the bleed, others carry out what lies on the
 * trim.
 */
export function outlineOf(
  element: ElementOf<'shape'>,
  { rect, reach }: Setting,
  context: Pick<ElementContext, 'boxes'>,
): Path {
  const { measures, trim, bleed } = context.boxes;
  if (element.shape.form === 'rectangle') return shapePath(element.shape, reach, measures);
  const path = shapePath(element.shape, rect, measures);
  return reach === rect ? path : carriedOut(path, trim, bleed);
}

export function composeShape(element: ElementOf<'shape'>, setting: Setting, context: ElementContext): Body {
  const path = outlineOf(element, setting, context);
  const base = {
    from: element.id,
    opacity: 1,
    matrix: setting.matrix,
    ...(element.shape.form === 'path' && element.shape.rule === 'evenodd' && { rule: 'evenodd' as const }),
  };
  const fill = element.fill && inkOf(element.fill, setting.rect, context.colour);
  const items = path.length > 0 ? strokedItems(base, path, fill, element.stroke, context.colour) : [];
  const outline = path.length > 0 ? union([pathBounds(path)]) : setting.rect;
  return { items, ink: element.stroke ? grow(outline, edges(strokeReach(element.stroke))) : outline, notes: [] };
}

export function composeLine(
  element: ElementOf<'line'>,
  { rect, reach, matrix }: Setting,
  context: ElementContext,
): Body {
  const base = { from: element.id, opacity: 1, matrix };
  const items = strokedItems(base, runOf(element, rect, reach), null, element.stroke, context.colour);
  return { items, ink: thickened(rect, strokeReach(element.stroke)), notes: [] };
}

/** A line’s run; an end that lies on the trim goes out to the bleed. */
function runOf({ slope }: ElementOf<'line'>, rect: Rect, reach: Rect): Path {
  const isLevel = rect.height === 0;
  // Only its ends run out: across its run it stays where it is.
  const r =
    isLevel || rect.width === 0
      ? isLevel
        ? { ...reach, y: rect.y, height: 0 }
        : { ...reach, x: rect.x, width: 0 }
      : rect;
  const [top, bottom] = [r.y, r.y + r.height];
  return slope === 'down'
    ? linePath({ x: r.x, y: top }, { x: r.x + r.width, y: bottom })
    : linePath({ x: r.x, y: bottom }, { x: r.x + r.width, y: top });
}

/** What a line covers: a level line is thicker only across its run. */
const thickened = (rect: Rect, half: number): Rect => {
  const across = rect.height === 0 && rect.width > 0 ? 0 : half;
  const along = rect.width === 0 && rect.height > 0 ? 0 : half;
  return grow(rect, { left: across, right: across, top: along, bottom: along });
};
