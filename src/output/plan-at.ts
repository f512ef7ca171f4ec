import { readDay } from '../core/dates';
import type { Job } from '../core/job';
import { scheduleOf, yearsAround, type Plan } from '../core/schedule';
import { holidaysOf } from '../bring-in/holidays';

/** How a job comes to its due date, seen at a moment; undefined where it has none. */
export function planAt(job: Job, at: Date): Plan | undefined {
  const today = Math.floor(at.getTime() / 86_400_000);
  const due = job.due === null ? undefined : readDay(job.due);
  if (due === undefined) return undefined;
  const { region } = job.house;
  const years = region === undefined ? [] : yearsAround(due, today);
  const holidays = years.flatMap((year) => holidaysOf(region ?? '', year, job.language));
  return scheduleOf(job, today, holidays);
}
