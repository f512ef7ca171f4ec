import type { Element } from './element';
import { elementKind } from './kinds';
import { isMeasureRef, type Len } from './length';
import type { Axis, BoxRef, Placement } from './placement';

/** How many columns a grid has; the side’s own where none is named. */
export type ColumnCount = (grid: string | undefined) => number;

const negated = (len: Len): Len => {
  if (typeof len === 'number') return len === 0 ? 0 : -len;
  if (isMeasureRef(len))
    return { ...len, times: -(len.times ?? 1), ...(len.plus !== undefined && { plus: -len.plus }) };
  return { percent: -len.percent };
};

function mirroredBox(ref: BoxRef, columns: ColumnCount): BoxRef {
  if (ref.box === 'columns') {
    const count = columns(ref.grid);
    return { ...ref, from: Math.max(1, count + 1 - ref.to), to: Math.max(1, count + 1 - ref.from) };
  }
  if (ref.box === 'cells') {
    const count = columns(ref.grid);
    const [a, b] = ref.columns;
    return { ...ref, columns: [Math.max(1, count + 1 - b), Math.max(1, count + 1 - a)] };
  }
  if (ref.box === 'element' && (ref.part === 'before' || ref.part === 'past'))
    return { ...ref, part: ref.part === 'before' ? 'past' : 'before' };
  return ref;
}

function mirroredAxis({ start, centre, end, size, of }: Axis, columns: ColumnCount): Axis {
  return {
    ...(end !== undefined && { start: end }),
    ...(centre !== undefined && { centre: negated(centre) }),
    ...(start !== undefined && { end: start }),
    ...(size !== undefined && { size }),
    ...(of !== undefined && { of: mirroredBox(of, columns) }),
  };
}

function mirroredPlacement(placement: Placement, columns: ColumnCount): Placement {
  const { against, x, y, rotate, shear } = placement;
  const turned = mirroredBox(against, columns);
  // “Before” and “past” mean an edge on both axes; only the one across is mirrored.
  const isEdge = against.box === 'element' && (against.part === 'before' || against.part === 'past');
  return {
    against: isEdge ? against : turned,
    x: { ...mirroredAxis(x, columns), ...(isEdge && x.of === undefined && { of: turned }) },
    y,
    rotate: rotate === 0 ? 0 : -rotate,
    shear: shear === 0 ? 0 : -shear,
  };
}

/**
 * An element of a right-hand page as it stands on a left-hand one: left and right of its place change, and words that
 * are told to stand left stand right. Pictures and letters are not turned over.
 */
export function mirrored(element: Element, columns: ColumnCount): Element {
  const placement = mirroredPlacement(element.placement, columns);
  return { ...elementKind(element.kind).onLeftPage(element), placement };
}
