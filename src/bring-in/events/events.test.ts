import { readEvents } from './index';

const calendar = (...events: string[]) =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Quillrook//test//EN', ...events, 'END:VCALENDAR'].join('\r\n');
const event = (...lines: string[]) =>
  ['BEGIN:VEVENT', 'UID:1', 'DTSTAMP:20260101T000000Z', ...lines, 'END:VEVENT'].join('\r\n');

const linesOf = (text: string, year = 2027) => {
  const read = readEvents(text, year);
  if (!read.ok) throw new Error(read.problem);
  return read.lines;
};

describe('days from a calendar file (RFC 5545)', () => {
  test('a day, a time of day, and several days', () => {
    expect(
      linesOf(calendar(event('DTSTART;VALUE=DATE:20270314', 'DTEND;VALUE=DATE:20270315', 'SUMMARY:Star party'))),
    ).toEqual(['2027-03-14 Star party']);
    expect(
      linesOf(calendar(event('DTSTART:20270812T210000Z', 'DTEND:20270813T020000Z', 'SUMMARY:Meteor\\, night'))),
    ).toEqual(['2027-08-12 Meteor, night', '2027-08-13 Meteor, night']);
    expect(
      linesOf(calendar(event('DTSTART;VALUE=DATE:20271230', 'DTEND;VALUE=DATE:20280102', 'SUMMARY:Closed'))),
    ).toEqual(['2027-12-30 Closed', '2027-12-31 Closed', '2028-01-01 Closed']);
  });

  test('every year on a date is written once for all years', () => {
    expect(linesOf(calendar(event('DTSTART;VALUE=DATE:20100520', 'RRULE:FREQ=YEARLY', 'SUMMARY:Founders')))).toEqual([
      '05-20 Founders',
    ]);
  });

  test('the worked example of RFC 5545, 3.8.5.3: every 13th that is a Friday', () => {
    const text = calendar(
      event('DTSTART:19970902T090000', 'RRULE:FREQ=MONTHLY;BYDAY=FR;BYMONTHDAY=13', 'SUMMARY:Friday'),
    );
    // The document lists 1998-02-13, 1998-03-13, 1998-11-13, 1999-08-13 and 2000-10-13.
    expect(linesOf(text, 1998)).toEqual(
      expect.arrayContaining([
        '1998-02-13 Friday',
        '1998-03-13 Friday',
        '1998-11-13 Friday',
        '1999-08-13 Friday',
        '2000-10-13 Friday',
      ]),
    );
  });

  test('folded lines are joined; what has no name is left out', () => {
    expect(
      linesOf(
        calendar(event('DTSTART;VALUE=DATE:20270314', 'SUMMARY:Long \r\n night'), event('DTSTART;VALUE=DATE:20270315')),
      ),
    ).toEqual(['2027-03-14 Long night']);
  });

  test.each([
    ['', /no calendar file/],
    ['<html></html>', /no calendar file/],
    [calendar(), /no event/],
    [calendar(event('DTSTART:soon', 'SUMMARY:x')), /cannot be read/],
    [
      calendar(event('DTSTART;VALUE=DATE:20270101', 'RRULE:FREQ=DAILY', 'SUMMARY:Each day')).repeat(1),
      /more than 2000|^$/,
    ],
  ])('hostile or broken files are refused in words, quickly (%#)', (text, problem) => {
    const before = Date.now();
    const read = readEvents(text, 2027);
    expect(Date.now() - before).toBeLessThan(5000);
    if (!read.ok) expect(read.problem).toMatch(problem);
    else expect(read.lines.length).toBeLessThanOrEqual(2000);
  });
});
