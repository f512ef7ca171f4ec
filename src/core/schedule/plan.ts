import { openDay, workDaysBetween, workDaysFrom, type Day, type WorkCalendar } from '../dates';
import type { StepId } from '../job';
import { isOfTheHouse, type StepNeed } from './steps';

/** What a person said of when a step is done. */
export interface SaidDays {
  /** The last day of it, put there by hand. */
  readonly on?: Day;
  /** The day on which it was done. */
  readonly done?: Day;
}

export interface PlanRequest {
  readonly steps: readonly StepNeed[];
  readonly due: Day;
  readonly today: Day;
  /** Days on which we work, and those of the house. */
  readonly calendars: { readonly own: WorkCalendar; readonly house: WorkCalendar };
  readonly said: Readonly<Partial<Record<StepId, SaidDays>>>;
  /** The files are with the house: what was to be done by now counts as done, where nothing else was said. */
  readonly isSent?: boolean;
}

/** A step on its days. */
export interface PlannedStep extends StepNeed {
  readonly from: Day;
  /** Its last day. */
  readonly to: Day;
  /** The last day on which it can end without delivery being late. */
  readonly latest: Day;
  readonly state: 'done' | 'now' | 'ahead';
  /** Put on its day by hand. */
  readonly isMoved: boolean;
  /** Put on a day by hand that comes too early, so many working days: what is before it is not done then. */
  readonly early: number;
}

export interface Plan {
  readonly steps: readonly PlannedStep[];
  readonly due: Day;
  /** When it comes, as things stand. */
  readonly delivered: Day;
  /** Working days after the due date; 0 where it comes in time. */
  readonly late: number;
  /** Working days that can be lost from today on; negative where it comes late whatever is done. */
  readonly slack: number;
  readonly state: 'late' | 'tight' | 'good';
}

/** With so little to spare, working days, it is tight [own]. */
const TIGHT = 1;

/**
 * Steps on their days: as late as the due date allows, and no earlier than what comes before them, what was put on a
 * day by hand, and today.
 */
export function planned(asked: PlanRequest): Plan {
  const { steps, due, today, calendars } = asked;
  const calendarOf = ({ id }: StepNeed): WorkCalendar => (isOfTheHouse(id) ? calendars.house : calendars.own);
  const latest = backward(steps, due, calendarOf);
  const said = asked.isSent ? { ...doneByNow(steps, latest, today), ...asked.said } : asked.said;
  const request = { ...asked, said };
  const wanted = steps.map((step, i) => said[step.id]?.on ?? withMoved(i));
  const laid: PlannedStep[] = [];
  let after: Day | undefined;
  for (const [i, step] of steps.entries()) {
    const { on, done } = said[step.id] ?? {};
    const calendar = calendarOf(step);
    const last = latest[i]?.to ?? due;
    if (done !== undefined) {
      const from = Math.min(done, spanBack(calendar, done, step.days));
      laid.push({ ...step, from, to: done, latest: last, state: 'done', isMoved: false, early: 0 });
      after = occupied(done, 0, after);
      continue;
    }
    const soonest = soonestAfter(calendar, after, today);
    const earliest = spanOn(calendar, soonest, step.days);
    const to = Math.max(earliest, openDay(calendar, wanted[i] ?? last, on === undefined ? -1 : 1));
    const early = on !== undefined && on < earliest ? workDaysBetween(calendar, on, earliest) : 0;
    const from = spanBack(calendar, to, step.days);
    const state = from <= today ? 'now' : 'ahead';
    laid.push({ ...step, from, to, latest: last, state, isMoved: on !== undefined, early });
    after = occupied(to, step.days, after);
  }
  const delivered = laid.at(-1)?.to ?? due;
  const target = latest.at(-1)?.to ?? due;
  const late = Math.max(0, workDaysBetween(calendars.house, target, delivered));
  const soonest = forward(request, calendarOf);
  const slack = workDaysBetween(calendars.house, soonest, target);
  const state = late > 0 || slack < 0 ? 'late' : slack <= TIGHT && !isAllDone(laid) ? 'tight' : 'good';
  return { steps: laid, due, delivered, late, slack, state };

  /** Counted back from the first step after it that was put on a day by hand; else as late as it can be. */
  function withMoved(i: number): Day {
    const next = steps.findIndex((step, k) => k > i && said[step.id]?.on !== undefined);
    const on = next < 0 ? undefined : said[steps[next]?.id ?? 'deliver']?.on;
    const own = latest[i]?.to ?? due;
    if (on === undefined) return own;
    const before = backward(steps.slice(0, next + 1), on, calendarOf);
    return Math.min(own, before[i]?.to ?? own);
  }
}

/** What comes before the files is done where they are sent; what the house does, on its day. */
function doneByNow(
  steps: readonly StepNeed[],
  latest: readonly { readonly to: Day }[],
  today: Day,
): Partial<Record<StepId, SaidDays>> {
  return Object.fromEntries(
    steps.flatMap((step, i) => {
      const to = latest[i]?.to ?? today;
      if (isOfTheHouse(step.id) && to >= today) return [];
      return [[step.id, { done: Math.min(to, today) }]];
    }),
  );
}

const isAllDone = (steps: readonly PlannedStep[]): boolean => steps.every(({ state }) => state === 'done');

type CalendarOf = (step: StepNeed) => WorkCalendar;

/** The last days on which each can begin and end. */
function backward(steps: readonly StepNeed[], due: Day, calendarOf: CalendarOf): readonly { from: Day; to: Day }[] {
  const found: { from: Day; to: Day }[] = [];
  let next: Day | undefined;
  for (const step of [...steps].reverse()) {
    const calendar = calendarOf(step);
    const to =
      next === undefined ? openDay(calendar, due, -1) : openDay(calendar, step.days === 0 ? next : next - 1, -1);
    const from = spanBack(calendar, to, step.days);
    found.unshift({ from, to });
    next = from;
  }
  return found;
}

/** The first day on which it can be delivered, everything begun as soon as it can be. */
function forward({ steps, today, said }: PlanRequest, calendarOf: CalendarOf): Day {
  let after: Day | undefined;
  let last = today;
  for (const step of steps) {
    const done = said[step.id]?.done;
    const calendar = calendarOf(step);
    last = done ?? spanOn(calendar, soonestAfter(calendar, after, today), step.days);
    after = occupied(last, done === undefined ? step.days : 0, after);
  }
  return last;
}

/** When something can begin. @param after the last day that is taken by what comes before it */
const soonestAfter = (calendar: WorkCalendar, after: Day | undefined, today: Day): Day =>
  Math.max(today, after === undefined ? today : workDaysFrom(calendar, after, 1));

/** The last day that is taken. What takes no day, or is done, leaves its day to what comes next. */
const occupied = (to: Day, days: number, before: Day | undefined): Day =>
  Math.max(before ?? Number.NEGATIVE_INFINITY, days === 0 ? to - 1 : to);

/** The first day of something that ends on a day. */
const spanBack = (calendar: WorkCalendar, to: Day, days: number): Day =>
  workDaysFrom(calendar, to, -Math.max(0, days - 1));

/** The last day of something that begins on a day at the soonest. */
const spanOn = (calendar: WorkCalendar, from: Day, days: number): Day =>
  workDaysFrom(calendar, openDay(calendar, from, 1), Math.max(0, days - 1));
