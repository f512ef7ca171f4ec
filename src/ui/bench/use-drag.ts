'use client';
import {
  useCallback,
  useEffect,
  useRef,
  useState,
  type PointerEvent as ReactPointerEvent,
  type RefObject,
} from 'react';
import { inverse, overlaps, type Matrix, type Point, type Rect } from '@/core/layout';
import { useJobStore } from '../open-job/context';
import { useDesk, type Desk } from '../open-job/use-desk';
import {
  boundsOf,
  dragContent,
  dragMove,
  dragStretch,
  dragTurn,
  isGround,
  withJob,
  type Caught,
  type Dragged,
  type Handle,
} from '@/core/edit';
import { boxBetween, pressToEdit, pressToSelect, type Begun, type Gesture } from './press';
import { projection, useBenchView } from '../view/bench-view';
import { elementKind, type Job } from '@/core/job';

/** Pixels within which things catch, and before which a press is no drag. */
const REACH = 6;
const THRESHOLD = 3;

interface Press extends Begun {
  /** In pixels of the bench. */
  readonly start: Point;
  readonly last: Point;
  /** The desk when the press began: every step is worked out from there, so that nothing adds up. */
  readonly desk: Desk;
  readonly moved: boolean;
}

const LABELS = { move: 'Move', stretch: 'Stretch', turn: 'Turn', frame: 'Move the content' } as const;

/** A movement of a copy as its element has to make it, so that the copy follows the pointer. */
function asTheElement(copy: Matrix | undefined, dx: number, dy: number): readonly [number, number] {
  if (!copy) return [dx, dy];
  const [a, b, c, d] = inverse(copy);
  return [a * dx + c * dy, b * dx + d * dy];
}

/** The longer of two ways, and not the other. */
const straightened = (dx: number, dy: number): readonly [number, number] =>
  Math.abs(dx) > Math.abs(dy) ? [dx, 0] : [0, dy];

/** How far and where the pointer has come, and what is held down meanwhile. */
interface Reached {
  readonly dx: number;
  readonly dy: number;
  /** On the surface, mm. */
  readonly here: Point;
  /** How near things catch, mm. */
  readonly reach: number;
  readonly shiftKey: boolean;
  readonly selection: readonly string[];
}

type Shaping = Exclude<Gesture, { kind: 'pan' | 'marquee' }>;

function draggedTo(desk: Desk, gesture: Shaping, to: Reached): Dragged {
  const { job, drawing, surface } = desk;
  const { dx, dy, reach, shiftKey, selection } = to;
  const context = { job, side: surface.name, drawing, selection, step: job.step, reach };
  switch (gesture.kind) {
    case 'move':
      return dragMove(context, ...(shiftKey ? straightened(dx, dy) : ([dx, dy] as const)));
    case 'stretch': {
      // Proportion is kept at the corners unless asked otherwise; text and boxes stretch freely.
      const only = drawing.frames.find((f) => selection.includes(f.element));
      const keeps = only !== undefined && elementKind(only.kind).content === 'in proportion';
      return dragStretch(context, gesture.handle, dx, dy, keeps !== shiftKey);
    }
    case 'frame':
      return dragContent(context, gesture.id, dx, dy);
    case 'turn':
      return dragTurn(context, to.here, shiftKey);
  }
}

