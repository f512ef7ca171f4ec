import { wordsOf, withWords, type Paragraph } from '../element';

/*
 * A column is named in words between braces, {name}, as parts are in the names of files: it is typed, searched and
 * copied like any other words. Braces around anything that is no column are left alone.
 */

/** What a record says in each of its columns, by `columnKey`. */
export type RecordValues = ReadonlyMap<string, string>;

/** A name as it is compared: capitals and outer spaces make no other column. */
export const columnKey = (name: string): string => name.trim().toLocaleLowerCase('en');

/** How a column is named in words. */
export const tokenOf = (column: string): string => `{${column}}`;

const TOKEN = /\{([^{}\n]{1,200})\}/g;

interface Token {
  readonly column: string;
  readonly from: number;
  readonly to: number;
}

/** What stands between braces, in order. */
const tokensIn = (text: string): readonly Token[] =>
  text.includes('{')
    ? [...text.matchAll(TOKEN)].map((found) => ({
        column: found[1] ?? '',
        from: found.index,
        to: found.index + found[0].length,
      }))
    : [];

/** Names between braces in a text, as they are written. */
export const columnsNamed = (text: string): readonly string[] => tokensIn(text).map(({ column }) => column);

/** A text with the values of a record in place of its columns’ names. */
export const fillText = (text: string, values: RecordValues): string =>
  text.includes('{') ? text.replace(TOKEN, (all, column: string) => values.get(columnKey(column)) ?? all) : text;

/** The names of columns in a paragraph. */
const named = (paragraph: Paragraph, values: RecordValues): readonly Token[] =>
  tokensIn(wordsOf(paragraph)).filter(({ column }) => values.has(columnKey(column)));

/**
 * Paragraphs with the values of a record in place of its columns’ names, each in the look of what it stands for. A
 * paragraph that held nothing but names goes where all of them are empty: no blank line is left.
 * @returns the same object where no column is named
 */
export function fillParagraphs(paragraphs: Paragraph[], values: RecordValues): Paragraph[] {
  const isNamed = paragraphs.some((paragraph) => named(paragraph, values).length > 0);
  if (!isNamed) return paragraphs;
  const made = paragraphs.flatMap((paragraph): readonly Paragraph[] => {
    const tokens = named(paragraph, values);
    if (tokens.length === 0) return [paragraph];
    const filled = tokens.reduceRight<Paragraph[]>(
      (list, { column, from, to }) => replaced(list, [from, to], values.get(columnKey(column)) ?? ''),
      [paragraph],
    );
    return filled.some((p) => wordsOf(p).trim() !== '') ? filled : [];
  });
  const [first] = paragraphs;
  return made.length > 0 || !first ? made : [{ ...first, runs: [] }];
}

/** A range with other words, in the look of its first letter. */
function replaced(paragraphs: Paragraph[], [from, to]: readonly [number, number], words: string): Paragraph[] {
  // Words take the look of the letter before them: the brace goes last, and its look stays.
  const put = withWords(paragraphs, [from + 1, to], words);
  return withWords(put, [from, from + 1], '');
}
