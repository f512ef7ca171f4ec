/** Plans of jobs, against days counted by hand, and what holds of every plan. */
import fc from 'fast-check';
import { begin, makeJob } from '../../testing/jobs';
import { dayOf, openDay, readDay, weekdayOf, workCalendar, writeDay, type Day } from '../dates';
import { STEPS, type Job } from '../job';
import { SHIPPED_PRINTERS } from '../shop';
import { filesBy, planned, scheduleOf, stepsOf, type Plan, type SaidDays, type StepNeed } from './index';

const day = (text: string): Day => {
  const found = readDay(text);
  if (found === undefined) throw new Error(text);
  return found;
};

const house = (name: string) => {
  const found = SHIPPED_PRINTERS.find((printer) => printer.name === name);
  if (!found) throw new Error(name);
  return found;
};

const daysOf = (plan: Plan | undefined) =>
  Object.fromEntries(plan?.steps.map(({ id, from, to }) => [id, [writeDay(from), writeDay(to)]]) ?? []);

const EASTER = [
  { day: day('2027-03-26'), name: 'Karfreitag' },
  { day: day('2027-03-29'), name: 'Ostermontag' },
];

describe('steps of a job', () => {
  const ids = (job: Job) => stepsOf(job).map(({ id, days }) => [id, days]);

  test('a flyer in offset without a house: plates, print, dry, deliver', () => {
    expect(ids(makeJob())).toEqual([
      ['proof', 1],
      ['approval', 2],
      ['files', 1],
      ['plates', 1],
      ['print', 1],
      ['dry', 1],
      ['deliver', 1],
    ]);
  });

  test('a digital press needs neither plates nor time to dry', () => {
    const job = makeJob([], { house: { ...house('Corner Counter'), leadDays: undefined } });
    expect(ids(job).slice(3)).toEqual([
      ['print', 1],
      ['deliver', 1],
    ]);
  });

  test('a folder is finished, a book is bound', () => {
    const folder = begin('brochure', { fold: 'letter', size: 'A4' });
    expect(ids(folder).map(([id]) => id)).toContain('finish');
    const book = begin('catalogue', { pages: '64', binding: 'perfect' });
    expect(ids(book)).toContainEqual(['bind', 2]);
  });

  test('what a house promises is what it takes: what is left over it waits, what is short gives way', () => {
    for (const lead of [0, 1, 2, 3, 4, 6, 10, 30]) {
      const steps = stepsOf(makeJob([], { house: { ...house('Copperplate Yard'), leadDays: lead } })).slice(3);
      expect(steps.reduce((sum, { days }) => sum + days, 0)).toBe(lead);
    }
    expect(ids(makeJob([], { house: house('Copperplate Yard') }))[3]).toEqual(['queue', 2]);
  });

  test('a long run takes longer, and what is said by hand is taken', () => {
    // A5 on 720 × 1020 mm, about 20 of a sheet (85 % of it used): 100,000 sheets, 30,000 a day.
    const job = makeJob([], { quantity: 2_000_000, schedule: { steps: { approval: { days: 5 } } } });
    expect(ids(job)).toContainEqual(['print', 4]);
    expect(ids(job)).toContainEqual(['approval', 5]);
  });
});

