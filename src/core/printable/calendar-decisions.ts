import {
  FIRST_YEAR,
  LAST_YEAR,
  readNamedDays,
  type Day,
  type Occasion,
  type Quarter,
  occasionsIn,
  phaseOn,
} from '../dates';
import { choice, count, number, ok, text, wrong, type Parameter } from '../parameter';
import type { PrintableContext } from './printable';
import { rowsOfWords } from './typed';

/** What every calendar is asked. */
export const CALENDAR = {
  year: count('Year', '2027', 'Of the first month.', FIRST_YEAR, LAST_YEAR),
  'week-start': choice('Weeks begin', 'monday', 'The first day of a week.', {
    monday: 'on Monday',
    sunday: 'on Sunday',
    saturday: 'on Saturday',
  }),
  weeks: choice('Week numbers', 'none', 'At the left of each week.', {
    none: 'none',
    iso: 'ISO 8601',
    us: 'as in the United States',
  }),
  names: choice('Weekdays', 'short', 'How their names are written.', {
    long: 'in full',
    short: 'short',
    narrow: 'one letter',
    none: 'not at all',
  }),
} as const;

const REGION = /^[A-Z]{2}(-[A-Z0-9]{1,4})?$/;

/** Days that have a name. */
export const OCCASIONS = {
  holidays: text('Holidays', '', 'Of a country or region: GB, GB-SCT, US, DE-BY. Left out, none.', (entry) => {
    const region = entry.trim().toUpperCase();
    return region === '' || REGION.test(region)
      ? ok(region)
      : wrong(entry, 'A country is two letters (GB), a region its country, a hyphen and its letters (GB-SCT).');
  }),
  events: namedDays('Own days', 'One a line: 2027-03-14 Star party, or 03-14 Founders’ day for every year.'),
  moon: choice('Moon', 'none', 'Drawn in the days.', { none: 'none', phases: 'its four phases', daily: 'every day' }),
  zone: number(
    'Clocks ahead by',
    '0',
    'Hours that the clocks are ahead of universal time: 1 for central Europe, −5 for New York in winter.',
    -12,
    14,
    { when: (v) => v['moon'] !== 'none' },
  ),
} as const;

/** Days and their names, checked as they are typed. */
export function namedDays(label: string, help: string): Parameter<string> {
  const words = rowsOfWords(label, '', help);
  return {
    ...words,
    read: (entry, context) => {
      const taken = words.read(entry, context);
      const read = taken.ok ? readNamedDays(taken.value) : undefined;
      return read && !read.ok ? { ok: false, error: read } : taken;
    },
  };
}

export const WEEKDAYS = { monday: 1, sunday: 7, saturday: 6 } as const;

interface Named {
  readonly holidays: string;
  readonly events: string;
}

/** What falls on the days of some years. */
export interface Almanac {
  readonly holiday: (day: Day) => string | undefined;
  readonly events: (day: Day) => readonly string[];
  readonly phase: (day: Day) => Quarter | undefined;
}

export function almanacOf(
  d: Named & { readonly moon: 'none' | 'phases' | 'daily'; readonly zone: number },
  years: readonly number[],
  context: PrintableContext,
): Almanac {
  const read = readNamedDays(d.events);
  const byDay = (all: readonly Occasion[]) => {
    const found = new Map<Day, string[]>();
    for (const { day, name } of all) found.set(day, [...(found.get(day) ?? []), name]);
    return found;
  };
  const holidays = byDay(d.holidays === '' ? [] : years.flatMap((y) => context.holidays(d.holidays, y)));
  const events = byDay(read.ok ? years.flatMap((y) => occasionsIn(y, read.days)) : []);
  return {
    holiday: (day) => holidays.get(day)?.join(' · '),
    events: (day) => events.get(day) ?? [],
    phase: (day) => (d.moon === 'none' ? undefined : phaseOn(day, d.zone)),
  };
}

/** The years whose holidays a calendar asks for, however many pages it goes on over. */
export const regionsOf = (
  d: Named,
  years: readonly number[],
): readonly { readonly region: string; readonly years: readonly number[] }[] =>
  d.holidays === '' ? [] : [{ region: d.holidays, years }];
