'use client';
import { wrap, type Remote } from 'comlink';
import { createContext, useContext, useEffect, useMemo, useRef, useState } from 'react';
import type { Finding } from '@/core/check';
import { createComposer, type Composer } from '@/core/compose';
import type { Drawing } from '@/core/drawing';
import { blankOf, type Blank, type BlankSurface } from '@/core/format';
import type { Job, Piece, SideName } from '@/core/job';
import { rulesFor, type Rules } from '@/core/rules';
import type { CheckWorker } from '@/workers/check.worker';
import { useResources, type Resources } from './resources';
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
  const rules = useMemo(() => rulesFor(job, piece), [job, piece]);
  const blank = useMemo(() => blankOf(job, piece), [job, piece]);
  const { resources, problem } = useResources(job, rules.profile);
  const surroundings = JSON.stringify([blank.surfaces[0]?.boxes, job.language, rules.ppi.value]);
  const composer = useMemo(() => {
    const boxes = blank.surfaces[0]?.boxes;
    if (!resources || !boxes) return undefined;
    const { colour, fonts, hyphenator } = resources;
    return createComposer({
      boxes,
      assets: job.assets,
      language: job.language,
      ppi: rules.ppi.value,
      colour,
      fonts,
      hyphenator,
    });
    // `surroundings` stands for the boxes, language and resolution by value.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [resources, surroundings, job.assets]);
  const desk = useMemo(() => {
    const surface = blank.surfaces.find((s) => s.name === side) ?? blank.surfaces[0];
    if (!composer || !resources || !surface) return undefined;
    const drawings = blank.surfaces.map((s) => ({
      side: s.name,
      drawing: composer.surface(s.name, piece.surfaces[s.name]),
    }));
    const drawing = drawings.find((d) => d.side === surface.name)?.drawing;
    return drawing && { job, piece, blank, rules, surface, resources, composer, drawing, drawings };
  }, [job, piece, blank, rules, side, composer, resources]);
  return { desk, problem };
}

const DeskContext = createContext<Desk | undefined>(undefined);
export const DeskProvider = DeskContext.Provider;

export function useDesk(): Desk {
  const desk = useContext(DeskContext);
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
