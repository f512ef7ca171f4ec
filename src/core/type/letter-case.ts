import type { TextStyle } from '../element';

/** Text after its case was changed, with the index each UTF-16 unit came from. */
export interface CasedText {
  readonly text: string;
  /** `source[i]` is the index in the typed text; one longer than the text. */
  readonly source: readonly number[];
}

/** Changes case by the language's rules, letter by letter, so that every letter knows where it was typed. */
export function applyCase(typed: string, to: TextStyle['case'], language: string): CasedText {
  let text = '';
  const source: number[] = [];
  let at = 0;
  let before = ' ';
  for (const letter of typed) {
    const changed = changeLetter(letter, before, to, language);
    for (let i = 0; i < changed.length; i += 1) source.push(at);
    text += changed;
    at += letter.length;
    before = letter;
  }
  source.push(at);
  return { text, source };
}

function changeLetter(letter: string, before: string, to: TextStyle['case'], language: string): string {
  switch (to) {
    case 'typed':
      return letter;
    case 'upper':
      return letter.toLocaleUpperCase(language);
    case 'lower':
      return letter.toLocaleLowerCase(language);
    case 'title':
      return /[\p{L}\p{N}’']/u.test(before) ? letter : letter.toLocaleUpperCase(language);
  }
}
