/**
 * Rounds on pieces of the demo; repetition against the published rule; drills against sums by hand and python3’s
 * fractions.
 */
import fc from 'fast-check';
import { addDays, formatISO } from 'date-fns';
import { openDesk, checkDesk } from '../../output';
import { LAID_OUT } from '../../demo';
import { demoPiece } from '../../testing/demo';
import { python } from '../../testing/programs';
import { seededRandom } from '../chance';
import { edges } from '../layout';
import { RULES, applyChange, type RuleId } from '../check';
import { LEVELS, SPOILERS } from '../spoil';
import {
  DRILLS,
  Learner,
  dueBy,
  makeDrill,
  makeRound,
  markDrill,
  marked,
  practised,
  shareFound,
  trialsCsv,
  type Fault,
  type Skill,
} from './index';

async function roundOf(
  file: string,
  asked: { level: 1 | 2 | 3 | 4; faults: number; due?: readonly RuleId[]; seed?: number },
) {
  const { job, assets } = await demoPiece(file);
  const draw = async (of: typeof job) => (await openDesk(of, assets)).sides;
  const random = seededRandom(asked.seed ?? 1);
  const made = await makeRound(job, { due: [], ...asked, random, draw });
  return { sound: job, round: made.is === 'round' ? made : undefined, made, assets };
}

describe('a round', () => {
  test.each(['business-card', 'solstice-card', 'visitor-folder', 'letterhead', 'eyepiece-labels'])(
    '%s: at every level so many faults as were asked for, each found by its check and mended by its fix',
    async (file) => {
      for (const level of LEVELS) {
        const { sound, round, assets } = await roundOf(file, { level, faults: 3, seed: level });
        expect(round?.faults).toHaveLength(3);
        const before = checkDesk(await openDesk(sound, assets)).length;
        for (const { rule, message } of round?.faults ?? []) {
          expect(SPOILERS[rule].level).toBeLessThanOrEqual(level);
          expect(message).not.toBe('');
        }
        if (!round) continue;
        const found = checkDesk(await openDesk(round.job, assets));
        expect(found.length).toBeGreaterThan(before);
        for (const { rule, elements } of round.faults)
          expect(
            found.some(
              (f) => f.rule === rule && (elements.length === 0 || f.element === null || elements.includes(f.element)),
            ),
          ).toBe(true);
        const [first] = round.faults.flatMap(({ fixes }) => fixes);
        if (first) expect(applyChange(round.job, first.change)).not.toEqual(round.job);
      }
    },
    120_000,
  );

  test('on ten pieces of the demo and more', async () => {
    const small = LAID_OUT.map(({ file }) => file).filter(
      (f) => !['catalogue', 'moon-calendar', 'observing-planner'].includes(f),
    );
    const made = await Promise.all(small.map((file) => roundOf(file, { level: 2, faults: 1 })));
    expect(made.filter(({ round }) => round).length).toBe(small.length);
    expect(small.length).toBeGreaterThanOrEqual(10);
  }, 120_000);

  test('a piece with faults of its own is not taken', async () => {
    const { job, assets } = await demoPiece('letterhead');
    const low = { ...job, pieces: job.pieces.map((piece) => ({ ...piece, safe: edges(0.2) })) };
    const draw = async (of: typeof job) => (await openDesk(of, assets)).sides;
    const asked = { level: 1, faults: 1, due: [], random: seededRandom(1), draw } as const;
    expect(await makeRound(low, asked)).toEqual({ is: 'not sound' });
  });

  test('what is due comes first, whatever its level', async () => {
    const { round } = await roundOf('business-card', { level: 1, faults: 1, due: ['type-families'] });
    expect(round?.faults.map(({ rule }) => rule)).toEqual(['type-families']);
  });

  test('the same numbers make the same round', async () => {
    const [one, two] = await Promise.all([1, 2].map(() => roundOf('letterhead', { level: 3, faults: 2, seed: 9 })));
    expect(one?.round?.faults.map(({ did }) => did)).toEqual(two?.round?.faults.map(({ did }) => did));
  });
});

const fault = (rule: RuleId, elements: readonly string[], side = 'front'): Fault => ({
  rule,
  side,
  elements,
  did: 'Spoilt.',
  message: 'Wrong.',
  why: 'It is seen.',
  severity: 'fault',
  fixes: [],
});

