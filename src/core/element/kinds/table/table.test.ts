import { Element } from '../../element';
import { cellLook, cellText, seenCells } from './cells-of';
import {
  joined,
  parted,
  tableOfWords,
  withCells,
  withColumn,
  withLines,
  withRow,
  withTableWords,
  withoutColumns,
  withoutRows,
} from './edit-table';
import { tableLines } from './line-table';
import { mapTexts, stylesNamed, textsIn } from '../../texts-in';
import { plainText } from '../../paragraph';
import { styleBook } from '../../type-style';
import type { TableElement } from './schema';

const WORDS = [
  ['Time', 'What', 'Where'],
  ['20:30', 'Doors', 'Hall'],
  ['21:00', 'Talk', 'Library'],
  ['22:00', 'Walk', 'Moor'],
];

const made = (more: object = {}): TableElement => {
  const element = Element.parse({
    kind: 'table',
    id: 't',
    placement: { against: { box: 'trim' }, x: { start: 0, size: 90 }, y: { start: 0, size: 'content' } },
    ...tableOfWords(WORDS),
    ...more,
  });
  if (element.kind !== 'table') throw new Error('no table');
  return element;
};

const BOOK = styleBook({ styles: [] });
const wordsOf = (table: TableElement) => table.rows.map((r) => r.content.map((c) => plainText(c.paragraphs)));
const PEN = {
  paint: { kind: 'process', c: 0, m: 0, y: 0, k: 100 },
  widthPt: 1,
  dash: 'solid',
  whole: true,
  align: 'centre',
  cap: 'butt',
  join: 'miter',
} as const;
const block = (r0: number, c0: number, r1: number, c1: number) => ({
  from: { row: r0, column: c0 },
  to: { row: r1, column: c1 },
});

test('a row short of cells is refused, with what is wanted', () => {
  const short = made();
  const broken = { ...short, rows: short.rows.map((r, i) => (i === 1 ? { ...r, content: r.content.slice(1) } : r)) };
  const read = Element.safeParse(broken);
  expect(read.success).toBe(false);
  expect(read.error?.issues[0]?.message).toBe('Every row needs one cell for each column.');
});

describe('spans', () => {
  test('cells beneath a span are not seen, and keep their words', () => {
    const table = joined(made(), block(1, 0, 2, 1));
    expect(seenCells(table).map((c) => [c.row, c.column, c.across, c.down].join(' '))).toEqual([
      '0 0 1 1',
      '0 1 1 1',
      '0 2 1 1',
      '1 0 2 2',
      '1 2 1 1',
      '2 2 1 1',
      '3 0 1 1',
      '3 1 1 1',
      '3 2 1 1',
    ]);
    expect(wordsOf(parted(table, block(0, 0, 3, 2)))).toEqual(WORDS);
    expect(seenCells(parted(table, block(0, 0, 3, 2)))).toHaveLength(12);
  });

  test('a span ends at the table’s edge, and grows with what is put into it', () => {
    const past = made();
    const first = past.rows[3]?.content[2];
    if (!first) throw new Error('no cell');
    const wide = {
      ...past,
      rows: past.rows.map((r, i) =>
        i === 3 ? { ...r, content: [...r.content.slice(0, 2), { ...first, across: 9, down: 9 }] } : r,
      ),
    };
    expect(seenCells(wide).at(-1)).toMatchObject({ row: 3, column: 2, across: 1, down: 1 });
    const joint = joined(made(), block(0, 0, 0, 2));
    expect(seenCells(withColumn(joint, 1))[0]).toMatchObject({ across: 4 });
    expect(seenCells(withoutColumns(withColumn(joint, 1), 1, 2))[0]).toMatchObject({ across: 2 });
    expect(seenCells(withRow(joined(made(), block(0, 0, 2, 0)), 1))[0]).toMatchObject({ down: 4 });
  });
});

describe('rows and columns', () => {
  test('put in and taken out again leaves the same table', () => {
    const table = withLines(made({ header: { rows: 1 } }), block(1, 0, 2, 2), ['top', 'rows', 'right'], PEN);
    for (let at = 0; at <= 4; at += 1) {
      const back = withoutRows(withRow(table, at), at, at);
      expect(wordsOf(back)).toEqual(WORDS);
      expect(back.header.rows).toBe(1);
    }
    for (let at = 0; at <= 3; at += 1) expect(wordsOf(withoutColumns(withColumn(table, at), at, at))).toEqual(WORDS);
    expect(withoutRows(withRow(table, 4), 4, 4).borders).toEqual(table.borders);
    expect(withoutRows(table, 0, 3)).toBe(table);
  });

  test('a row put into the header is header; one below it is not', () => {
    const table = made({ header: { rows: 1 } });
    expect(withRow(table, 0).header.rows).toBe(2);
    expect(withRow(table, 1).header.rows).toBe(1);
    expect(withoutRows(table, 0, 1).header.rows).toBe(0);
  });

  test('other words keep looks in their places; more rows look like the last', () => {
    const table = withCells(made(), block(3, 0, 3, 0), { fill: { kind: 'paper' } });
    const next = withTableWords(table, [...WORDS, ['23:00', 'Home', 'Bus']]);
    expect(wordsOf(next).at(-1)).toEqual(['23:00', 'Home', 'Bus']);
    expect(cellLook(next, { row: 4, column: 0 }, BOOK).fill).toEqual({ kind: 'paper' });
    expect(cellLook(next, { row: 4, column: 1 }, BOOK).fill).toBeNull();
  });
});

