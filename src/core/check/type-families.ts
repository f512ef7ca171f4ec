import { elementsOf, styleBook, textsIn, type Piece, type StyleBook } from '../job';
import type { Rule } from './rule';

/** More families than this on a letterhead, card or envelope pull it apart [cp]. */
const MOST = 2;

/** Kinds that carry a name and an address. */
const STATIONERY: readonly string[] = ['letterhead', 'business-card', 'compliment-slip', 'envelope', 'cv'];

/** The families that the words of a piece are set in. */
const familiesOf = (piece: Piece, book: StyleBook): ReadonlySet<string> =>
  new Set(
    elementsOf(piece).flatMap(({ element }) =>
      textsIn(element, book).flatMap((text) =>
        text.paragraphs.flatMap((p) => p.runs.map((run) => book.run(book.paragraph(text, p), run).family)),
      ),
    ),
  );

/** Whether a piece has more families of type than its kind bears. */
export const hasManyFamilies = (piece: Piece, book: StyleBook): boolean =>
  STATIONERY.includes(piece.kind) && familiesOf(piece, book).size > MOST;

/** Stationery keeps to few families of type. */
export const typeFamiliesRule: Rule = {
  id: 'type-families',
  title: 'Many families',
  why: 'A card or a letter is small: a third family of type reads as an accident.',
  check: ({ job, piece, side, drawing, blank }) => {
    // Said once for the piece, on its first side.
    const book = styleBook(job);
    if (side !== blank.surfaces[0]?.name || !hasManyFamilies(piece, book)) return [];
    const families = familiesOf(piece, book);
    const message = `${families.size} families of type: ${[...families].join(', ')}. Two are enough for stationery.`;
    return [{ severity: 'note', element: null, where: drawing.boxes.trim, message }];
  },
};
