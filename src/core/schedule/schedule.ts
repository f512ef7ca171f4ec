import { FIRST_YEAR, LAST_YEAR, civilOf, readDay, workCalendar, writeDay, type ClosedDays, type Day } from '../dates';
import { STEPS, type Job, type StepId } from '../job';
import type { House } from '../shop';
import { planned, type Plan, type SaidDays } from './plan';
import { stepsOf } from './steps';

/** Names a holiday and its day. */
export interface Holiday {
  readonly day: Day;
  readonly name: string;
}

/** Years that the plan of a job can reach into: of today to of its due date, and a year around them. */
export function yearsAround(due: Day, today: Day): readonly number[] {
  const [from, to] = [Math.min(due, today), Math.max(due, today)].map((day) => civilOf(day).year);
  const [first, last] = [Math.max(FIRST_YEAR, (from ?? FIRST_YEAR) - 1), Math.min(LAST_YEAR, (to ?? LAST_YEAR) + 1)];
  return Array.from({ length: last - first + 1 }, (_, i) => first + i);
}

/** Days on which a house is closed by itself. */
const closedDays = ({ closed = [] }: Pick<House, 'closed'>): readonly ClosedDays[] =>
  closed.flatMap(({ from, to, why }) => {
    const [first, last] = [readDay(from), readDay(to)];
    return first === undefined || last === undefined ? [] : [{ from: first, to: Math.max(first, last), why }];
  });

/** The working days of a house. @param holidays of its region */
export const houseCalendar = (house: Pick<House, 'closed'>, holidays: readonly Holiday[]) =>
  workCalendar([...closedDays(house), ...ofHolidays(holidays)]);

const ofHolidays = (holidays: readonly Holiday[]): readonly ClosedDays[] =>
  holidays.map(({ day, name }) => ({ from: day, to: day, why: name }));

/**
 * How a job comes to its due date.
 * @param holidays of the region of its house, of the years of `yearsAround`
 * @returns undefined where no due date is set, or for a template
 */
export function scheduleOf(job: Job, today: Day, holidays: readonly Holiday[]): Plan | undefined {
  const due = job.due === null ? undefined : readDay(job.due);
  if (due === undefined || job.stage === 'template') return undefined;
  return planned({
    steps: stepsOf(job),
    due,
    today,
    calendars: { own: workCalendar(ofHolidays(holidays)), house: houseCalendar(job.house, holidays) },
    said: { ...saidByProofs(job), ...saidByHand(job) },
    isSent: job.stage === 'sent',
  });
}

/** What is known without being said: a proof that was made is sent, one that was approved is approved. */
function saidByProofs({ proofs = [] }: Job): Partial<Record<StepId, SaidDays>> {
  const approved = proofs.find(({ state, on }) => state === 'approved' && on !== null);
  const [first] = proofs;
  const day = (text: string | null | undefined): SaidDays | undefined => {
    const done = text ? readDay(text.slice(0, 10)) : undefined;
    return done === undefined ? undefined : { done };
  };
  const [proof, approval] = [day(first?.at), day(approved?.on)];
  return { ...(proof && { proof }), ...(approval && { approval }) };
}

function saidByHand({ schedule }: Job): Partial<Record<StepId, SaidDays>> {
  const found: Partial<Record<StepId, SaidDays>> = {};
  for (const id of STEPS) {
    const { on, done } = schedule?.steps[id] ?? {};
    const days = {
      on: on === undefined ? undefined : readDay(on),
      done: done === undefined ? undefined : readDay(done),
    };
    if (days.on === undefined && days.done === undefined) continue;
    found[id] = {
      ...(days.on !== undefined && { on: days.on }),
      ...(days.done !== undefined && { done: days.done }),
    };
  }
  return found;
}

/** The last day on which files can go to the house, ISO; undefined where the job has no plan. */
export function filesBy(plan: Plan | undefined): string | undefined {
  const files = plan?.steps.find(({ id }) => id === 'files');
  return files && writeDay(files.latest);
}
