import type { Job, StepId, StepSaid } from '../job';

/** Says something of a step of the schedule; undefined takes back what was said. What says nothing is left out. */
export function saidOfStep(
  job: Job,
  id: StepId,
  said: { readonly [K in keyof StepSaid]?: StepSaid[K] | undefined },
): Job {
  const { [id]: before, ...others } = job.schedule?.steps ?? {};
  const now = Object.fromEntries(Object.entries({ ...before, ...said }).filter(([, value]) => value !== undefined));
  const steps = { ...others, ...(Object.keys(now).length > 0 && { [id]: now }) };
  const { schedule: _, ...rest } = job;
  return Object.keys(steps).length > 0 ? { ...rest, schedule: { ...job.schedule, steps } } : rest;
}

/** Everything that was said of the days of a job taken back: they follow from its due date. */
export function withoutSchedule({ schedule: _, ...job }: Job): Job {
  return job;
}
