'use client';
import { useCallback, useEffect, useRef, useState, type PointerEvent as ReactPointerEvent } from 'react';
import { elementsOn } from '@/core/job';
import { inverse, overlaps, type Matrix, type Point, type Rect } from '@/core/layout';
import { useJobStore } from '../job/context';
import { useDesk, type Desk } from '../job/use-desk';
import { withGroupMates } from '../job/groups';
import {
  boundsOf,
  copyAt,
  dragContent,
  dragMove,
  dragStretch,
  dragTurn,
  framesAt,
  isGround,
  type Caught,
  type Handle,
} from './gestures';
import { projection, useBenchView } from './view';

/** Pixels within which things catch, and before which a press is no drag. */
const REACH = 6;
const THRESHOLD = 3;

type Gesture =
  | { readonly kind: 'pan' }
  | { readonly kind: 'marquee'; readonly from: Point; readonly add: boolean }
  | { readonly kind: 'move' }
  | { readonly kind: 'stretch'; readonly handle: Handle }
  | { readonly kind: 'turn' }
  /** The content of a picture within its frame. */
  | { readonly kind: 'frame'; readonly id: string };

interface Press {
  readonly gesture: Gesture;
  readonly start: Point;
  readonly last: Point;
  /** The desk when the press began: every step is worked out from there, so that nothing adds up. */
  readonly desk: Desk;
  readonly moved: boolean;
  /** The copy that was taken hold of, as the map from its element. */
  readonly copy: Matrix | undefined;
  /** Selected instead when it turns out to be a click. */
  readonly click: readonly string[] | undefined;
}

const LABELS = { move: 'Move', stretch: 'Stretch', turn: 'Turn', frame: 'Move the content' } as const;

/** A movement of a copy as its element has to make it, so that the copy follows the pointer. */
function asTheElement(copy: Matrix | undefined, dx: number, dy: number): readonly [number, number] {
  if (!copy) return [dx, dy];
  const [a, b, c, d] = inverse(copy);
  return [a * dx + c * dy, b * dx + d * dy];
}

