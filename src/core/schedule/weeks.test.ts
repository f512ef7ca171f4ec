/** Weeks of the shop, against days counted by hand on a calendar of 2027, and ISO weeks by python3. */
import { python } from '../../testing/programs';
import { makeJob } from '../../testing/jobs';
import { isoWeek, readDay, writeDay } from '../dates';
import { behindOn, housesOf, keptSteps, scheduleOf, weeksCsv, weeksOf, type KeptStep, type PlannedJob } from './index';

const day = (text: string): number => readDay(text) ?? NaN;

const step = (id: KeptStep['id'], from: string, to = from, isDone = false): KeptStep => ({ id, from, to, isDone });

const job = (id: string, printer: string, steps: readonly KeptStep[]): PlannedJob => ({ id, name: id, printer, steps });

// 1 March 2027 is a Monday.
const MONDAY = '2027-03-01';

const JOBS = [
  job('flyer', 'Yard', [step('approval', '2027-03-02', '2027-03-03'), step('print', '2027-03-05', '2027-03-08')]),
  job('poster', '', [step('print', '2027-03-15')]),
  job('card', 'Corner, and Copy', [step('approval', '2027-03-01', '2027-03-01', true), step('print', '2027-03-04')]),
];

test('a job lies in every week that one of its steps reaches into; what is done lies in none', () => {
  const weeks = weeksOf(JOBS, day('2027-03-03'), 3);
  const names = (jobs: readonly PlannedJob[] = []) => jobs.map(({ id }) => id);
  expect(weeks.map(({ from }) => writeDay(from))).toEqual([MONDAY, '2027-03-08', '2027-03-15']);
  expect(weeks.map(({ byHouse }) => names(byHouse['Yard']))).toEqual([['flyer'], ['flyer'], []]);
  expect(weeks.map(({ byHouse }) => names(byHouse['no printer yet']))).toEqual([[], [], ['poster']]);
  expect(weeks.map(({ byHouse }) => names(byHouse['Corner, and Copy']))).toEqual([['card'], [], []]);
  expect(weeks.map(({ ours }) => names(ours))).toEqual([['flyer'], [], []]);
  expect(housesOf(weeks)).toEqual(['Corner, and Copy', 'no printer yet', 'Yard']);
});

test('as a table: a line a week, read by python3’s csv', () => {
  const csv = weeksCsv(weeksOf(JOBS, day(MONDAY), 2));
  const rows = python('import csv, io\nprint(json.dumps(list(csv.reader(io.StringIO(data)))))', csv);
  expect(rows).toEqual([
    ['week from', 'Corner, and Copy', 'Yard', 'before the files go'],
    ['2027-03-01', '1', '1', '1'],
    ['2027-03-08', '0', '1', '0'],
  ]);
});

test('weeks begin on the Monday of python3’s ISO weeks, over a year', () => {
  const days = Array.from({ length: 53 }, (_, i) => writeDay(day('2026-12-01') + 7 * i + (i % 7)));
  const theirs = python(
    'from datetime import date, timedelta\n' +
      'def week(t):\n    d = date.fromisoformat(t)\n' +
      '    return [(d - timedelta(days=d.weekday())).isoformat(), d.isocalendar()[1]]\n' +
      'print(json.dumps([week(t) for t in data]))',
    days,
  );
  const ours = days.map((text) => {
    const [first] = weeksOf([], day(text), 1);
    return [writeDay(first?.from ?? NaN), isoWeek(day(text))];
  });
  expect(ours).toEqual(theirs);
});

test('behind is the first step that is not done after its last day, by days', () => {
  const steps = [
    step('proof', '2027-03-01', '2027-03-01', true),
    step('approval', '2027-03-02', '2027-03-03'),
    step('files', '2027-03-04'),
  ];
  expect(behindOn(steps, day('2027-03-03'))).toBeUndefined();
  expect(behindOn(steps, day('2027-03-04'))).toEqual({ step: 'Approval', by: 1 });
  expect(behindOn(steps, day('2027-03-10'))).toEqual({ step: 'Approval', by: 7 });
});

test('what is kept of a plan is its last days; of a job that is sent what is ours is done', () => {
  const made = makeJob([], { due: '2027-03-12', stage: 'in work' });
  const long = day('2026-01-05');
  const steps = keptSteps(scheduleOf(made, long, []), false);
  expect(steps.at(-1)).toMatchObject({ id: 'deliver', to: '2027-03-12', isDone: false });
  for (const [i, { from, to }] of steps.entries()) {
    expect(from <= to).toBe(true);
    expect((steps[i - 1]?.to ?? '') <= to).toBe(true);
  }
  const sent = keptSteps(scheduleOf({ ...made, stage: 'sent' }, long, []), true);
  expect(sent.filter(({ isDone }) => isDone).map(({ id }) => id)).toEqual(['proof', 'approval', 'files']);
  expect(keptSteps(undefined, false)).toEqual([]);
});
