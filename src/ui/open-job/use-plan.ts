'use client';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { dayOf, readDay, type Day, type Occasion } from '@/core/dates';
import type { Job } from '@/core/job';
import { scheduleOf, yearsAround, type Plan } from '@/core/schedule';
import { loadHolidays } from './load-holidays';

/** Today where the person is. */
export function today(now = new Date()): Day {
  return dayOf(now.getFullYear(), now.getMonth() + 1, now.getDate());
}

const NONE: readonly Occasion[] = [];

/** How the job comes to its due date, with the holidays of its house; undefined where it has none. */
export function usePlan(job: Job): Plan | undefined {
  const now = today();
  const { region } = job.house;
  const due = job.due === null ? undefined : readDay(job.due);
  const years = region === undefined || due === undefined ? [] : yearsAround(due, now);
  const { data: holidays = NONE } = useQuery({
    queryKey: ['holidays', region, job.language, years],
    queryFn: async () =>
      (
        await Promise.all(years.map((year) => loadHolidays({ region: region ?? '', year, language: job.language })))
      ).flat(),
    enabled: years.length > 0,
    staleTime: Number.POSITIVE_INFINITY,
  });
  return useMemo(() => scheduleOf(job, now, holidays), [job, now, holidays]);
}
