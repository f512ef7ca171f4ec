import ICAL from 'ical.js';
import { dayOf, writeDay, type Day } from '../../core/dates';

export type ReadEvents =
  { readonly ok: true; readonly lines: readonly string[] } | { readonly ok: false; readonly problem: string };

/** Years around the calendar's own into which days that return are written out. */
const YEARS_ON = 3;
const MOST = 2000;
/** Steps of a rule that are looked at before it is left. */
const MOST_STEPS = 20_000;

/** The package's types leave out that a fact may be missing from the file. */
const perhaps = <T>(value: T): T | null | undefined => value;

const two = (n: number): string => String(n).padStart(2, '0');

/**
 * Days and their names from an iCalendar file (RFC 5545), one a line as a calendar's own days are typed. What returns
 * on the same date every year is written once; other rules are written out for the years around one.
 */
export function readEvents(text: string, year: number): ReadEvents {
  let found: readonly InstanceType<typeof ICAL.Component>[];
  try {
    const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
    if (calendar.name !== 'vcalendar') throw new Error('something else');
    found = calendar.getAllSubcomponents('vevent');
  } catch {
    return { ok: false, problem: 'This is no calendar file: one begins with BEGIN:VCALENDAR.' };
  }
  if (found.length === 0) return { ok: false, problem: 'There is no event in this calendar file.' };
  const lines = new Set<string>();
  try {
    for (const component of found) {
      for (const line of linesOf(new ICAL.Event(component), year)) lines.add(line);
      if (lines.size > MOST)
        return { ok: false, problem: `It has more than ${MOST} days: keep only those that the calendar shows.` };
    }
  } catch {
    return { ok: false, problem: 'An event in it has a date that cannot be read.' };
  }
  return { ok: true, lines: [...lines] };
}

function linesOf(event: InstanceType<typeof ICAL.Event>, year: number): readonly string[] {
  const name = (perhaps(event.summary) ?? '').replace(/\s+/g, ' ').trim();
  const start = perhaps(event.startDate);
  if (name === '' || !start) return [];
  const first = dayOf(start.year, start.month, start.day);
  const length = daysOf(event, first);
  if (!event.isRecurring()) return spread(first, length, name);
  const rule = event.component.getFirstPropertyValue('rrule');
  if (rule instanceof ICAL.Recur && isNever(rule)) return [];
  const isYearly =
    rule instanceof ICAL.Recur &&
    rule.freq === 'YEARLY' &&
    rule.interval === 1 &&
    Object.keys(rule.parts).every((p) => p === 'BYMONTH' || p === 'BYMONTHDAY') &&
    rule.until === null &&
    rule.count === null;
  if (isYearly && length === 1) return [`${two(start.month)}-${two(start.day)} ${name}`];
  const out: string[] = [];
  const next = event.iterator();
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const at = next.next() as InstanceType<typeof ICAL.Time> | null;
    if (!at || at.year > year + YEARS_ON) break;
    if (at.year >= year - 1) out.push(...spread(dayOf(at.year, at.month, at.day), length, name));
    if (out.length > MOST) break;
  }
  return out;
}

/** Days of each month at most. */
const MONTH_DAYS = [31, 29, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

/**
 * Whether a rule names days that no month of it has, such as the 31st of February: the package would look for one for
 * ever.
 */
function isNever({ parts }: InstanceType<typeof ICAL.Recur>): boolean {
  const { BYMONTH: months, BYMONTHDAY: days } = parts as Readonly<Record<string, readonly number[] | undefined>>;
  if (!days) return false;
  const most = Math.max(...(months ?? [1]).map((month) => MONTH_DAYS[month - 1] ?? 0));
  return days.every((day) => Math.abs(day) > most);
}

/** How many days it takes; the end of an event of whole days is the day after its last. */
function daysOf(event: InstanceType<typeof ICAL.Event>, first: Day): number {
  const end = perhaps(event.endDate);
  if (!end) return 1;
  const last = dayOf(end.year, end.month, end.day);
  const isMidnight = end.isDate || (end.hour === 0 && end.minute === 0);
  return Math.min(62, Math.max(1, last - first + (isMidnight ? 0 : 1)));
}

const spread = (first: Day, length: number, name: string): readonly string[] =>
  Array.from({ length }, (_, i) => `${writeDay(first + i)} ${name}`);
