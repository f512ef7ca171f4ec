import { arcSegments, mapPath, type Path, type Segment } from '../geometry';

/*
 * Letters and figures as the strokes of a pen, in the order in which they are written: our own drawing of an upright
 * print hand. Baseline at 0, x-height 1, ascenders and capitals 2, descenders −1; y up. A stroke is `M x y`, `L x y`
 * and `A cx cy rx ry from to` (degrees, counterclockwise where `to` is larger); strokes are parted by a bar.
 */
const STROKES: Readonly<Record<string, readonly [width: number, strokes: string]>> = {
  a: [1, 'A .5 .5 .5 .5 45 405 | M 1 1 L 1 0'],
  b: [1, 'M 0 2 L 0 0 | A .5 .5 .5 .5 180 -180'],
  c: [0.9, 'A .5 .5 .5 .5 45 315'],
  d: [1, 'A .5 .5 .5 .5 45 405 | M 1 2 L 1 0'],
  e: [1, 'M 0 .5 L 1 .5 A .5 .5 .5 .5 0 315'],
  f: [1, 'A .65 1.6 .4 .4 30 180 L .25 0 | M 0 1 L .6 1'],
  g: [1, 'A .5 .5 .5 .5 45 405 | M 1 1 L 1 -.5 A .5 -.5 .5 .5 0 -150'],
  h: [1, 'M 0 2 L 0 0 | M 0 .5 A .5 .5 .5 .5 180 0 L 1 0'],
  i: [0.1, 'M .05 1 L .05 0 | A .05 1.5 .05 .05 0 360'],
  j: [0.7, 'M .65 1 L .65 -.6 A .25 -.6 .4 .4 0 -130 | A .65 1.5 .05 .05 0 360'],
  k: [0.85, 'M 0 2 L 0 0 | M .8 1 L .02 .42 L .85 0'],
  l: [0.1, 'M .05 2 L .05 0'],
  m: [1.6, 'M 0 1 L 0 0 | M 0 .6 A .4 .6 .4 .4 180 0 L .8 0 | M .8 .6 A 1.2 .6 .4 .4 180 0 L 1.6 0'],
  n: [1, 'M 0 1 L 0 0 | M 0 .5 A .5 .5 .5 .5 180 0 L 1 0'],
  o: [1, 'A .5 .5 .5 .5 90 450'],
  p: [1, 'M 0 1 L 0 -1 | A .5 .5 .5 .5 180 -180'],
  q: [1, 'A .5 .5 .5 .5 45 405 | M 1 1 L 1 -1'],
  r: [0.8, 'M 0 1 L 0 0 | M 0 .55 A .45 .55 .45 .45 180 45'],
  s: [0.85, 'A .42 .75 .4 .25 30 270 A .42 .25 .42 .25 90 -150'],
  t: [0.7, 'M .35 1.7 L .35 0 | M 0 1 L .7 1'],
  u: [1, 'M 0 1 L 0 .5 A .5 .5 .5 .5 180 360 L 1 1 | M 1 1 L 1 0'],
  v: [0.9, 'M 0 1 L .45 0 L .9 1'],
  w: [1.6, 'M 0 1 L .4 0 L .8 1 L 1.2 0 L 1.6 1'],
  x: [0.85, 'M 0 1 L .85 0 | M .85 1 L 0 0'],
  y: [1, 'M 0 1 L .5 0 | M 1 1 L 0 -1'],
  z: [0.85, 'M 0 1 L .85 1 L 0 0 L .85 0'],
  A: [1.4, 'M .7 2 L 0 0 | M .7 2 L 1.4 0 | M .28 .8 L 1.12 .8'],
  B: [1.1, 'M 0 2 L 0 0 | M 0 2 L .5 2 A .5 1.5 .5 .5 90 -90 L 0 1 L .6 1 A .6 .5 .5 .5 90 -90 L 0 0'],
  C: [1.7, 'A 1 1 1 1 45 315'],
  D: [1.3, 'M 0 2 L 0 0 | M 0 2 L .3 2 A .3 1 1 1 90 -90 L 0 0'],
  E: [1, 'M 0 2 L 0 0 | M 0 2 L 1 2 | M 0 1 L .85 1 | M 0 0 L 1 0'],
  F: [1, 'M 0 2 L 0 0 | M 0 2 L 1 2 | M 0 1 L .85 1'],
  G: [2, 'A 1 1 1 1 45 360 L 1.1 1'],
  H: [1.3, 'M 0 2 L 0 0 | M 1.3 2 L 1.3 0 | M 0 1 L 1.3 1'],
  I: [0.1, 'M .05 2 L .05 0'],
  J: [0.9, 'M .9 2 L .9 .5 A .45 .5 .45 .5 0 -180'],
  K: [1.2, 'M 0 2 L 0 0 | M 1.1 2 L .02 .95 L 1.2 0'],
  L: [1, 'M 0 2 L 0 0 L 1 0'],
  M: [1.5, 'M 0 2 L 0 0 | M 0 2 L .75 .5 L 1.5 2 L 1.5 0'],
  N: [1.3, 'M 0 2 L 0 0 | M 0 2 L 1.3 0 L 1.3 2'],
  O: [2, 'A 1 1 1 1 90 450'],
  P: [1, 'M 0 2 L 0 0 | M 0 2 L .5 2 A .5 1.5 .5 .5 90 -90 L 0 1'],
  Q: [2, 'A 1 1 1 1 90 450 | M 1.3 .6 L 1.9 0'],
  R: [1.05, 'M 0 2 L 0 0 | M 0 2 L .5 2 A .5 1.5 .5 .5 90 -90 L 0 1 | M .4 1 L 1.05 0'],
  S: [1.3, 'A .65 1.5 .6 .5 30 270 A .65 .5 .65 .5 90 -150'],
  T: [1.3, 'M .65 2 L .65 0 | M 0 2 L 1.3 2'],
  U: [1.3, 'M 0 2 L 0 .65 A .65 .65 .65 .65 180 360 L 1.3 2'],
  V: [1.4, 'M 0 2 L .7 0 L 1.4 2'],
  W: [2, 'M 0 2 L .5 0 L 1 2 L 1.5 0 L 2 2'],
  X: [1.3, 'M 0 2 L 1.3 0 | M 1.3 2 L 0 0'],
  Y: [1.3, 'M 0 2 L .65 1 L .65 0 | M 1.3 2 L .65 1'],
  Z: [1.3, 'M 0 2 L 1.3 2 L 0 0 L 1.3 0'],
  0: [1.2, 'A .6 1 .6 1 90 450'],
  1: [0.6, 'M .1 1.6 L .5 2 L .5 0'],
  2: [1.1, 'A .55 1.45 .55 .55 170 -30 L 0 0 L 1.1 0'],
  3: [1.05, 'A .5 1.5 .5 .5 150 -90 A .5 .5 .55 .5 90 -150'],
  4: [1.15, 'M .75 2 L 0 .7 L 1.15 .7 | M .85 1.3 L .85 0'],
  5: [1.1, 'M .1 2 L .05 1.05 A .5 .62 .6 .62 135 -145 | M .1 2 L 1 2'],
  6: [1.2, 'A 1.2 .6 1.2 1.4 97 180 A .6 .6 .6 .6 180 540'],
  7: [1.1, 'M 0 2 L 1.1 2 L .35 0'],
  8: [1.1, 'A .55 1.5 .5 .5 60 270 A .55 .5 .55 .5 90 -270 A .55 1.5 .5 .5 -90 60'],
  9: [1.1, 'A .55 1.45 .55 .55 10 370 L .95 0'],
};

