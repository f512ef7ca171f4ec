/** An operator of a content stream as it is written, with what stands before it (ISO 32000-1, 7.8.2). */
export interface Written {
  readonly operator: string;
  /** Each as it is written: a number, a name with its solidus, or whatever else. */
  readonly operands: readonly string[];
  /** Where it begins with its first operand, and where it ends. */
  readonly from: number;
  readonly to: number;
}

const SPACE = /[\0\t\n\f\r ]/;
const WORD_END = /[()<>[\]{}/%\0\t\n\f\r ]/;
const VALUE = /^(?:[+-]?(?:\d+(?:\.\d*)?|\.\d+)|true|false|null)$/;

/**
 * Reads a content stream so that parts of it can be written anew and the rest left as it is.
 * @throws RangeError where it cannot be read
 */
export function writtenOperations(text: string): readonly Written[] {
  const found: Written[] = [];
  let at = 0;
  let operands: string[] = [];
  let from = 0;
  for (at = skipped(text, 0); at < text.length; at = skipped(text, at)) {
    const end = endOfToken(text, at);
    const token = text.slice(at, end);
    if (operands.length === 0) from = at;
    at = end;
    if (/^[([</]/.test(token) || VALUE.test(token)) {
      operands.push(token);
      continue;
    }
    if (token === 'BI') at = endOfPicture(text, at);
    found.push({ operator: token, operands, from, to: at });
    operands = [];
  }
  return found;
}

/** Past spaces and remarks. */
function skipped(text: string, start: number): number {
  let at = start;
  for (;;) {
    while (at < text.length && SPACE.test(text.charAt(at))) at += 1;
    if (text.charAt(at) !== '%') return at;
    while (at < text.length && !/[\r\n]/.test(text.charAt(at))) at += 1;
  }
}

function endOfToken(text: string, at: number): number {
  switch (text.charAt(at)) {
    case '(':
      return endOfString(text, at);
    case '[':
      return endOfList(text, at + 1, ']');
    case '<':
      return text.charAt(at + 1) === '<' ? endOfList(text, at + 2, '>>') : endAfter(text, '>', at);
    case '/':
      return endOfWord(text, at + 1);
    default: {
      const end = endOfWord(text, at);
      if (end === at) throw new RangeError(`“${text.slice(at, at + 20)}” at ${at} cannot be read.`);
      return end;
    }
  }
}

function endOfWord(text: string, start: number): number {
  let at = start;
  while (at < text.length && !WORD_END.test(text.charAt(at))) at += 1;
  return at;
}

function endOfString(text: string, start: number): number {
  let depth = 0;
  for (let at = start; at < text.length; at += 1) {
    const c = text.charAt(at);
    if (c === '\\') at += 1;
    else if (c === '(') depth += 1;
    else if (c === ')' && (depth -= 1) === 0) return at + 1;
  }
  throw new RangeError('A string does not end.');
}

function endOfList(text: string, start: number, end: string): number {
  let at = skipped(text, start);
  while (!text.startsWith(end, at)) {
    if (at >= text.length) throw new RangeError(`“${end}” is missing.`);
    at = skipped(text, endOfToken(text, at));
  }
  return at + end.length;
}

function endAfter(text: string, mark: string, start: number): number {
  const at = text.indexOf(mark, start);
  if (at < 0) throw new RangeError(`“${mark}” is missing.`);
  return at + mark.length;
}

/** Past a picture that lies within the content: its bytes may hold anything (8.9.7). */
function endOfPicture(text: string, start: number): number {
  const end = /\sEI(?![^\0\t\n\f\r ])/g;
  end.lastIndex = endAfter(text, 'ID', start);
  if (!end.exec(text)) throw new RangeError('A picture within the content does not end.');
  return end.lastIndex;
}
