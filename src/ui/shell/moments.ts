/** Days, times and moments, in one way of writing them. */

const DAY = 86_400_000;
/** A day further away than this is said with its year, days. */
const HALF_A_YEAR = 183;

const midnight = (day: Date): number => new Date(day.getFullYear(), day.getMonth(), day.getDate()).getTime();
const dateOf = (day: string): Date => new Date(`${day}T00:00:00`);

/** Whole days from today to a day; less than none is past. @param day ISO 8601 */
export const daysTo = (day: string, today = new Date()): number =>
  Math.round((dateOf(day).getTime() - midnight(today)) / DAY);

/** `Fri 11 Dec`, and with the year where it is further away. @param day ISO 8601 */
export const dayWords = (day: string, today = new Date()): string =>
  dateOf(day)
    .toLocaleDateString('en-GB', {
      weekday: 'short',
      day: 'numeric',
      month: 'short',
      ...(Math.abs(daysTo(day, today)) > HALF_A_YEAR && { year: 'numeric' }),
    })
    .replace(',', '');

/** `today`, `tomorrow`, `16 d`, `3 d late`. @param day ISO 8601 */
export function leftWords(day: string, today = new Date()): string {
  const days = daysTo(day, today);
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  return days < 0 ? `${-days} d late` : `${days} d`;
}

/** `due Fri 11 Dec · 16 d`, or that no day is set. */
export const dueWords = (due: string | null, today = new Date()): string =>
  due ? `due ${dayWords(due, today)} · ${leftWords(due, today)}` : 'no due date';

/** `14:03:27` */
export const clockWords = (at: number | string): string => new Date(at).toLocaleTimeString('en-GB');

/** `Mon 30 Nov, 14:03` */
export function momentWords(at: number | string, today = new Date()): string {
  const date = new Date(at);
  const day = [date.getFullYear(), date.getMonth() + 1, date.getDate()];
  const iso = day.map((part) => String(part).padStart(2, '0')).join('-');
  return `${dayWords(iso, today)}, ${date.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}`;
}

/** So long, as one says it: “20 s”, “3 min”. */
export const durationWords = (seconds: number): string =>
  seconds < 90 ? `${Math.max(1, Math.round(seconds))} s` : `${Math.round(seconds / 60)} min`;

/** Today, as days are counted in the core. */
export const todayAsDay = (now = new Date()): number => Math.floor(now.getTime() / 86_400_000);
