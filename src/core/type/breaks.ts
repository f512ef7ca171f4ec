import LineBreaker from 'linebreak';
import type { Hyphenator } from './hyphenation';

/** A place where a line may end. */
export interface Opportunity {
  /** UTF-16 index the next line would start at. */
  readonly at: number;
  /** Whether a hyphen is set when it ends here. */
  readonly hyphen: boolean;
}

const SOFT = '\u00ad';
/** No word that is hyphenated has more letters; a row of letters that has is no word. */
const LONGEST_WORD = 100;

/** Line-break opportunities of a paragraph: Unicode's (UAX 14), soft hyphens, and the language's hyphenation. */
export function opportunities(text: string, hyphenator: Hyphenator | undefined): readonly Opportunity[] {
  const breaker = new LineBreaker(text);
  const found: Opportunity[] = [];
  let from = 0;
  for (let next = breaker.nextBreak(); next; next = breaker.nextBreak()) {
    if (hyphenator) found.push(...hyphens(text.slice(from, next.position), from, hyphenator));
    found.push({ at: next.position, hyphen: text[next.position - 1] === SOFT });
    from = next.position;
  }
  return found;
}

function hyphens(chunk: string, from: number, hyphenator: Hyphenator): Opportunity[] {
  const found: Opportunity[] = [];
  for (const word of chunk.matchAll(/\p{L}{5,}/gu)) {
    if (word[0].length > LONGEST_WORD) continue;
    let at = from + word.index;
    for (const part of hyphenator(word[0]).slice(0, -1)) {
      at += part.length;
      found.push({ at, hyphen: true });
    }
  }
  return found;
}
