'use client';
import { wrap, type Remote } from 'comlink';
import { createContext, useContext, useEffect, useMemo, useRef, useState } from 'react';
import type { Finding } from '@/core/check';
import { createComposer, withBarePaper, withRepeats, type Composer } from '@/core/compose';
import { itemsOf, type Drawing } from '@/core/drawing';
import type { Blank, BlankSurface } from '@/core/format';
import { elementsOn, type Job, type Piece, type SideName } from '@/core/job';
import type { SurfaceBoxes } from '@/core/layout';
import type { Rules } from '@/core/rules';
import type { CheckWorker } from '@/workers/check.worker';
import { useResources, type Resources } from './resources';
import { steadyGround } from './steady';
import { pieceOf } from './store';

/** The open job, solved and drawn. */
export interface Desk {
  readonly job: Job;
  readonly piece: Piece;
  readonly blank: Blank;
  readonly rules: Rules;
  readonly surface: BlankSurface;
  readonly resources: Resources;
  readonly composer: Composer;
  readonly drawing: Drawing;
  readonly drawings: readonly { readonly side: SideName; readonly drawing: Drawing }[];
}

/** Draws the job anew at every change; what did not change is not laid out twice. */
export function useDeskOf(job: Job, side: SideName): { desk: Desk | undefined; problem: string | undefined } {
  const piece = pieceOf(job);
  const [groundOf] = useState(steadyGround);
  const { rules, blank } = useMemo(() => groundOf(job, piece), [groundOf, job, piece]);
  const { resources, problem } = useResources(job, rules.profile);
  const ppi = rules.ppi.value * blank.scale;
  // One composer for each shape of side that the piece has; pages that are alike share one.
  const composers = useMemo(() => {
    if (!resources) return undefined;
    const { colour, fonts, hyphenator, art } = resources;
    const known = new Map<string, Composer>();
    const byBoxes = new WeakMap<SurfaceBoxes, Composer>();
    return (boxes: SurfaceBoxes): Composer => {
      const same = byBoxes.get(boxes);
      if (same) return same;
      const key = JSON.stringify(boxes);
      const before = known.get(key);
      if (before) {
        byBoxes.set(boxes, before);
        return before;
      }
      const made = createComposer({
        boxes,
        assets: job.assets,
        language: job.language,
        ppi,
        colour,
        fonts,
        hyphenator,
        art,
      });
      known.set(key, made);
      byBoxes.set(boxes, made);
      return made;
    };
  }, [resources, job.language, ppi, job.assets]);
  const desk = useMemo((): Desk | undefined => {
    const surface = blank.surfaces.find((s) => s.name === side) ?? blank.surfaces[0];
    if (!composers || !resources || !surface) return undefined;
    const plain = blank.surfaces.map((s) => ({
      side: s.name,
      drawing: withBarePaper(composers(s.boxes).surface(s.name, elementsOn(piece, s.name), piece), s.zones),
    }));
    const drawings = plain.map(({ side: name, drawing }, i) => {
      const repeats = blank.surfaces[i]?.repeats;
      const source = repeats && plain.find((d) => d.side === repeats.surface)?.drawing;
      return { side: name, drawing: source ? withRepeats(drawing, itemsOf(source), repeats.at) : drawing };
    });
    const drawing = drawings.find((d) => d.side === surface.name)?.drawing;
    return (
      drawing && { job, piece, blank, rules, surface, resources, composer: composers(surface.boxes), drawing, drawings }
    );
  }, [job, piece, blank, rules, side, composers, resources]);
  return { desk, problem };
}

const DeskContext = createContext<Desk | undefined>(undefined);
export const DeskProvider = DeskContext.Provider;

export const useDesk = (): Desk => drawn(useContext(DeskContext));

const LiveDeskContext = createContext<Desk | undefined>(undefined);
export const LiveDeskProvider = LiveDeskContext.Provider;

/** The desk at this moment; while something is dragged, the other one may be a moment behind. */
export const useLiveDesk = (): Desk => drawn(useContext(LiveDeskContext));

function drawn(desk: Desk | undefined): Desk {
  if (!desk) throw new Error('The job is not drawn yet.');
  return desk;
}

const FindingsContext = createContext<readonly Finding[]>([]);
export const FindingsProvider = FindingsContext.Provider;
export const useFindings = () => useContext(FindingsContext);

/** Rest before checking, so that a drag is not checked at every step, ms. */
const REST = 120;

/** Checks the drawings in a worker. A result that comes after a newer change is thrown away. */
export function useChecks(desk: Desk | undefined): readonly Finding[] {
  const worker = useRef<Remote<CheckWorker>>(undefined);
  const [findings, setFindings] = useState<readonly Finding[]>([]);
  useEffect(() => {
    const thread = new Worker(new URL('../../workers/check.worker.ts', import.meta.url), { type: 'module' });
    worker.current = wrap<CheckWorker>(thread);
    return () => thread.terminate();
  }, []);
  useEffect(() => {
    if (!desk) return;
    let current = true;
    const timer = setTimeout(() => {
      const { job, piece, drawings } = desk;
      void worker.current?.check(job, piece.id, drawings).then((found) => {
        if (current) setFindings(found);
      });
    }, REST);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [desk]);
  return findings;
}
