import type { Mm } from '../measure';
import { Impossible } from '../parameter';
import type { Point, Rect } from '../geometry';
import { boxed, disc, type LineStyle, type Mark, type Role } from './mark';
import type { Lettering, Track } from './printable';

/** A length in so many equal parts with gaps between. @throws Impossible where the gaps take it all */
export function parts(length: Mm, count: number, gap: Mm = 0, decision = 'gap'): readonly Track[] {
  const size = (length - gap * (count - 1)) / count;
  if (size <= 0)
    throw new Impossible(decision, 'The gaps take all the room there is: make them smaller, or have fewer parts.');
  return Array.from({ length: count }, (_, i) => ({ start: i * (size + gap), size }));
}

export const shifted = (tracks: readonly Track[], by: Mm): readonly Track[] =>
  tracks.map(({ start, size }) => ({ start: start + by, size }));

/** The largest size up to one at which each of some words fits a width. */
export const sizeFor = (texts: readonly string[], width: Mm, most: Mm, lettering: Lettering): Mm =>
  Math.min(most, width / Math.max(1e-6, ...texts.map((t) => lettering.width(t))));

/** The baseline at which capitals stand in the middle of a height. */
export const middleBaseline = (top: Mm, height: Mm, size: Mm, lettering: Lettering): Mm =>
  top + (height + size * lettering.capHeight) / 2;

/**
 * Words that are shortened until they fit a width; what was cut shows as an ellipsis.
 * @param cut filled with what was cut, so that it is said
 */
export function clipped(text: string, width: Mm, size: Mm, lettering: Lettering, cut: string[]): string {
  if (lettering.width(text) * size <= width) return text;
  cut.push(text);
  for (let n = text.length - 1; n > 0; n -= 1) {
    const cut = `${text.slice(0, n).trimEnd()}…`;
    if (lettering.width(cut) * size <= width) return cut;
  }
  return '';
}

/** Words broken at spaces into lines of a width; a word that is longer stands alone. */
export function brokenLines(text: string, width: Mm, size: Mm, lettering: Lettering): readonly string[] {
  const lines: string[] = [];
  for (const word of text.split(/\s+/).filter(Boolean)) {
    const last = lines.at(-1);
    if (last !== undefined && lettering.width(`${last} ${word}`) * size <= width)
      lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}

export type TickForm = 'square' | 'round';

export const tickBox = (form: TickForm, box: Rect, style: LineStyle): Mark =>
  form === 'square'
    ? boxed(box, style)
    : disc({ x: box.x + box.width / 2, y: box.y + box.height / 2 }, Math.min(box.width, box.height) / 2, style);

/** The lines of what was typed that say something. */
export const linesOf = (text: string): readonly string[] =>
  text
    .split('\n')
    .map((l) => l.trim())
    .filter((l) => l !== '');

/** A star of five points. */
export function star({ x, y }: Point, radius: Mm, fill: Role | null, stroke: LineStyle | null): Mark {
  const points = Array.from({ length: 10 }, (_, i): Point => {
    const r = i % 2 === 0 ? radius : radius * 0.4;
    const a = (Math.PI / 5) * i - Math.PI / 2;
    return { x: x + Math.cos(a) * r, y: y + Math.sin(a) * r };
  });
  return {
    kind: 'shape',
    path: [...points.map((p, i) => [i === 0 ? 'M' : 'L', p.x, p.y] as const), ['Z']],
    fill,
    stroke,
  };
}

/** What was cut, as a printable says it. */
export const leftOut = (cut: readonly string[]): { readonly left?: readonly string[] } =>
  cut.length > 0 ? { left: [...new Set(cut)].map((text) => `No room for all of “${text}”.`) } : {};
