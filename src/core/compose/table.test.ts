import * as fontkit from 'fontkit';
import { leavesOf, type Drawing, type GlyphItem } from '../drawing';
import { Element, tableOfWords, withCells, joined } from '../element';
import { boxRect, pathBounds } from '../layout';
import { ptToMm } from '../measure';
import { checkDesk, openDesk } from '../../output';
import { inMemory, makeJob, shape } from '../../testing/jobs';
import { fontBytes } from '../../testing/type';

const WORDS = [
  ['Time', 'What', 'Where'],
  ['20:30', 'Doors open', 'Observatory'],
  ['21:15', 'How a meteor burns, and why its tail is green', 'Library'],
];

const PEN = { paint: { kind: 'process', c: 0, m: 0, y: 0, k: 100 }, widthPt: 1 } as const;

const tableIn = (x: object, y: object, more: object = {}) =>
  Element.parse({
    kind: 'table',
    id: 't',
    placement: { against: { box: 'trim' }, x, y },
    ...tableOfWords(WORDS),
    ...more,
  });

const drawn = async (...elements: readonly Element[]): Promise<Drawing> => {
  const [side] = (await openDesk(makeJob(elements), inMemory())).sides;
  if (!side) throw new Error('no side');
  return side.drawing;
};

const itemsIn = (drawing: Drawing) => leavesOf(drawing.frames.find((f) => f.element === 't')?.items ?? []);
const words = (drawing: Drawing) => itemsIn(drawing).flatMap((i): GlyphItem[] => (i.kind === 'glyphs' ? [i] : []));
const sizes = (spans: readonly { readonly size: number }[] | undefined) => spans?.map((s) => s.size) ?? [];

/**
 * A row of one line of 10 pt: the font’s ascender and descender (1024 and 400 of 1000, its hhea table), 1 mm above and
 * below.
 */
const ONE = ptToMm(10 * 1.424) + 2;
const LEADING = ptToMm(12);

/** Advances as fontkit shapes them: a second shaper. */
function widthOf(text: string, sizePt: number): number {
  const font = fontkit.create(fontBytes('source-sans-3-latin-400-normal'));
  const advance = font.layout(text).positions.reduce((sum, p) => sum + p.xAdvance, 0);
  return ptToMm((advance / 1000) * sizePt);
}

test('columns are as wide as their longest line, or given, and the others share what is left', async () => {
  const drawing = await drawn(
    tableIn(
      { start: 10, size: 120 },
      { start: 10, size: 'content' },
      {
        columns: [{ width: 'content' }, { width: null }, { width: 30 }],
      },
    ),
  );
  const [time, what, where] = sizes(drawing.boxes.grids['t']?.columns);
  // The usual cell has 1.5 mm of room left and right.
  const longest = Math.max(...['Time', '20:30', '21:15'].map((w) => widthOf(w, 10))) + 3;
  expect(time).toBeCloseTo(longest, 3);
  expect(where).toBe(30);
  expect(what).toBeCloseTo(120 - longest - 30, 6);
  const [head, first, second] = sizes(drawing.boxes.grids['t']?.rows);
  expect(head).toBeCloseTo(ONE, 6);
  expect(first).toBeCloseTo(ONE, 6);
  expect(second).toBeCloseTo(ONE, 6);
});

test('a row is as high as the highest of its cells; a table that is higher gives the rest to its rows', async () => {
  const narrow = await drawn(tableIn({ start: 10, size: 66 }, { start: 10, size: 'content' }));
  const [, first, second] = sizes(narrow.boxes.grids['t']?.rows);
  // ‘Observatory’ takes one line of 17 mm, the talk takes more.
  expect(first).toBeCloseTo(ONE, 6);
  const more = ((second ?? 0) - ONE) / LEADING;
  expect(more).toBeGreaterThan(0.99);
  expect(more).toBeCloseTo(Math.round(more), 6);
  const even = await drawn(tableIn({ start: 10, size: 120 }, { start: 10, size: 60 }, { heights: 'even' }));
  for (const size of sizes(even.boxes.grids['t']?.rows)) expect(size).toBeCloseTo(20, 6);
  const placed = even.boxes.placed['t'];
  expect(placed?.height).toBe(60);
});

test('every word is drawn once, row by row', async () => {
  const drawing = await drawn(tableIn({ start: 10, size: 60 }, { start: 10, size: 'content' }));
  const text = words(drawing)
    .flatMap((i) => i.glyphs.map((g) => g.text))
    .join('');
  expect(text.replace(/\s/g, '')).toBe(WORDS.flat().join('').replace(/\s/g, ''));
  expect(drawing.notes).toEqual([]);
});

test('a cell is a box: what stands in it moves with it, and a span is a box too', async () => {
  const inCell = shape(
    'mark',
    [0, 0, 1, 1],
    { form: 'ellipse' },
    {
      placement: {
        against: { box: 'cells', columns: [3, 3], rows: [2, 3], grid: 't' },
        x: { centre: 0, size: 4 },
        y: { centre: 0, size: 4 },
      },
    },
  );
  const at = async (width: number) => {
    // The mark comes first: it waits for its table.
    const drawing = await drawn(inCell, tableIn({ start: 10, size: width }, { start: 20, size: 'content' }));
    const cell = boxRect({ box: 'cells', columns: [3, 3], rows: [2, 3], grid: 't' }, drawing.boxes);
    const mark = drawing.boxes.placed['mark'];
    expect((mark?.x ?? 0) + 2).toBeCloseTo(cell.x + cell.width / 2, 9);
    expect((mark?.y ?? 0) + 2).toBeCloseTo(cell.y + cell.height / 2, 9);
    return { cell, circular: drawing.boxes.circular };
  };
  const [wide, narrow] = [await at(120), await at(60)];
  expect(wide.cell.width).toBeCloseTo(40, 9);
  expect(narrow.cell.width).toBeCloseTo(20, 9);
  expect(narrow.cell.height).toBeGreaterThan(wide.cell.height);
  expect(wide.circular).toEqual([]);
});

