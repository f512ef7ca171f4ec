'use client';
import { wrap, type Remote } from 'comlink';
import { createContext, useContext, useEffect, useMemo, useRef, useState } from 'react';
import { inDocument, type Finding } from '@/core/check';
import { createComposer, composeContextOf as jobGround, paintBook, type PaintBook } from '@/core/compose';
import type { Drawing } from '@/core/drawing';
import { facingOf } from '@/core/format';
import type { SurfaceBoxes } from '@/core/layout';
import type { Mm } from '@/core/measure';
import { elementsOf, surfaceOf, surfacesToLay, type Job, type SideName, type TextRange } from '@/core/job';
import { withRecord, type RecordSet, type RecordValues } from '@/core/records';
import type { CheckWorker } from '@/workers/check.worker';
import { useResources } from './resources';
import { memoizedBlank } from './memoized-blank';
import { useRecordSet } from './use-records';
import { pieceOf, type DrawnJob } from '@/core/edit';
import { shortNameOf } from '@/core/element';

/** The open job, solved and drawn. */
export interface Desk extends DrawnJob {
  /** What its paints mean on its paper. */
  readonly paints: PaintBook;
  /** The page beside it in the open book, and how far to the right its trim begins. */
  readonly beside: { readonly drawing: Drawing; readonly dx: Mm } | undefined;
  /** Draws another side; one that did not change is not drawn twice. */
  readonly drawingOf: (side: SideName) => Drawing | undefined;
  /** What an element is called within a sentence, on whichever side. */
  readonly nameIn: (id: string) => string | undefined;
  /** What differs from copy to copy; undefined where all are alike. */
  readonly records: RecordSet | undefined;
  /** The job as it is drawn: filled by the record that is shown. */
  readonly filled: Job;
}

/** The record that is shown, from 0, and the text that keeps the names of columns because it is typed in. */
export interface ShownRecord {
  readonly record: number | undefined;
  readonly typing?: string | undefined;
}

const FIRST: ShownRecord = { record: 0 };

/** Draws the job anew at every change; what did not change is not laid out twice. */
export function useDeskOf(
  job: Job,
  side: SideName,
  { record, typing }: ShownRecord = FIRST,
): { desk: Desk | undefined; problem: string | undefined } {
  const piece = pieceOf(job);
  const [groundOf] = useState(memoizedBlank);
  const { rules, blank } = useMemo(() => groundOf(job, piece), [groundOf, job, piece]);
  const { resources, problem } = useResources(job, rules.conversion);
  const records = useRecordSet(job);
  const values = useMemo(() => recordOf(records, record), [records, record]);
  const filled = useMemo(() => withRecord(job, values, typing), [job, values, typing]);
  const ppi = rules.ppi.value * blank.scale;
  const composer = useMemo(() => {
    if (!resources) return undefined;
    return createComposer(jobGround(job, ppi, resources));
    // eslint-disable-next-line react-hooks/exhaustive-deps -- nothing else of the job is ground
  }, [resources, job.language, job.unit, ppi, job.assets, job.styles, job.cellStyles, job.inks, job.swatches]);
  const { inks, swatches } = job;
  const paints = useMemo(
    () => resources && paintBook(resources.colour, { inks, swatches }),
    [resources, inks, swatches],
  );
  const desk = useMemo((): Desk | undefined => {
    const surface = surfaceOf(blank, piece, side) ?? blank.surfaces[0];
    if (!composer || !resources || !paints || !surface) return undefined;
    const drawn = pieceOf(filled);
    const surfaces = surfacesToLay(blank, drawn);
    const facing = surface.boxes.spread === surface.boxes.trim ? undefined : facingOf(surface.name);
    const { drawings, story } = composer.piece(drawn, surfaces, [
      surface.name,
      ...(facing === undefined ? [] : [facing]),
    ]);
    const [drawing, other] = drawings;
    if (!drawing) return undefined;
    return {
      job,
      piece,
      blank,
      rules,
      surface,
      resources,
      paints,
      story,
      drawing,
      beside: other && { drawing: other, dx: besideOf(surface.boxes) },
      drawingOf: (name) => composer.piece(drawn, surfaces, [name]).drawings[0],
      nameIn: (id) => {
        const found = elementsOf(piece).find(({ element }) => element.id === id);
        return found && shortNameOf(found.element);
      },
      records,
      filled,
    };
  }, [job, piece, filled, records, blank, rules, side, composer, resources, paints]);
  return { desk, problem };
}

