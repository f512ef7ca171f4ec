import { blankOf, elementsOn, type DocumentAsset } from '../job';
import { edges } from '../layout';
import { beginFromDocument, kindsFor, usualBeyond } from './begin-from-document';
import { pieceOf } from './on-side';

const sha = 'a'.repeat(64);
const ABOUT = { id: 'new', name: 'Handed in', unit: 'mm' } as const;

const asset = (pages: number, more: Partial<DocumentAsset['pages'][number]> = {}): DocumentAsset => ({
  kind: 'document',
  name: 'client.pdf',
  pages: Array.from({ length: pages }, () => ({ width: 148, height: 210, ...more })),
});

function begun(document: DocumentAsset, wish: Partial<Parameters<typeof beginFromDocument>[1]> = {}) {
  const started = beginFromDocument({ sha, asset: document }, { kind: 'flyer', ...wish }, ABOUT);
  if (!started.ok) throw new Error(started.error.message);
  const piece = pieceOf(started.job);
  const sides = blankOf(started.job, piece).surfaces.map(({ name }) => elementsOn(piece, name));
  return { job: started.job, piece, sides };
}

test('a page of A5 becomes a flyer of one side at its size, the page on it whole', () => {
  const { job, piece, sides } = begun(asset(1));
  expect(piece.decisions).toMatchObject({ size: { width: 148, height: 210 }, sides: 1 });
  expect(sides).toHaveLength(1);
  expect(sides[0]).toMatchObject([{ kind: 'page', document: sha, page: 1, beyond: 'mirrored', name: 'client' }]);
  expect(job.assets[sha]).toEqual(asset(1));
});

test('two pages are front and back', () => {
  const { sides } = begun(asset(2), { kind: 'postcard', beyond: 'stretched' });
  expect(sides.map(([first]) => first?.kind === 'page' && [first.page, first.beyond])).toEqual([
    [1, 'stretched'],
    [2, 'stretched'],
  ]);
});

test('six pages are a booklet of eight, the last two empty', () => {
  const { piece, sides } = begun(asset(6), { kind: 'booklet' });
  expect(piece.decisions).toMatchObject({ pages: 8 });
  expect(sides.map((list) => list.length)).toEqual([1, 1, 1, 1, 1, 1, 0, 0]);
});

test('a size that is typed stands instead of the file’s own; one that cannot be read is said', () => {
  expect(begun(asset(1), { size: 'A4' }).piece.decisions).toMatchObject({ size: { width: 210, height: 297 } });
  const refused = beginFromDocument({ sha, asset: asset(1) }, { kind: 'flyer', size: 'A5 x' }, ABOUT);
  expect(refused).toMatchObject({ ok: false, parameter: 'size' });
});

test('numbers of PDF points come out as the paper sizes they stand for', () => {
  // 595.276 × 841.89 pt, as most programs write A4.
  const a4 = asset(1, { width: (595.276 / 72) * 25.4, height: (841.89 / 72) * 25.4 });
  expect(begun(a4).piece.decisions).toMatchObject({ size: { width: 210, height: 297 } });
});

test('pages that make no such piece are refused, with what they can be', () => {
  const refused = beginFromDocument({ sha, asset: asset(3) }, { kind: 'flyer' }, ABOUT);
  expect(refused).toMatchObject({
    ok: false,
    error: { message: '3 pages make no flyer. They can be: booklet.' },
  });
  expect(kindsFor(1).map(({ kind }) => kind)).toEqual(expect.arrayContaining(['flyer', 'poster', 'business-card']));
});

test.each([
  [undefined, 'mirrored'],
  [edges(2), 'mirrored'],
  [edges(3), 'own'],
  [{ ...edges(5), left: 0 }, 'mirrored'],
] as const)('with %j beyond its trim a page is usually bled by %s', (beyond, way) => {
  const document = asset(1, beyond && { beyond });
  expect(usualBeyond(document, 3)).toBe(way);
  expect(begun(document).sides[0]).toMatchObject([{ beyond: way }]);
});
