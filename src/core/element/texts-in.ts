import { overCell, type Cell } from './cell';
import { cellId, cellText, placeOfCell, seenCells, type TableElement, type TextElement } from './cells-of';
import type { Element } from './element';
import type { StyleBook } from './type-style';

type Book = Pick<StyleBook, 'cell'>;

/** The texts of an element: a text frame itself, the cells of a table in reading order. */
export function textsIn(element: Element, book: Book): readonly TextElement[] {
  if (element.kind === 'text') return [element];
  if (element.kind === 'table') return seenCells(element).map((place) => cellText(element, place, book));
  return [];
}

/** The text of an id: of a frame, or of a cell. */
export function textOfId(elements: readonly Element[], id: string, book: Book): TextElement | undefined {
  const place = placeOfCell(id);
  const element = elements.find((e) => e.id === (place?.table ?? id));
  if (element?.kind === 'text') return element;
  return element?.kind === 'table' && place ? cellText(element, place, book) : undefined;
}

/** The cell with what was changed of its text; what was not changed still follows from table, row and column. */
function cellWith(cell: Cell, before: TextElement, { style, look, paragraphs, vertical, inset }: TextElement): Cell {
  const own = {
    ...(style !== before.style && { style }),
    ...(look !== before.look && { look }),
    ...(vertical !== before.vertical && vertical !== 'spread' && { vertical }),
    ...(inset !== before.inset && { inset }),
  };
  return {
    ...cell,
    paragraphs: [...paragraphs],
    cell: Object.keys(own).length > 0 ? overCell(cell.cell, own) : cell.cell,
  };
}

function mapCells(table: TableElement, book: Book, change: (text: TextElement) => TextElement): TableElement {
  const seen = new Set(seenCells(table).map((place) => cellId(table.id, place)));
  const rows = table.rows.map((row, r) => {
    const content = row.content.map((cell, c) => {
      const place = { row: r, column: c };
      if (!seen.has(cellId(table.id, place))) return cell;
      const before = cellText(table, place, book);
      const after = change(before);
      return after === before ? cell : cellWith(cell, before, after);
    });
    if (content.every((cell, c) => cell === row.content[c])) return row;
    return { ...row, content };
  });
  return rows.every((row, r) => row === table.rows[r]) ? table : { ...table, rows };
}

/** The element with each of its texts changed; the same object where none was. */
export function mapTexts<E extends Element>(element: E, book: Book, change: (text: TextElement) => TextElement): E {
  if (element.kind === 'text') return change(element) as E;
  if (element.kind === 'table') return mapCells(element, book, change) as E;
  return element;
}
