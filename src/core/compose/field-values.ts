import { wordsOf, type Element, type FieldValues, type Paragraph } from '../element';
import { pageNumberOf } from '../format';
import { baseOfSide, elementsOn, type Piece, type SideName } from '../job';
import { writeNumber } from '../type';

/** The first words on a side that are in a style: a heading set in several paragraphs is one. */
function headOn(elements: readonly Element[], style: string): string | undefined {
  for (const element of elements) {
    if (element.kind !== 'text') continue;
    const is = (p: Paragraph) => (p.style ?? element.style) === style && wordsOf(p).trim() !== '';
    const from = element.paragraphs.findIndex(is);
    if (from < 0) continue;
    const after = element.paragraphs.findIndex((p, i) => i > from && !is(p));
    const found = element.paragraphs.slice(from, after < 0 ? undefined : after);
    return found.map(wordsOf).join(' ').replace(/\s+/g, ' ').trim();
  }
  return undefined;
}

/**
 * What each side fills in. A page without a heading of its own repeats the last one before it.
 * @param sides in reading order
 */
export function fieldValues(piece: Piece, sides: readonly SideName[]): (side: SideName) => FieldValues {
  const { first, heads } = piece.numbering;
  const pages = sides.filter((side) => pageNumberOf(side) !== undefined);
  let heading: Map<SideName, string> | undefined;
  const headings = (): Map<SideName, string> => {
    const found = new Map<SideName, string>();
    let last = '';
    for (const side of pages) {
      if (heads !== null) last = headOn(elementsOn(piece, side), heads) ?? last;
      found.set(side, last);
    }
    return found;
  };
  return (side) => {
    const isBase = baseOfSide(side) !== undefined;
    const n = pageNumberOf(side);
    const number = n === undefined ? undefined : n - 1 + first;
    const written = (style: '1' | 'i' | 'I' | 'a' | 'A') =>
      number === undefined ? (isBase ? '#' : '') : writeNumber(number, style);
    return {
      page: written('1'),
      'page-i': written('i'),
      'page-I': written('I'),
      'page-a': written('a'),
      'page-A': written('A'),
      pages: isBase ? '#' : String(pages.length),
      get head() {
        heading ??= headings();
        return isBase ? 'Running head' : (heading.get(side) ?? '');
      },
    };
  };
}
