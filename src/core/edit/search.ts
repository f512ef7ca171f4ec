import {
  elementsOf,
  mapSides,
  mapWithin,
  paintKey,
  paintsOf,
  plainText,
  repaint,
  styleBook,
  textsIn,
  withWords,
  type Element,
  type Job,
  type SideName,
  type SolidPaint,
} from '../job';
import { nameOf } from '../element';
import { changePiece, pieceOf } from './on-side';
import { holderOf, withTexts } from './words-of';

/** What is looked for: words as they are typed, the words as a whole or as part of others. */
export interface Wanted {
  readonly words: string;
  readonly matchCase?: boolean;
  readonly wholeWords?: boolean;
}

/** A place where words stand. */
export interface FoundWords {
  readonly side: SideName;
  /** The text, or the text of a cell. */
  readonly text: string;
  /** The element that holds it. */
  readonly element: string;
  readonly at: number;
  readonly length: number;
  /** What stands around it, cut to a line. */
  readonly before: string;
  readonly match: string;
  readonly after: string;
}

/** Letters around a place that are shown. */
const AROUND = 24;

const LETTER = /[\p{L}\p{N}\p{M}]/u;

/** Where words stand in a text; one after another, none in another. */
function placesIn(text: string, { words, matchCase = false, wholeWords = false }: Wanted): readonly number[] {
  if (words === '') return [];
  // Folding that keeps the length of a text: places in the one are places in the other.
  const lower = (letter: string) => (letter.toLowerCase().length === letter.length ? letter.toLowerCase() : letter);
  const fold = (s: string) => (matchCase ? s : Array.from(s, lower).join(''));
  const [within, sought] = [fold(text), fold(words)];
  const isEdge = (i: number) => !LETTER.test(text.charAt(i));
  const found: number[] = [];
  for (let at = within.indexOf(sought); at >= 0; at = within.indexOf(sought, at + sought.length))
    if (!wholeWords || (isEdge(at - 1) && isEdge(at + sought.length))) found.push(at);
  return found;
}

/** Every place of the piece on the bench where words stand, side by side, in the order in which they are read. */
export function findWords(job: Job, wanted: Wanted): readonly FoundWords[] {
  const book = styleBook(job);
  return elementsOf(pieceOf(job)).flatMap(({ side, element }) =>
    textsIn(element, book).flatMap((holder) => {
      const text = plainText(holder.paragraphs);
      return placesIn(text, wanted).map((at): FoundWords => {
        const end = at + wanted.words.length;
        return {
          side,
          text: holder.id,
          element: holderOf(holder.id),
          at,
          length: wanted.words.length,
          before: text.slice(Math.max(0, at - AROUND), at),
          match: text.slice(at, end),
          after: text.slice(end, end + AROUND),
        };
      });
    }),
  );
}

/** The job with other words at places that were found, each in the look of what stood there. */
export function replaceWords(job: Job, found: readonly FoundWords[], words: string): Job {
  const book = styleBook(job);
  const bySide = grouped(found);
  return changePiece(job, (piece) =>
    mapSides(piece, (list, side) => {
      const here = bySide.get(side);
      if (!here) return list;
      return list.map((element) => {
        const ids = [...here.keys()].filter((id) => holderOf(id) === element.id);
        if (ids.length === 0) return element;
        return withTexts(element, ids, book, (text) => ({
          ...text,
          // From the last to the first: what is replaced moves what follows it.
          paragraphs: (here.get(text.id) ?? [])
            .toSorted((a, b) => b.at - a.at)
            .reduce((paragraphs, { at, length }) => withWords(paragraphs, [at, at + length], words), text.paragraphs),
        }));
      });
    }),
  );
}

/** Places by side and text. */
function grouped(found: readonly FoundWords[]): ReadonlyMap<SideName, ReadonlyMap<string, readonly FoundWords[]>> {
  const sides = new Map<SideName, Map<string, FoundWords[]>>();
  for (const place of found) {
    const texts = sides.get(place.side) ?? new Map<string, FoundWords[]>();
    texts.set(place.text, [...(texts.get(place.text) ?? []), place]);
    sides.set(place.side, texts);
  }
  return sides;
}

/** A thing that is called so, is painted so, or is set in a family. */
export interface FoundThing {
  readonly side: SideName;
  readonly element: string;
  readonly name: string;
}

const thingsThat = (job: Job, is: (element: Element) => boolean): readonly FoundThing[] =>
  elementsOf(pieceOf(job)).flatMap(({ side, element }) =>
    is(element) ? [{ side, element: element.id, name: nameOf(element) }] : [],
  );

/** Things whose name has words in it. */
export const findNames = (job: Job, wanted: Wanted): readonly FoundThing[] =>
  thingsThat(job, (element) => placesIn(nameOf(element), wanted).length > 0);

/** Things that are painted in a colour. @param key as `paintKey` writes it */
export function findPaint(job: Job, key: string): readonly FoundThing[] {
  const book = styleBook(job);
  return thingsThat(job, (element) => paintsOf(element, book).some((paint) => paintKey(paint) === key));
}

/** The job with one colour in place of another, in styles too. @param key of the colour that goes */
export function replacePaint(job: Job, key: string, to: SolidPaint): Job {
  const book = styleBook(job);
  const change = (paint: SolidPaint) => (paintKey(paint) === key ? to : paint);
  const styles = job.styles.map((style) => {
    const { paint } = style.look;
    return paint && paintKey(paint) === key ? { ...style, look: { ...style.look, paint: to } } : style;
  });
  // What follows from a style follows from it still.
  const styled = { ...job, styles };
  const now = styleBook(styled);
  return changePiece(styled, (piece) =>
    mapSides(piece, (list) =>
      list.map((element) =>
        paintsOf(element, now).some((paint) => paintKey(paint) === key) ? repaint(element, book, change) : element,
      ),
    ),
  );
}

/** Families that type is set in, with how many things say so. */
export function findFamilies(job: Job): ReadonlyMap<string, readonly FoundThing[]> {
  const found = new Map<string, FoundThing[]>();
  const book = styleBook(job);
  for (const { side, element } of elementsOf(pieceOf(job)))
    for (const family of new Set(textsIn(element, book).map((text) => book.base(text).family)))
      found.set(family, [...(found.get(family) ?? []), { side, element: element.id, name: nameOf(element) }]);
  return found;
}

/** The job with one family in place of another, in elements, runs and styles. */
export function replaceFamily(job: Job, from: string, to: string): Job {
  const changed = <T>(value: T): T => mapWithin(value, (v, under) => (under === 'family' && v === from ? to : v));
  return changePiece({ ...job, styles: changed(job.styles), cellStyles: changed(job.cellStyles) }, (piece) =>
    mapSides(piece, changed),
  );
}
