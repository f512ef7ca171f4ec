import type { SolidPaint, SpotInk, SpotShare, Swatch } from '../element';
import type { Parsed } from '../measure';

const HEX = /^#?([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})$/i;
const NUMBER = /\d+(?:[.,]\d+)?/g;
const WAYS = 'Write a build (88 78 38 36), an sRGB value (#1f2b5a) or “paper”.';

const refused = (at: number, length: number, message: string): Parsed<SolidPaint> => ({
  ok: false,
  error: { at, length, message },
});

/** The names that a colour may be called by. */
export interface PaintNames {
  readonly inks?: readonly Pick<SpotInk, 'name'>[] | undefined;
  readonly swatches?: readonly Pick<Swatch, 'name'>[] | undefined;
}

/** Percent at the end of a name: `Silver 60`, `“Headings” 40 %`. */
const PERCENT = /\s(\d+(?:[.,]\d+)?)\s*%?$/;
const QUOTES = /^["“”']|["“”']$/g;

const isCalled = (name: string, words: string): boolean => name.toLowerCase() === words.toLowerCase();

/** A colour by the name of a swatch or of spot inks, with a build after `+` where they are mixed. */
function readNamed(words: string, { inks = [], swatches = [] }: PaintNames): SolidPaint | undefined {
  const shares: SpotShare[] = [];
  let build = { c: 0, m: 0, y: 0, k: 0 };
  for (const part of words.split('+').map((p) => p.trim())) {
    const end = PERCENT.exec(part);
    const said = (end ? part.slice(0, end.index) : part).trim().replace(QUOTES, '');
    const number = end?.[1];
    const tint = number === undefined ? 100 : percent(number);
    if (tint > 100) return undefined;
    // A name may end in a number itself.
    const called = (list: readonly { readonly name: string }[]) =>
      list.find((i) => isCalled(i.name, part)) ?? list.find((i) => isCalled(i.name, said));
    const ink = called(inks);
    const swatch = called(swatches);
    if (swatch && part === words)
      return { kind: 'swatch', swatch: swatch.name, tint: isCalled(swatch.name, part) ? 100 : tint };
    if (ink) shares.push({ ink: ink.name, tint: isCalled(ink.name, part) ? 100 : tint });
    else {
      const plain = shares.length > 0 ? readPaint(part) : undefined;
      if (!plain?.ok || plain.value.kind !== 'process') return undefined;
      const { c, m, y, k } = plain.value;
      build = { c, m, y, k };
    }
  }
  return shares.length > 0 ? { kind: 'spot', ...build, spots: shares } : undefined;
}

/**
 * A colour as it is written: cyan, magenta, yellow and black in percent (`88 78 38 36`, `88/78/38/36`,
 * `c88 m78 y38 k36`), sRGB (`#1f2b5a`), `paper`, a named colour or spot inks of the job (`Silver 60 + 0 0 0 20`).
 */
export function readPaint(text: string, names: PaintNames = {}): Parsed<SolidPaint> {
  const words = text.trim();
  if (/^paper$/i.test(words)) return { ok: true, value: { kind: 'paper' } };
  const hex = HEX.exec(words);
  if (hex && words.startsWith('#')) {
    const [r = 0, g = 0, b = 0] = hex.slice(1).map((pair) => parseInt(pair, 16));
    return { ok: true, value: { kind: 'rgb', r, g, b } };
  }
  const named = readNamed(words, names);
  if (named) return { ok: true, value: named };
  const stray = /[^\d\s.,%/cmyk]/i.exec(text);
  if (stray) return refused(stray.index, 1, WAYS);
  const found = [...text.matchAll(NUMBER)];
  if (found.length !== 4) {
    return refused(
      0,
      text.length,
      `A build has four numbers, ${found.length === 1 ? 'here is' : 'here are'} ${found.length}. ${WAYS}`,
    );
  }
  const over = found.find(([n]) => percent(n) > 100);
  if (over) return refused(over.index, over[0].length, 'An ink covers at most 100 %.');
  const [c = 0, m = 0, y = 0, k = 0] = found.map(([n]) => percent(n));
  return { ok: true, value: { kind: 'process', c, m, y, k } };
}

const percent = (text: string): number => Number(text.replace(',', '.'));