describe('looks', () => {
  const red = { kind: 'process', c: 0, m: 90, y: 80, k: 0 } as const;
  const grey = { kind: 'process', c: 0, m: 0, y: 0, k: 10 } as const;

  test('table, tint, column, row, header, style and cell say more in that order', () => {
    const base = made({
      header: { rows: 1, cells: { look: { weight: 700 } } },
      tint: { fill: grey, every: 1, first: true },
      cells: { look: { sizePt: 8 }, vertical: 'middle' },
    });
    const columned = {
      ...base,
      columns: base.columns.map((c, i) => (i === 0 ? { ...c, cells: { look: { align: 'right' as const } } } : c)),
    };
    const book = styleBook({
      styles: [],
      cellStyles: [
        { id: 'a', name: 'A', basedOn: null, cell: { vertical: 'bottom', look: { sizePt: 9 } } },
        { id: 'b', name: 'B', basedOn: 'a', cell: { look: { italic: true } } },
      ],
    });
    const named = {
      ...columned,
      rows: columned.rows.map((r, i) =>
        i === 2 ? { ...r, content: r.content.map((c) => ({ ...c, named: 'b' })) } : r,
      ),
    };
    const table = withCells(named, block(2, 1, 2, 1), { fill: red });
    expect(cellLook(table, { row: 0, column: 0 }, book)).toMatchObject({
      fill: null,
      vertical: 'middle',
      look: { sizePt: 8, weight: 700, align: 'right' },
    });
    expect(cellLook(table, { row: 1, column: 1 }, book)).toMatchObject({ fill: grey, look: { sizePt: 8 } });
    expect(cellLook(table, { row: 2, column: 1 }, book)).toMatchObject({
      fill: red,
      vertical: 'bottom',
      look: { sizePt: 9, italic: true },
    });
    expect(cellLook(table, { row: 3, column: 1 }, book).fill).toEqual(grey);
    // A tint of two and two.
    const twos = { ...table, tint: { fill: grey, every: 2, first: false } };
    expect([1, 2, 3].map((row) => cellLook(twos, { row, column: 2 }, BOOK).fill !== null)).toEqual([
      false,
      false,
      true,
    ]);
  });

  test('a style of the cell is not overruled by the look of the table', () => {
    const styled = withCells(made({ style: 's', look: { sizePt: 20 } }), block(1, 1, 1, 1), { style: 'other' });
    expect(cellText(styled, { row: 1, column: 0 }, BOOK)).toMatchObject({ style: 's', look: { sizePt: 20 } });
    expect(cellText(styled, { row: 1, column: 1 }, BOOK)).toMatchObject({ style: 'other', look: {} });
    expect([...new Set(stylesNamed(styled))].sort()).toEqual(['other', 's']);
  });

  test('words of one cell changed leave the others the same objects', () => {
    const table = made();
    const next = mapTexts(table, BOOK, (t) =>
      plainText(t.paragraphs) === 'Talk' ? { ...t, paragraphs: [{ runs: [{ text: 'Lecture' }] }] } : t,
    );
    expect(wordsOf(next)[2]).toEqual(['21:00', 'Lecture', 'Library']);
    expect(next.rows[1]).toBe(table.rows[1]);
    expect(next.rows[2]?.content[0]).toBe(table.rows[2]?.content[0]);
    expect(mapTexts(table, BOOK, (t) => t)).toBe(table);
    expect(textsIn(next, BOOK)).toHaveLength(12);
  });
});

describe('lines', () => {
  const shown = (table: TableElement) => tableLines(table).map((l) => `${l.axis}${l.at} ${l.from}-${l.to}`);

  test('sets give whole lines; a span has none within', () => {
    const all = { top: PEN, right: PEN, bottom: PEN, left: PEN, rows: PEN, columns: PEN };
    expect(shown(made({ borders: all }))).toEqual([
      'y0 0-3',
      'y1 0-3',
      'y2 0-3',
      'y3 0-3',
      'y4 0-3',
      'x0 0-4',
      'x1 0-4',
      'x2 0-4',
      'x3 0-4',
    ]);
    const spanned = joined(made({ borders: all }), block(1, 0, 2, 1));
    expect(shown(spanned)).toEqual([
      'y0 0-3',
      'y1 0-3',
      'y2 2-3',
      'y3 0-3',
      'y4 0-3',
      'x0 0-4',
      'x1 0-1',
      'x1 3-4',
      'x2 0-4',
      'x3 0-4',
    ]);
  });

  test('beneath the header its own; a single line says otherwise, and one laid over it replaces it', () => {
    const table = made({ header: { rows: 1 }, borders: { header: PEN } });
    expect(shown(table)).toEqual(['y1 0-3']);
    const without = withLines(table, block(0, 1, 0, 1), ['bottom'], null);
    expect(shown(without)).toEqual(['y1 0-1', 'y1 2-3']);
    expect(without.borders.lines).toHaveLength(1);
    expect(withLines(without, block(0, 0, 0, 2), ['bottom'], PEN).borders.lines).toHaveLength(1);
  });

  test('lines go with the rows they lie between', () => {
    const table = withLines(made(), block(2, 0, 2, 2), ['top'], PEN);
    expect(shown(withRow(table, 0))).toEqual(['y3 0-3']);
    expect(shown(withRow(table, 3))).toEqual(['y2 0-3']);
    expect(shown(withoutRows(table, 0, 0))).toEqual(['y1 0-3']);
  });
});
