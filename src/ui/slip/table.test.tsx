/** The slip of a table, and of the cells that are chosen in it. */
import { slipOf, undone } from '@/testing/part';
import { act, screen } from '@testing-library/react';
import { Element, plainText, tableOfWords, type CellBlock, type ElementOf } from '@/core/job';
import { box } from '@/testing/jobs';

const ROWS = [
  ['Night', 'Moon', 'Rises'],
  ['Friday', 'new', '05:12'],
  ['Saturday', 'thin', '06:20'],
];

const TIMES = Element.parse({
  ...tableOfWords(ROWS),
  kind: 'table',
  id: 'times',
  name: 'Times',
  placement: box('x', [10, 10, 120, 60]).placement,
}) as ElementOf<'table'>;

type Slip = Awaited<ReturnType<typeof slipOf>>;

const tableNow = (slip: Slip): ElementOf<'table'> => {
  const now = slip.now('times');
  if (now.kind !== 'table') throw new Error('no table');
  return now;
};
const wordsNow = (slip: Slip) =>
  tableNow(slip).rows.map((row) => row.content.map((cell) => plainText(cell.paragraphs)));

async function tableSlip(cells?: CellBlock): Promise<Slip> {
  const slip = await slipOf([TIMES]);
  if (cells) act(() => slip.store.getState().chooseCells(cells));
  return slip;
}

const cell = (row: number, column: number, toRow = row, toColumn = column): CellBlock => ({
  from: { row, column },
  to: { row: toRow, column: toColumn },
});

describe('the table as a whole', () => {
  test('columns are written in one line: lengths, a share of the rest, or what their words take', async () => {
    const slip = await tableSlip();
    await slip.write('column widths', '30; content; rest');
    expect(tableNow(slip).columns.map((c) => c.width)).toEqual([30, 'content', null]);
    await slip.write('column widths', '30; 40; 20; rest');
    expect(tableNow(slip).columns).toHaveLength(4);
    expect(wordsNow(slip)[1]).toEqual(['Friday', 'new', '05:12', '']);
    await slip.write('column widths', 'wide');
    expect(slip.refusal('column widths')).not.toBe('');
    await undone(slip, slip.before);
  });

  test('rows have heights, and share what is left', async () => {
    const slip = await tableSlip();
    await slip.write('row heights', '8; content; content');
    expect(tableNow(slip).rows.map((r) => r.height)).toEqual([8, null, null]);
    await slip.choose('in a higher box', 'all rows alike');
    expect(tableNow(slip).heights).toBe('even');
    await undone(slip, slip.before);
  });

  test('more rows are empty, fewer go with their words, and a header is no longer than the table', async () => {
    const slip = await tableSlip();
    await slip.press('Rows');
    await slip.write('of these header', '2');
    await slip.write('rows', '5');
    expect(wordsNow(slip)[4]).toEqual(['', '', '']);
    await slip.write('rows', '1');
    expect(wordsNow(slip)).toEqual([ROWS[0]]);
    expect(tableNow(slip).header.rows).toBe(1);
    await undone(slip, slip.before);
  });

  test('lines are laid by sets, of a stroke that is decided first', async () => {
    const slip = await tableSlip();
    await slip.press('Lines');
    await slip.write('width', '1', 'Line');
    await slip.press('head and foot');
    const { top, header, bottom, left, rows } = tableNow(slip).borders;
    expect([top?.widthPt, header?.widthPt, bottom?.widthPt, left, rows]).toEqual([1, 1, 1, null, null]);
    await slip.press('no lines');
    expect(Object.values(tableNow(slip).borders).filter((line) => line !== null && !Array.isArray(line))).toEqual([]);
    await undone(slip, slip.before);
  });

  test('rows are tinted in turn', async () => {
    const slip = await tableSlip();
    await slip.press('Tint');
    await slip.write('tint', '0 4 30 0');
    await slip.write('every so many', '2');
    await slip.tick('from the first row');
    expect(tableNow(slip).tint).toMatchObject({ fill: { y: 30 }, every: 2, first: true });
    await slip.write('tint', 'none');
    expect(tableNow(slip).tint).toBeNull();
    await undone(slip, slip.before);
  });

  test('the type of all cells, their box, and another of the header', async () => {
    const slip = await tableSlip();
    await slip.write('set in', 'Lora 9/11');
    expect(tableNow(slip).look).toMatchObject({ family: 'Lora', sizePt: 9, leadingPt: 11 });
    await slip.press('Cells');
    await slip.choose('words stand', 'bottom');
    await slip.write('left', '3', 'Box');
    expect(tableNow(slip).cells).toMatchObject({ vertical: 'bottom', inset: { left: 3 } });
    await slip.user.keyboard('{Escape}');
    await slip.press('Rows');
    await slip.write('of these header', '1');
    await slip.user.keyboard('{Escape}');
    await slip.press('Header');
    await slip.write('fill', '0 0 0 20');
    expect(tableNow(slip).header.cells).toMatchObject({ fill: { k: 20 } });
    expect(tableNow(slip).cells.fill).toBeUndefined();
    await undone(slip, slip.before);
  });
});

