/** A day as a number: days from 1 January 1970, in the Gregorian calendar. */
export type Day = number;

export interface CivilDate {
  readonly year: number;
  /** 1 to 12. */
  readonly month: number;
  /** 1 to 31. */
  readonly day: number;
}

/** Years that calendars are made for: the Gregorian calendar was in use nearly everywhere. */
export const FIRST_YEAR = 1900;
export const LAST_YEAR = 2200;

const MS_PER_DAY = 86_400_000;

/** @param month may lie outside 1 to 12, and counts on into other years */
export const dayOf = (year: number, month: number, day: number): Day => Date.UTC(year, month - 1, day) / MS_PER_DAY;

export function civilOf(day: Day): CivilDate {
  const date = new Date(day * MS_PER_DAY);
  return { year: date.getUTCFullYear(), month: date.getUTCMonth() + 1, day: date.getUTCDate() };
}

export const instantOf = (day: Day): Date => new Date(day * MS_PER_DAY);

export const daysIn = (year: number, month: number): number => dayOf(year, month + 1, 1) - dayOf(year, month, 1);

/** A month so many months further on. */
export function monthOn(year: number, month: number, by: number): { readonly year: number; readonly month: number } {
  const n = year * 12 + (month - 1) + by;
  return { year: Math.floor(n / 12), month: (((n % 12) + 12) % 12) + 1 };
}

/** Monday 1 to Sunday 7 (ISO 8601). 1 January 1970 was a Thursday. */
export const weekdayOf = (day: Day): number => ((((day + 3) % 7) + 7) % 7) + 1;

/** The first day of the week that a day lies in. @param first weekday that weeks begin with, 1 to 7 */
export const weekStart = (day: Day, first: number): Day => day - ((weekdayOf(day) - first + 7) % 7);

/** Week of the year by ISO 8601: Monday to Sunday, the first has the year’s first Thursday. */
export function isoWeek(day: Day): number {
  const thursday = weekStart(day, 1) + 3;
  const { year } = civilOf(thursday);
  return Math.floor((thursday - dayOf(year, 1, 1)) / 7) + 1;
}

/** Week of the year as counted in the United States: Sunday to Saturday, the first has 1 January. */
export function usWeek(day: Day): number {
  const saturday = weekStart(day, 7) + 6;
  const { year } = civilOf(saturday);
  return Math.floor((saturday - weekStart(dayOf(year, 1, 1), 7)) / 7) + 1;
}

const ISO = /^(\d{4})-(\d{1,2})-(\d{1,2})$/;

/** A day from `2027-03-14`; undefined for what is no date. */
export function readDay(text: string): Day | undefined {
  const [, y, m, d] = ISO.exec(text.trim()) ?? [];
  const [year, month, day] = [Number(y), Number(m), Number(d)];
  if (y === undefined || month < 1 || month > 12 || day < 1 || day > daysIn(year, month)) return undefined;
  return dayOf(year, month, day);
}

export const writeDay = (day: Day): string => instantOf(day).toISOString().slice(0, 10);
