import type { Item, Note } from '../drawing';
import { cellLook, tableLines, type DrawnLine, type SolidPaint, type TableElement } from '../element';
import { linePath, rectPath, type Rect, type Span } from '../layout';
import type { Mm } from '../measure';
import { inkOf } from './ink';
import type { SetTable } from './set-words';
import { strokeReach, strokedItems } from './stroke';
import type { Body, Setting, ElementContext } from './context';
import { composeTextFrame } from './text';

/** Draws a table: its tints, its words in reading order, its lines. */
export function composeTable(table: TableElement, setting: Setting, context: ElementContext, set: SetTable): Body {
  const base = { from: table.id, opacity: 1, matrix: setting.matrix };
  const fills = tintsOf(table, set, context).map(({ rect, fill }): Item => ({
    kind: 'path',
    ...base,
    path: rectPath(rect),
    fill: inkOf(fill, rect, context.colour),
    stroke: null,
  }));
  const bodies = set.cells.map(({ rect, text, story }) =>
    composeTextFrame(text, { rect, reach: rect, matrix: setting.matrix }, { ...context, text: () => text }, story),
  );
  const drawn = tableLines(table);
  const lines = drawn.flatMap((line) =>
    strokedItems(base, pathOf(line, drawn, set), null, line.stroke, context.colour),
  );
  const words = bodies.flatMap((body) => body.items).map((item): Item => ({ ...item, from: table.id }));
  return {
    items: [...fills, ...words, ...lines],
    ink: wholeOf(set),
    notes: notesOf(
      table,
      set,
      bodies.flatMap((body) => body.notes),
    ),
  };
}

/** The box of all tracks: it may be higher than the table’s own where its words need more. */
function wholeOf({ tracks: { columns, rows, area } }: SetTable): Rect {
  const [lastColumn, lastRow] = [columns.at(-1), rows.at(-1)];
  return {
    x: area.x,
    y: area.y,
    width: lastColumn ? lastColumn.start + lastColumn.size - area.x : area.width,
    height: lastRow ? lastRow.start + lastRow.size - area.y : area.height,
  };
}

/** Tinted areas; neighbours in a row of one colour are one area, so that no seam shows between them. */
function tintsOf(
  table: TableElement,
  { cells }: SetTable,
  context: ElementContext,
): readonly { readonly rect: Rect; readonly fill: SolidPaint }[] {
  const areas: { rect: Rect; fill: SolidPaint }[] = [];
  for (const cell of cells) {
    const { fill } = cellLook(table, cell, context.book);
    if (!fill) continue;
    const last = areas.at(-1);
    const { rect } = cell;
    const goesOn =
      last &&
      last.rect.y === rect.y &&
      last.rect.height === rect.height &&
      Math.abs(last.rect.x + last.rect.width - rect.x) < 1e-6;
    if (goesOn && JSON.stringify(last.fill) === JSON.stringify(fill))
      last.rect = { ...last.rect, width: last.rect.width + rect.width };
    else areas.push({ rect, fill });
  }
  return areas;
}

/**
 * A line’s run. The outermost lie inside the table’s box, so that it reaches no further than its box says. Where a line
 * ends on a crossing one it goes to that one’s far side, so that corners are whole.
 */
function pathOf(line: DrawnLine, all: readonly DrawnLine[], { tracks }: SetTable) {
  const [own, other] = line.axis === 'y' ? [tracks.rows, tracks.columns] : [tracks.columns, tracks.rows];
  const crossing = (n: number): Mm =>
    Math.max(
      0,
      ...all
        .filter((l) => l.axis !== line.axis && l.at === n && l.from <= line.at && l.to >= line.at)
        .map((l) => strokeReach(l.stroke)),
    );
  const isInside = (n: number) => n > 0 && n < other.length;
  const reach = strokeReach(line.stroke);
  const at = edgeOf(own, line.at) + (line.at === 0 ? reach : line.at === own.length ? -reach : 0);
  const from = edgeOf(other, line.from) - (isInside(line.from) ? crossing(line.from) : 0);
  const to = edgeOf(other, line.to) + (isInside(line.to) ? crossing(line.to) : 0);
  return line.axis === 'y'
    ? linePath({ x: from, y: at }, { x: to, y: at })
    : linePath({ x: at, y: from }, { x: at, y: to });
}

/** Where a line between tracks lies, counted from 0 at their head. */
function edgeOf(spans: readonly Span[], n: number): Mm {
  const span = spans[n];
  const last = spans.at(-1);
  return span ? span.start : last ? last.start + last.size : 0;
}

/** Less than this past its box is arithmetic, mm. */
const TOLERANCE = 0.01;

/** Each kind of note once for the whole table; of words without room, how many in all. */
function notesOf(table: TableElement, set: SetTable, notes: readonly Note[]): readonly Note[] {
  const hidden = notes.filter((n) => n.kind === 'overflow');
  const area = set.tracks.area;
  const { width, height } = wholeOf(set);
  const isPast = height > area.height + TOLERANCE || width > area.width + TOLERANCE;
  const words = hidden.reduce((sum, n) => sum + n.words, 0);
  const rest = new Map(
    notes
      .filter((n) => n.kind !== 'overflow')
      .map((n) => [JSON.stringify({ ...n, element: '' }), { ...n, element: table.id }]),
  );
  return [
    ...rest.values(),
    ...(words > 0
      ? [
          {
            kind: 'overflow' as const,
            element: table.id,
            words,
            text: hidden.map((n) => n.text).join(' … '),
            needs: set.needs,
          },
        ]
      : []),
    ...(isPast ? [{ kind: 'table-past-box' as const, element: table.id, width, height }] : []),
  ];
}
