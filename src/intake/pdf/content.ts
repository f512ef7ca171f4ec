/**
 * Something in a content stream: a number, a name, a string, an operator, or what holds others (ISO 32000-1, 7.8.2).
 */
export type Token =
  | { readonly kind: 'number'; readonly value: number }
  | { readonly kind: 'name'; readonly text: string }
  | { readonly kind: 'string'; readonly bytes: readonly number[] }
  | { readonly kind: 'list'; readonly items: readonly Token[] }
  | { readonly kind: 'dict'; readonly entries: ReadonlyMap<string, Token> }
  | { readonly kind: 'word'; readonly text: string };

/** An operator with what stands before it. */
export interface Operation {
  readonly operator: string;
  readonly operands: readonly Token[];
}

const SPACE = /[\0\t\n\f\r ]/;
const DELIMITER = /[()<>[\]{}/%\0\t\n\f\r ]/;
const NUMBER = /^[+-]?(?:\d+(?:\.\d*)?|\.\d+)$/;

/**
 * Reads a content stream, whole.
 * @throws RangeError where it cannot be read
 */
export function operationsOf(bytes: Uint8Array): readonly Operation[] {
  const text = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength).toString('latin1');
  let at = 0;

  const skip = (): void => {
    for (;;) {
      while (at < text.length && SPACE.test(text.charAt(at))) at += 1;
      if (text.charAt(at) !== '%') return;
      while (at < text.length && !/[\r\n]/.test(text.charAt(at))) at += 1;
    }
  };

  const word = (): string => {
    const from = at;
    while (at < text.length && !DELIMITER.test(text.charAt(at))) at += 1;
    if (at === from) throw new RangeError(`“${text.slice(at, at + 20)}” at ${at} cannot be read.`);
    return text.slice(from, at);
  };

  const literal = (): readonly number[] => {
    const found: number[] = [];
    let depth = 1;
    for (at += 1; ; at += 1) {
      if (at >= text.length) throw new RangeError('A string does not end.');
      const c = text.charAt(at);
      if (c === '\\') at += 1;
      else if (c === '(') depth += 1;
      else if (c === ')' && (depth -= 1) === 0) break;
      found.push(text.charCodeAt(at));
    }
    at += 1;
    return found;
  };

  const hex = (): readonly number[] => {
    const end = text.indexOf('>', at);
    if (end < 0) throw new RangeError('A string in hexadecimal does not end.');
    const digits = text.slice(at + 1, end).replace(/\s/g, '');
    if (!/^[0-9A-Fa-f]*$/.test(digits)) throw new RangeError(`“${digits.slice(0, 20)}” is not hexadecimal.`);
    at = end + 1;
    return (digits.length % 2 === 1 ? `${digits}0` : digits).match(/../g)?.map((pair) => parseInt(pair, 16)) ?? [];
  };

  const until = (end: string): Token[] => {
    const items: Token[] = [];
    for (;;) {
      skip();
      if (at >= text.length) throw new RangeError(`“${end}” is missing.`);
      if (text.startsWith(end, at)) {
        at += end.length;
        return items;
      }
      items.push(token());
    }
  };

  function token(): Token {
    const c = text.charAt(at);
    if (c === '/') {
      at += 1;
      const from = at;
      while (at < text.length && !DELIMITER.test(text.charAt(at))) at += 1;
      return { kind: 'name', text: text.slice(from, at) };
    }
    if (c === '(') return { kind: 'string', bytes: literal() };
    if (c === '[') {
      at += 1;
      return { kind: 'list', items: until(']') };
    }
    if (text.startsWith('<<', at)) {
      at += 2;
      const items = until('>>');
      const entries = new Map<string, Token>();
      for (let i = 0; i + 1 < items.length; i += 2) {
        const [key, value] = [items[i], items[i + 1]];
        if (key?.kind !== 'name' || !value)
          throw new RangeError('A dictionary in the content has no name before a value.');
        entries.set(key.text, value);
      }
      return { kind: 'dict', entries };
    }
    if (c === '<') return { kind: 'string', bytes: hex() };
    const said = word();
    return NUMBER.test(said) ? { kind: 'number', value: Number(said) } : { kind: 'word', text: said };
  }

  /** A picture within the content, as the dictionary that it begins with; its bytes are passed over (8.9.7). */
  const inlinePicture = (): Operation => {
    const entries = new Map<string, Token>();
    for (skip(); !text.startsWith('ID', at); skip()) {
      const key = token();
      skip();
      const value = token();
      if (key.kind !== 'name') throw new RangeError('A picture within the content has no name before a value.');
      entries.set(key.text, value);
    }
    const end = /\sEI(?![^\0\t\n\f\r ])/g;
    end.lastIndex = at + 2;
    if (!end.exec(text)) throw new RangeError('A picture within the content does not end.');
    at = end.lastIndex;
    return { operator: 'BI', operands: [{ kind: 'dict', entries }] };
  };

  const operations: Operation[] = [];
  let operands: Token[] = [];
  for (skip(); at < text.length; skip()) {
    const next = token();
    if (next.kind !== 'word' || next.text === 'true' || next.text === 'false' || next.text === 'null') {
      operands.push(next);
      continue;
    }
    operations.push(next.text === 'BI' ? inlinePicture() : { operator: next.text, operands });
    operands = [];
  }
  if (operands.length > 0) throw new RangeError('The content ends without an operator.');
  return operations;
}
