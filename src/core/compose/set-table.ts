import { cellText, extentOf, nameOf, seenCells, type Element, type TableElement, type TextElement } from '../element';
import { divide, shareOut, spanX, spanY, type NamedTracks, type Rect, type Span } from '../layout';
import type { Mm } from '../measure';
import { textSize } from './text';
import type { PlacedCell, SetTable, Story } from './set-words';
import type { ElementContext } from './context';

const sum = (sizes: readonly Mm[]): Mm => sizes.reduce((all, n) => all + n, 0);

/** What the cells of a table take alone, asked again and again while tracks are found. */
function contentsOf(table: TableElement, context: ElementContext) {
  const cells = seenCells(table).map((cell) => ({ ...cell, text: cellText(table, cell, context.book) }));
  return {
    cells,
    /** The longest line of any cell that stands in one column alone. */
    width: (column: number): Mm =>
      Math.max(
        0,
        ...cells
          .filter((c) => c.column === column && c.across === 1)
          .map((c) => textSize(c.text, 'x', undefined, context)),
      ),
  };
}

type Contents = ReturnType<typeof contentsOf>;

/** @param width of the table; left out, every column takes what it needs */
function columnWidths(
  table: TableElement,
  contents: Contents,
  width: Mm | undefined,
  context: ElementContext,
): readonly Mm[] {
  const { measures } = context.boxes;
  const needs = table.columns.map((column, c) => {
    if (column.width === null && width !== undefined) return 0;
    return column.width === null || column.width === 'content' ? contents.width(c) : extentOf(column.width, measures);
  });
  if (width === undefined) return needs;
  return shareOut(
    needs,
    table.columns.map((column) => column.width === null),
    width,
    'even',
  );
}

/** What each row takes at these widths; a cell over several rows makes the last of them higher where it has to. */
function rowNeeds(
  table: TableElement,
  { cells }: Contents,
  widths: readonly Mm[],
  context: ElementContext,
): readonly Mm[] {
  const { measures } = context.boxes;
  const needs = table.rows.map(({ height }) => (height === null ? 0 : extentOf(height, measures)));
  const inOrder = [...cells].sort((a, b) => a.down - b.down);
  for (const { row, column, across, down, text } of inOrder) {
    const last = row + down - 1;
    if (table.rows[last]?.height !== null) continue;
    const height = textSize(text, 'y', sum(widths.slice(column, column + across)), context);
    const missing = height - sum(needs.slice(row, last + 1));
    if (missing > 0) needs[last] = (needs[last] ?? 0) + missing;
  }
  return needs;
}

/** What a table takes on an axis by itself. */
export function tableSize(table: TableElement, axis: 'x' | 'y', width: Mm | undefined, context: ElementContext): Mm {
  const contents = contentsOf(table, context);
  const widths = columnWidths(table, contents, axis === 'y' ? width : undefined, context);
  return sum(axis === 'x' ? widths : rowNeeds(table, contents, widths, context));
}

const spansFrom = (start: Mm, sizes: readonly Mm[]): readonly Span[] => {
  let at = start;
  return sizes.map((size) => {
    at += size;
    return { start: at - size, size };
  });
};

interface Solved {
  readonly contents: Contents;
  readonly tracks: NamedTracks;
  readonly needs: Mm;
}

function solved(table: TableElement, rect: Rect, context: ElementContext): Solved {
  const contents = contentsOf(table, context);
  const widths = columnWidths(table, contents, rect.width, context);
  const needs = rowNeeds(table, contents, widths, context);
  const heights = shareOut(
    needs,
    table.rows.map(({ height }) => height === null),
    rect.height,
    table.heights,
  );
  const tracks = {
    name: nameOf(table),
    area: rect,
    columns: spansFrom(rect.x, widths),
    rows: spansFrom(rect.y, heights),
  };
  return { contents, tracks, needs: sum(needs) };
}

/** Columns and rows of a table in its box: boxes that other elements can stand in. */
export const tableTracks = (table: TableElement, rect: Rect, context: ElementContext): NamedTracks =>
  solved(table, rect, context).tracks;

const spanOf = (spans: readonly Span[], from: number, count: number): Span => ({
  start: spans[from]?.start ?? 0,
  size: sum(spans.slice(from, from + count).map((s) => s.size)),
});

/** @param storyOf sets the words of one cell */
export function setTable(
  table: TableElement,
  rect: Rect,
  context: ElementContext,
  storyOf: (text: TextElement, rect: Rect) => Story,
): SetTable {
  const { contents, tracks, needs } = solved(table, rect, context);
  const cells = contents.cells.map((cell): PlacedCell => {
    const across = spanOf(tracks.columns, cell.column, cell.across);
    const down = spanOf(tracks.rows, cell.row, cell.down);
    const box = { x: across.start, y: down.start, width: across.size, height: down.size };
    return { ...cell, rect: box, story: storyOf(cell.text, box) };
  });
  return { tracks, cells, needs };
}

/** Columns and rows of a table of which only its box is known: as many as it has, all alike. */
export const evenTracks = (element: Element, rect: Rect): NamedTracks | undefined =>
  element.kind === 'table'
    ? {
        name: nameOf(element),
        area: rect,
        columns: divide(spanX(rect), element.columns.length, 0),
        rows: divide(spanY(rect), element.rows.length, 0),
      }
    : undefined;
