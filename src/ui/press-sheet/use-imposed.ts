'use client';
import { wrap, type Remote } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import { imposed, type Guest, type Imposed, type ImposedFace, type ImposedSheet, type Job } from '@/core/job';
import type { ImposeWorker } from '@/workers/impose.worker';
import { useDesk } from '../open-job/use-desk';
import { useSheetView } from '../view/sheet-view';
import { useGuests } from './use-guests';

const WAITING: Imposed = { ok: false, message: 'Laying them out together …' };

/** The piece on the sheets of the press, as the job wants it: by itself at once, with other jobs when it is found. */
export function useImposed(): Imposed {
  const { job, piece } = useDesk();
  const { guests, problem } = useGuests(job);
  const isAlone = !job.output.sheet?.guests?.length;
  const alone = useMemo(() => (isAlone ? imposed(job, piece) : undefined), [isAlone, job, piece]);
  const together = useTogether(isAlone ? undefined : guests, job, piece.id);
  if (problem !== undefined) return { ok: false, message: problem };
  return alone ?? together ?? WAITING;
}

/** Layouts that were found, by what was asked: several parts of the page ask for the same. */
const found = new WeakMap<readonly Guest[], Map<string, Promise<Imposed>>>();

let remote: Remote<ImposeWorker> | undefined;

function ask(guests: readonly Guest[], job: Job, pieceId: string): Promise<Imposed> {
  remote ??= wrap<ImposeWorker>(
    new Worker(new URL('../../workers/impose.worker.ts', import.meta.url), { type: 'module' }),
  );
  const known = found.get(guests) ?? new Map<string, Promise<Imposed>>();
  found.set(guests, known);
  const { output, pieces, records, quantity, stock, house, unit } = job;
  const key = JSON.stringify([output, pieces.map(({ decisions }) => decisions), records, quantity, stock, house, unit]);
  const asked = known.get(key) ?? remote.impose(job, pieceId, guests);
  known.set(key, asked);
  return asked;
}

function useTogether(guests: readonly Guest[] | undefined, job: Job, pieceId: string): Imposed | undefined {
  const [made, setMade] = useState<Imposed>();
  useEffect(() => {
    if (!guests) return;
    let isCurrent = true;
    void ask(guests, job, pieceId).then(
      (laid) => isCurrent && setMade(laid),
      () => isCurrent && setMade({ ok: false, message: 'They could not be laid out. Reload the page to try again.' }),
    );
    return () => {
      isCurrent = false;
    };
  }, [guests, job, pieceId]);
  return guests && made;
}

/** The sheet and the form that are looked at; undefined where there is none. */
export function useShownSheet(made: Imposed): { readonly sheet: ImposedSheet; readonly face: ImposedFace } | undefined {
  const at = useSheetView((v) => v.sheet);
  const which = useSheetView((v) => v.face);
  if (!made.ok) return undefined;
  const sheet = made.sheets[Math.min(at, made.sheets.length - 1)];
  const face = sheet?.faces[Math.min(which, sheet.faces.length - 1)];
  return sheet && face ? { sheet, face } : undefined;
}
