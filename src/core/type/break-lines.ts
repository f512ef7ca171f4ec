import type { Mm } from '../measure';
import type { Prepared } from './prepared';
import { layTabs, type Measure } from './tabs';
import { TASTE, firstFit, totalFit, type Break, type Material } from './total-fit';

/** A line as it was broken: text from `from` up to `to`, trailing spaces and all. */
export interface BrokenLine {
  readonly from: number;
  readonly to: number;
  readonly hyphen: boolean;
  /** Ends the paragraph or was ended by hand: not justified. */
  readonly ends: boolean;
}

/** Room for rounding, so that a frame made to fit its text still fits it, mm. */
export const HAIR = 1e-4;

const LINE_SEPARATOR = '\u2028';
const NO_BREAK_SPACE = '\u00a0';

/** Demerits of ending a line in a hyphen, and of breaking a word where no rule allows it. */
const HYPHEN = 50;
const EMERGENCY = 5_000;
/**
 * Ragged lines may end this far before the edge as a matter of course, in ems (Knuth and Plass: three words’ space).
 */
const RAGGED = 3;

/** What a reader takes for one letter (UAX 29): a word that must be broken is broken between two of them. */
const GRAPHEMES = new Intl.Segmenter('und', { granularity: 'grapheme' });

interface Stuff {
  readonly materials: readonly Material[];
  /** Where the next line starts when it is broken at a material. */
  readonly next: readonly number[];
  readonly hyphen: readonly boolean[];
}

/**
 * A paragraph as boxes, glue and penalties.
 * @param least narrowest line: a word wider than it may be broken anywhere
 */
function stuffOf(p: Prepared, from: number, least: Mm): Stuff {
  const materials: Material[] = [];
  const next: number[] = [];
  const hyphen: boolean[] = [];
  const add = (material: Material, at: number, isHyphen = false) => {
    materials.push(material);
    next.push(at);
    hyphen.push(isHyphen);
  };
  const { justify, align } = p.look;
  const isRagged = align !== 'justified';
  // Centred lines are ragged on both sides; what counts is the sum.
  const space = (width: Mm): { stretch: number; shrink: number } =>
    isRagged
      ? { stretch: 0, shrink: 0 }
      : {
          stretch: (width * Math.max(0, justify.wordMost - 100)) / 100,
          shrink: (width * Math.max(0, 100 - justify.wordLeast)) / 100,
        };
  const size = p.pieces[0]?.shape.size ?? 1;
  const rag = size * RAGGED;
  const letters = (a: number, b: number) =>
    isRagged || justify.letterMost - justify.letterLeast === 0
      ? undefined
      : { stretch: ((b - a) * size * justify.letterMost) / 100, shrink: ((b - a) * size * -justify.letterLeast) / 100 };
  const box = (a: number, b: number) => {
    if (b <= a) return;
    const width = (p.sums[b] ?? 0) - (p.sums[a] ?? 0);
    if (width > least + HAIR) {
      for (const { index, segment } of GRAPHEMES.segment(p.text.slice(a, b))) {
        const [start, end] = [a + index, a + index + segment.length];
        if (start > a) add({ kind: 'penalty', width: 0, cost: EMERGENCY, flagged: false }, start);
        add({ kind: 'box', width: (p.sums[end] ?? 0) - (p.sums[start] ?? 0) }, end);
      }
      return;
    }
    add({ kind: 'box', width, ...letters(a, b) }, b);
  };
  /** Glue at which no line is broken. */
  const glued = (width: Mm, give: { stretch: number; shrink: number }, at: number) => {
    add({ kind: 'penalty', width: 0, cost: Infinity, flagged: false }, at);
    add({ kind: 'glue', width, ...give }, at);
  };
  let at = from;
  const ends = p.places.some((place) => place.at === p.text.length)
    ? p.places
    : [...p.places, { at: p.text.length, hyphen: false }];
  for (const place of ends) {
    if (place.at <= at) continue;
    const forced = p.text[place.at - 1] === LINE_SEPARATOR;
    let words = forced ? place.at - 1 : place.at;
    while (words > at && isSpace(p.text[words - 1])) words -= 1;
    // Spaces that hold words together still give.
    let start = at;
    for (let i = at; i < words; i += 1) {
      if (p.text[i] !== NO_BREAK_SPACE) continue;
      box(start, i);
      const width = (p.sums[i + 1] ?? 0) - (p.sums[i] ?? 0);
      glued(width, space(width), i + 1);
      start = i + 1;
    }
    box(start, words);
    const spaces = (p.sums[forced ? place.at - 1 : place.at] ?? 0) - (p.sums[words] ?? 0);
    const isLast = place.at >= p.text.length;
    if (isLast || forced) {
      glued(0, { stretch: 1e6, shrink: 0 }, place.at);
      add({ kind: 'penalty', width: 0, cost: -Infinity, flagged: false }, place.at);
    } else if (place.hyphen || spaces === 0) {
      if (isRagged) glued(0, { stretch: rag, shrink: 0 }, place.at);
      const cost = place.hyphen ? HYPHEN * (isRagged ? 4 : 1) : 0;
      add({ kind: 'penalty', width: place.hyphen ? p.hyphen : 0, cost, flagged: place.hyphen }, place.at, place.hyphen);
      if (isRagged) add({ kind: 'glue', width: 0, stretch: -rag, shrink: 0 }, place.at);
    } else if (isRagged) {
      glued(0, { stretch: rag, shrink: 0 }, place.at);
      add({ kind: 'penalty', width: 0, cost: 0, flagged: false }, place.at);
      add({ kind: 'glue', width: spaces, stretch: -rag, shrink: 0 }, place.at);
    } else add({ kind: 'glue', width: spaces, ...space(spaces) }, place.at);
    at = place.at;
  }
  return { materials, next, hyphen };
}

