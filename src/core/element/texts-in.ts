import type { Element } from './element';
import { cellText, placeOfCell } from './kinds/table/cells-of';
import type { CellBook } from './kinds/define';
import { elementKind } from './kinds';
import type { TextElement } from './kinds/text/schema';

/** The texts of an element: a text frame itself, the cells of a table in reading order. */
export const textsIn = (element: Element, book: CellBook): readonly TextElement[] =>
  elementKind(element.kind).texts(element, book);

/** The text of an id: of a frame, or of a cell. */
export function textOfId(elements: readonly Element[], id: string, book: CellBook): TextElement | undefined {
  const place = placeOfCell(id);
  const element = elements.find((e) => e.id === (place?.table ?? id));
  if (element?.kind === 'text') return element;
  return element?.kind === 'table' && place ? cellText(element, place, book) : undefined;
}

/** The element with each of its texts changed; the same object where none was. */
export const mapTexts = <E extends Element>(
  element: E,
  book: CellBook,
  change: (text: TextElement) => TextElement,
): E => elementKind(element.kind).mapTexts(element, book, change) as E;

/** Ids of the styles that an element names: of type, and of cells. */
export const stylesNamed = (element: Element): readonly string[] => elementKind(element.kind).stylesNamed(element);