/** A letter as strokes: how wide it is, and each stroke as a path. */
export interface StrokedLetter {
  readonly width: number;
  readonly strokes: readonly Path[];
}

function readStroke(text: string): Path {
  const path: Segment[] = [];
  const reach = (x: number, y: number) => path.push([path.length === 0 ? 'M' : 'L', x, y]);
  for (const [, command = '', rest = ''] of text.matchAll(/([MLA])([^MLA]*)/g)) {
    const [a = 0, b = 0, rx = 0, ry = 0, from = 0, to = 0] = rest.trim().split(/\s+/).map(Number);
    if (command !== 'A') {
      reach(a, b);
      continue;
    }
    // A circle of radius 1, stretched and moved.
    const arc = mapPath(arcSegments({ x: 0, y: 0 }, 1, from, to), [rx, 0, 0, ry, a, b]);
    const start = (from * Math.PI) / 180;
    reach(a + rx * Math.cos(start), b + ry * Math.sin(start));
    path.push(...arc);
  }
  return path;
}

const known = new Map<string, StrokedLetter>();

/** The letter or figure in strokes; undefined for what is not among ours. */
export function strokedLetter(character: string): StrokedLetter | undefined {
  const before = known.get(character);
  if (before) return before;
  const found = STROKES[character];
  if (!found) return undefined;
  const [width, text] = found;
  const made = { width, strokes: text.split('|').map((s) => readStroke(s.trim())) };
  known.set(character, made);
  return made;
}

/** All that there is, in the order of the alphabet. */
export const STROKED = Object.keys(STROKES);
