/** A folder of panels whose folds lie off, folded: worked by hand. */
import { begin } from '../../testing/jobs';
import { blankOf } from '../job';
import { movePoint, posesAt } from '../fold';
import { linesOn } from '../marks';
import { pieceOf } from '../edit';
import { driftedFolding, rankedByFolds } from './folded';
import { drawCopies } from './copies';

const job = begin('brochure', { fold: 'half', size: '200 x 210 mm' });
const blank = blankOf(job, pieceOf(job));
const { folding } = blank;
if (!folding) throw new Error('it does not fold');
const surface = blank.surfaces.find((s) => s.name === folding.up);
if (!surface) throw new Error('no side');
const lines = linesOn(surface, { lines: [] }).filter(({ process }) => process === 'fold' || process === 'score');

const folded = (off: number) => {
  const drifted = driftedFolding(folding, lines, [off]);
  const poses = posesAt(drifted, drifted.steps.length);
  return drifted.parts.map(({ outline }, i) =>
    outline.map((p) => (poses[i] ? movePoint(poses[i], [p.x, p.y, 0]) : [p.x, p.y, 0])).map(([x = 0]) => x),
  );
};

test('a fold in its place brings both edges together', () => {
  const [left = [], right = []] = folded(0);
  expect(Math.max(...left) - Math.min(...left)).toBeCloseTo(100, 6);
  expect(Math.max(...left)).toBeCloseTo(Math.max(...right), 6);
  expect(Math.min(...left)).toBeCloseTo(Math.min(...right), 6);
});

test('a fold that lies 1 mm to the right leaves one panel 2 mm short of the other', () => {
  const [left = [], right = []] = folded(1);
  const wide = (xs: readonly number[]) => Math.max(...xs) - Math.min(...xs);
  expect(wide(left)).toBeCloseTo(101, 6);
  expect(wide(right)).toBeCloseTo(99, 6);
});

test('what does not lie on the fold stays where it is', () => {
  const drifted = driftedFolding(folding, lines, [0.7]);
  const moved = drifted.parts.flatMap(({ outline }, i) =>
    outline.filter((p, n) => JSON.stringify(p) !== JSON.stringify(folding.parts[i]?.outline[n])),
  );
  expect(moved.every(({ x }) => Math.abs(x - 100.7) < 1e-9)).toBe(true);
  expect(moved).toHaveLength(4);
});

test('copies by how far their folds lie off', () => {
  const line = {
    trimming: { by: 'guillotine', moves: 'edges', figures: { drift: 1, deeper: 0, pile: 0, turn: 0 }, rule: '' },
    back: { drift: 0, deeper: 0, pile: 0, turn: 0 },
    folder: { drift: 0.5, deeper: 0, pile: 0, turn: 0 },
    folds: 2,
    passes: [],
    thickness: 0.1,
  } as const;
  const copies = drawCopies(line, { copies: 200, seed: 3 });
  const order = rankedByFolds(copies);
  const off = order.map((i) => Math.max(...(copies[i]?.folds ?? [0]).map(Math.abs)));
  expect(off).toEqual([...off].sort((a, b) => a - b));
  expect(new Set(order).size).toBe(200);
});
