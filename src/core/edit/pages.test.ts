import {
  Element,
  plainText,
  type ElementInput,
  asInLayout,
  elementsOn,
  mapElements,
  readLayouts,
  sideOfBase,
  withSide,
  readJob,
  startJob,
  type Job,
  type Piece,
} from '../job';
import { formatOf } from '../format';
import {
  movesOf,
  pageCount,
  withBase,
  withNewBase,
  withPagesDuplicated,
  withPagesInserted,
  withPagesMoved,
  withoutBase,
  withoutPages,
} from './pages';
import { fillPages } from './fill-pages';

const text = (id: string, words: string, more: Partial<ElementInput> = {}): Element =>
  Element.parse({
    kind: 'text',
    id,
    name: id,
    placement: { against: { box: 'safe' }, x: { start: 2, size: 40 }, y: { start: 0, size: 10 } },
    paragraphs: [{ runs: [{ text: words }] }],
    ...more,
  });

const frame = (id: string, more: Partial<ElementInput> = {}): Element =>
  Element.parse({
    kind: 'picture',
    id,
    name: id,
    placement: { against: { box: 'trim' }, x: { start: 0, end: 0 }, y: { start: 0, size: 60 } },
    picture: null,
    ...more,
  });

let count = 0;
const fresh = () => `new${(count += 1)}`;

function book(pages = 32): Job {
  const catalogue = formatOf('catalogue');
  if (!catalogue) throw new Error('no catalogue');
  const started = startJob(catalogue, { size: 'A5', pages: String(pages) }, { id: 'job', name: 'Book', unit: 'mm' });
  if (!started.ok) throw new Error(started.error.message);
  return started.job;
}

const pieceOf = (job: Job): Piece =>
  job.pieces[0] ??
  (() => {
    throw new Error('no piece');
  })();
const wordsOn = (piece: Piece, side: string) =>
  elementsOn(piece, side).map((e) => (e.kind === 'text' ? plainText(e.paragraphs) : e.kind));

/** A book with a base of a head and a caption that stands below it, on pages 2 to 5. */
function laid(): Piece {
  const piece = pieceOf(book());
  const items = [
    text('head', 'Quillrook'),
    text('caption', 'Caption', {
      placement: {
        against: { box: 'element', element: 'head', part: 'past' },
        x: { start: 0, size: 30 },
        y: { start: 3, size: 8 },
      },
    }),
  ];
  const based = withSide(
    { ...piece, bases: [{ id: 'b', name: 'Base', base: null, without: [], facts: {}, mirrored: true, elements: [] }] },
    sideOfBase('b'),
    items,
  );
  return withBase(based, ['page 2', 'page 3', 'page 4', 'page 5'], 'b', fresh);
}

const edit = (piece: Piece, side: string, name: string, more: Partial<Element>): Piece =>
  withSide(
    piece,
    side,
    elementsOn(piece, side).map((e) => (e.name === name ? ({ ...e, ...more } as Element) : e)),
  );