describe('marks', () => {
  const faults = [fault('safe-area', ['a']), fault('bleed', ['b']), fault('bleed-narrow', [])];

  test('found where it is called by its name, seen where it is pointed at or named, else missed', () => {
    const outcomes = (...marks: Parameters<typeof marked>[1]) => marked(faults, marks).outcomes;
    expect(outcomes({ side: 'front', element: 'a', rule: 'safe-area' })).toEqual(['found', 'missed', 'missed']);
    expect(outcomes({ side: 'front', element: 'a', rule: 'trap' })).toEqual(['seen', 'missed', 'missed']);
    expect(outcomes({ side: 'front', element: null, rule: 'bleed' })).toEqual(['missed', 'seen', 'missed']);
    expect(outcomes({ side: 'back', element: null, rule: 'bleed' })).toEqual(['missed', 'missed', 'missed']);
    // Of the piece as a whole: wherever it is said.
    expect(outcomes({ side: 'back', element: 'z', rule: 'bleed-narrow' })).toEqual(['missed', 'missed', 'found']);
    // What follows from a fault is as good as its name.
    expect(outcomes({ side: 'front', element: 'b', rule: 'uneven-border' })).toEqual(['missed', 'found', 'missed']);
    expect(outcomes()).toEqual(['missed', 'missed', 'missed']);
  });

  test('the better of two marks counts; a mark where nothing is wrong is told', () => {
    const marks = [
      { side: 'front', element: 'a', rule: 'trap' },
      { side: 'front', element: 'a', rule: 'safe-area' },
      { side: 'front', element: 'c', rule: 'typography' },
    ] as const;
    expect(marked(faults, marks)).toEqual({ outcomes: ['found', 'missed', 'missed'], wrong: [marks[2]] });
  });
});

/** SM-2 as its author published it: P. A. Woźniak, “Optimization of learning” (1990), chapter 3.2, rules 3 to 6. */
function published(grades: readonly number[]): readonly { readonly n: number; readonly ease: number }[] {
  let [n, ease] = [0, 2.5];
  return grades.map((q) => {
    // Below three it begins from the start, with the same E-factor.
    n = q < 3 ? 0 : n + 1;
    if (q >= 3) ease = Math.max(1.3, ease + (0.1 - (5 - q) * (0.08 + (5 - q) * 0.02)));
    return { n, ease };
  });
}

const dayAfter = (day: string, days: number): string =>
  formatISO(addDays(new Date(day), days), { representation: 'date' });

describe('repetition', () => {
  const GRADE = { found: 5, seen: 3, missed: 1 } as const;
  const outcome = fc.constantFrom('found' as const, 'seen' as const, 'missed' as const);

  test('by the published rule of SM-2: the days between, and the ease, after any row of trials', () => {
    fc.assert(
      fc.property(fc.array(outcome, { minLength: 1, maxLength: 9 }), (outcomes) => {
        let skill: Skill | undefined;
        const theirs = published(outcomes.map((o) => GRADE[o]));
        for (const [i, o] of outcomes.entries()) {
          const before = skill;
          // A day of its own each: what comes again on the same day is another matter.
          const ours = practised(before, 'trap', o, dayAfter('2026-12-01', i));
          const { n = NaN, ease = NaN } = theirs[i] ?? {};
          expect(ours.efactor).toBeCloseTo(ease, 9);
          // I(1) = 1, I(2) = 6, I(n) = I(n − 1) · EF, in whole days.
          const wanted = n <= 1 ? 1 : n === 2 ? 6 : (before?.interval ?? 0) * (before?.efactor ?? 2.5);
          expect(Math.abs(ours.interval - wanted)).toBeLessThanOrEqual(1);
          skill = ours;
        }
      }),
    );
  });

  test('found, found, found: after 1 day, 6 days, a fortnight', () => {
    const one = practised(undefined, 'bleed', 'found', '2026-12-01');
    const two = practised(one, 'bleed', 'found', one.due);
    const three = practised(two, 'bleed', 'found', two.due);
    expect([one, two, three].map(({ interval }) => interval)).toEqual([1, 6, 16]);
    expect([one.due, two.due]).toEqual(['2026-12-02', '2026-12-08']);
  });

  test('missed, it comes again on the same day until it is found, then tomorrow (rule 7)', () => {
    const known = practised(practised(undefined, 'bleed', 'found', '2026-12-01'), 'bleed', 'found', '2026-12-02');
    const missed = practised(known, 'bleed', 'missed', '2026-12-08');
    expect(missed).toMatchObject({ interval: 1, repetition: 0, due: '2026-12-08', met: 3, found: 2 });
    expect(dueBy([missed], '2026-12-08')).toEqual(['bleed']);
    const again = practised(missed, 'bleed', 'missed', '2026-12-08');
    const found = practised(again, 'bleed', 'found', '2026-12-08');
    expect(found).toMatchObject({ due: '2026-12-09', efactor: known.efactor, met: 5, found: 3 });
    expect(dueBy([found], '2026-12-08')).toEqual([]);
  });

  test('the longest overdue comes first; what is not due does not come', () => {
    const skill = (rule: RuleId, due: string): Skill => ({
      rule,
      on: due,
      due,
      efactor: 2.5,
      repetition: 1,
      interval: 1,
      met: 1,
      found: 1,
    });
    const skills = [skill('trap', '2026-12-05'), skill('bleed', '2026-12-01'), skill('kit', '2026-12-09')];
    expect(dueBy(skills, '2026-12-06')).toEqual(['bleed', 'trap']);
  });
});

