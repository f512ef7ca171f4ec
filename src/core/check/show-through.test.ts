/** What is dark on the back of thin paper is seen on the front. */
import { checked } from '../../testing/checked';
import { box, makeJob, words } from '../../testing/jobs';
import { process } from '../../testing/plates';
import { opacityOf, Stock } from '../shop';
import { withSide, type Element, type Job } from '../job';
import { pieceOf } from '../edit';
import { blankOf } from '../job';
import { begin } from '../../testing/jobs';
import { backOf } from './registry';

const NIGHT = box('night', [20, 30, 60, 40], { fill: process(100, 80, 30, 40) });
const TEXT = words('t', 'Open night', [20, 20, 80, 12]);

function leaf(back: readonly Element[], stock: object): Job {
  const job = makeJob([TEXT], { stock: Stock.parse(stock) }, { sides: 2 });
  return { ...job, pieces: job.pieces.map((piece) => withSide(piece, 'back', back)) };
}

const found = async (job: Job) => (await checked(job)).filter(({ rule }) => rule === 'show-through');
const THIN = { kind: 'uncoated', grammage: 80 };

test('on thin paper, with how much of it, and where it is seen from the front', async () => {
  const [finding, ...others] = await found(leaf([NIGHT], THIN));
  expect(others).toEqual([]);
  expect(finding).toMatchObject({ surface: 'front', severity: 'note', where: { x: 68, y: 30, width: 60, height: 40 } });
  expect(finding?.message).toContain('About 8 % of a dark area on the back shows through');
});

test.each([
  ['heavier paper', [NIGHT], { kind: 'uncoated', grammage: 150 }],
  ['one whose opacity was measured', [NIGHT], { ...THIN, opacity: 97 }],
  ['a pale area', [box('pale', [20, 30, 60, 40], { fill: process(10, 5, 0, 0) })], THIN],
  ['a small one', [box('dot', [20, 30, 10, 10], { fill: process(100, 80, 30, 40) })], THIN],
  ['words alone', [TEXT], THIN],
])('not with %s', async (_, back, stock) => {
  expect(await found(leaf(back as readonly Element[], stock))).toEqual([]);
});

test('opacity by weight: more for heavier, none for film, what was measured before all', () => {
  const of = (stock: object) => opacityOf(Stock.parse(stock)).percent;
  expect(of({ kind: 'uncoated', grammage: 80 })).toBeCloseTo(92, 0);
  expect(of({ kind: 'coated', grammage: 115 })).toBeCloseTo(96.4, 0);
  expect(of({ kind: 'newsprint', grammage: 52 })).toBeCloseTo(94.3, 0);
  expect(of({ kind: 'uncoated', grammage: 120 })).toBeGreaterThan(of({ kind: 'uncoated', grammage: 100 }));
  expect(of({ clear: true, opacity: 90 })).toBe(0);
  expect(of({ kind: 'coated', grammage: 80, opacity: 88.5 })).toBe(88.5);
});

test('the other side of a leaf', () => {
  const of = (kind: string, set: Record<string, string>) => {
    const job = begin(kind, set);
    return blankOf(job, pieceOf(job));
  };
  const flyer = of('flyer', { sides: '2' });
  expect([backOf(flyer, 'front'), backOf(flyer, 'back'), backOf(flyer, 'nowhere')]).toEqual([
    'back',
    'front',
    undefined,
  ]);
  expect(backOf(of('flyer', { sides: '1' }), 'front')).toBeUndefined();
  const booklet = of('booklet', { pages: '8' });
  expect([backOf(booklet, 'page 1'), backOf(booklet, 'page 4')]).toEqual(['page 2', 'page 3']);
});
