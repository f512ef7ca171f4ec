import { mmPer, unitOf, type Mm, type Unit } from './units';

/** What a bare number means, and how large a pixel is. */
export interface FieldContext {
  readonly unit: Unit;
  readonly ppi: number;
}

/** What is wrong with a field: where (0-based character and length), what, and what would do. */
export interface FieldError {
  readonly at: number;
  readonly length: number;
  readonly message: string;
}

export type Parsed<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: FieldError };

class FieldFault extends Error {
  constructor(
    readonly at: number,
    readonly length: number,
    message: string,
  ) {
    super(message);
  }
}

type Token =
  | { readonly kind: 'number'; readonly value: number; readonly at: number; readonly length: number }
  | { readonly kind: 'unit'; readonly unit: Unit; readonly at: number; readonly length: number }
  | { readonly kind: 'sign'; readonly sign: string; readonly at: number; readonly length: number };

/** A value while it is worked out: millimetres (`length`) or a bare number still without a unit. */
interface Value {
  readonly n: number;
  readonly length: boolean;
  readonly at: number;
  readonly end: number;
}

const NUMBER = /^(?:\d+(?:[.,]\d+)?|[.,]\d+)/;
const WORD = /^(?:[a-z]+|''|["″”'′’])/i;
const SIGNS: Readonly<Record<string, string>> = { '×': 'x', '·': '*', '÷': '/', '−': '-', '–': '-' };

function tokenise(text: string): Token[] {
  const tokens: Token[] = [];
  let at = 0;
  while (at < text.length) {
    const rest = text.slice(at);
    const space = /^\s+/.exec(rest);
    if (space) {
      at += space[0].length;
      continue;
    }
    const number = NUMBER.exec(rest);
    if (number) {
      const length = number[0].length;
      tokens.push({ kind: 'number', value: Number(number[0].replace(',', '.')), at, length });
      at += length;
      continue;
    }
    const char = rest[0] ?? '';
    const sign = SIGNS[char] ?? char;
    if ('+-*/()'.includes(sign) || sign === 'x') {
      // "x" separates a pair, unless it begins a word ("xyz" is no unit either way).
      if (char !== 'x' || !/^x[a-z]/i.test(rest)) {
        tokens.push({ kind: 'sign', sign, at, length: 1 });
        at += 1;
        continue;
      }
    }
    const word = WORD.exec(rest);
    if (word) {
      // "8.5inx11in": a unit run into the pair sign.
      const spelled = /^[a-z]+$/i.test(word[0]) ? word[0].replace(/x$/i, (x) => (unitOf(word[0]) ? x : '')) : word[0];
      if (/^(by|X)$/i.test(word[0])) {
        tokens.push({ kind: 'sign', sign: 'x', at, length: word[0].length });
        at += word[0].length;
        continue;
      }
      const unit = unitOf(spelled);
      if (!unit) {
        const message = `“${word[0]}” is not a unit. Use mm, cm, m, in, ft, pt, pica, px.`;
        throw new FieldFault(at, word[0].length, message);
      }
      tokens.push({ kind: 'unit', unit, at, length: spelled.length });
      at += spelled.length;
      continue;
    }
    const strange = String.fromCodePoint(text.codePointAt(at) ?? 0);
    throw new FieldFault(at, strange.length, `“${strange}” cannot stand in a length.`);
  }
  return tokens;
}

/**
 * Recursive descent over the tokens:
 * sum := product (("+"|"-") product)* ; product := factor (("*"|"/") factor)* ;
 * factor := "-" factor | "(" sum ")" unit? | quantity ; quantity := part+ with units that shrink (5' 6", 12p6).
 */
class Reader {
  private i = 0;
  constructor(
    private readonly tokens: readonly Token[],
    private readonly context: FieldContext,
    private readonly text: string,
  ) {}

  private peek(ahead = 0): Token | undefined {
    return this.tokens[this.i + ahead];
  }

  isSign(signs: string, ahead = 0): boolean {
    const token = this.peek(ahead);
    return token?.kind === 'sign' && signs.includes(token.sign);
  }

  skip(): void {
    this.i += 1;
  }

  end(): void {
    const token = this.peek();
    if (!token) return;
    const given = this.text.slice(token.at, token.at + token.length);
    if (token.kind === 'sign' && token.sign === ')') {
      throw new FieldFault(token.at, 1, 'This “)” closes nothing. Remove it or add “(” before.');
    }
    throw new FieldFault(
      token.at,
      token.length,
      `“${given}” is not expected here; a sign such as + − × ÷ is missing before it.`,
    );
  }

  sum(): Value {
    let left = this.product();
    while (this.isSign('+-')) {
      const plus = this.isSign('+');
      this.skip();
      const right = this.product();
      const mixed = left.length !== right.length;
      const [a, b] = mixed ? [this.toLength(left), this.toLength(right)] : [left, right];
      left = { n: plus ? a.n + b.n : a.n - b.n, length: a.length, at: left.at, end: right.end };
    }
    return left;
  }

  private product(): Value {
    let left = this.factor();
    while (this.isSign('*/')) {
      const times = this.isSign('*');
      this.skip();
      const right = this.factor();
      const span = { at: left.at, end: right.end };
      if (times) {
        if (left.length && right.length) {
          throw new FieldFault(
            span.at,
            span.end - span.at,
            'Length times length is an area. Multiply by a bare number.',
          );
        }
        left = { n: left.n * right.n, length: left.length || right.length, ...span };
      } else {
        if (right.n === 0) throw new FieldFault(right.at, right.end - right.at, 'Division by zero.');
        if (right.length && !left.length) {
          throw new FieldFault(span.at, span.end - span.at, 'A number divided by a length is no length.');
        }
        left = { n: left.n / right.n, length: left.length && !right.length, ...span };
      }
    }
    return left;
  }

  private factor(): Value {
    const token = this.peek();
    if (!token) {
      throw new FieldFault(this.text.length, 0, 'Something is missing at the end.');
    }
    if (token.kind === 'sign' && token.sign === '-') {
      this.skip();
      const value = this.factor();
      return { ...value, n: -value.n, at: token.at };
    }
    if (token.kind === 'sign' && token.sign === '(') {
      this.skip();
      const inner = this.sum();
      const close = this.peek();
      if (close?.kind !== 'sign' || close.sign !== ')') {
        throw new FieldFault(token.at, 1, 'This “(” is never closed. Add “)”.');
      }
      this.skip();
      const value = { ...inner, at: token.at, end: close.at + 1 };
      const unit = this.peek();
      if (unit?.kind === 'unit' && !value.length) {
        this.skip();
        return { ...value, n: value.n * mmPer(unit.unit, this.context.ppi), length: true, end: unit.at + unit.length };
      }
      return value;
    }
    if (token.kind === 'number') return this.quantity();
    const given = this.text.slice(token.at, token.at + token.length);
    throw new FieldFault(token.at, token.length, `A number is missing before “${given}”.`);
  }

  /** One or more parts whose units shrink: `5'6"`, `5 ft 6 1/2 in`, `12p6`, or a single part. */
  private quantity(): Value {
    const first = this.part();
    if (!first.unit) return { n: first.n, length: false, at: first.at, end: first.end };
    let total = first.n * mmPer(first.unit, this.context.ppi);
    let unit: Unit = first.unit;
    let end = first.end;
    while (this.peek()?.kind === 'number') {
      const next = this.part();
      // A bare number after picas is points (12p6), after feet inches (5'6).
      const own = next.unit ?? (unit === 'pica' ? 'pt' : unit === 'ft' ? 'in' : undefined);
      if (!own || mmPer(own, this.context.ppi) >= mmPer(unit, this.context.ppi)) {
        throw new FieldFault(next.at, next.end - next.at, 'A sign such as + − × ÷ is missing before this number.');
      }
      total += next.n * mmPer(own, this.context.ppi);
      unit = own;
      end = next.end;
    }
    return { n: total, length: true, at: first.at, end };
  }

  /** `3`, `1/2 in`, `3 1/2 in`, `2.5 mm`: a fraction is one only when a unit follows it. */
  private part(): { n: number; unit?: Unit; at: number; end: number } {
    const whole = this.peek();
    if (whole?.kind !== 'number') throw new FieldFault(this.text.length, 0, 'A number is missing here.');
    const fraction = (from: number) => {
      const [a, b, u] = [this.peek(from), this.peek(from + 2), this.peek(from + 3)];
      if (a?.kind !== 'number' || b?.kind !== 'number' || u?.kind !== 'unit') return undefined;
      if (!this.isSign('/', from + 1) || b.value === 0) return undefined;
      return { n: a.value / b.value, unit: u.unit, end: u.at + u.length, used: from + 4 };
    };
    const plain = fraction(0);
    const mixed = plain ? undefined : fraction(1);
    const found = plain ?? mixed;
    if (found) {
      this.i += found.used;
      return { n: (mixed ? whole.value : 0) + found.n, unit: found.unit, at: whole.at, end: found.end };
    }
    this.skip();
    const unit = this.peek();
    if (unit?.kind === 'unit') {
      this.skip();
      return { n: whole.value, unit: unit.unit, at: whole.at, end: unit.at + unit.length };
    }
    return { n: whole.value, at: whole.at, end: whole.at + whole.length };
  }

  toLength(value: Value, unit: Unit = this.context.unit): Value {
    return value.length ? value : { ...value, n: value.n * mmPer(unit, this.context.ppi), length: true };
  }
}

/** The unit that a side of a pair names, so that the bare other side may share it. */
function lastUnit(tokens: readonly Token[]): Unit | undefined {
  const named = tokens.filter((t) => t.kind === 'unit');
  return named.at(-1)?.unit;
}

function caught<T>(read: () => T): Parsed<T> {
  try {
    return { ok: true, value: read() };
  } catch (fault) {
    if (!(fault instanceof FieldFault)) throw fault;
    return { ok: false, error: { at: fault.at, length: fault.length, message: fault.message } };
  }
}

/**
 * Reads a length as designers write it: any unit, fractions (`3 1/2 in`), feet and inches (`5'6"`), picas and points
 * (`12p6`), and arithmetic (`279.4mm/3 + 1mm`). A bare number takes the context's unit.
 * @returns millimetres, or where and why the text is no length
 */
export function parseLength(text: string, context: FieldContext): Parsed<Mm> {
  return caught(() => {
    if (text.trim() === '') throw new FieldFault(0, text.length, 'A length is missing, for example 3 mm or 1/8 in.');
    const reader = new Reader(tokenise(text), context, text);
    const value = reader.sum();
    if (reader.isSign('x')) {
      throw new FieldFault(value.end, text.length - value.end, 'One length is wanted here, not a pair.');
    }
    reader.end();
    return finite(reader.toLength(value).n, text);
  });
}

/**
 * Reads width and height: `148 x 210`, `8.5x11in` (a bare side takes the other side's unit), `5' x 3'`.
 * @returns millimetres, or where and why the text is no pair
 */
export function parsePair(text: string, context: FieldContext): Parsed<{ width: Mm; height: Mm }> {
  return caught(() => {
    if (text.trim() === '') throw new FieldFault(0, text.length, 'A size is missing, for example A5 or 148 x 210 mm.');
    const tokens = tokenise(text);
    const split = tokens.findIndex((t) => t.kind === 'sign' && t.sign === 'x');
    if (split < 0) {
      throw new FieldFault(text.length, 0, 'The second side is missing: write width x height, for example 148 x 210.');
    }
    const shared = lastUnit(tokens.slice(split)) ?? lastUnit(tokens.slice(0, split)) ?? context.unit;
    const reader = new Reader(tokens, context, text);
    const width = reader.toLength(reader.sum(), shared);
    if (!reader.isSign('x')) reader.end();
    reader.skip();
    const height = reader.toLength(reader.sum(), shared);
    reader.end();
    return { width: finite(width.n, text), height: finite(height.n, text) };
  });
}

function finite(n: number, text: string): number {
  if (Number.isFinite(n)) return n;
  throw new FieldFault(0, text.length, 'This number is too large.');
}
