import { itemsOf, leavesOf, type Drawing, type GlyphItem } from '../drawing';
import { Element, FIELDS, type ElementInput, type Paragraph } from '../element';
import { blankOf, elementsOn, sideOfBase, surfacesToLay, withSide, type Job, type Piece } from '../job';
import { apply, bleedOut, mappedBounds, pathBounds } from '../layout';
import { openDesk } from '../../output';
import { begin, box, inMemory, words } from '../../testing/jobs';
import { createComposer } from './piece';
import { composeContextOf } from './context';
import { withBase } from '../edit';

const book = (): Job => {
  const job = begin('catalogue', { size: '100x150mm', pages: '32' });
  return {
    ...job,
    styles: [
      { of: 'paragraph', id: 'heading', name: 'Heading', basedOn: null, next: null, look: {} },
      { of: 'paragraph', id: 'body', name: 'Body', basedOn: null, next: null, look: {} },
    ],
  };
};

const pieceOf = (job: Job): Piece => {
  const [piece] = job.pieces;
  if (!piece) throw new Error('no piece');
  return piece;
};

const laid = (job: Job, change: (piece: Piece) => Piece): Job => ({ ...job, pieces: [change(pieceOf(job))] });

const textOn = (drawing: Drawing | undefined, id: string): string =>
  leavesOf(drawing?.frames.find((f) => f.element === id)?.items ?? [])
    .flatMap((i): GlyphItem[] => (i.kind === 'glyphs' ? [i] : []))
    .flatMap((i) => i.glyphs.map((g) => g.text))
    .join('');

const drawnOf = async (job: Job) => {
  const desk = await openDesk(job, inMemory());
  return (side: string) => desk.sides.find((s) => s.surface.name === side)?.drawing;
};

const styled = (style: string, text: string): Paragraph => ({ style, runs: text === '' ? [] : [{ text }] });

test('page numbers in every style, counted from the first page’s number; a cover has none', async () => {
  const line = [FIELDS.page, FIELDS['page-i'], FIELDS['page-I'], FIELDS['page-a'], FIELDS['page-A'], FIELDS.pages].join(
    '/',
  );
  const numbered = laid(book(), (p) =>
    ['page 1', 'page 4', 'page 14', 'cover outside'].reduce<Piece>(
      (q, side, i) => withSide(q, side, [words(`t${i}`, line, [5, 5, 90, 10])]),
      { ...p, numbering: { first: 3, heads: null } },
    ),
  );
  const on = await drawnOf(numbered);
  expect(textOn(on('page 1'), 't0')).toBe('3/iii/III/c/C/32');
  expect(textOn(on('page 4'), 't1')).toBe('6/vi/VI/f/F/32');
  expect(textOn(on('page 14'), 't2')).toBe('16/xvi/XVI/p/P/32');
  expect(textOn(on('cover outside'), 't3')).toBe('/////32');
});

test('a running head repeats the heading of its page, or the last before; one in two paragraphs is one', async () => {
  const job = laid(book(), (p) => {
    const heading = (id: string, paragraphs: readonly Paragraph[]) =>
      ({ ...words(id, '', [5, 30, 90, 60]), paragraphs }) as Element;
    const heads = { ...p, numbering: { first: 1, heads: 'heading' } };
    const filled = withSide(
      withSide(heads, 'page 2', [
        heading('a', [styled('heading', 'First'), styled('heading', 'light'), styled('body', 'Text')]),
      ]),
      'page 4',
      [heading('b', [styled('body', 'Text'), styled('heading', 'Ring')])],
    );
    return ['page 1', 'page 2', 'page 3', 'page 4', 'page 9'].reduce<Piece>(
      (q, side, i) => withSide(q, side, [...elementsOn(q, side), words(`h${i}`, `${FIELDS.head}.`, [5, 5, 90, 10])]),
      filled,
    );
  });
  const on = await drawnOf(job);
  expect(['page 1', 'page 2', 'page 3', 'page 4', 'page 9'].map((side, i) => textOn(on(side), `h${i}`))).toEqual([
    '.',
    'First light.',
    'First light.',
    'Ring.',
    'Ring.',
  ]);
});

const across = (id: string, x: ElementInput['placement']['x']): Element =>
  Element.parse({
    kind: 'shape',
    id,
    placement: { against: { box: 'spread' }, x, y: { start: 0, size: 40 } },
    shape: { form: 'rectangle' },
    fill: { kind: 'process', c: 80, m: 0, y: 0, k: 0 },
  });