describe('base layouts', () => {
  test('a page shows the items under ids of its own, held to each other', () => {
    const piece = laid();
    const [head, caption] = elementsOn(piece, 'page 3');
    const [otherHead] = elementsOn(piece, 'page 5');
    expect(head?.id).not.toBe(otherHead?.id);
    expect(caption?.placement.against).toEqual({ box: 'element', element: head?.id, part: 'past' });
    expect(piece.surfaces['page 3']).toBeUndefined();
    expect(elementsOn(piece, 'page 6')).toEqual([]);
    // Asked again, the same objects: nothing need be drawn anew.
    expect(elementsOn(piece, 'page 3')).toBe(elementsOn({ ...piece, name: 'other' }, 'page 3'));
  });

  test('on left-hand pages left and right change places', () => {
    const piece = laid();
    const left = elementsOn(piece, 'page 2')[0];
    expect(left?.placement.x).toEqual({ end: 2, size: 40 });
    const caption = elementsOn(piece, 'page 2')[1];
    // Its left edge was the head’s right edge; now its right edge is the head’s left one. Below stays below.
    expect(caption?.placement.against).toMatchObject({ part: 'past' });
    expect(caption?.placement.x).toMatchObject({ end: 0, size: 30, of: { box: 'element', part: 'before' } });
    const plain = { ...piece, bases: piece.bases.map((b) => ({ ...b, mirrored: false })) };
    expect(elementsOn(plain, 'page 2')[0]?.placement.x).toEqual({ start: 2, size: 40 });
  });

  test('what is changed of the layout is changed on every page, but not what a page says otherwise', () => {
    const own = edit(laid(), 'page 3', 'head', { paragraphs: [{ runs: [{ text: 'Moor' }] }] });
    expect(Object.keys(own.layouts['page 3']?.facts['head'] ?? {})).toEqual(['paragraphs']);
    const moved = edit(own, sideOfBase('b'), 'head', {
      placement: {
        against: { box: 'safe' },
        x: { start: 9, size: 40 },
        y: { start: 5, size: 10 },
        rotate: 0,
        shear: 0,
      },
      paragraphs: [{ runs: [{ text: 'Society' }] }],
    });
    expect(wordsOn(moved, 'page 3')).toEqual(['Moor', 'Caption']);
    expect(wordsOn(moved, 'page 5')).toEqual(['Society', 'Caption']);
    expect(elementsOn(moved, 'page 3')[0]?.placement.x).toEqual({ start: 9, size: 40 });
    // Said as the layout says it, it follows again.
    const item = asInLayout(moved, 'page 3', elementsOn(moved, 'page 3')[0]?.id ?? '');
    const back = edit(moved, 'page 3', 'head', { ...(item?.kind === 'text' && { paragraphs: item.paragraphs }) });
    expect(back.layouts['page 3']?.facts).toEqual({});
  });

  test('an item deleted on a page is left out there alone; own elements lie above', () => {
    const piece = laid();
    const without = withSide(piece, 'page 3', [...elementsOn(piece, 'page 3').slice(1), text('own', 'Own')]);
    expect(wordsOn(without, 'page 3')).toEqual(['Caption', 'Own']);
    expect(without.layouts['page 3']?.without).toEqual(['head']);
    expect(without.surfaces['page 3']?.map((e) => e.id)).toEqual(['own']);
    expect(wordsOn(without, 'page 5')).toEqual(['Quillrook', 'Caption']);
  });

  test('a layout based on another has its items, says some otherwise, and adds its own', () => {
    const piece = laid();
    const child = {
      ...piece,
      bases: [
        ...piece.bases,
        {
          id: 'c',
          name: 'Child',
          base: 'b',
          without: [],
          facts: {},
          mirrored: true,
          elements: [text('extra', 'Extra')],
        },
      ],
    };
    const said = edit(child, sideOfBase('c'), 'caption', { paragraphs: [{ runs: [{ text: 'Child caption' }] }] });
    const page = withBase(said, ['page 7'], 'c', fresh);
    expect(wordsOn(page, 'page 7')).toEqual(['Quillrook', 'Child caption', 'Extra']);
    const changed = edit(page, sideOfBase('b'), 'head', { paragraphs: [{ runs: [{ text: 'New head' }] }] });
    expect(wordsOn(changed, 'page 7')).toEqual(['New head', 'Child caption', 'Extra']);
    expect(wordsOn(withoutBase(changed, 'b', fresh), 'page 7')).toEqual(['New head', 'Child caption', 'Extra']);
    const circle = { ...page, bases: page.bases.map((b) => (b.id === 'b' ? { ...b, base: 'c' } : b)) };
    expect(readLayouts(circle).problems[0]).toContain('based on itself');
  });

  test('a layout taken out leaves what pages say of its items through another, and what stands against them', () => {
    const child = {
      ...laid(),
      bases: [
        ...laid().bases,
        { id: 'c', name: 'Child', base: 'b', without: [], facts: {}, mirrored: false, elements: [] },
      ],
    };
    const page = edit(withBase(child, ['page 7', 'page 9'], 'c', fresh), 'page 7', 'head', { opacity: 0.4 });
    const on = elementsOn(page, 'page 7');
    const beside = text('beside', 'Beside', {
      placement: {
        against: { box: 'element', element: on[0]?.id ?? '' },
        x: { start: 1, size: 5 },
        y: { start: 1, size: 5 },
      },
    });
    const full = withSide(page, 'page 7', [...on, beside]);
    const left = withSide(full, 'page 9', elementsOn(full, 'page 9').slice(1));
    const without = withoutBase(left, 'b', fresh);
    expect(wordsOn(without, 'page 9')).toEqual(['Caption']);
    const [head, caption, own] = elementsOn(without, 'page 7');
    expect(head?.opacity).toBe(0.4);
    for (const e of [caption, own]) expect(e?.placement.against).toMatchObject({ element: head?.id });
  });

  test('an element mapped everywhere is mapped in the layout, and the pages follow', () => {
    const louder = mapElements(laid(), (e) => ({ ...e, opacity: 0.5 }));
    expect(elementsOn(louder, 'page 4').map((e) => e.opacity)).toEqual([0.5, 0.5]);
    expect(louder.layouts['page 4']?.facts).toEqual({});
  });

  test('of a page’s elements a layout is made, and the page looks the same', () => {
    const piece = withSide(pieceOf(book()), 'page 9', [text('a', 'A'), text('b', 'B')]);
    const { piece: made, id } = withNewBase(piece, 'From nine', 'page 9', fresh);
    expect(wordsOn(made, 'page 9')).toEqual(['A', 'B']);
    expect(made.surfaces['page 9']).toEqual([]);
    expect(wordsOn(made, sideOfBase(id))).toEqual(['A', 'B']);
  });

  test('a job file with layouts is read as it was written, and refused with what is wrong', () => {
    const job = book();
    const piece = edit(laid(), 'page 3', 'head', { opacity: 0.4 });
    const written = JSON.parse(JSON.stringify({ ...job, pieces: [piece] })) as Job;
    const read = readJob(written);
    expect(read.ok && read.job.pieces[0]?.layouts).toEqual(piece.layouts);
    const wrong = {
      ...written,
      pieces: [
        {
          ...piece,
          layouts: {
            'page 3': { key: 'k', base: 'b', facts: { head: { opacity: 7 } } },
            'page 5': { key: 'l', base: 'gone' },
          },
        },
      ],
    };
    const refused = readJob(JSON.parse(JSON.stringify(wrong)));
    expect(refused.ok ? [] : refused.problems).toEqual([
      expect.stringMatching(/^page 3 → head → opacity: /),
      '“page 5” follows the base layout “gone”, which is not listed.',
    ]);
  });
});