test('lines of the outside lie inside the box, corners whole; neighbours of one tint are one area', async () => {
  const drawing = await drawn(
    tableIn(
      { start: 10, size: 90 },
      { start: 10, size: 30 },
      {
        borders: { top: PEN, right: PEN, bottom: PEN, left: PEN, rows: PEN },
        cells: { fill: { kind: 'process', c: 0, m: 0, y: 20, k: 0 } },
      },
    ),
  );
  const half = ptToMm(1) / 2;
  const paths = itemsIn(drawing).flatMap((i) =>
    i.kind === 'path' ? [{ ...pathBounds(i.path), stroked: i.stroke !== null }] : [],
  );
  const strokes = paths.filter((p) => p.stroked);
  expect(strokes).toHaveLength(6);
  expect(Math.min(...strokes.map((s) => s.y))).toBeCloseTo(10, 9);
  expect(Math.min(...strokes.filter((s) => s.height === 0).map((s) => s.y))).toBeCloseTo(10 + half, 9);
  expect(Math.max(...strokes.filter((s) => s.width === 0).map((s) => s.x))).toBeCloseTo(100 - half, 9);
  const tints = paths.filter((p) => !p.stroked);
  expect(tints.map((t) => t.width)).toEqual([90, 90, 90]);
});

test('words that find no room are named, and so is a table higher than its box', async () => {
  const fixed = tableIn({ start: 10, size: 60 }, { start: 10, size: 'content' });
  if (fixed.kind !== 'table') throw new Error('no table');
  const tight = { ...fixed, rows: fixed.rows.map((r) => ({ ...r, height: 6.3 })) };
  const drawing = await drawn(tight);
  expect(drawing.notes).toContainEqual(expect.objectContaining({ kind: 'overflow', element: 't' }));
  const low = await drawn(tableIn({ start: 10, size: 60 }, { start: 10, size: 10 }));
  expect(low.notes).toContainEqual(expect.objectContaining({ kind: 'table-past-box', element: 't', width: 60 }));
});

test('the fix for a table past its box gives it the height its rows take', async () => {
  const job = makeJob([tableIn({ start: 10, size: 60 }, { start: 10, size: 10 })]);
  const desk = await openDesk(job, inMemory());
  const found = checkDesk(desk).filter((f) => f.rule === 'table-past-box');
  expect(found.map((f) => f.message)).toEqual([
    expect.stringMatching(/^Its rows and columns are .* mm too high for its box\.$/),
  ]);
  expect(found[0]?.fixes.map((f) => f.label)).toEqual(['Enlarge its box']);
});

test('a cell over two rows makes the last of them higher where it has to', async () => {
  const plain = tableIn({ start: 10, size: 60 }, { start: 10, size: 'content' });
  if (plain.kind !== 'table') throw new Error('no table');
  const span = joined(plain, { from: { row: 0, column: 1 }, to: { row: 1, column: 1 } });
  const long = {
    ...span,
    rows: span.rows.map((r, i) =>
      i === 0
        ? {
            ...r,
            content: r.content.map((c, j) =>
              j === 1
                ? { ...c, paragraphs: [{ runs: [{ text: 'one two three four five six seven eight nine' }] }] }
                : c,
            ),
          }
        : r,
    ),
  };
  const [head, first] = sizes((await drawn(long)).boxes.grids['t']?.rows);
  expect(head).toBeCloseTo(ONE, 6);
  expect(first).toBeGreaterThan(ONE);
  const lines = ((head ?? 0) + (first ?? 0) - ONE) / LEADING;
  expect(lines).toBeCloseTo(Math.round(lines), 6);
});

test('type of a cell is checked like any: a font that is not here is named and mended in its cell alone', async () => {
  const plain = tableIn({ start: 10, size: 90 }, { start: 10, size: 'content' });
  if (plain.kind !== 'table') throw new Error('no table');
  const odd = withCells(
    plain,
    { from: { row: 1, column: 1 }, to: { row: 1, column: 1 } },
    { look: { family: 'Nowhere' } },
  );
  const job = makeJob([odd]);
  const desk = await openDesk(job, inMemory());
  const [found] = checkDesk(desk).filter((f) => f.rule === 'missing');
  expect(found?.message).toContain('“Nowhere”');
  const change = found?.fixes[0]?.change;
  const mended = change?.kind === 'element' && change.element.kind === 'table' ? change.element : undefined;
  expect(mended?.rows[1]?.content[1]?.cell.look?.family).toBe('Source Sans 3');
  expect(mended?.rows[2]).toEqual(odd.rows[2]);
});

test('a table copied beyond measure is drawn as often as can be, and the rest is a fault', async () => {
  const many = tableIn(
    { start: 0, size: 60 },
    { start: 0, size: 40 },
    { repeat: [{ way: 'rows', in: { box: 'trim' }, across: 500, down: 500 }] },
  );
  const desk = await openDesk(makeJob([many]), inMemory());
  const [fault] = checkDesk(desk).filter((f) => f.rule === 'copies-left');
  expect(fault).toMatchObject({ severity: 'fault', element: 't' });
  const [drawn, asked] = fault?.message.match(/\d+/g)?.map(Number) ?? [];
  expect(asked).toBe(250_000);
  const frame = desk.sides[0]?.drawing.frames.find((f) => f.element === 't');
  expect(frame?.copies).toHaveLength(drawn ?? 0);
  expect(leavesOf(frame?.items ?? []).length).toBeLessThanOrEqual(50_000);
});
