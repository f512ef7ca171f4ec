/** Working days, against date-fns where there are no holidays, and against days counted by hand where there are. */
import { addBusinessDays, differenceInBusinessDays } from 'date-fns';
import fc from 'fast-check';
import { dayOf, instantOf, openDay, readDay, workCalendar, workDaysBetween, workDaysFrom, writeDay } from './index';

const day = (text: string): number => {
  const found = readDay(text);
  if (found === undefined) throw new Error(text);
  return found;
};

const plain = workCalendar([]);
const someDay = fc.integer({ min: dayOf(2000, 1, 1), max: dayOf(2060, 1, 1) });

/** date-fns counts in local time: noon is the same day everywhere. */
const noon = (at: number): Date => {
  const date = instantOf(at);
  return new Date(date.getUTCFullYear(), date.getUTCMonth(), date.getUTCDate(), 12);
};

test('days on and back are those of date-fns, from a working day', () => {
  fc.assert(
    fc.property(someDay, fc.integer({ min: -400, max: 400 }), (from, count) => {
      const start = openDay(plain, from, 1);
      const theirs = addBusinessDays(noon(start), count);
      const ours = noon(workDaysFrom(plain, start, count));
      expect(ours.toDateString()).toBe(theirs.toDateString());
    }),
  );
});

test('days between are those of date-fns, from working day to working day', () => {
  fc.assert(
    fc.property(someDay, fc.integer({ min: -600, max: 600 }), (from, far) => {
      const [a, b] = [openDay(plain, from, 1), openDay(plain, from + far, 1)];
      expect(workDaysBetween(plain, a, b)).toBe(differenceInBusinessDays(noon(b), noon(a)) + 0);
    }),
  );
});

test('between turns back what days on did, with holidays too', () => {
  const closed = fc.array(
    fc.record({ at: someDay, long: fc.integer({ min: 0, max: 20 }) }).map(({ at, long }) => ({
      from: at,
      to: at + long,
      why: 'closed',
    })),
    { maxLength: 30 },
  );
  fc.assert(
    fc.property(closed, someDay, fc.integer({ min: 0, max: 60 }), (spans, from, count) => {
      const calendar = workCalendar(spans);
      const to = workDaysFrom(calendar, from, count);
      expect(workDaysBetween(calendar, from, to)).toBe(count);
      if (count > 0) expect(calendar.isOpen(to)).toBe(true);
    }),
  );
});

test('Easter 2027 in Germany, by hand: Thursday to Tuesday is one working day', () => {
  const easter = workCalendar([
    { from: day('2027-03-26'), to: day('2027-03-26'), why: 'Karfreitag' },
    { from: day('2027-03-29'), to: day('2027-03-29'), why: 'Ostermontag' },
  ]);
  expect(writeDay(workDaysFrom(easter, day('2027-03-25'), 1))).toBe('2027-03-30');
  expect(workDaysBetween(easter, day('2027-03-25'), day('2027-03-30'))).toBe(1);
  expect(easter.whyClosed(day('2027-03-26'))).toBe('Karfreitag');
  expect(easter.whyClosed(day('2027-03-27'))).toBe('weekend');
});

test('a weekend of other days, and a calendar without a working day', () => {
  const friday = workCalendar([], [5, 6]);
  expect(writeDay(openDay(friday, day('2027-03-26'), 1))).toBe('2027-03-28');
  expect(() => openDay(workCalendar([], [1, 2, 3, 4, 5, 6, 7]), day('2027-01-01'), 1)).toThrow(/no working day/);
});
