import { civilOf, dayOf, daysIn, isoWeek, usWeek, weekStart, type Day } from '../dates';

/** How many rows a month takes. */
export type Rows = 'needed' | 'six' | 'five';

/** One box of a month: one day, or two where a sixth week has no row of its own. */
export interface DayBox {
  readonly days: readonly Day[];
  readonly inMonth: boolean;
}

export interface Week {
  readonly first: Day;
  readonly boxes: readonly DayBox[];
}

/**
 * The weeks of a month, from the first day of its first week.
 * @param first weekday that weeks begin with, Monday 1 to Sunday 7
 */
export function weeksOf(year: number, month: number, first: number, rows: Rows): readonly Week[] {
  const start = weekStart(dayOf(year, month, 1), first);
  const last = dayOf(year, month, daysIn(year, month));
  const needed = Math.floor((last - start) / 7) + 1;
  const count = rows === 'six' ? 6 : rows === 'five' ? 5 : needed;
  return Array.from({ length: count }, (_, w): Week => {
    const from = start + w * 7;
    return {
      first: from,
      boxes: Array.from({ length: 7 }, (_, i): DayBox => {
        const day = from + i;
        const below = day + 7;
        // A sixth week shares the boxes of the fifth.
        const shares = rows === 'five' && w === 4 && needed === 6 && below <= last;
        return { days: shares ? [day, below] : [day], inMonth: civilOf(day).month === month };
      }),
    };
  });
}

/** Number of a week by either rule: its fourth day is in that week wherever weeks begin. */
export const weekNumber = (first: Day, rule: 'iso' | 'us'): number =>
  rule === 'iso' ? isoWeek(first + 3) : usWeek(first + 3);
