import { useEffect, type RefObject } from 'react';
import { useBenchView } from '../view/bench-view';

/** How fast a turn of the wheel zooms. */
const ZOOM = 0.01;

/** The wheel pans; with Ctrl, or pinched, it zooms. */
export function useWheel(host: RefObject<HTMLElement | null>): void {
  const pan = useBenchView((v) => v.pan);
  const zoomAt = useBenchView((v) => v.zoomAt);
  useEffect(() => {
    const element = host.current;
    if (!element) return;
    const wheel = (event: WheelEvent) => {
      event.preventDefault();
      const box = element.getBoundingClientRect();
      if (event.ctrlKey || event.metaKey)
        zoomAt(Math.exp(-event.deltaY * ZOOM), { x: event.clientX - box.left, y: event.clientY - box.top });
      else pan(event.shiftKey ? -event.deltaY : -event.deltaX, event.shiftKey ? 0 : -event.deltaY);
    };
    // Not passive, or the page would zoom.
    element.addEventListener('wheel', wheel, { passive: false });
    return () => element.removeEventListener('wheel', wheel);
  }, [host, pan, zoomAt]);
}
