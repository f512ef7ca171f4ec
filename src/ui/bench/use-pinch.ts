import { useEffect, type RefObject } from 'react';
import type { Point } from '@/core/layout';
import { useBenchView } from '../view/bench-view';

const middleOf = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });

const apart = (a: Point, b: Point): number => Math.max(1, Math.hypot(a.x - b.x, a.y - b.y));

/**
 * Two fingers bring the bench nearer, push it away and take it along.
 * @param onSecond what the first of them had begun is let go
 */
export function usePinch(host: RefObject<HTMLElement | null>, onSecond: () => void): void {
  const zoomAt = useBenchView((v) => v.zoomAt);
  const pan = useBenchView((v) => v.pan);
  useEffect(() => {
    const room = host.current;
    if (!room) return;
    const fingers = new Map<number, Point>();
    const pointOf = (event: PointerEvent): Point => {
      const { left, top } = room.getBoundingClientRect();
      return { x: event.clientX - left, y: event.clientY - top };
    };
    const two = (): readonly [Point, Point] | undefined => {
      const [first, second] = fingers.values();
      return first && second && [first, second];
    };
    const down = (event: PointerEvent) => {
      if (event.pointerType !== 'touch') return;
      fingers.set(event.pointerId, pointOf(event));
      if (!two()) return;
      event.stopPropagation();
      onSecond();
    };
    const move = (event: PointerEvent) => {
      const before = two();
      if (!fingers.has(event.pointerId)) return;
      fingers.set(event.pointerId, pointOf(event));
      const after = two();
      if (!before || !after) return;
      event.stopPropagation();
      const [from, to] = [middleOf(...before), middleOf(...after)];
      zoomAt(apart(...after) / apart(...before), from);
      pan(to.x - from.x, to.y - from.y);
    };
    const up = (event: PointerEvent) => void fingers.delete(event.pointerId);
    const listening = new AbortController();
    const { signal } = listening;
    // Before those who draw with one finger.
    room.addEventListener('pointerdown', down, { signal, capture: true });
    window.addEventListener('pointermove', move, { signal, capture: true });
    window.addEventListener('pointerup', up, { signal, capture: true });
    window.addEventListener('pointercancel', up, { signal, capture: true });
    return () => listening.abort();
  }, [host, onSecond, pan, zoomAt]);
}