describe('cells that are chosen', () => {
  test('their type is theirs alone', async () => {
    const slip = await tableSlip(cell(1, 0, 2, 0));
    expect(screen.getByText('1 × 2 cells')).toBeTruthy();
    await slip.choose('lines', 'right');
    const aligns = tableNow(slip).rows.map((row) => row.content.map((c) => c.cell.look?.align));
    expect(aligns).toEqual([
      [undefined, undefined, undefined],
      ['right', undefined, undefined],
      ['right', undefined, undefined],
    ]);
    await undone(slip, slip.before);
  });

  test('rows and columns are put in and taken out beside them', async () => {
    const slip = await tableSlip(cell(1, 1));
    expect(screen.getByText('Cell 2, row 2')).toBeTruthy();
    await slip.press('Rows, columns, spans');
    await slip.press('Row above');
    expect(wordsNow(slip).map((row) => row[0])).toEqual(['Night', '', 'Friday', 'Saturday']);
    await slip.press('Column right');
    expect(wordsNow(slip)[0]).toEqual(['Night', 'Moon', '', 'Rises']);
    await slip.press('These columns');
    expect(wordsNow(slip)[0]).toEqual(['Night', '', 'Rises']);
    await undone(slip, slip.before);
  });

  test('become one cell, and are parted again', async () => {
    const slip = await tableSlip(cell(1, 1, 2, 2));
    await slip.press('Rows, columns, spans');
    await slip.press('Make one cell');
    expect(tableNow(slip).rows[1]?.content[1]).toMatchObject({ across: 2, down: 2 });
    await slip.press('Part again');
    expect(tableNow(slip).rows[1]?.content[1]).toMatchObject({ across: 1, down: 1 });
    await undone(slip, slip.before);
  });

  test('their look is made a style, which others take and depart from', async () => {
    const slip = await tableSlip(cell(0, 0));
    await slip.press('Cell');
    await slip.write('fill', '0 14 78 0');
    await slip.press('Make it a cell style');
    const [style] = slip.job().cellStyles;
    expect(style).toMatchObject({ name: 'Cell style 1', cell: { fill: { y: 78 } } });
    await slip.user.keyboard('{Escape}');
    act(() => slip.store.getState().chooseCells(cell(2, 2)));
    await slip.choose('cell style', 'Cell style 1');
    expect(tableNow(slip).rows[2]?.content[2]).toMatchObject({ named: style?.id, cell: {} });
    await slip.press('Cell');
    await slip.write('fill', 'none');
    expect(screen.getByRole('combobox', { name: 'cell style (differs)' })).toBeTruthy();
    await undone(slip, slip.before);
  });

  test('single lines are laid around them', async () => {
    const slip = await tableSlip(cell(1, 1));
    await slip.press('Lines');
    await slip.press('below');
    expect(tableNow(slip).borders.lines).toMatchObject([{ axis: 'y', at: 2, from: 1, to: 2 }]);
    await undone(slip, slip.before);
  });
});