/** Pointer work on the bench: select, through a pile too, marquee, move, stretch, turn and pan. */
export function useDrag(host: RefObject<HTMLElement | null>, mode: 'edit' | 'select' | 'look') {
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

  const pointOf = useCallback(
    (event: { clientX: number; clientY: number }): Point => {
      const box = host.current?.getBoundingClientRect();
      return { x: event.clientX - (box?.left ?? 0), y: event.clientY - (box?.top ?? 0) };
    },
    [host],
  );

  const begin = useCallback(
    (begun: Begun, event: ReactPointerEvent) => {
      const start = pointOf(event);
      press.current = { ...begun, start, last: start, desk: deskRef.current, moved: false };
      if (begun.select) store.getState().select(begun.select);
      host.current?.setPointerCapture(event.pointerId);
      event.stopPropagation();
    },
    [pointOf, host, store],
  );

  const onPointerDown = useCallback(
    (event: ReactPointerEvent) => {
      const { selection, type, typing, framing, editing, editPath } = store.getState();
      host.current?.focus({ preventScroll: true });
      if (typing) type(undefined);
      if (event.button === 1 || spaceDown.current) return begin({ gesture: { kind: 'pan' } }, event);
      if (event.button !== 0) return;
      if (mode === 'look') return begin({ gesture: { kind: 'pan' } }, event);
      if (editing) editPath(undefined);
      const at = projection(useBenchView.getState());
      const { shiftKey, altKey } = event;
      const here = at.toMm(pointOf(event));
      const facts = { desk: deskRef.current, here, reach: REACH / at.scale, shiftKey, altKey, selection };
      begin(mode === 'select' ? pressToSelect(facts) : pressToEdit(facts, framing), event);
    },
    [begin, mode, pointOf, store, host],
  );

  /** What a press does to the job by now, wherever its pointer is. */
  const dragOf = useCallback(
    (event: PointerEvent, gesture: Shaping, { start, copy, desk: from }: Press) => {
      const at = projection(useBenchView.getState());
      const point = pointOf(event);
      const [dx, dy] = asTheElement(copy, (point.x - start.x) / at.scale, (point.y - start.y) / at.scale);
      const reach = event.ctrlKey ? 0 : REACH / at.scale;
      const { shiftKey } = event;
      const { selection } = store.getState();
      const to = { dx, dy, here: at.toMm(point), reach, shiftKey, selection };
      return (now: Job) => draggedTo(withJob(from, now), gesture, to);
    },
    [pointOf, store],
  );

  const step = useCallback(
    (event: PointerEvent, drag: Press) => {
      const { gesture, last } = drag;
      const view = useBenchView.getState();
      const point = pointOf(event);
      if (gesture.kind === 'pan') return view.pan(point.x - last.x, point.y - last.y);
      if (gesture.kind === 'marquee') return setMarquee(boxBetween(gesture.from, projection(view).toMm(point)));
      const recipe = dragOf(event, gesture, drag);
      store.getState().preview((now) => {
        const { job, caught: lines } = recipe(now);
        setCaught(lines);
        return job;
      });
    },
    [pointOf, dragOf, store],
  );

  const letGo = useCallback(() => {
    press.current = undefined;
    cancelAnimationFrame(frame.current);
    setDragging(undefined);
    setCaught([]);
    setMarquee(undefined);
  }, []);

  /** What is left of a press when it is let go. */
  const finish = useCallback(
    (event: PointerEvent, { gesture, moved, click, ...rest }: Press) => {
      const { change, select, selection } = store.getState();
      if (!moved) {
        if (click) select(click);
        return;
      }
      switch (gesture.kind) {
        case 'pan':
          return;
        case 'marquee': {
          const here = projection(useBenchView.getState()).toMm(pointOf(event));
          const inside = within(deskRef.current, boxBetween(gesture.from, here));
          return select(gesture.add ? [...new Set([...selection, ...inside])] : inside);
        }
        case 'move':
        case 'stretch':
        case 'turn':
        case 'frame': {
          const recipe = dragOf(event, gesture, { gesture, moved, ...rest });
          return change(LABELS[gesture.kind], (job) => recipe(job).job);
        }
      }
    },
    [pointOf, dragOf, store],
  );

  /** Lets go without a change. */
  const cancel = useCallback(() => {
    if (!press.current) return;
    letGo();
    store.getState().preview(undefined);
  }, [letGo, store]);

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
      letGo();
      finish(event, now);
    };
    const keys = (event: KeyboardEvent) => {
      if (event.key === ' ' && event.target === host.current) {
        spaceDown.current = event.type === 'keydown';
        event.preventDefault();
      }
      if (event.key === 'Escape' && event.type === 'keydown') cancel();
    };
    const listening = new AbortController();
    const { signal } = listening;
    window.addEventListener('pointermove', move, { signal });
    window.addEventListener('pointerup', up, { signal });
    window.addEventListener('pointercancel', cancel, { signal });
    window.addEventListener('keydown', keys, { signal });
    window.addEventListener('keyup', keys, { signal });
    return () => listening.abort();
  }, [pointOf, step, finish, letGo, cancel, host]);

  const onStretch = useCallback(
    (handle: Handle, event: ReactPointerEvent) => begin({ gesture: { kind: 'stretch', handle } }, event),
    [begin],
  );
  const onTurn = useCallback((event: ReactPointerEvent) => begin({ gesture: { kind: 'turn' } }, event), [begin]);
  return { caught, marquee, dragging, onPointerDown, onStretch, onTurn, cancel };
}

/** The elements that a box touches, but for backgrounds. */
const within = ({ drawing }: Desk, box: Rect): readonly string[] =>
  drawing.frames.filter((f) => !isGround(f, drawing.boxes) && overlaps(boundsOf([f]), box)).map((f) => f.element);
