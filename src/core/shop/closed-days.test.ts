import { readDay } from '../dates';
import { closedOf, readClosed, writeClosed } from './closed-days';

const day = (text: string): number => readDay(text) ?? 0;

test('days are read a line each, in order, and written as they are read', () => {
  const text = '2027-08-02 to 2027-08-13 Summer\n2026-12-24 – 2027-01-03 Works holiday\n\n2027-05-07';
  const read = readClosed(text);
  expect(read).toEqual({
    ok: true,
    value: [
      { from: '2026-12-24', to: '2027-01-03', why: 'Works holiday' },
      { from: '2027-05-07', to: '2027-05-07', why: 'closed' },
      { from: '2027-08-02', to: '2027-08-13', why: 'Summer' },
    ],
  });
  if (!read.ok) return;
  expect(readClosed(writeClosed(read.value))).toEqual(read);
});

test.each([
  ['Christmas', 'A line is a day, or two, and why'],
  ['2027-02-30', 'A line is a day'],
  ['2027-03-05 to 2027-03-01 Upside down', 'The last day lies before the first'],
  ['2027-03-05 to 2029-03-01 Long', 'more than a year'],
])('%s is refused where it stands', (line, why) => {
  const read = readClosed(`2027-01-04 Inventory\n${line}`);
  expect(read).toMatchObject({ ok: false, error: { at: 21, length: line.length } });
  expect(read.ok ? '' : read.error.message).toContain(why);
});

test('days of a calendar become spans: those that follow each other are one, what is past goes', () => {
  const lines = ['2027-08-03 Summer', '2027-08-02 Summer', '2027-08-04 Summer', '2027-08-05 Fair', '2026-01-01 Past'];
  expect(closedOf(lines, day('2027-01-01'))).toEqual([
    { from: '2027-08-02', to: '2027-08-04', why: 'Summer' },
    { from: '2027-08-05', to: '2027-08-05', why: 'Fair' },
  ]);
});

test('what returns every year is written out, and not on days that a year has not', () => {
  expect(closedOf(['02-29 Leap'], day('2027-03-01')).map(({ from }) => from)).toEqual(['2028-02-29']);
  expect(closedOf(['12-24 Eve'], day('2026-12-25')).map(({ from }) => from)).toEqual(['2027-12-24', '2028-12-24']);
});
