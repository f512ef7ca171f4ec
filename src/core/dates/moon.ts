import { MoonPhase, NextMoonQuarter, SearchMoonQuarter } from 'astronomy-engine';
import { civilOf, dayOf, instantOf, type Day } from './civil';

export const QUARTERS = ['new', 'first quarter', 'full', 'last quarter'] as const;
export type Quarter = (typeof QUARTERS)[number];

/** A phase and the moment at which it is exact. */
export interface Phase {
  readonly quarter: Quarter;
  readonly at: Date;
}

const known = new Map<number, readonly Phase[]>();

/** New, half and full moons of a year, universal time, reckoned to about a minute. */
export function phasesOf(year: number): readonly Phase[] {
  const before = known.get(year);
  if (before) return before;
  const found: Phase[] = [];
  let next = SearchMoonQuarter(instantOf(dayOf(year, 1, 1) - 1));
  while (next.time.date.getUTCFullYear() <= year) {
    const { date } = next.time;
    if (date.getUTCFullYear() === year) found.push({ quarter: QUARTERS[next.quarter] ?? 'new', at: date });
    next = NextMoonQuarter(next);
  }
  known.set(year, found);
  return found;
}

/** The phase that falls on a day. @param zone hours that the clocks there are ahead of universal time */
export function phaseOn(day: Day, zone: number): Quarter | undefined {
  const { year } = civilOf(day);
  const onDay = ({ at }: Phase) => Math.floor((at.getTime() + zone * 3_600_000) / 86_400_000) === day;
  // A zone may carry a phase of New Year over into the year beside it.
  return [year - 1, year, year + 1].flatMap(phasesOf).find(onDay)?.quarter;
}

const angles = new Map<string, number>();

/** Angle from new moon at noon of a day, degrees: 90 at the first quarter, 180 when it is full. */
export function moonAngle(day: Day, zone: number): number {
  const key = `${day} ${zone}`;
  const made = angles.get(key) ?? MoonPhase(new Date(instantOf(day).getTime() + (12 - zone) * 3_600_000));
  angles.set(key, made);
  return made;
}