const isSpace = (char: string | undefined): boolean =>
  char !== undefined && char !== NO_BREAK_SPACE && char !== '\t' && /\s/.test(char);

/** Tries ever more tolerant ways; the last goes past its width rather than lose a word. */
function breaksOf(stuff: Stuff, widthOf: (line: number) => Mm, isUniform: boolean): readonly Break[] {
  const hasHyphens = stuff.hyphen.some(Boolean);
  const plain = hasHyphens
    ? stuff.materials.map((m, i) => (stuff.hyphen[i] ? ({ ...m, cost: Infinity } as Material) : m))
    : undefined;
  return (
    (plain && totalFit(plain, widthOf, isUniform, { ...TASTE, tolerance: 1 })) ??
    totalFit(stuff.materials, widthOf, isUniform, TASTE) ??
    totalFit(stuff.materials, widthOf, isUniform, { ...TASTE, tolerance: 6 }) ??
    totalFit(stuff.materials, widthOf, isUniform, { ...TASTE, tolerance: Infinity }) ??
    firstFit(stuff.materials, widthOf)
  );
}

/**
 * Breaks a paragraph into lines.
 * @param from where it begins, past a drop cap
 * @param measureOf measure of each line, counted from 0
 * @param isUniform whether all lines are equally wide
 */
export function breakLines(
  p: Prepared,
  from: number,
  measureOf: (line: number) => Measure,
  isUniform: boolean,
): readonly BrokenLine[] {
  if (from >= p.text.length) return [{ from, to: p.text.length, hyphen: false, ends: true }];
  // The space after the last letter of a line does not count.
  const room = (line: number) => measureOf(line).width + p.tracking + HAIR;
  const whole = (p.sums[p.text.length] ?? 0) - (p.sums[from] ?? 0);
  if (whole <= room(0) && !p.text.includes(LINE_SEPARATOR, from) && !p.hasTabs)
    return [{ from, to: p.text.length, hyphen: false, ends: true }];
  if (p.hasTabs) return tabbedLines(p, from, measureOf);
  const stuff = stuffOf(p, from, isUniform ? room(0) : narrowest(room));
  switch (p.look.breaking) {
    case 'line':
      return linesOf(p, from, stuff, firstFit(stuff.materials, room));
    case 'paragraph':
      return linesOf(p, from, stuff, breaksOf(stuff, room, isUniform));
    case 'balanced':
      return linesOf(p, from, stuff, balanced(stuff, room));
  }
}

/** Lines of different widths are few: the narrowest of the first ones decides which words are too wide. */
const narrowest = (room: (line: number) => Mm): Mm => Math.min(...Array.from({ length: 40 }, (_, i) => room(i)));

/** As many lines as it takes anyhow, each as short as that allows. */
function balanced(stuff: Stuff, room: (line: number) => Mm): readonly Break[] {
  const count = firstFit(stuff.materials, room).length;
  let [least, most] = [0, 1];
  for (let i = 0; i < 24; i += 1) {
    const share = (least + most) / 2;
    if (firstFit(stuff.materials, (line) => room(line) * share).length > count) least = share;
    else most = share;
  }
  return firstFit(stuff.materials, (line) => room(line) * most);
}

function linesOf(p: Prepared, from: number, stuff: Stuff, breaks: readonly Break[]): readonly BrokenLine[] {
  let start = from;
  return breaks.map(({ at }): BrokenLine => {
    const to = stuff.next[at] ?? p.text.length;
    const line = {
      from: start,
      to,
      hyphen: stuff.hyphen[at] ?? false,
      ends: to >= p.text.length || p.text[to - 1] === LINE_SEPARATOR,
    };
    start = to;
    return line;
  });
}

/** Lines with tabs, one by one: how wide they are depends on where each begins. */
function tabbedLines(p: Prepared, from: number, measureOf: (line: number) => Measure): readonly BrokenLine[] {
  const lines: BrokenLine[] = [];
  let start = from;
  let best: { at: number; hyphen: boolean } | undefined;
  const take = (to: number, hyphen: boolean) => {
    lines.push({ from: start, to, hyphen, ends: to >= p.text.length || p.text[to - 1] === LINE_SEPARATOR });
    start = to;
    best = undefined;
  };
  const places = p.places.filter((place) => place.at > from);
  for (let i = 0; i < places.length; i += 1) {
    const place = places[i];
    if (!place || place.at <= start) continue;
    const measure = measureOf(lines.length);
    const width = layTabs(p, start, place.at, measure).width + (place.hyphen ? p.hyphen : 0);
    if (width > measure.width + p.tracking + HAIR && best) {
      take(best.at, best.hyphen);
      i -= 1;
    } else if (p.text[place.at - 1] === LINE_SEPARATOR) take(place.at, false);
    else best = place;
  }
  if (start < p.text.length) take(p.text.length, false);
  return lines;
}