/** Pointer work on the bench: select, through a pile too, marquee, move, stretch, turn and pan. */
export function useDrag(host: React.RefObject<HTMLElement | null>, mode: 'edit' | 'select' | 'look') {
  const store = useJobStore();
  const desk = useDesk();
  const deskRef = useRef(desk);
  useEffect(() => {
    deskRef.current = desk;
  }, [desk]);
  const press = useRef<Press>(undefined);
  const frame = useRef(0);
  const [caught, setCaught] = useState<readonly Caught[]>([]);
  const [marquee, setMarquee] = useState<Rect>();
  const [dragging, setDragging] = useState<Gesture['kind']>();
  const spaceDown = useRef(false);
  const held = useRef<Matrix>(undefined);

  const pointOf = useCallback(
    (event: { clientX: number; clientY: number }): Point => {
      const box = host.current?.getBoundingClientRect();
      return { x: event.clientX - (box?.left ?? 0), y: event.clientY - (box?.top ?? 0) };
    },
    [host],
  );

  const begin = useCallback(
    (gesture: Gesture, event: ReactPointerEvent, click?: readonly string[]) => {
      const start = pointOf(event);
      press.current = {
        gesture,
        start,
        last: start,
        desk: deskRef.current,
        moved: false,
        click,
        copy: gesture.kind === 'move' ? held.current : undefined,
      };
      host.current?.setPointerCapture(event.pointerId);
      event.stopPropagation();
    },
    [pointOf, host],
  );

  const onPointerDown = useCallback(
    (event: ReactPointerEvent) => {
      const { select, selection, type, typing, framing, editing, editPath } = store.getState();
      host.current?.focus({ preventScroll: true });
      if (typing) type(undefined);
      if (event.button === 1 || spaceDown.current) return begin({ kind: 'pan' }, event);
      if (event.button !== 0) return;
      const at = projection(useBenchView.getState());
      const here = at.toMm(pointOf(event));
      const { drawing } = deskRef.current;
      if (mode === 'look') return begin({ kind: 'pan' }, event);
      if (editing) editPath(undefined);
      const pile = framesAt(drawing, here, REACH / at.scale);
      const add = event.shiftKey;
      // Alt goes through the pile: what lies under the selected one comes next.
      const under = pile.findIndex((f) => selection.includes(f.element));
      const hit = event.altKey && under >= 0 ? (pile[under + 1] ?? pile[0]) : pile[0];
      if (mode === 'select')
        return begin(
          { kind: 'pan' },
          event,
          hit ? (add ? [...new Set([...selection, hit.element])] : [hit.element]) : [],
        );
      if (framing && pile.some((f) => f.element === framing)) return begin({ kind: 'frame', id: framing }, event);
      held.current = hit && copyAt(hit, here, REACH / at.scale);
      const marqueeHere: Gesture = { kind: 'marquee', from: here, add };
      if (!hit) return begin(marqueeHere, event, add ? selection : []);
      const isSelected = selection.includes(hit.element);
      // A group is chosen as one; with Alt the element by itself.
      const { piece, surface } = deskRef.current;
      const mates = event.altKey ? [hit.element] : withGroupMates(elementsOn(piece, surface.name), [hit.element]);
      // A background is selected by a click, but a drag that begins on it draws a marquee.
      if (isGround(hit, drawing.boxes) && !isSelected)
        return begin(marqueeHere, event, add ? [...selection, hit.element] : [hit.element]);
      if (add) {
        select(isSelected ? selection.filter((id) => !mates.includes(id)) : [...new Set([...selection, ...mates])]);
        return begin({ kind: 'move' }, event);
      }
      if (!isSelected || event.altKey) select(mates);
      begin({ kind: 'move' }, event, isSelected ? mates : undefined);
    },
    [begin, mode, pointOf, store, host],
  );

  const step = useCallback(
    (event: PointerEvent, now: Press) => {
      const view = useBenchView.getState();
      const at = projection(view);
      const point = pointOf(event);
      const [dx, dy] = asTheElement(now.copy, (point.x - now.start.x) / at.scale, (point.y - now.start.y) / at.scale);
      const { preview, selection } = store.getState();
      const context = {
        job: now.desk.job,
        side: now.desk.surface.name,
        drawing: now.desk.drawing,
        selection,
        step: now.desk.job.step,
        reach: event.ctrlKey ? 0 : REACH / at.scale,
      };
      switch (now.gesture.kind) {
        case 'pan':
          view.pan(point.x - now.last.x, point.y - now.last.y);
          return;
        case 'marquee': {
          const here = at.toMm(point);
          const { from } = now.gesture;
          setMarquee({
            x: Math.min(from.x, here.x),
            y: Math.min(from.y, here.y),
            width: Math.abs(here.x - from.x),
            height: Math.abs(here.y - from.y),
          });
          return;
        }
        case 'move': {
          const straight = event.shiftKey ? (Math.abs(dx) > Math.abs(dy) ? [dx, 0] : [0, dy]) : [dx, dy];
          const moved = dragMove(context, straight[0] ?? 0, straight[1] ?? 0);
          preview(moved.job);
          setCaught(moved.caught);
          return;
        }
        case 'stretch': {
          // Proportion is kept at the corners unless asked otherwise; text and boxes stretch freely.
          const [only] = now.desk.drawing.frames.filter((f) => selection.includes(f.element));
          const keeps = only?.kind === 'picture' || only?.kind === 'vector' || only?.kind === 'page';
          const stretched = dragStretch(context, now.gesture.handle, dx, dy, keeps !== event.shiftKey);
          preview(stretched.job);
          setCaught(stretched.caught);
          return;
        }
        case 'frame':
          preview(dragContent(context, now.gesture.id, dx, dy).job);
          return;
        case 'turn':
          preview(dragTurn(context, at.toMm(point), event.shiftKey).job);
          return;
      }
    },
    [pointOf, store],
  );

  useEffect(() => {
    const move = (event: PointerEvent) => {
      const now = press.current;
      if (!now) return;
      const point = pointOf(event);
      if (!now.moved && Math.hypot(point.x - now.start.x, point.y - now.start.y) < THRESHOLD) return;
      if (!now.moved) setDragging(now.gesture.kind);
      const latest = { ...now, moved: true };
      press.current = latest;
      // One step a frame, however fast the pointer reports.
      cancelAnimationFrame(frame.current);
      frame.current = requestAnimationFrame(() => {
        step(event, press.current ?? latest);
        if (press.current) press.current = { ...press.current, last: point };
      });
    };
    const up = (event: PointerEvent) => {
      const now = press.current;
      if (!now) return;
      cancelAnimationFrame(frame.current);
      if (now.moved) step(event, now);
      press.current = undefined;
      setDragging(undefined);
      setCaught([]);
      setMarquee(undefined);
      const { replace, live, select, selection } = store.getState();
      const { gesture } = now;
      if (!now.moved) {
        if (now.click) select(now.click);
        return;
      }
      if (gesture.kind === 'marquee') {
        const here = projection(useBenchView.getState()).toMm(pointOf(event));
        const box = {
          x: Math.min(gesture.from.x, here.x),
          y: Math.min(gesture.from.y, here.y),
          width: Math.abs(here.x - gesture.from.x),
          height: Math.abs(here.y - gesture.from.y),
        };
        const { drawing } = deskRef.current;
        const inside = drawing.frames
          .filter((f) => !isGround(f, drawing.boxes) && overlaps(boundsOf([f]), box))
          .map((f) => f.element);
        select(gesture.add ? [...new Set([...selection, ...inside])] : inside);
      } else if (gesture.kind !== 'pan' && live) {
        replace(LABELS[gesture.kind], live);
      }
    };
    const cancel = () => {
      if (!press.current) return;
      press.current = undefined;
      cancelAnimationFrame(frame.current);
      store.getState().preview(undefined);
      setDragging(undefined);
      setCaught([]);
      setMarquee(undefined);
    };
    const keys = (event: KeyboardEvent) => {
      if (event.key === ' ' && event.target === host.current) {
        spaceDown.current = event.type === 'keydown';
        event.preventDefault();
      }
      if (event.key === 'Escape' && event.type === 'keydown') cancel();
    };
    window.addEventListener('pointermove', move);
    window.addEventListener('pointerup', up);
    window.addEventListener('pointercancel', cancel);
    window.addEventListener('keydown', keys);
    window.addEventListener('keyup', keys);
    return () => {
      window.removeEventListener('pointermove', move);
      window.removeEventListener('pointerup', up);
      window.removeEventListener('pointercancel', cancel);
      window.removeEventListener('keydown', keys);
      window.removeEventListener('keyup', keys);
    };
  }, [pointOf, step, store, host]);

  const onStretch = useCallback(
    (handle: Handle, event: ReactPointerEvent) => begin({ kind: 'stretch', handle }, event),
    [begin],
  );
  const onTurn = useCallback((event: ReactPointerEvent) => begin({ kind: 'turn' }, event), [begin]);
  return { caught, marquee, dragging, onPointerDown, onStretch, onTurn };
}
