import { dayAndMonth, civilOf, readDay, weekdayOf, writeDay, type Day } from '../dates';
import { count, ok, text, wrong } from '../parameter';

/** From which day a planner runs, and how its hours do. */
export const PLANNER = {
  from: text('From', '2027-01-01', 'The first day, as 2027-01-01; left out, undated.', (entry) => {
    if (entry.trim() === '') return ok('');
    const day = readDay(entry);
    return day === undefined
      ? wrong(entry, 'A day is written 2027-01-01: year, month, day. Left out, the planner is undated.')
      : ok(writeDay(day));
  }),
  hours: count('Hours from', '7', 'The first hour, 0 to 23.', 0, 23),
  until: count('Hours to', '20', 'The last hour; past 24 into the next morning.', 1, 36),
  step: count('Step', '60', 'Minutes from line to line.', 5, 240),
} as const;

/** What some days are called together: the first and the last, and their year. */
export const daysTitle = (first: Day, last: Day, language: string): string => {
  const years = civilOf(first).year === civilOf(last).year ? ` ${civilOf(last).year}` : '';
  return `${dayAndMonth(first, language)} – ${dayAndMonth(last, language)}${years}`;
};

export const isWeekend = (day: Day): boolean => weekdayOf(day) >= 6;

/** The times that lines are for, in minutes of the day. */
export function timesOf(from: number, until: number, step: number): readonly number[] {
  const last = Math.max(from + 1, until) * 60;
  return Array.from({ length: Math.floor((last - from * 60) / step) + 1 }, (_, i) => from * 60 + i * step);
}
