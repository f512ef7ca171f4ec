import { produce } from 'immer';
import { OVERRIDE_FIELDS, type Figure } from '@/core/figure';
import { blankOf, describeDifferences, elementsOf, type Job } from '@/core/job';
import { box, makeJob, words } from '@/testing/jobs';
import { dueWords } from './board/due';
import { keyOf } from './palette/commands';
import { figureText } from './sheet/figure-text';
import { overrideFigure, restoreFigure } from './sheet/overrides';

const figure = (value: Figure['value'], unit: Figure['unit'] = 'mm'): Figure => ({
  id: 'x',
  group: 'size',
  name: 'x',
  value,
  unit,
  working: [],
  rule: '',
});

describe('figures on the sheet', () => {
  test.each([
    [[148, 210], 'mm', '148 × 210', '≈ 5.83 × 8.27 in'],
    [[139.7, 215.9], 'in', '5.5 × 8.5', '139.7 × 215.9 mm'],
    [[3, 3, 3, 3], 'mm', '3', '≈ 0.12 in'],
    [[3, 5, 3, 3], 'mm', '3 5 3 3', 'top right bottom left'],
    [25.4, 'mm', '25.4', '1 in'],
  ] as const)('%j in %s', (value, unit, shown, other) => {
    expect(figureText(figure(value), unit)).toEqual({ value: shown, unit, other });
  });
  test('what is no length has its own unit and no other', () => {
    expect(figureText(figure(300, 'ppi'), 'in')).toEqual({ value: '300', unit: 'ppi', other: '' });
  });
});

describe('overriding', () => {
  test.each(OVERRIDE_FIELDS)('%s: is marked, and taken back leaves the job as it was', (field) => {
    const job = makeJob();
    const set = produce(job, (d) => overrideFigure(d, field, 123));
    const found = (j: Job) => j.pieces.flatMap((p) => blankOf(j, p).figures).find((f) => f.id === field);
    expect(found(set)?.override?.field).toBe(field);
    expect(found(job)?.override).toBeUndefined();
    expect(JSON.stringify(produce(set, (d) => restoreFigure(d, field)))).toBe(JSON.stringify(job));
  });
});

test.each([
  [null, 'no due date'],
  ['2026-11-25', 'due Wed 25 Nov · today'],
  ['2026-11-26', 'due Thu 26 Nov · tomorrow'],
  ['2026-12-11', 'due Fri 11 Dec · 16 d'],
  ['2026-11-20', 'due Fri 20 Nov · 5 d late'],
])('due %s', (due, expected) => expect(dueWords(due, new Date(2026, 10, 25, 14))).toBe(expected));

test.each([
  [{ key: 'z', ctrlKey: true }, 'Ctrl+Z'],
  [{ key: 'Z', ctrlKey: true, shiftKey: true }, 'Ctrl+Shift+Z'],
  [{ key: 'z', metaKey: true }, 'Ctrl+Z'],
  [{ key: '}', shiftKey: true }, '}'],
  [{ key: 'ArrowUp', shiftKey: true }, 'Shift+ArrowUp'],
  [{ key: '3', altKey: true }, 'Alt+3'],
  [{ key: ' ' }, 'Space'],
])('a key press %j is written %s', (event, expected) => {
  expect(keyOf({ ctrlKey: false, metaKey: false, shiftKey: false, altKey: false, ...event })).toBe(expected);
});

test('differences between two versions, in sentences', () => {
  const before = makeJob([box('a', [0, 0, 10, 10]), words('gone', 'x', [0, 0, 10, 10])]);
  const after = { ...makeJob([box('a', [5, 0, 10, 10]), box('new', [0, 0, 5, 5])], {}, { sides: 2 }), name: 'Other' };
  expect(describeDifferences(before, after)).toEqual([
    'name: "Test job" → "Other"',
    'sides: 1 → 2',
    'front: a was changed',
    'front: new was added',
    'front: gone was taken out',
  ]);
  expect(describeDifferences(before, before)).toEqual(['Nothing differs.']);
  expect(before.pieces.flatMap(elementsOf)).toHaveLength(2);
});
