import type { CharacterLook } from '../element';

/** Text after its case was changed, with the index each UTF-16 unit came from. */
export interface CasedText {
  readonly text: string;
  /** `source[i]` is the index in the typed text; one longer than the text. */
  readonly source: readonly number[];
  /** Whether a UTF-16 unit was a small letter that is set as a small capital. */
  readonly small: readonly boolean[];
}

/** Changes case by the language's rules, letter by letter, so that every letter knows where it was typed. */
export function applyCase(typed: string, to: CharacterLook['case'], language: string): CasedText {
  let text = '';
  const source: number[] = [];
  const small: boolean[] = [];
  let at = 0;
  let before = ' ';
  for (const letter of typed) {
    const changed = changeLetter(letter, before, to, language);
    const isSmall = to === 'small-caps' && changed !== letter;
    for (let i = 0; i < changed.length; i += 1) {
      source.push(at);
      small.push(isSmall);
    }
    text += changed;
    at += letter.length;
    before = letter;
  }
  source.push(at);
  return { text, source, small };
}

function changeLetter(letter: string, before: string, to: CharacterLook['case'], language: string): string {
  switch (to) {
    case 'typed':
      return letter;
    case 'upper':
    case 'small-caps':
      return letter.toLocaleUpperCase(language);
    case 'lower':
      return letter.toLocaleLowerCase(language);
    case 'title':
      return /[\p{L}\p{N}’']/u.test(before) ? letter : letter.toLocaleUpperCase(language);
  }
}
