import { leavesOf, type Frame, type Item, type Note } from '../drawing';
import { elementKind, nameOf, type Element } from '../element';
import {
  IDENTITY,
  apply,
  bleedOut,
  copiesOf,
  grow,
  inverse,
  isIdentity,
  isUpright,
  mappedBounds,
  pose,
  positive,
  union,
  type Matrix,
  type Rect,
  type SurfaceBoxes,
} from '../layout';
import { moved, together, withEffects } from './effects';
import { composedKind } from './kinds';
import type { Body, Composed, Setting, ElementContext } from './context';

/**
 * Lays one element on its surface: its body, its effects, its copies.
 * @param placed where it stands, as the side was settled
 */
export function composeElement(element: Element, placed: Rect, context: ElementContext): Composed {
  const rect = positive(placed);
  const { rotate, shear } = element.placement;
  const matrix = pose(rect, rotate, shear);
  const { laid, asked } =
    element.repeat.length > 0 ? copiesOf(element.repeat, mappedBounds(rect, matrix), context.boxes) : ONE;
  const known = new Map<string, OneCopy>();
  /** One copy: what reaches the trim where it stands bleeds there, so copies that bleed alike share their items. */
  const wholeAt = (copy: Matrix): OneCopy => {
    const reach = reachOf(element, rect, copy, context.boxes);
    const key = `${reach.x} ${reach.y} ${reach.width} ${reach.height}`;
    const before = known.get(key);
    if (before) return before;
    const made = oneCopyOf(element, { rect, reach, matrix }, context);
    known.set(key, made);
    return made;
  };
  const each = leavesOf(wholeAt(laid[0] ?? IDENTITY).items).length;
  const copies = laid.slice(0, Math.max(1, Math.floor(MOST_COPIED / Math.max(1, each))));
  const wholes = copies.map((copy) => ({ copy, whole: wholeAt(copy) }));
  const [first] = wholes;
  const items = wholes.flatMap(({ copy, whole }) => (isIdentity(copy) ? whole.items : moved(whole.items, copy)));
  const frame: Frame = {
    element: element.id,
    name: nameOf(element),
    kind: element.kind,
    rect,
    rotate,
    shear,
    copies,
    locked: false,
    ink: union(wholes.map(({ copy, whole }) => mappedBounds(whole.ink, copy))),
    bounds: union(wholes.map(({ copy, whole }) => mappedBounds(whole.bounds, copy))),
    items: element.unprinted ? [] : items,
    ...(element.unprinted && { unprinted: items }),
    ...(first?.whole.body.findings && { findings: first.whole.body.findings }),
  };
  const notes = first?.whole.body.notes ?? [];
  if (copies.length >= asked) return { frame, notes };
  const left: Note = { kind: 'copies-left', element: element.id, asked, drawn: copies.length };
  return { frame, notes: [...notes, left] };
}

/** Most things that an element and its copies may be drawn with: what multiplies without end would fill the memory. */
const MOST_COPIED = 50_000;

const ONE = { laid: [IDENTITY], asked: 1 };

interface OneCopy {
  readonly body: Body;
  readonly items: readonly Item[];
  /** Upright box around the thing itself, as it stands on the surface. */
  readonly ink: Rect;
  /** The same around its effects too. */
  readonly bounds: Rect;
}

/** The body with its effects, laid on as one. */
function oneCopyOf(element: Element, setting: Setting, context: ElementContext): OneCopy {
  const body = composedKind(element.kind).compose(element, setting, context);
  const ink = mappedBounds(body.ink, setting.matrix);
  const { colour, boxes } = context;
  const lit = withEffects(element.effects, {
    from: element.id,
    items: body.items,
    bounds: ink,
    measures: boxes.measures,
    colour,
  });
  const blend = element.blend === 'normal' ? {} : { blend: element.blend };
  const items = together(lit.items, { from: element.id, opacity: element.opacity, ...blend }, lit.bounds);
  return { body, items, ink, bounds: element.effects.length > 0 ? lit.bounds : ink };
}

/** The element’s box with what a copy of it bleeds, seen from where the element itself stands. */
export function reachOf(element: Element, rect: Rect, copy: Matrix, boxes: SurfaceBoxes): Rect {
  if (!elementKind(element.kind).bleeds(element) || !isUpright(element.placement)) return rect;
  const isSquare = copy[1] === 0 && copy[2] === 0;
  if (!isSquare) return rect;
  const there = mappedBounds(rect, copy);
  const out = bleedOut(there, true, boxes);
  if (out.top + out.right + out.bottom + out.left === 0) return rect;
  return isIdentity(copy) ? grow(rect, out) : mappedBack(grow(there, out), copy);
}

function mappedBack(rect: Rect, copy: Matrix): Rect {
  const back = inverse(copy);
  const a = apply(back, rect);
  const b = apply(back, { x: rect.x + rect.width, y: rect.y + rect.height });
  return {
    x: Math.min(a.x, b.x),
    y: Math.min(a.y, b.y),
    width: Math.abs(a.x - b.x),
    height: Math.abs(a.y - b.y),
  };
}
