import type { Rect } from '../geometry';
import type { Size } from '../paper';
import { SAME, across, parted, pieceIn, waste, type Layout, type Way } from './guillotine';

/** What a pattern may be made of, any number of times. */
export interface Kind extends Size {
  /** What one of them is worth: 1 to count them, their area to waste least. */
  readonly value: number;
  /** Whether it may lie turned by a quarter. */
  readonly turns: boolean;
}

/** The best pattern of a class, by all that there are. */
export interface Pattern {
  readonly layout: Layout;
  readonly value: number;
}

/** Beyond so many states the search would take seconds; lengths are taken to the next tenth of a millimetre then. */
const MOST_STATES = 3_000_000;

/**
 * The pattern of most value that a guillotine can cut from a rectangle in so many stages: one of all of its class, by
 * dynamic programming over normal patterns (Gilmore and Gomory 1965; Herz 1972). A stage is all cuts of one direction;
 * trimming a piece to its size is not counted.
 * @param room   mm
 * @param kinds  sizes in mm
 * @param stages how often cuts change direction: 2, 3, or more
 */
export function bestPattern(room: Size, kinds: readonly Kind[], stages: number): Pattern {
  const oriented = kinds.flatMap(({ width, height, value, turns }, kind) => [
    { width, height, value, kind, isTurned: false },
    ...(turns && Math.abs(width - height) > SAME
      ? [{ width: height, height: width, value, kind, isTurned: true }]
      : []),
  ]);
  const [wide, high] = points(room, oriented, stages);
  const leaves = memoized(wide, high, (w, h): Leaf | undefined => {
    const fitting = oriented.filter((o) => o.width <= (wide[w] ?? 0) + SAME && o.height <= (high[h] ?? 0) + SAME);
    return fitting.reduce<Leaf | undefined>((best, o) => (best && best.value >= o.value ? best : o), undefined);
  });

  const found = new Map<number, Choice>();
  const best = (w: number, h: number, way: Way, left: number): Choice => {
    const leaf = leaves(w, h);
    if (left === 0 || !leaf) return leaf ? { value: leaf.value, leaf } : NOTHING;
    const key = ((w * high.length + h) * 2 + (way === 'upright' ? 0 : 1)) * 16 + left;
    const known = found.get(key);
    if (known) return known;
    // Nothing cut in this direction; then each first strip, with the best of what is left of it.
    let most: Choice = { value: leaf.value, leaf };
    const turned = best(w, h, across(way), left - 1);
    if (turned.value > most.value) most = turned;
    const [list, at] = way === 'upright' ? [wide, w] : [high, h];
    const whole = list[at] ?? 0;
    for (let first = 1; first < at; first += 1) {
      const rest = lastUpTo(list, whole - (list[first] ?? 0));
      if (rest === 0) break;
      const [one, other] =
        way === 'upright'
          ? [best(first, h, across(way), left - 1), best(rest, h, way, left)]
          : [best(w, first, across(way), left - 1), best(w, rest, way, left)];
      const value = one.value + other.value;
      if (value > most.value + SAME) most = { value, way, at: list[first] ?? 0, first: one, rest: other };
    }
    found.set(key, most);
    return most;
  };
  const [w, h] = [wide.length - 1, high.length - 1];
  const ways = [best(w, h, 'upright', stages), best(w, h, 'level', stages)];
  const most = ways.reduce((a, b) => (b.value > a.value ? b : a));
  const rect = { x: 0, y: 0, ...room };
  return { layout: joined(layoutOf(rect, most)), value: most.value };
}

interface Leaf extends Size {
  readonly value: number;
  readonly kind: number;
  readonly isTurned: boolean;
}

interface Choice {
  readonly value: number;
  readonly leaf?: Leaf;
  readonly way?: Way;
  readonly at?: number;
  readonly first?: Choice;
  readonly rest?: Choice;
}

const NOTHING: Choice = { value: 0 };

/** Widths and heights that sums of pieces can have, ascending from 0, the room last. */
function points(room: Size, kinds: readonly Size[], stages: number): readonly [number[], number[]] {
  for (const grid of [0, 0.1, 0.5, 1]) {
    const wide = sums(
      kinds.map((k) => k.width),
      room.width,
      grid,
    );
    const high = sums(
      kinds.map((k) => k.height),
      room.height,
      grid,
    );
    const states = wide.length * high.length * (wide.length + high.length) * stages;
    if (states <= MOST_STATES * 30 || grid === 1) return [wide, high];
  }
  return [[0], [0]];
}

/** Sums of lengths up to a room. @param grid rounds them up, so that what is laid by them always fits */
function sums(lengths: readonly number[], room: number, grid: number): number[] {
  const sizes = [...new Set(lengths.map((length) => (grid === 0 ? length : Math.ceil(length / grid - SAME) * grid)))];
  const all = new Map<number, number>([[0, 0]]);
  const key = (length: number) => Math.round(length / SAME / 10);
  const open = [0];
  for (let from = open.pop(); from !== undefined; from = open.pop())
    for (const size of sizes) {
      const to = from + size;
      if (to > room + SAME || all.has(key(to))) continue;
      all.set(key(to), to);
      open.push(to);
    }
  return [...all.values()].sort((a, b) => a - b);
}

/** The largest of ascending lengths that is no more than a length. */
function lastUpTo(list: readonly number[], length: number): number {
  let [low, high] = [0, list.length - 1];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if ((list[middle] ?? 0) <= length + SAME) low = middle;
    else high = middle - 1;
  }
  return low;
}

function memoized<T>(wide: readonly number[], high: readonly number[], make: (w: number, h: number) => T) {
  const known = new Map<number, T>();
  return (w: number, h: number): T => {
    const key = w * high.length + h;
    const before = known.get(key);
    if (before !== undefined || known.has(key)) return before as T;
    const made = make(Math.min(w, wide.length - 1), h);
    known.set(key, made);
    return made;
  };
}

function layoutOf(rect: Rect, choice: Choice): Layout {
  const { leaf, way, at, first, rest } = choice;
  if (leaf) return pieceIn(rect, leaf, leaf.kind, leaf.isTurned);
  if (!way || at === undefined || !first || !rest) return waste(rect);
  const [one, other] = parted(rect, way, at);
  return { rect, is: 'cut', way, parts: [layoutOf(one, first), layoutOf(other, rest)] };
}

/** Cuts of one direction within each other are one stage: their parts lie beside each other. */
export function joined(layout: Layout): Layout {
  if (layout.is !== 'cut') return layout;
  const parts = layout.parts
    .map(joined)
    .flatMap((part) => (part.is === 'cut' && part.way === layout.way ? part.parts : [part]));
  const kept = parts.reduce<Layout[]>((list, part) => {
    const before = list.at(-1);
    // Two strips of waste side by side are one.
    if (part.is === 'waste' && before?.is === 'waste') list[list.length - 1] = waste(boxOf(before.rect, part.rect));
    else list.push(part);
    return list;
  }, []);
  const [only] = kept;
  if (only && kept.length === 1) return only.is === 'waste' ? waste(layout.rect) : only;
  return { ...layout, parts: kept };
}

function boxOf(a: Rect, b: Rect): Rect {
  const [x, y] = [Math.min(a.x, b.x), Math.min(a.y, b.y)];
  return {
    x,
    y,
    width: Math.max(a.x + a.width, b.x + b.width) - x,
    height: Math.max(a.y + a.height, b.y + b.height) - y,
  };
}
