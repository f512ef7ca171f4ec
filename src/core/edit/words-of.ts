import {
  cellId,
  elementsOf,
  isInBlock,
  mapTexts,
  placeOfCell,
  seenCells,
  textOfId,
  type CellBlock,
  type Element,
  type ElementOf,
  type Paragraph,
  type Piece,
  type SideName,
  type StyleBook,
} from '../job';
import { insetsOf } from '../job';
import type { Drawing } from '../drawing';
import { centreOf, type Point, type Rect } from '../layout';

/** The element that holds a text: the frame itself, or the table of a cell. */
export const holderOf = (id: string): string => placeOfCell(id)?.table ?? id;

/** A text of the piece, and the side that it is on. */
export function findText(
  piece: Piece,
  id: string,
  book: StyleBook,
): { readonly side: SideName; readonly text: ElementOf<'text'> } | undefined {
  const held = elementsOf(piece).find(({ element }) => element.id === holderOf(id));
  const text = held && textOfId([held.element], id, book);
  return held && text && { side: held.side, text };
}

/** The element with some of its texts changed. */
export const withTexts = (
  element: Element,
  ids: readonly string[],
  book: StyleBook,
  change: (text: ElementOf<'text'>) => ElementOf<'text'>,
): Element => mapTexts(element, book, (text) => (ids.includes(text.id) ? change(text) : text));

/**
 * Elements with other words in one of their texts: the very same list, by which the editor knows its own words again.
 */
export function withWordsOf(elements: readonly Element[], id: string, paragraphs: Paragraph[]): readonly Element[] {
  const place = placeOfCell(id);
  const holder = holderOf(id);
  return elements.map((e) => {
    if (e.id !== holder) return e;
    if (e.kind === 'text') return { ...e, paragraphs };
    if (e.kind !== 'table' || !place) return e;
    const content = (cells: (typeof e.rows)[number]['content']) =>
      cells.map((cell, c) => (c === place.column ? { ...cell, paragraphs } : cell));
    return { ...e, rows: e.rows.map((row, r) => (r === place.row ? { ...row, content: content(row.content) } : row)) };
  });
}

/** Ids of the texts of the cells of a block that are seen. */
export const textsOfBlock = (table: ElementOf<'table'>, block: CellBlock): readonly string[] =>
  seenCells(table)
    .filter((cell) => isInBlock(block, cell))
    .map((cell) => cellId(table.id, cell));

/** Where a text is on the side that is shown. */
export interface TextPlace {
  readonly id: string;
  readonly name: string;
  readonly rect: Rect;
  readonly rotate: number;
  /** What it is turned about. */
  readonly about: Point;
  /** Where its words begin. */
  readonly origin: Point;
}

export function placeOfText(
  id: string,
  elements: readonly Element[],
  drawing: Drawing,
  book: StyleBook,
): TextPlace | undefined {
  const frame = drawing.frames.find((f) => f.element === holderOf(id));
  const text = textOfId(elements, id, book);
  const rect = placeOfCell(id) ? cellRect(id, elements, drawing) : frame?.rect;
  if (!frame || !text || !rect) return undefined;
  const inset = insetsOf(text.inset, drawing.boxes.measures);
  const origin = { x: rect.x + inset.left, y: rect.y + inset.top };
  return { id, name: frame.name, rect, rotate: frame.rotate, about: centreOf(frame.rect), origin };
}

/** The box of a cell, with all that it spans. */
function cellRect(id: string, elements: readonly Element[], drawing: Drawing): Rect | undefined {
  const place = placeOfCell(id);
  const table = elements.find((e) => e.id === place?.table);
  const tracks = place && drawing.boxes.grids[place.table];
  if (table?.kind !== 'table' || !tracks) return undefined;
  const cell = seenCells(table).find((c) => c.row === place.row && c.column === place.column);
  const [left, right] = [tracks.columns[place.column], tracks.columns[place.column + (cell?.across ?? 1) - 1]];
  const [top, bottom] = [tracks.rows[place.row], tracks.rows[place.row + (cell?.down ?? 1) - 1]];
  if (!left || !right || !top || !bottom) return undefined;
  return {
    x: left.start,
    y: top.start,
    width: right.start + right.size - left.start,
    height: bottom.start + bottom.size - top.start,
  };
}
