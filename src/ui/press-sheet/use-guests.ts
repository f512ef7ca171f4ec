'use client';
import { useQueries } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { Guest, Job, SheetGuest } from '@/core/job';
import { api } from '../shell/api';

const NONE: readonly SheetGuest[] = [];

export interface Guests {
  /** In the order of the sheet; undefined while one of them is on its way. */
  readonly guests: readonly Guest[] | undefined;
  /** Why one of them cannot be had. */
  readonly problem: string | undefined;
}

/** The other jobs on the sheets of a job, in the states that are printed. */
export function useGuests({ output }: Pick<Job, 'output'>): Guests {
  const asked = output.sheet?.guests ?? NONE;
  const found = useQueries({
    queries: asked.map(({ job, revision }) => ({
      queryKey: ['revision', job, revision],
      queryFn: () => api.revision(job, revision),
      staleTime: Infinity,
    })),
    combine: (results) => ({
      jobs: results.map(({ data }) => data?.job),
      failed: results.findIndex(({ isError }) => isError),
    }),
  });
  const { jobs, failed } = found;
  const guests = useMemo(() => {
    const all = asked.flatMap(({ quantity }, i) => {
      const job = jobs[i];
      return job ? [{ job, quantity }] : [];
    });
    return all.length === asked.length ? all : undefined;
  }, [asked, jobs]);
  const name = asked[failed]?.name;
  return { guests, problem: name === undefined ? undefined : `“${name}” is gone. Take it off the sheet.` };
}
