'use client';
import { useEffect, useState } from 'react';

/** A fold of those that are shown one after another takes so long, ms. */
const FOLD = 1400;

/** How far something is folded, by hand or by itself. */
export interface Progress {
  /** Folds that are done; a fraction is a fold under way. */
  readonly at: number;
  readonly isPlaying: boolean;
  /** Goes there, and stops what goes by itself. */
  readonly go: (at: number) => void;
  /** Folds on by itself, from the beginning where all is folded; or stops. */
  readonly play: () => void;
}

/** @param steps folds there are */
export function useProgress(steps: number): Progress {
  const [at, setAt] = useState(0);
  const [isPlaying, setPlaying] = useState(false);
  useEffect(() => {
    if (!isPlaying) return;
    let frame = 0;
    let last = performance.now();
    const tick = (now: number) => {
      const passed = (now - last) / FOLD;
      last = now;
      setAt((from) => {
        const next = Math.min(steps, from + passed);
        if (next >= steps) setPlaying(false);
        return next;
      });
      frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [isPlaying, steps]);
  return {
    at: Math.min(at, steps),
    isPlaying,
    go: (to) => {
      setPlaying(false);
      setAt(Math.min(steps, Math.max(0, to)));
    },
    play: () => {
      if (at >= steps) setAt(0);
      setPlaying(!isPlaying);
    },
  };
}
