import { civilOf, dayOf, daysIn, readDay, type Day } from './civil';

/** Something that falls on a day. */
export interface Occasion {
  readonly day: Day;
  readonly name: string;
}

/** A day with a name, as it is typed: once, or every year. */
interface Named {
  readonly year: number | undefined;
  readonly month: number;
  readonly day: number;
  readonly name: string;
}

export type ReadDays =
  | { readonly ok: true; readonly days: readonly Named[] }
  | { readonly ok: false; readonly at: number; readonly length: number; readonly message: string };

const YEARLY = /^(\d{1,2})-(\d{1,2})$/;

/**
 * Days and their names, one a line: `2027-03-14 Star party` for once, `03-14 Founders’ day` for every year.
 */
export function readNamedDays(text: string): ReadDays {
  const days: Named[] = [];
  let at = 0;
  for (const line of text.split('\n')) {
    const [date = '', ...words] = line.trim().split(/\s+/);
    const name = words.join(' ');
    if (date !== '') {
      const wrong = (message: string): ReadDays => ({ ok: false, at, length: line.length, message });
      const yearly = YEARLY.exec(date);
      const once = readDay(date);
      if (name === '') return wrong(`After ${date} comes what falls on it, such as “${date} Star party”.`);
      if (yearly) {
        const [month, day] = [Number(yearly[1]), Number(yearly[2])];
        if (month < 1 || month > 12 || day < 1 || day > daysIn(2024, month))
          return wrong(`${date} is no day: month, then day, as 03-14.`);
        days.push({ year: undefined, month, day, name });
      } else if (once !== undefined) days.push({ ...civilOf(once), name });
      else return wrong(`“${date}” is no date: write 2027-03-14, or 03-14 for every year.`);
    }
    at += line.length + 1;
  }
  return { ok: true, days };
}

/** The named days of a year, in their order; 29 February only in leap years. */
export function occasionsIn(year: number, days: readonly Named[]): readonly Occasion[] {
  return days
    .filter((d) => (d.year ?? year) === year && d.day <= daysIn(year, d.month))
    .map(({ month, day, name }) => ({ day: dayOf(year, month, day), name }))
    .sort((a, b) => a.day - b.day);
}
