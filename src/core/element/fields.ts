/*
 * Words that a page fills in itself stand in a text as one sign each, of Unicode’s private use area, so that they are
 * typed over, copied and deleted like any letter.
 */

export const FIELDS = {
  page: '\uE0F0',
  'page-i': '\uE0F1',
  'page-I': '\uE0F2',
  'page-a': '\uE0F3',
  'page-A': '\uE0F4',
  pages: '\uE0F5',
  head: '\uE0F6',
} as const;
export type Field = keyof typeof FIELDS;

export const FIELD_WORDS: Readonly<Record<Field, string>> = {
  page: 'page number, 1 2 3',
  'page-i': 'page number, i ii iii',
  'page-I': 'page number, I II III',
  'page-a': 'page number, a b c',
  'page-A': 'page number, A B C',
  pages: 'number of pages',
  head: 'running head',
};

/** Whether a text holds words that its page fills in. */
export const hasFields = (text: string): boolean => /[\uE0F0-\uE0F6]/.test(text);

const NAMES = new Map<string, Field>(Object.entries(FIELDS).map(([name, sign]) => [sign, name as Field]));

/** The field that a sign stands for. */
export const fieldOf = (sign: string): Field | undefined => NAMES.get(sign);

/** The text as a person reads it where no page fills it in. */
export const readable = (text: string): string => text.replace(/[\uE0F0-\uE0F6]/g, '#');

/** What a page fills in. */
export type FieldValues = Readonly<Record<Field, string>>;

/** What stands for each where no page is known: as wide as most will be. */
export const UNKNOWN_FIELDS: FieldValues = {
  page: '00',
  'page-i': 'viii',
  'page-I': 'VIII',
  'page-a': 'a',
  'page-A': 'A',
  pages: '00',
  head: 'Running head',
};
