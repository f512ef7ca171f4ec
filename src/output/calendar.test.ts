/** The schedule as iCalendar (RFC 5545), read back by ical.js and by python3-icalendar of Debian. */
import { readEvents } from '../bring-in/events';
import { makeJob } from '../testing/jobs';
import { python } from '../testing/programs';
import { SHIPPED_PRINTERS } from '../core/shop';
import { calendarFile } from './calendar';

const house = SHIPPED_PRINTERS.find(({ name }) => name === 'Copperplate Yard');
if (!house) throw new Error('no printer');

const AT = new Date('2027-03-01T09:00:00Z');
const job = makeJob([], { id: 'meteor-night', name: 'Meteor night, “Å; B”', due: '2027-04-01', house });
const text = (made = calendarFile(job, AT)) => new TextDecoder().decode(made.bytes);

/** What another program reads: first and last day of each event, and what it is called. */
const events = (calendar: string) =>
  python(
    `
from icalendar import Calendar
from datetime import timedelta
found = []
for event in Calendar.from_ical(data).walk("VEVENT"):
    found.append([event["UID"], event.decoded("DTSTART").isoformat(),
        (event.decoded("DTEND") - timedelta(days=1)).isoformat(), str(event["SUMMARY"])])
print(json.dumps(found))
`,
    calendar,
  );

test('each step is on its days, over the Easter that England keeps, worked by hand', () => {
  expect(events(text())).toEqual([
    ['meteor-night-proof@yellow-sheet', '2027-03-17', '2027-03-17', 'Proof: Meteor night, “Å; B”'],
    ['meteor-night-approval@yellow-sheet', '2027-03-18', '2027-03-19', 'Approval: Meteor night, “Å; B”'],
    ['meteor-night-files@yellow-sheet', '2027-03-22', '2027-03-22', 'Files: Meteor night, “Å; B”'],
    ['meteor-night-queue@yellow-sheet', '2027-03-23', '2027-03-24', 'Waits its turn: Meteor night, “Å; B”'],
    ['meteor-night-plates@yellow-sheet', '2027-03-25', '2027-03-25', 'Plates: Meteor night, “Å; B”'],
    ['meteor-night-print@yellow-sheet', '2027-03-30', '2027-03-30', 'Print: Meteor night, “Å; B”'],
    ['meteor-night-dry@yellow-sheet', '2027-03-31', '2027-03-31', 'Dry: Meteor night, “Å; B”'],
    ['meteor-night-deliver@yellow-sheet', '2027-04-01', '2027-04-01', 'Deliver: Meteor night, “Å; B”'],
    ['meteor-night-due@yellow-sheet', '2027-04-01', '2027-04-01', 'Due: Meteor night, “Å; B”'],
  ]);
});

test('our own reader of calendars finds the same days', () => {
  const read = readEvents(text(), 2027);
  expect(read.ok && read.lines).toContain('2027-03-30 Print: Meteor night, “Å; B”');
});

test('what is done is left out, and the same moment gives the same bytes', () => {
  const done = { ...job, schedule: { steps: { proof: { done: '2027-02-26' } } } };
  expect(JSON.stringify(events(text(calendarFile(done, AT))))).not.toContain('Proof');
  expect(text(calendarFile(job, AT))).toBe(text());
});

test('no line is longer than 75 octets, and each ends with CR LF', () => {
  const long = { ...job, name: 'Ω'.repeat(200) };
  const lines = text(calendarFile(long, AT)).split('\r\n');
  expect(lines.at(-1)).toBe('');
  for (const line of lines) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
  expect(JSON.stringify(events(lines.join('\r\n')))).toContain('Ω'.repeat(200));
});

test('without a due date it is refused in words', () => {
  expect(() => calendarFile({ ...job, due: null }, AT)).toThrow('No due date is set. Set one under Brief.');
  expect(() => calendarFile({ ...job, stage: 'template' }, AT)).toThrow(/template/);
});