describe('pages', () => {
  const numbered = () => {
    let piece = pieceOf(book());
    for (let n = 1; n <= 8; n += 1) piece = withSide(piece, `page ${n}`, [text(`t${n}`, String(n))]);
    return piece;
  };
  const order = (piece: Piece, to = 8) =>
    Array.from({ length: to }, (_, i) => wordsOn(piece, `page ${i + 1}`).join('')).join(' ');

  test.each([
    [{ from: 2, to: 3 }, 6, '1 4 5 2 3 6 7 8'],
    [{ from: 6, to: 7 }, 2, '1 6 7 2 3 4 5 8'],
    [{ from: 1, to: 1 }, 9, '2 3 4 5 6 7 8 1'],
    [{ from: 3, to: 4 }, 5, '1 2 3 4 5 6 7 8'],
    [{ from: 3, to: 4 }, 4, '1 2 3 4 5 6 7 8'],
  ])('pages %j moved before page %i', (range, before, expected) => {
    const piece = numbered();
    const moved = withPagesMoved(piece, range, before);
    expect(order(moved)).toBe(expected);
    // What moves is told beforehand.
    for (const [was, is] of movesOf(range, before, 8)) expect(wordsOn(moved, `page ${is}`)).toEqual([String(was)]);
  });

  test('a moved page keeps what it says of its layout, under the same ids', () => {
    const piece = edit(laid(), 'page 3', 'head', { opacity: 0.4 });
    const ids = elementsOn(piece, 'page 3').map((e) => e.id);
    const moved = withPagesMoved(piece, { from: 3, to: 3 }, 10);
    expect(elementsOn(moved, 'page 9').map((e) => e.id)).toEqual(ids);
    expect(elementsOn(moved, 'page 9')[0]?.opacity).toBe(0.4);
    expect(withPagesMoved(moved, { from: 9, to: 9 }, 3)).toEqual(piece);
  });

  test('put in, as many as the binding takes; taken out again', () => {
    const job = book();
    const piece = numbered();
    const more = withPagesInserted(job, piece, 3, 2);
    expect(order(more, 10)).toBe('1 2   3 4 5 6 7 8');
    expect(pageCount(more)).toBe(34);
    // One more than a perfect-bound book takes in twos: the other stays blank at the end.
    expect(pageCount(withPagesInserted(job, piece, 3, 1))).toBe(34);
    expect(withoutPages(job, more, { from: 3, to: 4 })).toEqual(piece);
    // Never fewer than it can be bound with.
    expect(pageCount(withoutPages(job, piece, { from: 1, to: 8 }))).toBe(32);
  });

  test('duplicated with everything in the same place, each with an id of its own', () => {
    const base = laid();
    const piece = withSide(base, 'page 3', [
      ...elementsOn(base, 'page 3'),
      text('own', 'Own', {
        placement: {
          against: { box: 'element', element: elementsOn(base, 'page 3')[0]?.id ?? '' },
          x: { start: 1, size: 5 },
          y: { start: 1, size: 5 },
        },
      }),
    ]);
    const twice = withPagesDuplicated(book(), piece, { from: 2, to: 3 }, fresh);
    expect(wordsOn(twice, 'page 5')).toEqual(['Quillrook', 'Caption', 'Own']);
    expect(wordsOn(twice, 'page 7')).toEqual(['Quillrook', 'Caption']);
    const [head, , own] = elementsOn(twice, 'page 5');
    expect(own?.placement.against).toEqual({ box: 'element', element: head?.id, part: 'whole' });
    const ids = ['page 2', 'page 3', 'page 4', 'page 5'].flatMap((s) => elementsOn(twice, s).map((e) => e.id));
    expect(new Set(ids).size).toBe(ids.length);
  });
});

