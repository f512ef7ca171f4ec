import { plainText } from '../../paragraph';
import { asItIs, defineElementKind, none } from '../define';
import { oneLine, quoted } from '../words';
import { cellOver, cellText, seenCells } from './cells-of';
import { mapCellTexts } from './map-cells';
import { repaintTable } from './repaint-table';
import type { TableElement } from './schema';
import { stylesOfTable } from './styles-of-table';

/** Cells whose new words are told; of the others their number is. */
const TOLD = 4;

export const table = defineElementKind<TableElement>({
  title: () => 'Table',
  content: 'set',
  bleeds: () => false,
  file: none,
  texts: (element, book) => seenCells(element).map((place) => cellText(element, place, book)),
  mapTexts: mapCellTexts,
  stylesNamed: stylesOfTable,
  repaint: repaintTable,
  onLeftPage: asItIs,
  flipped: asItIs,
  difference: (was, is) => {
    const wordsAt = (element: TableElement, row: number, column: number) => {
      const seen = cellOver(element, { row, column });
      return oneLine(seen ? plainText(seen.cell.paragraphs) : '');
    };
    const cells = is.rows.flatMap((row, r) =>
      row.content.flatMap((_, c) => {
        const [before, after] = [wordsAt(was, r, c), wordsAt(is, r, c)];
        return before === after ? [] : [`${quoted(after)}, not ${quoted(before)}`];
      }),
    );
    if (cells.length === 0) return undefined;
    const rest = cells.length > TOLD ? ` and ${cells.length - TOLD} cells more` : '';
    return `says ${cells.slice(0, TOLD).join('; ')}${rest}`;
  },
});
