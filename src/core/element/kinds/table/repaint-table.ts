import type { CellChanges } from '../../cell';
import { repaintStroke, type Stroke } from '../../stroke';
import type { StyleBook } from '../../type-style';
import type { ChangePaint } from '../../paint';
import { repaintWords } from '../text/repaint-words';
import { mapCellTexts, mapSaid } from './map-cells';
import type { TableElement } from './schema';

/** Its tints and lines wherever they are said, and the words of its cells. */
export function repaintTable(table: TableElement, book: StyleBook, change: ChangePaint): TableElement {
  const cells = (said: CellChanges): CellChanges => (said.fill ? { ...said, fill: change(said.fill) } : said);
  const line = (stroke: Stroke | null): Stroke | null => stroke && repaintStroke(stroke, change);
  const { top, right, bottom, left, rows, columns, header, lines } = table.borders;
  const borders = {
    top: line(top),
    right: line(right),
    bottom: line(bottom),
    left: line(left),
    rows: line(rows),
    columns: line(columns),
    header: line(header),
    lines: lines.map((l) => ({ ...l, stroke: line(l.stroke) })),
  };
  // The words first: while the tints are still as they were, a cell’s own text is known by what it was.
  const words = mapCellTexts(table, book, (text) => repaintWords(text, book, change));
  return { ...mapSaid(words, cells), borders, tint: words.tint && { ...words.tint, fill: change(words.tint.fill) } };
}
