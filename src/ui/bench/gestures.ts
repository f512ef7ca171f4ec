import type { Element, Job, SideName } from '@/core/job';
import type { Drawing, Frame } from '@/core/drawing';
import {
  apply,
  around,
  centreOf,
  cornersOf,
  moveTo,
  rotation,
  snapAxis,
  snapLines,
  solve,
  spanX,
  spanY,
  toStep,
  union,
  type Point,
  type Rect,
  type SnapLine,
  type SnapPart,
  type SurfaceBoxes,
} from '@/core/layout';
import { withElements } from '../job/store';

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

/** A point seen from inside a turned element. */
const intoFrame = (frame: Frame, point: Point): Point =>
  frame.rotate % 360 === 0 ? point : apply(rotation(-frame.rotate, centreOf(frame.rect)), point);

/** Frames under a point, the topmost first. Thin things can be hit within `reach`. */
export function framesAt(drawing: Drawing, point: Point, reach: number): readonly Frame[] {
  return [...drawing.frames].reverse().filter((frame) => {
    const p = intoFrame(frame, point);
    const { x, y, width, height } = frame.rect;
    const [slackX, slackY] = [width < reach ? reach : 0, height < reach ? reach : 0];
    return p.x >= x - slackX && p.x <= x + width + slackX && p.y >= y - slackY && p.y <= y + height + slackY;
  });
}

/** Whether a frame covers the whole trimmed part, as a background does. */
export const isGround = (frame: Frame, boxes: SurfaceBoxes): boolean =>
  frame.rect.x <= boxes.trim.x &&
  frame.rect.y <= boxes.trim.y &&
  frame.rect.x + frame.rect.width >= boxes.trim.x + boxes.trim.width &&
  frame.rect.y + frame.rect.height >= boxes.trim.y + boxes.trim.height;

/** The upright box around some frames, turned as they are. */
export const boundsOf = (frames: readonly Frame[]): Rect =>
  union(frames.map((f) => around(cornersOf(f.rect).map((p) => apply(rotation(f.rotate, centreOf(f.rect)), p)))));

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

const linesFor = ({ drawing, selection }: DragContext) =>
  snapLines(
    drawing.boxes,
    drawing.frames.filter((f) => !selection.includes(f.element)).map((f) => ({ name: f.name, rect: f.rect })),
  );

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
  return withElements(job, side, (element) => {
    if (!ids.includes(element.id)) return element;
    const rect = solve(element.placement, boxes);
    return placeAt(element, { ...rect, x: rect.x + dx, y: rect.y + dy }, boxes);
  });
}

export const placeAt = (element: Element, rect: Rect, boxes: SurfaceBoxes): Element => ({
  ...element,
  placement: moveTo(element.placement, rect, boxes),
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