describe('across the spine', () => {
  const boundsOf = (drawing: Drawing | undefined) =>
    leavesOf(drawing ? itemsOf(drawing) : []).flatMap((i) =>
      i.kind === 'path' ? [mappedBounds(pathBounds(i.path), i.matrix)] : [],
    );

  test('what is held against both pages is on both, joined at the spine, with bleed at both outer edges', async () => {
    const on = await drawnOf(laid(book(), (p) => withSide(p, 'page 4', [across('a', { start: 0, end: 0 })])));
    const [left] = boundsOf(on('page 4'));
    const [right] = boundsOf(on('page 5'));
    // Two pages of 100 mm and 3 mm of bleed around them.
    expect(left).toMatchObject({ x: -3, y: -3, width: 206, height: 43 });
    expect(right).toMatchObject({ x: -103, y: -3, width: 206, height: 43 });
    expect(on('page 3')?.repeated).toEqual([]);
    expect(on('page 6')?.repeated).toEqual([]);
  });

  test('from the right-hand page too; what ends at the spine stays on its page', async () => {
    const on = await drawnOf(
      laid(book(), (p) =>
        withSide(withSide(p, 'page 5', [across('a', { end: 20, size: 120 })]), 'page 7', [
          across('b', { end: 0, size: 100 }),
        ]),
      ),
    );
    // 120 mm wide, 20 mm from the right: from 40 mm left of the spine.
    expect(boundsOf(on('page 5'))[0]).toMatchObject({ x: -40, width: 120 });
    expect(boundsOf(on('page 4'))[0]).toMatchObject({ x: 60, width: 120 });
    expect(boundsOf(on('page 6'))).toEqual([]);
  });

  test('the first page and a last left-hand one have no page beside them', async () => {
    const on = await drawnOf(laid(book(), (p) => withSide(p, 'page 32', [across('a', { start: 0, end: 0 })])));
    expect(on('page 1')?.boxes.spread).toEqual(on('page 1')?.boxes.trim);
    expect(boundsOf(on('page 32'))[0]).toMatchObject({ x: -3, width: 106 });
  });

  test('an edge on the far trim bleeds as that page does', () => {
    const trim = { x: 0, y: 0, width: 100, height: 150 };
    const bleed = { x: -2, y: -3, width: 107, height: 156 };
    const spread = { x: 0, y: 0, width: 200, height: 150 };
    // Bound at its right: outside, at the left, it bleeds 2 mm, and so does the page beside it at its right.
    expect(bleedOut({ x: 50, y: 10, width: 150, height: 20 }, true, { trim, bleed, spread })).toEqual({
      top: 0,
      right: 2,
      bottom: 0,
      left: 0,
    });
    expect(bleedOut({ x: 0, y: 0, width: 100, height: 20 }, true, { trim, bleed, spread })).toEqual({
      top: 3,
      right: 5,
      bottom: 0,
      left: 2,
    });
  });
});

describe('drawing what is asked for', () => {
  const composed = async () => {
    const job = laid(book(), (p) => {
      const based = withSide(
        { ...p, bases: [{ id: 'b', name: 'Base', base: null, without: [], facts: {}, mirrored: true, elements: [] }] },
        sideOfBase('b'),
        [words('head', 'Quillrook', [5, 5, 60, 10])],
      );
      let n = 0;
      const following = withBase(based, ['page 2', 'page 3', 'page 4'], 'b', () => `key${(n += 1)}`);
      return withSide(withSide(following, 'page 7', [box('own', [10, 10, 20, 20])]), 'page 4', [
        ...elementsOn(following, 'page 4'),
        across('a', { start: 0, end: 0 }),
      ]);
    });
    const desk = await openDesk(job, inMemory());
    const piece = pieceOf(job);
    const composer = createComposer(composeContextOf(job, 300, desk.resources));
    return { piece, composer, surfaces: surfacesToLay(blankOf(job, piece), piece) };
  };

  test('some sides drawn alone are as they are among all', async () => {
    const { piece, composer, surfaces } = await composed();
    const alone = composer.piece(piece, surfaces, ['page 5', sideOfBase('b'), 'page 2']).drawings;
    const other = await composed();
    const all = other.composer.piece(other.piece, other.surfaces).drawings;
    for (const drawing of alone) expect(drawing).toEqual(all.find((d) => d.surface === drawing.surface));
    expect(alone.map((d) => d.surface)).toEqual(['page 5', sideOfBase('b'), 'page 2']);
  });

  test('a layout changed is drawn anew on the pages that follow it, and on no other', async () => {
    const { piece, composer, surfaces } = await composed();
    const before = composer.piece(piece, surfaces).drawings;
    const moved = withSide(
      piece,
      sideOfBase('b'),
      elementsOn(piece, sideOfBase('b')).map((e) => ({ ...e, opacity: 0.5 })),
    );
    const after = composer.piece(moved, surfaces).drawings;
    const changed = after.filter((d, i) => d !== before[i]).map((d) => d.surface);
    // Page 5 shows what crosses from page 4, which is drawn as before.
    expect(changed.filter((side) => side !== 'page 5')).toEqual(['page 2', 'page 3', 'page 4', sideOfBase('b')]);
  });

  test('a mirrored item stands as far from its outer edge on the left as on the right', async () => {
    const { piece, composer, surfaces } = await composed();
    const [left, right] = composer.piece(piece, surfaces, ['page 2', 'page 3']).drawings;
    const [a, b] = [left?.frames[0]?.rect, right?.frames[0]?.rect];
    expect((a?.x ?? 0) + (a?.width ?? 0)).toBeCloseTo(100 - (b?.x ?? NaN), 9);
    expect(apply([1, 0, 0, 1, 0, 0], a ?? { x: 0, y: 0 }).y).toBe(b?.y);
  });
});
