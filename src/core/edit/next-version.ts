import { type Job } from '../job';

/** A name for the version after one: the year in it goes up by one, or the next number is added. */
export function nextName(name: string): string {
  const year = [...name.matchAll(/\b(19|20)\d\d\b/g)].at(-1);
  if (year) return `${name.slice(0, year.index)}${Number(year[0]) + 1}${name.slice(year.index + 4)}`;
  const numbered = /^(.*) (\d+)$/.exec(name);
  return numbered ? `${numbered[1]} ${Number(numbered[2]) + 1}` : `${name} 2`;
}

/**
 * The job again, to be changed for another year: all that is laid out stays, the day it is due and how far it is are
 * open.
 * @param revision the state of the old job that it begins from
 */
export const nextVersion = (job: Job, id: string, revision: number): Job => ({
  ...job,
  id,
  name: nextName(job.name).slice(0, 200),
  stage: 'brief',
  proofs: undefined,
  due: null,
  previous: { job: job.id, revision },
});