describe('a plan', () => {
  const job = makeJob([], { due: '2027-04-01', house: house('Copperplate Yard') });

  test('counts back from Thursday 1 April 2027 over Easter, by hand', () => {
    const plan = scheduleOf(job, day('2027-03-01'), EASTER);
    expect(daysOf(plan)).toEqual({
      deliver: ['2027-04-01', '2027-04-01'],
      dry: ['2027-03-31', '2027-03-31'],
      print: ['2027-03-30', '2027-03-30'],
      plates: ['2027-03-25', '2027-03-25'],
      queue: ['2027-03-23', '2027-03-24'],
      files: ['2027-03-22', '2027-03-22'],
      approval: ['2027-03-18', '2027-03-19'],
      proof: ['2027-03-17', '2027-03-17'],
    });
    expect(filesBy(plan)).toBe('2027-03-22');
    // 1 to 17 March: the proof could be made on the 1st; twelve working days are to spare.
    expect(plan).toMatchObject({ late: 0, slack: 12, state: 'good' });
  });

  test('a due date on a holiday is met on the working day before', () => {
    const plan = scheduleOf({ ...job, due: '2027-03-29' }, day('2027-03-01'), EASTER);
    expect(daysOf(plan).deliver).toEqual(['2027-03-25', '2027-03-25']);
  });

  test('days on which the house is closed count for the house and not for us', () => {
    const closed = [{ from: '2027-03-15', to: '2027-03-19', why: 'Stocktaking' }];
    const plan = scheduleOf({ ...job, due: '2027-03-25', house: { ...job.house, closed } }, day('2027-03-01'), []);
    // Six working days back from the 25th: 24, 23, 22, and then 12, 11.
    expect(daysOf(plan).queue).toEqual(['2027-03-11', '2027-03-12']);
    expect(daysOf(plan).approval).toEqual(['2027-03-08', '2027-03-09']);
    // Files can go to it while it is closed; it begins on the 22nd.
    const later = { ...job, house: { ...job.house, closed }, due: '2027-03-29' };
    expect(daysOf(scheduleOf(later, day('2027-03-01'), []))).toMatchObject({
      files: ['2027-03-19', '2027-03-19'],
      queue: ['2027-03-22', '2027-03-23'],
    });
  });

  test('late is told in working days, with what can still be done', () => {
    const plan = scheduleOf(job, day('2027-03-22'), EASTER);
    // Proof 22, approval 23 and 24, files 25, then six days over Easter: 30, 31, 1, 2, 5, 6 April.
    expect(plan && writeDay(plan.delivered)).toBe('2027-04-06');
    expect(plan).toMatchObject({ late: 3, slack: -3, state: 'late' });
  });

  test('a step that is moved takes what follows with it, and what comes before it is counted back from it', () => {
    const moved = { ...job, schedule: { steps: { files: { on: '2027-03-24' } } } };
    const plan = scheduleOf(moved, day('2027-03-01'), EASTER);
    expect(daysOf(plan)).toMatchObject({
      files: ['2027-03-24', '2027-03-24'],
      queue: ['2027-03-25', '2027-03-30'],
      deliver: ['2027-04-05', '2027-04-05'],
      // Their own time is earlier: they stay.
      proof: ['2027-03-17', '2027-03-17'],
    });
    expect(plan).toMatchObject({ late: 2, state: 'late' });
    const earlier = scheduleOf({ ...job, schedule: { steps: { files: { on: '2027-03-12' } } } }, day('2027-03-01'), []);
    expect(daysOf(earlier)).toMatchObject({
      proof: ['2027-03-09', '2027-03-09'],
      deliver: ['2027-04-01', '2027-04-01'],
    });
  });

  test('a step that is put before what it needs is told, and comes after it', () => {
    const plan = scheduleOf(
      { ...job, schedule: { steps: { approval: { on: '2027-03-10' }, files: { on: '2027-03-08' } } } },
      day('2027-03-01'),
      [],
    );
    const files = plan?.steps.find(({ id }) => id === 'files');
    expect(files).toMatchObject({ isMoved: true, early: 3 });
    expect(daysOf(plan).files).toEqual(['2027-03-11', '2027-03-11']);
  });

  test('what is done is done on its day; what proofs say need not be said', () => {
    const proofs = [
      {
        ...{ id: 'p', revision: 1, to: '', by: 'Ada', remarks: [] },
        ...{ at: '2027-03-08T10:00:00Z', state: 'approved' as const, on: '2027-03-09' },
      },
    ];
    const plan = scheduleOf({ ...job, proofs }, day('2027-03-10'), EASTER);
    expect(plan?.steps.slice(0, 3)).toMatchObject([
      { id: 'proof', state: 'done', to: day('2027-03-08') },
      { id: 'approval', state: 'done', to: day('2027-03-09') },
      { id: 'files', state: 'ahead' },
    ]);
  });

  test('of a job that is sent, what was to be done by now is done', () => {
    const sent = scheduleOf({ ...job, stage: 'sent' }, day('2027-03-30'), EASTER);
    expect(sent?.steps.map(({ state }) => state)).toEqual([
      ...['done', 'done', 'done', 'done', 'done'],
      ...['now', 'ahead', 'ahead'],
    ]);
    expect(sent).toMatchObject({ late: 0, state: 'tight' });
    expect(scheduleOf({ ...job, stage: 'sent' }, day('2027-06-01'), EASTER)).toMatchObject({ late: 0, state: 'good' });
    const slow = { ...job, stage: 'sent' as const, schedule: { steps: { print: { on: '2027-04-07' } } } };
    expect(scheduleOf(slow, day('2027-03-30'), EASTER)).toMatchObject({ late: 6, state: 'late' });
  });

  test('no due date, no plan; a template has none', () => {
    expect(scheduleOf({ ...job, due: null }, day('2027-03-01'), [])).toBeUndefined();
    expect(scheduleOf({ ...job, stage: 'template' }, day('2027-03-01'), [])).toBeUndefined();
  });
});

