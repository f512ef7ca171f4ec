import { OVERRIDE_FIELDS, type Figure } from '@/core/figure';
import { Element, blankOf, describeDifferences, elementsOf, tableOfWords, type Job } from '@/core/job';
import { box, makeJob, words } from '@/testing/jobs';
import { dueWords } from './shell/moments';
import { keyOf } from './open-job/command';
import { figureText } from './sheet/figure-text';
import { overrideFigure, nextName, nextVersion } from '@/core/edit';

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
    const set = overrideFigure(job, field, 123);
    const found = (j: Job) => j.pieces.flatMap((p) => blankOf(j, p).figures).find((f) => f.id === field);
    expect(found(set)?.override?.field).toBe(field);
    expect(found(job)?.override).toBeUndefined();
    expect(JSON.stringify(overrideFigure(set, field, undefined))).toBe(JSON.stringify(job));
  });
});

test.each([
  [null, 'no due date'],
  ['2026-11-25', 'due Wed 25 Nov · today'],
  ['2026-11-26', 'due Thu 26 Nov · tomorrow'],
  ['2026-12-11', 'due Fri 11 Dec · 16 d'],
  ['2026-11-20', 'due Fri 20 Nov · 5 d late'],
  ['2027-08-12', 'due Thu 12 Aug 2027 · 260 d'],
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

test('words and pictures that changed are told, and nothing of the rest', () => {
  const table = (time: string) =>
    Element.parse({
      kind: 'table',
      id: 't',
      name: 'Programme',
      placement: words('x', '', [0, 0, 9, 9]).placement,
      ...tableOfWords([
        ['20:30', 'Doors'],
        [time, 'Talk'],
      ]),
    });
  const frame = (sha: string) =>
    Element.parse({
      kind: 'picture',
      id: 'p',
      name: 'Moon',
      placement: words('x', '', [0, 0, 9, 9]).placement,
      picture: sha.repeat(64),
    });
  const asset = (name: string) =>
    ({
      kind: 'picture',
      name,
      format: 'jpeg',
      width: 9,
      height: 9,
      colour: 'rgb',
      profile: null,
      alpha: false,
    }) as const;
  const assets = { ['a'.repeat(64)]: asset('old.jpg'), ['b'.repeat(64)]: asset('new.jpg') };
  const date = (text: string, more = {}) => ({ ...words('d', text, [0, 0, 50, 10]), name: 'Date', ...more });
  const before = makeJob([date('12 August 2026'), table('21:00'), frame('a')], { assets });
  const after = nextVersion(makeJob([date('11 August 2027'), table('21:15'), frame('b')], { assets }), 'next', 3);
  expect(describeDifferences(before, after)).toEqual([
    'name: "Test job" → "Test job 2"',
    'front: Date says “11 August 2027”, not “12 August 2026”',
    'front: Programme says “21:15”, not “21:00”',
    'front: Moon shows new.jpg, not old.jpg',
  ]);
  expect(
    describeDifferences(before, makeJob([date('Soon', { opacity: 0.5 }), table('21:00'), frame('a')], { assets })),
  ).toEqual(['front: Date says “Soon”, not “12 August 2026”, and looks otherwise']);
  expect(after.previous).toEqual({ job: before.id, revision: 3 });
});

test.each([
  ['Moon calendar 2028', 'Moon calendar 2029'],
  ['2026 report, 2nd proof', '2027 report, 2nd proof'],
  ['Meteor-night flyer', 'Meteor-night flyer 2'],
  ['Meteor-night flyer 2', 'Meteor-night flyer 3'],
])('the version after “%s” is called “%s”', (name, next) => expect(nextName(name)).toBe(next));

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
