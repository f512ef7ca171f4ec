import type { SolidPaint } from '../element';
import type { Parsed } from '../measure';

const HEX = /^#?([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})$/i;
const NUMBER = /\d+(?:[.,]\d+)?/g;
const WAYS = 'Write a build (88 78 38 36), an sRGB value (#1f2b5a) or “paper”.';

const refused = (at: number, length: number, message: string): Parsed<SolidPaint> => ({
  ok: false,
  error: { at, length, message },
});

/**
 * A colour as it is written: cyan, magenta, yellow and black in percent (`88 78 38 36`, `88/78/38/36`,
 * `c88 m78 y38 k36`), sRGB (`#1f2b5a`), or `paper`.
 */
export function readPaint(text: string): Parsed<SolidPaint> {
  const words = text.trim();
  if (/^paper$/i.test(words)) return { ok: true, value: { kind: 'paper' } };
  const hex = HEX.exec(words);
  if (hex && words.startsWith('#')) {
    const [r = 0, g = 0, b = 0] = hex.slice(1).map((pair) => parseInt(pair, 16));
    return { ok: true, value: { kind: 'rgb', r, g, b } };
  }
  const stray = /[^\d\s.,%/cmyk]/i.exec(text);
  if (stray) return refused(stray.index, 1, WAYS);
  const found = [...text.matchAll(NUMBER)];
  if (found.length !== 4) {
    return refused(0, text.length, `A build has four numbers, ${found.length === 1 ? 'here is' : 'here are'} ${found.length}. ${WAYS}`);
  }
  const over = found.find(([n]) => percent(n) > 100);
  if (over) return refused(over.index, over[0].length, 'An ink covers at most 100 %.');
  const [c = 0, m = 0, y = 0, k = 0] = found.map(([n]) => percent(n));
  return { ok: true, value: { kind: 'process', c, m, y, k } };
} // prettier-ignore

const percent = (text: string): number => Number(text.replace(',', '.'));
