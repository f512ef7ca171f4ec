import { boxOfAxis, mmOf, type BoxRef, type Element, type Job, type NamedGrid, type SideName } from '../job';
import type { Drawing, Frame } from '../drawing';
import {
  apply,
  centreOf,
  inverse,
  mappedBounds,
  moveTo,
  multiply,
  pose,
  rotation,
  snapAxis,
  snapLines,
  solve,
  spanX,
  spanY,
  toStep,
  union,
  type Matrix,
  type Point,
  type Rect,
  type SnapLine,
  type SnapLines,
  type SnapPart,
  type SurfaceBoxes,
} from '../layout';
import { pieceOf, withElements } from './on-side';

/** A line that something caught on while it was dragged. */
export interface Caught {
  readonly axis: 'x' | 'y';
  readonly line: SnapLine;
}

/** Which side or corner is stretched: −1 start, 0 neither, 1 end, on each axis. */
export interface Handle {
  readonly x: -1 | 0 | 1;
  readonly y: -1 | 0 | 1;
}

export interface Dragged {
  readonly job: Job;
  readonly caught: readonly Caught[];
}

/** Whether a point lies in an element’s box; thin things can be hit within `reach`. */
function isIn(frame: Frame, point: Point, reach: number): boolean {
  const { x, y, width, height } = frame.rect;
  const [slackX, slackY] = [width < reach ? reach : 0, height < reach ? reach : 0];
  return (
    point.x >= x - slackX && point.x <= x + width + slackX && point.y >= y - slackY && point.y <= y + height + slackY
  );
}

/** The copy of an element that a point lies in, as the map from the element to it. */
export function copyAt(frame: Frame, point: Point, reach: number): Matrix | undefined {
  const own = pose(frame.rect, frame.rotate, frame.shear);
  return frame.copies.find((copy) => isIn(frame, apply(inverse(multiply(copy, own)), point), reach));
}

/** Frames under a point, the topmost first; what is locked cannot be touched. */
export const framesAt = (drawing: Drawing, point: Point, reach: number): readonly Frame[] =>
  [...drawing.frames].reverse().filter((frame) => !frame.locked && copyAt(frame, point, reach) !== undefined);

/** Whether a frame covers the whole trimmed part, as a background does. */
export const isGround = (frame: Frame, boxes: SurfaceBoxes): boolean =>
  frame.rect.x <= boxes.trim.x &&
  frame.rect.y <= boxes.trim.y &&
  frame.rect.x + frame.rect.width >= boxes.trim.x + boxes.trim.width &&
  frame.rect.y + frame.rect.height >= boxes.trim.y + boxes.trim.height;

/** The upright box around some frames, turned as they are. */
export const boundsOf = (frames: readonly Frame[]): Rect =>
  union(frames.map((f) => mappedBounds(f.rect, pose(f.rect, f.rotate, f.shear))));

const ALL: readonly SnapPart[] = ['start', 'centre', 'end'];

interface DragContext {
  readonly job: Job;
  readonly side: SideName;
  readonly drawing: Drawing;
  readonly selection: readonly string[];
  readonly step: number;
  /** How near is near, mm; 0 to go free. */
  readonly reach: number;
}

const selected = ({ drawing, selection }: DragContext) => drawing.frames.filter((f) => selection.includes(f.element));

/** The lines of the last drag: all of its steps begin from one drawing. */
const lastLines = new WeakMap<SurfaceBoxes, { readonly of: readonly string[]; readonly lines: SnapLines }>();

function linesFor({ drawing: { boxes }, selection }: DragContext): SnapLines {
  const last = lastLines.get(boxes);
  if (last?.of === selection) return last.lines;
  const lines = snapLines(boxes, new Set(selection));
  lastLines.set(boxes, { of: selection, lines });
  return lines;
}

/** Moves the selection by a distance, catching on boxes, columns and other elements. */
export function dragMove(context: DragContext, dx: number, dy: number): Dragged {
  const frames = selected(context);
  if (frames.length === 0) return { job: context.job, caught: [] };
  const from = boundsOf(frames);
  const lines = linesFor(context);
  const rough = { ...from, x: from.x + dx, y: from.y + dy };
  const atX = dx === 0 ? undefined : snapAxis(spanX(rough), lines.x, ALL, context.reach);
  const atY = dy === 0 ? undefined : snapAxis(spanY(rough), lines.y, ALL, context.reach);
  const moveX = dx === 0 ? 0 : atX ? dx + atX.shift : toStep(rough.x, context.step) - from.x;
  const moveY = dy === 0 ? 0 : atY ? dy + atY.shift : toStep(rough.y, context.step) - from.y;
  return {
    job: moveBy(context.job, context.side, context.drawing.boxes, context.selection, moveX, moveY),
    caught: [
      ...(atX ? [{ axis: 'x' as const, line: atX.line }] : []),
      ...(atY ? [{ axis: 'y' as const, line: atY.line }] : []),
    ],
  };
}

/** Moves elements by a distance from where the job has them, so that steps in quick succession all count. */
export function moveBy(
  job: Job,
  side: SideName,
  boxes: SurfaceBoxes,
  ids: readonly string[],
  dx: number,
  dy: number,
): Job {
  const piece = pieceOf(job);
  const carriers = new Set(ids);
  return withElements(job, side, (element) => {
    if (!carriers.has(element.id)) return element;
    const rect = solve(element.placement, boxes, boxes.placed[element.id]);
    // What stands against something that moves along is carried by it.
    const by = (axis: 'x' | 'y', distance: number) =>
      isCarried(boxOfAxis(element.placement, axis), carriers, piece.grids) ? 0 : distance;
    return placeAt(element, { ...rect, x: rect.x + by('x', dx), y: rect.y + by('y', dy) }, boxes);
  });
}