describe('of every plan', () => {
  const date = fc.integer({ min: dayOf(2026, 1, 1), max: dayOf(2028, 1, 1) });
  const steps = fc
    .uniqueArray(fc.constantFrom(...STEPS), { minLength: 1 })
    .chain((ids) =>
      fc
        .array(fc.integer({ min: 0, max: 6 }), { minLength: ids.length, maxLength: ids.length })
        .map((days) =>
          STEPS.filter((id) => ids.includes(id)).map((id, i): StepNeed => ({ id, days: days[i] ?? 1, why: '' })),
        ),
    );
  const closed = fc.array(
    date.map((at) => ({ from: at, to: at + 3, why: 'closed' })),
    { maxLength: 12 },
  );
  const said = fc.dictionary(
    fc.constantFrom(...STEPS),
    date.map((on): SaidDays => ({ on })),
    { maxKeys: 2 },
  );
  const asked = fc.record({ steps, due: date, today: date, spans: closed, said });
  const make = ({ spans, ...rest }: typeof asked extends fc.Arbitrary<infer T> ? T : never) =>
    planned({
      ...rest,
      calendars: { own: workCalendar([]), house: workCalendar(spans) },
    });

  test('steps stand on working days, in order, none before today', () => {
    fc.assert(
      fc.property(asked, (one) => {
        const plan = make(one);
        for (const [i, step] of plan.steps.entries()) {
          expect(weekdayOf(step.to)).toBeLessThan(6);
          expect(step.to).toBeGreaterThanOrEqual(one.today);
          expect(step.from).toBeLessThanOrEqual(step.to);
          const before = plan.steps[i - 1];
          if (before && step.days > 0 && before.days > 0) expect(step.to).toBeGreaterThan(before.to);
        }
      }),
    );
  });

  test('with time enough and nothing moved it comes on the last working day that is in time', () => {
    fc.assert(
      fc.property(asked, (one) => {
        const house = workCalendar(one.spans);
        const plan = make({ ...one, said: {}, today: one.due - 200 });
        const last = one.steps.at(-1);
        const calendar = last && ['proof', 'approval', 'files'].includes(last.id) ? workCalendar([]) : house;
        expect(plan.delivered).toBe(openDay(calendar, one.due, -1));
        expect(plan.late).toBe(0);
      }),
    );
  });

  test('it is late exactly where it comes after its due date, and where nothing is to spare it says so', () => {
    fc.assert(
      fc.property(asked, (one) => {
        const plan = make({ ...one, said: {} });
        expect(plan.late > 0).toBe(plan.slack < 0);
        expect(plan.state === 'late').toBe(plan.late > 0);
      }),
    );
  });
});
