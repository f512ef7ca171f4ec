import { dayOf, instantOf, type Day } from './civil';

export type NameWidth = 'long' | 'short' | 'narrow';

const formats = new Map<string, Intl.DateTimeFormat>();

/** Names and dates come from CLDR, as the platform carries it. */
function format(language: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = `${language} ${JSON.stringify(options)}`;
  const made =
    formats.get(key) ?? new Intl.DateTimeFormat(language, { timeZone: 'UTC', calendar: 'gregory', ...options });
  formats.set(key, made);
  return made;
}

/** Names of the months, January first, as they stand alone. */
export const monthNames = (language: string, width: NameWidth = 'long'): readonly string[] =>
  Array.from({ length: 12 }, (_, i) => format(language, { month: width }).format(instantOf(dayOf(2024, i + 1, 1))));

/** Names of the weekdays, Monday first, as they stand alone. 1 January 2024 was a Monday. */
export const weekdayNames = (language: string, width: NameWidth = 'long'): readonly string[] =>
  Array.from({ length: 7 }, (_, i) => format(language, { weekday: width }).format(instantOf(dayOf(2024, 1, 1 + i))));

/** Day and month as the language writes them: “14 March”, “March 14”. */
export const dayAndMonth = (day: Day, language: string, width: 'long' | 'short' = 'long'): string =>
  format(language, { day: 'numeric', month: width }).format(instantOf(day));

/** Month and year as the language writes them. */
export const monthAndYear = (day: Day, language: string): string =>
  format(language, { month: 'long', year: 'numeric' }).format(instantOf(day));

/** An hour of the day as the language writes it. */
export const timeOf = (minutes: number, language: string): string =>
  format(language, { hour: 'numeric', minute: '2-digit' }).format(new Date((minutes % 1440) * 60_000));
