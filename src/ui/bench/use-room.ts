import { useEffect, useRef, type RefObject } from 'react';
import type { Rect } from '@/core/layout';
import { useBenchView } from '../view/bench-view';
import type { Scene } from './scene';

/** Keeps the view in step with the room that the bench has. */
export function useRoom(host: RefObject<HTMLElement | null>): void {
  const resize = useBenchView((v) => v.resize);
  useEffect(() => {
    const room = host.current;
    if (!room) return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry) resize(entry.contentRect.width, entry.contentRect.height);
    });
    observer.observe(room);
    return () => observer.disconnect();
  }, [host, resize]);
  useEffect(() => () => useBenchView.setState({ width: 0, height: 0 }), []);
}

/** The piece is brought into view when it opens and when its size or what is shown of it changes. */
export function useFitted({ desk, station, whole }: Scene): void {
  const fit = useBenchView((v) => v.fit);
  const { beside, surface } = desk;
  const key = JSON.stringify(whole);
  const shown = useRef<{
    readonly station: Scene['station'];
    readonly beside: string | undefined;
    readonly dx: number;
    readonly side: string;
  }>(undefined);
  useEffect(() => {
    const before = shown.current;
    shown.current = { station, beside: beside?.drawing.surface, dx: beside?.dx ?? 0, side: surface.name };
    const box = JSON.parse(key) as Rect;
    // The other page of the same spread: the paper stays where it lies.
    if (before && before.station === station && before.beside === surface.name)
      useBenchView.getState().turnTo(before.dx, box);
    else fit(box);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the spread is told by its box
  }, [key, fit, station]);
}
