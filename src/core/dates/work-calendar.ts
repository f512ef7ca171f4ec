import { weekdayOf, type Day } from './civil';

/** Days on which work is done. */
export interface WorkCalendar {
  readonly isOpen: (day: Day) => boolean;
  /** Why nothing is done on a day, in words; undefined where it is open. */
  readonly whyClosed: (day: Day) => string | undefined;
}

export interface ClosedDays {
  readonly from: Day;
  /** The last of them. */
  readonly to: Day;
  readonly why: string;
}

/** Days of the week that are no working days, Monday 1 to Sunday 7: where most houses are, Saturday and Sunday [cp]. */
export const WEEKEND: readonly number[] = [6, 7];

/** Longer than this nothing is closed at a stretch; a calendar without a working day would be searched for ever. */
const LONGEST = 3660;

/** @param closed holidays and days on which a house is closed; they may overlap */
export function workCalendar(closed: readonly ClosedDays[], weekend: readonly number[] = WEEKEND): WorkCalendar {
  const whyClosed = (day: Day): string | undefined =>
    closed.find(({ from, to }) => day >= from && day <= to)?.why ??
    (weekend.includes(weekdayOf(day)) ? 'weekend' : undefined);
  return { whyClosed, isOpen: (day) => whyClosed(day) === undefined };
}

/**
 * The working day at or after a day, or at or before it.
 * @param by 1 or -1
 * @throws RangeError where there is none within ten years
 */
export function openDay({ isOpen }: WorkCalendar, from: Day, by: 1 | -1): Day {
  for (let day = from, tried = 0; tried <= LONGEST; day += by, tried += 1) if (isOpen(day)) return day;
  throw new RangeError('There is no working day within ten years.');
}

/**
 * So many working days before or after a day, which is not counted itself.
 * @param count positive: after; negative: before; 0 the day itself, open or not
 */
export function workDaysFrom(calendar: WorkCalendar, from: Day, count: number): Day {
  const by = count < 0 ? -1 : 1;
  let day = from;
  for (let left = Math.abs(count); left > 0; left -= 1) day = openDay(calendar, day + by, by);
  return day;
}

/** Working days after a day up to another one, that one counted; negative where it lies before. */
export function workDaysBetween({ isOpen }: WorkCalendar, from: Day, to: Day): number {
  const [low, high, sign] = from <= to ? [from, to, 1] : [to, from, -1];
  let count = 0;
  // Counted is the later end, whichever way one looks.
  for (let day = low + 1; day <= high; day += 1) if (isOpen(day)) count += 1;
  return count === 0 ? 0 : sign * count;
}
