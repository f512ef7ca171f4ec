'use client';
import { useMemo } from 'react';
import { COPIES, SEED, drawCopies, driftSide, ranked, type Copy, type DriftSide } from '@/core/drift';
import { useDesk } from '../open-job/use-desk';
import { usePileView } from '../view/pile-view';

/** The copies of the side that is shown, as the machines of its house make them. */
export interface Pile {
  readonly side: DriftSide;
  /** Each from a pile of its own; fanned out, one below the other from one pile. */
  readonly copies: readonly Copy[];
  /** The copy in the middle between the truest and the worst, and the worst. */
  readonly usual: number;
  readonly worst: number;
}

export function usePile(): Pile | undefined {
  const { blank, drawing, rules, job } = useDesk();
  const { press } = job.house;
  const care = usePileView((v) => v.care);
  const isFanned = usePileView((v) => v.mode === 'fan');
  const side = useMemo(() => driftSide({ blank, drawing, rules, press }), [blank, drawing, rules, press]);
  return useMemo(() => {
    if (!side) return undefined;
    const from = isFanned ? 'one pile' : 'many piles';
    const copies = drawCopies(side.line, { copies: COPIES, seed: SEED, care, from });
    const order = ranked(copies);
    return { side, copies, usual: order[Math.floor(order.length / 2)] ?? 0, worst: order.at(-1) ?? 0 };
  }, [side, care, isFanned]);
}