describe('drills', () => {
  test('every kind can be asked a hundred times, and its own answer is right', () => {
    for (const kind of DRILLS)
      for (let seed = 0; seed < 100; seed += 1) {
        const drill = makeDrill(kind, seededRandom(seed));
        expect(kind.asks(drill.given)).not.toMatch(/undefined/);
        const first = markDrill(drill, '1', 'mm');
        if (!first.ok) throw new Error(first.error.message);
        expect(markDrill(drill, `${first.value}${first.unit === 'mm' ? ' mm' : ''}`, 'mm')).toMatchObject({
          isRight: true,
        });
        expect(markDrill(drill, String(first.value * 2 + 9), 'mm')).toMatchObject({ isRight: false });
      }
  });

  test('feet and inches, by python3’s fractions', () => {
    const feet = DRILLS.find(({ id }) => id === 'feet');
    if (!feet) throw new Error('no feet');
    const drills = Array.from({ length: 30 }, (_, seed) => makeDrill(feet, seededRandom(seed)));
    const theirs = python(
      'from fractions import Fraction as F\n' +
        'def mm(s):\n    ft, _, inches, frac, _ = s.split()\n' +
        '    return float((F(ft) * 12 + F(inches) + F(frac)) * F("25.4"))\n' +
        'print(json.dumps([mm(s) for s in data]))',
      drills.map(({ given }) => given['sum'] ?? ''),
    ) as number[];
    for (const [i, drill] of drills.entries())
      expect(markDrill(drill, `${theirs[i]} mm`, 'mm')).toMatchObject({ isRight: true });
  });

  // Sums by hand.
  test.each([
    ['spine', { size: '170 x 240 mm', pages: '128', thickness: '0.11 mm' }, '7.04 mm'],
    ['spine', { size: '170 x 240 mm', pages: '128', thickness: '0.11 mm' }, '0.277 in'],
    ['panel', { size: '297 x 180 mm', fold: 'letter', allowance: 'shift:1.5mm' }, '96 mm'],
    ['pixels', { size: '90 x 50 mm', bleed: '3 mm', ppi: '300' }, '1134'],
    ['up', { size: 'A6', bleed: '3 mm', sheet: 'SRA3' }, '6'],
    ['need', { size: 'A6', bleed: '3 mm', sheet: 'SRA3', quantity: '4000', fixed: '50', running: '3' }, '738'],
    ['eye', { distance: '3 m' }, '29'],
  ])('%s: %j is %s', (kind, given, answer) => {
    expect(markDrill({ kind, given }, answer, 'mm')).toMatchObject({ ok: true, isRight: true });
  });

  test('an answer that is none says so, and nothing is marked', () => {
    const given = { size: '170 x 240 mm', pages: '128', thickness: '0.11 mm' };
    expect(markDrill({ kind: 'spine', given }, 'about seven', 'mm')).toMatchObject({ ok: false });
  });
});

test('every rule has its opposite, of a level', () => {
  for (const { id } of RULES) expect(LEVELS).toContain(SPOILERS[id].level);
});

describe('what is kept of somebody', () => {
  const trial = {
    at: '2027-01-01T10:00:00.000Z',
    piece: 'Folder, “red” "one"',
    level: 2,
    found: 1,
    seen: 1,
    missed: 2,
    wrong: 0,
  };

  test('rounds as a table, read by python3’s csv', () => {
    const learner = Learner.parse({ name: ' Wren ', trials: [trial] });
    expect(learner.name).toBe('Wren');
    const rows = python('import csv, io\nprint(json.dumps(list(csv.reader(io.StringIO(data)))))', trialsCsv(learner));
    expect(rows).toEqual([
      ['when', 'piece', 'level', 'found', 'seen', 'missed', 'wrongly marked'],
      [trial.at, trial.piece, '2', '1', '1', '2', '0'],
    ]);
  });

  test('the share of what was found; none where nothing was met', () => {
    expect(shareFound({ found: 1, seen: 1, missed: 2 })).toBe(0.25);
    expect(shareFound({ found: 0, seen: 0, missed: 0 })).toBeUndefined();
  });

  test('nobody is nobody, and what no rule finds is no skill', () => {
    expect(Learner.safeParse({ name: '  ' }).success).toBe(false);
    const skill = practised(undefined, 'bleed', 'found', '2027-01-01');
    expect(Learner.safeParse({ name: 'Wren', skills: [skill] }).success).toBe(true);
    expect(Learner.safeParse({ name: 'Wren', skills: [{ ...skill, rule: 'taste' }] }).success).toBe(false);
  });
});
