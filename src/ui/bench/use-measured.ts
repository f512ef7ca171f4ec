'use client';
import { useEffect, useState, type RefObject } from 'react';
import type { Drawing, Frame } from '@/core/drawing';
import { framesAt } from '@/core/edit';
import { projection, useBenchView } from '../view/bench-view';

/** While this key is held, what is pointed at is measured to. */
const KEY = 'm';

/** The element that the selection is measured to: what lies under the pointer while the key is held. */
export function useMeasured(host: RefObject<HTMLElement | null>, drawing: Drawing, scale: number): Frame | undefined {
  const [found, setFound] = useState<Frame>();
  useEffect(() => {
    let held = false;
    let last = { clientX: 0, clientY: 0 };
    const look = () => {
      const box = host.current?.getBoundingClientRect();
      if (!held || !box) return setFound(undefined);
      const at = projection(useBenchView.getState());
      const point = at.toMm({ x: last.clientX - box.left, y: last.clientY - box.top });
      setFound(framesAt(drawing, point, 4 / scale)[0]);
    };
    const move = (event: PointerEvent) => {
      last = event;
      if (held) look();
    };
    const key = (event: KeyboardEvent) => {
      if (event.key.toLowerCase() !== KEY || event.target instanceof HTMLInputElement || event.ctrlKey) return;
      held = event.type === 'keydown';
      look();
    };
    window.addEventListener('pointermove', move);
    window.addEventListener('keydown', key);
    window.addEventListener('keyup', key);
    return () => {
      window.removeEventListener('pointermove', move);
      window.removeEventListener('keydown', key);
      window.removeEventListener('keyup', key);
    };
  }, [drawing, scale, host]);
  return found;
}
