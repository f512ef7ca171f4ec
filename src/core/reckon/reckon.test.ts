import { formatOf } from '../format';
import { parametersOf, startJob } from '../job';
import { QUESTIONS, grammageOf, jobSettings, poundsOf, reckon } from './index';

const ask = (id: string, typed: Record<string, string> = {}, unit: 'mm' | 'in' = 'mm') => {
  const question = QUESTIONS.find((q) => q.id === id);
  if (!question) throw new Error(`no ${id}`);
  return reckon(question, typed, unit);
};
const value = (id: string, figure: string, typed: Record<string, string> = {}) => {
  const answer = ask(id, typed);
  return answer.ok ? answer.figures.find((f) => f.id === figure)?.value : answer.error.message;
};

describe('every question', () => {
  test.each(QUESTIONS.map((q) => [q.id]))(
    '%s answers from its usual values, in both habits, with a working and a rule',
    (id) => {
      for (const unit of ['mm', 'in'] as const) {
        const answer = ask(id, {}, unit);
        expect(answer.ok).toBe(true);
        for (const f of answer.ok ? answer.figures : []) {
          expect(f.working.length).toBeGreaterThan(0);
          expect(f.rule).not.toBe('');
        }
      }
    },
  );

  test.each(QUESTIONS.filter(({ draw }) => draw).map((q) => [q.id]))(
    '%s is drawn to scale, within its bounds',
    (id) => {
      for (const unit of ['mm', 'in'] as const) {
        const answer = ask(id, {}, unit);
        const drawing = answer.ok ? answer.drawing : undefined;
        if (!drawing) throw new Error('not drawn');
        const { width, height, marks } = drawing;
        for (const mark of marks) {
          const [x, y, ...more] = mark.at;
          const [right, down] =
            mark.is === 'box'
              ? [x + (more[0] ?? 0), y + (more[1] ?? 0)]
              : mark.is === 'line'
                ? [more[0] ?? 0, more[1] ?? 0]
                : [x, y];
          expect([x, y].every((n) => n >= -1e-6)).toBe(true);
          expect([right <= width + 1e-6, down <= height + 1e-6]).toEqual([true, true]);
        }
      }
    },
  );

  test('a drawing has the sizes of its answer', () => {
    const spine = ask('spine', { pages: '200', thickness: '0.1 mm' });
    expect(spine.ok && spine.drawing).toMatchObject({ width: 2 * 170 + 10, height: 240 });
    const sheets = ask('sheets', { size: '100 x 50 mm', bleed: '0 mm', sheet: '450 x 320 mm' });
    const up = sheets.ok ? Number(sheets.figures.find(({ id }) => id === 'up')?.value) : NaN;
    const drawn = sheets.ok ? (sheets.drawing?.marks ?? []).filter((m) => m.is === 'box' && m.as === 'trim') : [];
    expect(drawn).toHaveLength(up);
    const fold = ask('fold-panels', { size: '300 x 210 mm', fold: 'letter' });
    const words = fold.ok ? (fold.drawing?.marks ?? []).flatMap((m) => (m.is === 'word' ? [m.word] : [])) : [];
    expect(words).toEqual(['98 mm', '101 mm', '101 mm']);
  });

  test.each(QUESTIONS.map((q) => [q.id, q]))('%s leads to a job with what was typed', (_id, question) => {
    const format = formatOf(question.job.kind);
    if (!format) throw new Error('no format');
    const typed = Object.fromEntries(
      Object.entries(question.parameters).flatMap(([n, p]) => (p.default ? [[n, p.default.metric]] : [])),
    );
    const set = jobSettings(question, typed, Object.keys(parametersOf(format)));
    expect(startJob(format, set, { id: 'x', name: 'x', unit: 'mm' }).ok).toBe(true);
  });
});

test('the eye resolves 291 ppi at 300 mm, 87 at 1 m, 29 at 3 m (1 arc-minute)', () => {
  expect(['300 mm', '1 m', '3 m'].map((d) => value('viewing-distance', 'eye', { distance: d }))).toEqual([291, 87, 29]);
});

test('273 × 184 mm at 300 ppi is 3224 × 2173 px [cp]', () => {
  expect(value('pixels', 'trimmed', { size: '273x184mm', bleed: '0' })).toEqual([3224, 2173]);
});

test('the spine of 100 pages of 0.13 mm is 6.5 mm; an odd page count is refused with what would do', () => {
  expect(value('spine', 'spine', { pages: '100', thickness: '0.13mm' })).toBe(6.5);
  expect(value('spine', 'spine', { pages: '99' })).toContain('take 100 or 98');
});

test('a US letter folds into 91.133, 94.133, 94.133, read from the outside [cp]', () => {
  expect(value('fold-panels', 'panels', { size: 'letter landscape', allowance: 'shift:1mm' })).toEqual([
    91.133, 94.133, 94.133,
  ]);
});

test('sheets needed = ⌈quantity ÷ up⌉ + overs', () => {
  expect(value('sheets', 'up', { size: 'A6', bleed: '3mm', sheet: 'SRA3' })).toBe(6);
  expect(value('sheets', 'need', { size: 'A6', sheet: 'SRA3', quantity: '2001', fixed: '50', running: '3' })).toBe(
    334 + 50 + 11,
  );
});

test('one A4 sheet of 80 g/m² weighs about 5 g: A0 is a square metre (ISO 216)', () => {
  expect(value('run-weight', 'one', { size: 'A4', grammage: '80', leaves: '1' })).toBeCloseTo(4.99, 2);
});

describe('basis weights, by definition: pounds of 500 sheets of the basis size', () => {
  // Values that paper merchants print, to the gram (from memory).
  test.each([
    ['bond', 20, 75],
    ['text', 80, 118],
    ['cover', 80, 216],
    ['text', 100, 148],
    ['index', 110, 199],
  ] as const)('%s %d lb is %d g/m²', (basis, pounds, grams) => {
    expect(Math.round(grammageOf(pounds, basis))).toBe(grams);
    expect(poundsOf(grammageOf(pounds, basis), basis)).toBeCloseTo(pounds, 9);
  });
});

test('what cannot be read is said at its field', () => {
  expect(ask('pixels', { size: '12 by bananas' })).toMatchObject({ ok: false, parameter: 'size' });
  expect(ask('envelope-fit', { size: '2x2m' })).toMatchObject({ ok: false, parameter: 'size' });
});
