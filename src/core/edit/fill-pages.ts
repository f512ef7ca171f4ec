import {
  wordsOf,
  type Element,
  type ElementOf,
  type Paragraph,
  elementsOn,
  plainName,
  withSide,
  type Piece,
  type SideName,
} from '../job';

/** Words in rows under a head that names the columns. */
export interface NamedRows {
  readonly head: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** What became of rows that were laid onto pages. */
export interface Filled {
  readonly piece: Piece;
  /** Sides that took a row. */
  readonly sides: readonly SideName[];
  /** Columns for which no page has anything of that name. */
  readonly unused: readonly string[];
  /** Names of pictures that were asked for and not given. */
  readonly missing: readonly string[];
  /** Rows for which there were no pages. */
  readonly left: number;
}

/** New words set as those before them: paragraph by paragraph, the last going on. */
export function inTheSameSetting(before: readonly Paragraph[], words: string): Paragraph[] {
  return words.split('\n').map((line, i): Paragraph => {
    const like = before[Math.min(i, before.length - 1)];
    const run = like?.runs.find((r) => r.text.trim() !== '') ?? like?.runs[0];
    const { style, look } = run ?? {};
    return {
      ...(like?.style !== undefined && { style: like.style }),
      ...(like?.look && { look: like.look }),
      runs: line === '' ? [] : [{ text: line, ...(style !== undefined && { style }), ...(look && { look }) }],
    };
  });
}

type Slot = ElementOf<'text'> | ElementOf<'picture'>;

const isSlot = (element: Element): element is Slot =>
  (element.kind === 'text' || element.kind === 'picture') && element.name.trim() !== '';

/** Texts and picture frames of a side that have a name: what a row can fill, by that name. */
export const slotsOn = (piece: Piece, side: SideName): readonly Slot[] => elementsOn(piece, side).filter(isSlot);

/**
 * Lays rows onto pages, one row on each set of sides: a cell goes into the text or picture frame that is named as its
 * column. A picture frame whose cell is empty is left out; the place of everything still follows the layout.
 * @param sets the sides of each row: a page, or the two of a spread
 * @param pictures SHA-256 by the plain name of the file
 */
export function fillPages(
  piece: Piece,
  sets: readonly (readonly SideName[])[],
  { head, rows }: NamedRows,
  pictures: ReadonlyMap<string, string>,
): Filled {
  const missing = new Set<string>();
  const used = new Set<string>();
  const columns = new Map(head.map((name, i) => [plainName(name), i]));
  let out = piece;
  const filled: SideName[] = [];
  rows.slice(0, sets.length).forEach((row, r) => {
    for (const side of sets[r] ?? []) {
      const fill = (element: Element): readonly Element[] => {
        const column = isSlot(element) ? columns.get(plainName(element.name)) : undefined;
        if (column === undefined) return [element];
        used.add(plainName(element.name));
        const value = row[column] ?? '';
        if (element.kind === 'text')
          return value === wordsAll(element)
            ? [element]
            : [{ ...element, paragraphs: inTheSameSetting(element.paragraphs, value) }];
        if (element.kind !== 'picture') return [element];
        if (value === '') return [];
        const picture = pictures.get(plainName(value));
        if (picture === undefined) missing.add(value);
        return [{ ...element, picture: picture ?? null, ...(picture === undefined && { wants: value }) }];
      };
      out = withSide(out, side, elementsOn(out, side).flatMap(fill));
      filled.push(side);
    }
  });
  return {
    piece: out,
    sides: filled,
    unused: head.filter((name) => !used.has(plainName(name))),
    missing: [...missing],
    left: Math.max(0, rows.length - sets.length),
  };
}

const wordsAll = (text: ElementOf<'text'>): string => text.paragraphs.map(wordsOf).join('\n');
