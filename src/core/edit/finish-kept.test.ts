import {
  copiedTo,
  describeDifferences,
  elementsOn,
  withSide,
  readJob,
  remade,
  type Finishing,
  type Job,
  type Piece,
  finishOn,
} from '../job';
import { openDesk, plateItems, sidePlates } from '../../output';
import { coverageOf } from '../../paint/plates';
import { begin, inMemory, makeJob, shape } from '../../testing/jobs';
import { formatOf } from '../format';
import { editFinish } from './finish';
import { withPagesDuplicated, withPagesInserted, withPagesMoved, withoutPages } from './pages';
import { kitOf, takeKit } from './kit';

const MOON = shape('moon', [10, 10, 20, 20], { form: 'ellipse' });
const coat = (spread = 0.4): Finishing => ({
  does: 'coat',
  id: 'coat',
  coating: 'uv',
  of: { from: 'elements', elements: ['moon'] },
  spread,
});
const format = (kind: string) => {
  const found = formatOf(kind);
  if (!found) throw new Error(kind);
  return found;
};
const pieceOf = (job: Job): Piece => {
  const [piece] = job.pieces;
  if (!piece) throw new Error('no piece');
  return piece;
};

/** A moon under UV on one side of a job. */
function coated(job: Job, side: string): Job {
  const laid = { ...job, pieces: job.pieces.map((p) => withSide(p, side, [MOON])) };
  return editFinish(laid, pieceOf(laid).id, side, () => [coat()]);
}

describe('what is done to a page goes with it', () => {
  const job = coated(begin('booklet', { pages: '8' }), 'page 3');
  const piece = pieceOf(job);
  const sides = (p: Piece) => Object.keys(p.finish ?? {}).sort();
  let n = 0;
  const fresh = () => `fresh${(n += 1)}`;

  test('when pages are put in before it, moved, or taken out', () => {
    expect(sides(withPagesInserted(job, piece, 2, 4))).toEqual(['page 7']);
    expect(sides(withPagesMoved(piece, { from: 3, to: 3 }, 1))).toEqual(['page 1']);
    expect(sides(withoutPages(job, piece, { from: 3, to: 6 }))).toEqual([]);
  });

  test('and its copy has its own, which follows the copy’s elements', () => {
    const twice = withPagesDuplicated(job, piece, { from: 3, to: 3 }, fresh);
    expect(sides(twice)).toEqual(['page 3', 'page 4']);
    const [copy] = finishOn(twice, 'page 4');
    const [moon] = elementsOn(twice, 'page 4');
    expect(copy?.id).not.toBe('coat');
    expect(copy).toMatchObject({ of: { elements: [moon?.id] } });
  });
});

test('another kind of piece keeps it on the side that comes in its place', () => {
  const job = coated(makeJob(), 'front');
  const card = remade(job, pieceOf(job), format('folded-card'));
  expect(Object.values(card.finish ?? {})).toEqual([[coat()]]);
  expect(Object.keys(card.finish ?? {})).toEqual([
    Object.keys(card.surfaces).find((side) => elementsOn(card, side).length > 0),
  ]);
});

test('a copy twice as large has its spread twice as wide', () => {
  const job = coated(makeJob(), 'front');
  const copy = copiedTo(job, format('flyer'), { size: 'A3' }, { id: 'copy', name: 'Copy', times: 2 });
  if (!copy.ok) throw new Error('no copy');
  expect(finishOn(pieceOf(copy.job), 'front')).toEqual([coat(0.8)]);
});

test('what came, went or changed is said by what it follows', () => {
  const before = coated(makeJob(), 'front');
  const after = editFinish(before, 'flyer', 'front', (list) => [
    ...list.map(() => coat(1)),
    { does: 'flood', id: 'all', coating: 'varnish-gloss' },
  ]);
  expect(describeDifferences(before, after)).toEqual([
    'front: uv, moon, was changed',
    'front: varnish gloss, all over: a note for the printer, no plate, was added',
  ]);
  expect(
    describeDifferences(
      before,
      editFinish(before, 'flyer', 'front', () => []),
    ),
  ).toEqual(['front: uv, moon, was taken out']);
});

test('a job that prints with an ink it does not have is refused, by the name of the ink', () => {
  const spot = {
    ...MOON,
    fill: { kind: 'spot' as const, c: 0, m: 0, y: 0, k: 0, spots: [{ ink: 'Silver', tint: 100 }] },
  };
  const lost = readJob(JSON.parse(JSON.stringify(makeJob([spot]))));
  expect(JSON.stringify(lost)).toContain('The ink “Silver” is used but not listed under inks.');
  const known = makeJob([spot], { inks: [{ name: 'Silver', finish: 'metallic', c: 0, m: 0, y: 0, k: 40 }] });
  expect(readJob(JSON.parse(JSON.stringify(known))).ok).toBe(true);
  // A kit brings the inks that its colours are printed with.
  expect(takeKit(makeJob(), kitOf(known, 'Quillrook')).inks).toEqual(known.inks);
});

test('varnish on a label lies on every label of its sheet', async () => {
  const job = begin('labels', { size: '60x60mm', sheet: 'A4', across: '2', down: '3' });
  const [label] = (await openDesk(job, inMemory())).sides;
  const desk = await openDesk(coated(job, label?.surface.name ?? ''), inMemory());
  const sheet = desk.sides.find((s) => s.surface.repeats);
  if (!sheet?.surface.repeats) throw new Error('no sheet');
  const { bleed } = sheet.surface.boxes;
  const items = plateItems(desk, sheet, new Date(0), { marks: false });
  const plates = await sidePlates(desk, sheet, items, { box: bleed, scale: 8 });
  const share = coverageOf(plates, { x: 0, y: 0, width: plates.width, height: plates.height }).get('UV') ?? 0;
  const all = sheet.surface.repeats.at.length * Math.PI * 10.4 ** 2;
  expect(sheet.surface.repeats.at).toHaveLength(6);
  expect(Math.abs((share * plates.width * plates.height) / 64 - all) / all).toBeLessThan(0.001);
});