/** Whether a box moves when these elements do. */
function isCarried(ref: BoxRef, carriers: ReadonlySet<string>, grids: readonly NamedGrid[]): boolean {
  switch (ref.box) {
    case 'element':
      return carriers.has(ref.element);
    case 'columns':
    case 'rows':
    case 'cells': {
      const grid = grids.find((g) => g.id === ref.grid);
      return grid !== undefined && isCarried(grid.in, carriers, grids);
    }
    case 'trim':
    case 'bleed':
    case 'safe':
    case 'spread':
    case 'panel':
    case 'hole':
      return false;
  }
}

export const placeAt = (element: Element, rect: Rect, boxes: SurfaceBoxes): Element => ({
  ...element,
  placement: moveTo(element.placement, rect, boxes, boxes.placed[element.id]),
});

const LEAST = 0.1;

/**
 * Stretches one element by a handle. The opposite side stays where it is, also when the element is turned.
 * @param proportional keeps width to height
 */
export function dragStretch(
  context: DragContext,
  handle: Handle,
  dx: number,
  dy: number,
  proportional: boolean,
): Dragged {
  const [frame] = selected(context);
  if (!frame) return { job: context.job, caught: [] };
  const turned = frame.rotate % 360 !== 0;
  const angle = (-frame.rotate * Math.PI) / 180;
  const along = { x: dx * Math.cos(angle) - dy * Math.sin(angle), y: dx * Math.sin(angle) + dy * Math.cos(angle) };
  const { rect } = frame;
  let { x, y, width, height } = rect;
  if (handle.x === 1) width += along.x;
  if (handle.x === -1) [x, width] = [x + along.x, width - along.x];
  if (handle.y === 1) height += along.y;
  if (handle.y === -1) [y, height] = [y + along.y, height - along.y];
  const caught: Caught[] = [];
  if (!turned) {
    const lines = linesFor(context);
    const settle = (axis: 'x' | 'y', way: -1 | 0 | 1) => {
      if (way === 0) return;
      const span = axis === 'x' ? { start: x, size: width } : { start: y, size: height };
      const part = way === 1 ? ('end' as const) : ('start' as const);
      const found = snapAxis(span, lines[axis], [part], context.reach);
      const edge = way === 1 ? span.start + span.size : span.start;
      const shift = found ? found.shift : toStep(edge, context.step) - edge;
      if (found) caught.push({ axis, line: found.line });
      if (axis === 'x') {
        if (way === 1) width += shift;
        else [x, width] = [x + shift, width - shift];
      } else if (way === 1) height += shift;
      else [y, height] = [y + shift, height - shift];
    };
    settle('x', handle.x);
    settle('y', handle.y);
  }
  if (proportional && handle.x !== 0 && handle.y !== 0 && rect.width > 0 && rect.height > 0) {
    const scale = Math.max(width / rect.width, height / rect.height);
    const [w, h] = [rect.width * scale, rect.height * scale];
    if (handle.x === -1) x += width - w;
    if (handle.y === -1) y += height - h;
    [width, height] = [w, h];
  }
  const flat = frame.kind === 'line';
  const least = (size: number) => (flat ? Math.max(size, 0) : Math.max(size, LEAST));
  if (handle.x === -1) x = Math.min(x, rect.x + rect.width - least(width));
  if (handle.y === -1) y = Math.min(y, rect.y + rect.height - least(height));
  let next: Rect = { x, y, width: least(width), height: least(height) };
  if (turned) next = keepOpposite(rect, next, frame.rotate);
  const job = withElements(context.job, context.side, (element) =>
    element.id === frame.element ? placeAt(element, next, context.drawing.boxes) : element,
  );
  return { job, caught };
}

/** A turned rectangle turns about its own centre: after stretching, that centre has moved along the turned axes. */
function keepOpposite(before: Rect, after: Rect, degrees: number): Rect {
  const [from, to] = [centreOf(before), centreOf(after)];
  const turned = apply(rotation(degrees, from), to);
  return { ...after, x: turned.x - after.width / 2, y: turned.y - after.height / 2 };
}

/** Turns one element so that its handle points at the pointer. */
export function dragTurn(context: DragContext, pointer: Point, inSteps: boolean): Dragged {
  const [frame] = selected(context);
  if (!frame) return { job: context.job, caught: [] };
  const centre = centreOf(frame.rect);
  const degrees = (Math.atan2(pointer.x - centre.x, centre.y - pointer.y) * 180) / Math.PI;
  const rounded = inSteps ? Math.round(degrees / 15) * 15 : Math.round(degrees * 2) / 2;
  const job = withElements(context.job, context.side, (element) =>
    element.id === frame.element
      ? { ...element, placement: { ...element.placement, rotate: rounded === -180 ? 180 : rounded } }
      : element,
  );
  return { job, caught: [] };
}

/** Moves a picture’s content within its frame. */
export function dragContent(context: DragContext, id: string, dx: number, dy: number): Dragged {
  const frame = context.drawing.frames.find((f) => f.element === id);
  const angle = (-(frame?.rotate ?? 0) * Math.PI) / 180;
  const [x, y] = [dx * Math.cos(angle) - dy * Math.sin(angle), dx * Math.sin(angle) + dy * Math.cos(angle)];
  const { measures } = context.drawing.boxes;
  const job = withElements(context.job, context.side, (element) =>
    element.id === id && element.kind === 'picture'
      ? {
          ...element,
          offset: {
            x: toStep(mmOf(element.offset.x, measures) + x, context.step),
            y: toStep(mmOf(element.offset.y, measures) + y, context.step),
          },
        }
      : element,
  );
  return { job, caught: [] };
}
