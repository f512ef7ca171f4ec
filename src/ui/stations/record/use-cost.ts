'use client';
import { useQuery } from '@tanstack/react-query';
import { wrap, type Remote } from 'comlink';
import { useMemo } from 'react';
import type { CostReport } from '@/core/cost';
import { itemsOf, plateNames } from '@/core/drawing';
import { printRun } from '@/core/job';
import type { House } from '@/core/shop';
import type { CostWorker } from '@/workers/cost.worker';
import { useDesk } from '../../open-job/use-desk';
import { api } from '../../shell/api';

let remote: Remote<CostWorker> | undefined;

const worker = (): Remote<CostWorker> =>
  (remote ??= wrap<CostWorker>(
    new Worker(new URL('../../../workers/cost.worker.ts', import.meta.url), { type: 'module' }),
  ));

/** The houses of the book; the job’s own as the job has it. */
function useHouses(own: House): readonly House[] | undefined {
  const { data } = useQuery({ queryKey: ['printers'], queryFn: api.printers });
  return useMemo(() => {
    if (!data) return undefined;
    const others = data.records.filter(({ name }) => name !== own.name);
    if (own.name === '') return others;
    // A job that took its printer before it had prices is priced by those of today.
    const today = data.records.find(({ name }) => name === own.name);
    return [{ ...own, prices: own.prices ?? today?.prices }, ...others];
  }, [data, own]);
}

/** What the job costs, where and at which quantity; undefined while it is worked out. */
export function useCost(): { readonly report: CostReport | undefined; readonly problem: unknown } {
  const { job, blank, drawingOf } = useDesk();
  const houses = useHouses(job.house);
  const inks = useMemo(
    () =>
      Object.fromEntries(
        blank.surfaces.map(({ name }) => {
          const drawing = drawingOf(name);
          return [name, drawing ? plateNames(itemsOf(drawing)).length : 0];
        }),
      ),
    [blank, drawingOf],
  );
  const { pieces, stock, records, output, unit } = job;
  const run = printRun(job);
  const copies = run && run.copies * run.each;
  const { data, error } = useQuery({
    queryKey: [
      'cost',
      { inks, houses, copies, stock, records, sheet: output.sheet, unit },
      pieces.map(({ kind, decisions, finish }) => ({ kind, decisions, finish })),
    ],
    queryFn: () => worker().costReport(job, houses ?? [], inks, copies ?? 1),
    enabled: houses !== undefined && copies !== undefined,
    staleTime: Number.POSITIVE_INFINITY,
  });
  return { report: data, problem: error };
}