describe('like pages filled from rows', () => {
  const rows = {
    head: ['Head', 'Picture', 'Weather'],
    rows: [
      ['Ring', 'ring.jpg', 'x'],
      ['Owl', '', 'y'],
      ['Moon\nand more', 'gone.jpg', 'z'],
    ],
  };

  test('a cell goes where its column’s name stands; what is not there is told', () => {
    const based = withSide(laid(), sideOfBase('b'), [text('head', 'Head', { look: { sizePt: 20 } }), frame('picture')]);
    const sets = [['page 2'], ['page 3'], ['page 4'], ['page 5']];
    const filled = fillPages(based, sets, rows, new Map([['ring.jpg', 'a'.repeat(64)]]));
    expect(['page 2', 'page 3', 'page 4', 'page 5'].map((s) => wordsOn(filled.piece, s))).toEqual([
      ['Ring', 'picture'],
      ['Owl'],
      ['Moon\nand more', 'picture'],
      ['Head', 'picture'],
    ]);
    expect(filled).toMatchObject({
      unused: ['Weather'],
      missing: ['gone.jpg'],
      left: 0,
      sides: ['page 2', 'page 3', 'page 4'],
    });
    const picture = elementsOn(filled.piece, 'page 4')[1];
    expect(picture?.kind === 'picture' && picture.wants).toBe('gone.jpg');
    // Only the words are the page’s own: a larger head in the layout is larger there.
    expect(Object.keys(filled.piece.layouts['page 2']?.facts['head'] ?? {})).toEqual(['paragraphs']);
  });

  test('a row a spread: each page takes what it has a place for; rows past the last page are told', () => {
    const filled = fillPages(
      laid(),
      [
        ['page 2', 'page 3'],
        ['page 4', 'page 5'],
      ],
      rows,
      new Map(),
    );
    expect(wordsOn(filled.piece, 'page 3')).toEqual(['Ring', 'Caption']);
    expect(wordsOn(filled.piece, 'page 4')).toEqual(['Owl', 'Caption']);
    expect(filled.left).toBe(1);
  });
});
