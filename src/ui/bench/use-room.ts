import { useEffect, useLayoutEffect, useRef, type RefObject } from 'react';
import type { Rect } from '@/core/layout';
import { useBenchView, type View } from '../view/bench-view';
import type { Scene } from './scene';

/** Keeps the view in step with the room that the bench has. */
export function useRoom(host: RefObject<HTMLElement | null>): void {
  const resize = useBenchView((v) => v.resize);
  // Before anything is painted, so that the piece is never seen where it does not lie.
  useLayoutEffect(() => {
    const room = host.current;
    if (!room) return;
    resize(room.clientWidth, room.clientHeight);
    const observer = new ResizeObserver(([entry]) => {
      if (entry) resize(entry.contentRect.width, entry.contentRect.height);
    });
    observer.observe(room);
    return () => observer.disconnect();
  }, [host, resize]);
  useEffect(() => () => useBenchView.setState({ width: 0, height: 0 }), []);
}

/** Views by job, station and side, for as long as the page is there. */
const chosen = new Map<string, View>();

/** The view as it is, where somebody zoomed or panned to it. */
function chosenView(): View | undefined {
  const { fitted, scale, x, y } = useBenchView.getState();
  return fitted ? undefined : { scale, x, y };
}

/**
 * The piece is brought into view when it opens and when its size changes. Nothing else moves it but a hand: another
 * station shows it where it lies, and one where somebody zoomed or panned shows it as it was left there.
 */
export function useFitted({ desk, station, home }: Scene): void {
  const { beside, surface, job } = desk;
  const box = JSON.stringify(home);
  const place = `${job.id} ${station.id} ${surface.name}`;
  const spread = useRef<{ readonly box: string; readonly beside: string | undefined; readonly dx: number }>(undefined);
  useLayoutEffect(() => {
    const view = useBenchView.getState();
    const before = spread.current;
    spread.current = { box, beside: beside?.drawing.surface, dx: beside?.dx ?? 0 };
    const kept = chosen.get(place);
    // The other page of the same spread: the paper stays where it lies.
    const isOtherPage = before !== undefined && before.beside === surface.name;
    if (isOtherPage && before.box !== box) view.turnTo(before.dx, JSON.parse(box) as Rect);
    else if (kept) view.look(kept);
    else if (before?.box !== box) view.fit(JSON.parse(box) as Rect);
    return () => {
      const left = chosenView();
      if (left) chosen.set(place, left);
      else chosen.delete(place);
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the spread is told by its box
  }, [box, place]);
}