/** A record by its place; the last one where there are fewer. */
const recordOf = (records: RecordSet | undefined, record: number | undefined): RecordValues | undefined =>
  records && record !== undefined ? records.at(Math.min(record, records.count - 1)) : undefined;

/** How far to the right the other page of a spread begins, mm. */
export const besideOf = ({ spread, trim }: SurfaceBoxes): Mm => (spread.x < 0 ? spread.x : trim.width);

const DeskContext = createContext<Desk | undefined>(undefined);
export const DeskProvider = DeskContext.Provider;

export const useDesk = (): Desk => drawn(useContext(DeskContext));

const LiveDeskContext = createContext<Desk | undefined>(undefined);
export const LiveDeskProvider = LiveDeskContext.Provider;

/** The desk at this moment; while something is dragged, the other one may be a moment behind. */
export const useLiveDesk = (): Desk => drawn(useContext(LiveDeskContext));

const RangeContext = createContext<TextRange | undefined>(undefined);
export const RangeProvider = RangeContext.Provider;

/** What is chosen of the text that is typed, as of the same moment as the desk. */
export const useRange = () => useContext(RangeContext);

function drawn(desk: Desk | undefined): Desk {
  if (!desk) throw new Error('The job is not drawn yet.');
  return desk;
}

/** What was found, and in which state of the job. */
export interface Checked {
  readonly of: Job | undefined;
  readonly findings: readonly Finding[];
}

const NOTHING_YET: Checked = { of: undefined, findings: [] };
const CheckedContext = createContext(NOTHING_YET);
export const CheckedProvider = CheckedContext.Provider;
export const useChecked = () => useContext(CheckedContext);
export const useFindings = () => useChecked().findings;

/** Rest before checking, so that a drag or a word is not checked at every step, ms. */
const REST = 250;

/** Pages are drawn for the checks in turns of so long, so that the hand is never kept waiting, ms. */
const TURN = 12;

function startChecks() {
  const thread = new Worker(new URL('../../workers/check.worker.ts', import.meta.url), { type: 'module' });
  return { thread, remote: wrap<CheckWorker>(thread) };
}

/** Checks the piece in a worker. A result that comes after a newer change is thrown away. */
export function useChecks(desk: Desk | undefined): Checked {
  const worker = useRef<{ readonly thread: Worker; readonly remote: Remote<CheckWorker> }>(undefined);
  /** What the worker was given last of each side. */
  const given = useRef(new Map<SideName, Drawing>());
  const [checked, setChecked] = useState(NOTHING_YET);
  useEffect(
    () => () => {
      worker.current?.thread.terminate();
      worker.current = undefined;
    },
    [],
  );
  useEffect(() => {
    if (!desk) return;
    let current = true;
    const { job, filled, piece, blank } = desk;
    const sides = blank.surfaces.map((s) => s.name);
    let at = 0;
    const turn = () => {
      if (!current) return;
      // Begun only now: when a job opens, the piece comes first.
      if (!worker.current) {
        worker.current = startChecks();
        given.current = new Map();
      }
      const { remote } = worker.current;
      const until = performance.now() + TURN;
      for (; at < sides.length && performance.now() < until; at += 1) {
        const side = sides[at] ?? '';
        const drawing = desk.drawingOf(side);
        if (!drawing || given.current.get(side) === drawing) continue;
        given.current.set(side, drawing);
        void remote.take(side, drawing);
      }
      if (at < sides.length) {
        timer = setTimeout(turn);
        return;
      }
      void remote.check(filled, piece.id, sides).then((found) => {
        if (current) setChecked({ of: job, findings: inDocument(found, job, filled) });
      });
    };
    let timer = setTimeout(turn, REST);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [desk]);
  return checked;
}
