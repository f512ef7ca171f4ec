import { writeRows } from '../data';
import { readDay, weekStart, writeDay, type Day } from '../dates';
import type { StepId } from '../job';
import { STEP_TITLES, isOfTheHouse } from './steps';
import type { Plan } from './plan';

/** A step as it is kept beside a job: on the last days on which it can be done in time, ISO. */
export interface KeptStep {
  readonly id: StepId;
  readonly from: string;
  readonly to: string;
  readonly isDone: boolean;
}

/** The steps of a plan, as they are kept. @param isSent the files are with the house: what is ours is done */
export const keptSteps = (plan: Plan | undefined, isSent: boolean): readonly KeptStep[] =>
  (plan?.steps ?? []).map(({ id, from, to, state }) => ({
    id,
    from: writeDay(from),
    to: writeDay(to),
    isDone: state === 'done' || (isSent && !isOfTheHouse(id)),
  }));

/** A step that is not done and should be. */
export interface Behind {
  readonly step: string;
  /** Days since. */
  readonly by: number;
}

/** The first step that is behind on a day; undefined where none is. */
export function behindOn(steps: readonly KeptStep[], today: Day): Behind | undefined {
  const late = steps.find(({ to, isDone }) => !isDone && (readDay(to) ?? Infinity) < today);
  return late && { step: STEP_TITLES[late.id], by: today - (readDay(late.to) ?? today) };
}

/** A job of the shop with its steps. */
export interface PlannedJob {
  readonly id: string;
  readonly name: string;
  /** The house that prints it; empty while that is open. */
  readonly printer: string;
  readonly steps: readonly KeptStep[];
}

/** What lies in a week: jobs with a house, by its name, and jobs that we work on ourselves. */
export interface Week {
  /** Its Monday. */
  readonly from: Day;
  readonly byHouse: Readonly<Record<string, readonly PlannedJob[]>>;
  readonly ours: readonly PlannedJob[];
}

/** The house of jobs that have none yet. */
export const NO_HOUSE = 'no printer yet';

/** Weeks from the one of a day on, with what is to be done in each and is not done. */
export function weeksOf(jobs: readonly PlannedJob[], today: Day, count: number): readonly Week[] {
  const first = weekStart(today, 1);
  return Array.from({ length: count }, (_, i): Week => {
    const from = first + 7 * i;
    const lies = ({ from: a, to: b, isDone }: KeptStep) =>
      !isDone && (readDay(a) ?? Infinity) < from + 7 && (readDay(b) ?? -Infinity) >= from;
    const byHouse: Record<string, PlannedJob[]> = {};
    for (const job of jobs) {
      if (!job.steps.some((step) => isOfTheHouse(step.id) && lies(step))) continue;
      (byHouse[job.printer || NO_HOUSE] ??= []).push(job);
    }
    const ours = jobs.filter(({ steps }) => steps.some((step) => !isOfTheHouse(step.id) && lies(step)));
    return { from, byHouse, ours };
  });
}

/** The houses of some weeks, in the order of their names. */
export const housesOf = (weeks: readonly Week[]): readonly string[] =>
  [...new Set(weeks.flatMap(({ byHouse }) => Object.keys(byHouse)))].sort((a, b) => a.localeCompare(b));

/** Weeks as a table: a line each, jobs by house, and ours. */
export function weeksCsv(weeks: readonly Week[]): string {
  const houses = housesOf(weeks);
  const rows = weeks.map(({ from, byHouse, ours }) => [
    writeDay(from),
    ...houses.map((house) => byHouse[house]?.length ?? 0),
    ours.length,
  ]);
  return writeRows([['week from', ...houses, 'before the files go'], ...rows]);
}
