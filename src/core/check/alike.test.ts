import { box, makeJob } from '../../testing/jobs';
import { elementsOn } from '../job';
import { alike, commonFix, mendAll } from './alike';
import type { Finding } from './rule';

const BOXES = ['a', 'b', 'c'].map((id, i) => box(id, [i * 20, 0, 10, 10]));

const finding = (element: string, more: Partial<Finding> = {}): Finding => ({
  rule: 'bleed',
  severity: 'fault',
  piece: 'piece',
  surface: 'front',
  element,
  where: { x: 0, y: 0, width: 1, height: 1 },
  message: 'Stops at the trim.',
  why: 'A hair of paper shows.',
  fixes: BOXES.flatMap((e) =>
    e.id === element
      ? [{ label: 'Extend it', change: { kind: 'element' as const, element: { ...e, name: `${e.id} mended` } } }]
      : [],
  ),
  ...more,
});

test('of one rule and one weight they stand together, where the first of them stood', () => {
  const [a, b, c, d] = [finding('a'), finding('b', { rule: 'safe' }), finding('c'), finding('b', { severity: 'note' })];
  expect(alike([a, b, c, d])).toEqual([
    { rule: 'bleed', severity: 'fault', findings: [a, c] },
    { rule: 'safe', severity: 'fault', findings: [b] },
    { rule: 'bleed', severity: 'note', findings: [d] },
  ]);
  expect(alike([])).toEqual([]);
});

test('what mends each of them mends all at once', () => {
  const job = makeJob(BOXES);
  const [all] = alike([finding('a'), finding('c')]);
  if (!all) throw new Error('none');
  expect(commonFix(all)).toBe('Extend it');
  const [piece] = mendAll(job, all, 'Extend it').pieces;
  expect(piece && elementsOn(piece, 'front').map((e) => e.name)).toEqual(['a mended', 'b', 'c mended']);
});

test.each<readonly [string, readonly Finding[]]>([
  ['one alone', [finding('a')]],
  ['one has no fix', [finding('a'), finding('b', { fixes: [] })]],
  ['the same element twice', [finding('a'), finding('a')]],
  [
    'something else than an element is changed',
    [finding('a'), finding('b', { fixes: [{ label: 'Extend it', change: { kind: 'kit' } }] })],
  ],
])('%s: there is no fix for all', (_, findings) => {
  const [all] = alike(findings);
  expect(all && commonFix(all)).toBeUndefined();
});
