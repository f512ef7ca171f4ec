'use client';
import { useEffect, useRef, useState } from 'react';
import { drawnCopies, type DrawnSide, type Finding } from '@/core/check';
import { useDesk } from '../open-job/use-desk';

/** Something that is wrong with one copy. */
export interface FoundInCopy {
  /** From 0. */
  readonly index: number;
  readonly finding: Finding;
}

export type Looked =
  | { readonly is: 'not yet' }
  | { readonly is: 'looking'; readonly done: number; readonly of: number }
  | { readonly is: 'done'; readonly of: number; readonly found: readonly FoundInCopy[] };

/** Copies are drawn in turns of so long, so that the hand is never kept waiting, ms. */
const TURN = 12;

/** Looks through all copies of the job as it stands; a change of the job makes what was found old. */
export function useLookThrough() {
  const desk = useDesk();
  const { job, records } = desk;
  const [state, setState] = useState<{ readonly of: typeof job; readonly looked: Looked }>();
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const stop = () => clearTimeout(timer.current);
  useEffect(() => stop, [job]);

  const begin = () => {
    if (!records) return;
    const { blank, piece, rules, resources, drawingOf } = desk;
    const sides = blank.surfaces.flatMap((surface): readonly DrawnSide[] => {
      const drawing = drawingOf(surface.name);
      return drawing ? [{ piece, blank, surface, rules, drawing }] : [];
    });
    const copies = drawnCopies({ document: job, records, resources, sides });
    const found: FoundInCopy[] = [];
    let done = 0;
    const turn = () => {
      const until = performance.now() + TURN;
      while (performance.now() < until) {
        const { value } = copies.next();
        if (!value) {
          setState({ of: job, looked: { is: 'done', of: records.count, found } });
          return;
        }
        done += 1;
        found.push(...value.findings.map((finding) => ({ index: value.index, finding })));
      }
      setState({ of: job, looked: { is: 'looking', done, of: records.count } });
      timer.current = setTimeout(turn);
    };
    stop();
    turn();
  };

  return {
    state: state?.of === job ? state.looked : ({ is: 'not yet' } as const),
    begin,
    stop: () => {
      stop();
      setState(undefined);
    },
  };
}
