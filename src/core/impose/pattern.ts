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

/**
 * Beyond so many looks at a state the search would take seconds: lengths are taken to coarser steps then. Steps of a
 * millimetre and more give away paper, so that more is borne before they are taken.
 */
const [MOST_LOOKS, MOST_COARSE] = [15_000_000, 40_000_000];

/** Steps that lengths are rounded up to, mm, the finest that can be afforded; 0 for none. */
const GRIDS = [0, 0.1, 0.5, 1, 2, 5, 10, 20, 50];

/** What is kept of the search fits into memory: so many lengths of a side. */
const LONGEST_LIST = 4000;

/** With so many stages left the strips that are cut hold one row of pieces, or one piece. */
const ROWS = 2;

/** With one stage more they hold rows beside each other, and are as long as the longest. */
const BLOCKS = 3;

/**
 * Patterns of most value that a guillotine can cut from a rectangle in so many stages: some of all of their class, by
 * dynamic programming over normal patterns (Gilmore and Gomory 1965; Herz 1972). A stage is all cuts of one direction;
 * trimming a piece to its size is not counted.
 * @param room   mm
 * @param kinds  sizes in mm
 * @param stages how often cuts change direction: 2, 3, or more
 */
export function bestPatterns(room: Size, kinds: readonly Kind[], stages: number): readonly Pattern[] {
  const oriented = kinds.flatMap(({ width, height, value, turns }, kind) => [
    { width, height, value, kind, isTurned: false },
    ...(turns && Math.abs(width - height) > SAME
      ? [{ width: height, height: width, value, kind, isTurned: true }]
      : []),
  ]);
  const rect = { x: 0, y: 0, ...room };
  // On a wide sheet fewer stages can be searched in finer steps.
  const found = [...new Set([stages, Math.min(stages, BLOCKS), ROWS])].flatMap((most): readonly Pattern[] =>
    new Search(pointsOf(room, oriented, most), oriented, most).patterns(rect),
  );
  const most = Math.max(...found.map(({ value }) => value));
  return found.filter(({ value }) => value > most - SAME);
}

/** One of them. */
export const bestPattern = (room: Size, kinds: readonly Kind[], stages: number): Pattern =>
  bestPatterns(room, kinds, stages)[0] ?? { layout: waste({ x: 0, y: 0, ...room }), value: 0 };

interface Leaf extends Size {
  readonly value: number;
  readonly kind: number;
  readonly isTurned: boolean;
}

/** Lengths in one direction that rectangles can have. */
interface Points {
  /** Sums of pieces, mm, ascending from 0. */
  readonly all: readonly number[];
  /** Places in `all` of the lengths that pieces have. */
  readonly ofPieces: readonly number[];
  /** Places in `all` of the lengths that rows have whose pieces lie one after another in this direction. */
  readonly ofRows: readonly number[];
}

/** What a rectangle was found to be: not yet anything, a piece or waste. Other numbers: the place of its first cut. */
const [OPEN, LEAF] = [-1, -2];

/** Rectangles that are as long across the next cuts, and have as many stages left, by their length along them. */
interface Row {
  readonly values: Float64Array;
  readonly choices: Int32Array;
}

/**
 * The search over rectangles of normal widths and heights, each told by where its two lengths lie in their lists:
 * `at` along the direction that is parted next, `beside` along the other. What was found lies in rows of arrays that
 * are made when first asked for, since of a wide sheet there are millions.
 */
class Search {
  private readonly rows: Readonly<Record<Way, (Row | undefined)[]>> = { upright: [], level: [] };
  /** For each length and each shorter one: the place of the longest that fits beside it. */
  private readonly rests: Readonly<Record<Way, Int32Array>>;
  private readonly places: Readonly<Record<Way, readonly number[]>>;

  constructor(
    private readonly points: Readonly<Record<Way, Points>>,
    private readonly oriented: readonly Leaf[],
    private readonly stages: number,
  ) {
    const { upright, level } = points;
    this.rests = { upright: restsOf(upright.all), level: restsOf(level.all) };
    this.places = { upright: [...upright.all.keys()].slice(1), level: [...level.all.keys()].slice(1) };
  }

  private row(beside: number, way: Way, left: number): Row {
    const place = beside * (this.stages + 1) + left;
    const { length } = this.points[way].all;
    return (this.rows[way][place] ??= {
      values: new Float64Array(length),
      choices: new Int32Array(length).fill(OPEN),
    });
  }

  private leaf(at: number, beside: number, way: Way): Leaf | undefined {
    const [along, other] = [this.points[way].all[at] ?? 0, this.points[across(way)].all[beside] ?? 0];
    return way === 'upright' ? dearest(this.oriented, along, other) : dearest(this.oriented, other, along);
  }

  /** The most that a rectangle is worth. */
  private best(at: number, beside: number, way: Way, left: number): number {
    const { values, choices } = this.row(beside, way, left);
    if (choices[at] !== OPEN) return values[at] ?? 0;
    let most = this.leaf(at, beside, way)?.value ?? 0;
    let choice = LEAF;
    if (left > 0 && most > 0) {
      const { all } = this.points[way];
      const isAny = left > BLOCKS;
      // Of strips of any length the shortest comes first, no longer than a half; or all is one strip.
      const longest = isAny ? (all[at] ?? 0) / 2 + SAME : Infinity;
      if (isAny) [most, choice] = [this.best(beside, at, across(way), left - 1), at];
      for (const first of this.firsts(way, left)) {
        if (first > at || (all[first] ?? 0) > longest) break;
        const rest = this.rest(at, first, way);
        const beyond = rest === 0 ? 0 : this.best(rest, beside, way, left);
        const value = this.best(beside, first, across(way), left - 1) + beyond;
        if (value > most + SAME) [most, choice] = [value, first];
      }
    }
    values[at] = most;
    choices[at] = choice;
    return most;
  }

  /** Places of the lengths that strips can have which are cut with so many stages left. */
  private firsts(way: Way, left: number): readonly number[] {
    if (left <= ROWS) return this.points[way].ofPieces;
    return left === BLOCKS ? this.points[way].ofRows : this.places[way];
  }

  private rest(at: number, first: number, way: Way): number {
    return this.rests[way][at * this.points[way].all.length + first] ?? 0;
  }

  /** The best that is cut in each direction first. @param rect at least as large as its widths and heights say */
  patterns(rect: Rect): readonly Pattern[] {
    const [w, h] = [this.points.upright.all.length - 1, this.points.level.all.length - 1];
    return [
      { at: w, beside: h, way: 'upright' as const },
      { at: h, beside: w, way: 'level' as const },
    ].map(({ at, beside, way }) => ({
      value: this.best(at, beside, way, this.stages),
      layout: joined(this.laid(rect, at, beside, way, this.stages)),
    }));
  }

  private laid(rect: Rect, at: number, beside: number, way: Way, left: number): Layout {
    const choice = this.row(beside, way, left).choices[at] ?? LEAF;
    if (choice < 0) {
      const leaf = this.leaf(at, beside, way);
      return leaf ? pieceIn(rect, leaf, leaf.kind, leaf.isTurned) : waste(rect);
    }
    if (choice === at) return this.laid(rect, beside, at, across(way), left - 1);
    const [one, other] = parted(rect, way, this.points[way].all[choice] ?? 0);
    const strip = this.laid(one, beside, choice, across(way), left - 1);
    const place = this.rest(at, choice, way);
    const rest = place === 0 ? waste(other) : this.laid(other, place, beside, way, left);
    return { rect, is: 'cut', way, parts: [strip, rest] };
  }
}

/** The piece of most value that goes into a rectangle; undefined where none does. */
const dearest = (oriented: readonly Leaf[], width: number, height: number): Leaf | undefined =>
  oriented.reduce<Leaf | undefined>(
    (best, o) => (o.width <= width + SAME && o.height <= height + SAME && !(best && best.value >= o.value) ? o : best),
    undefined,
  );

/** For each length and each shorter one the place of the longest that fits beside it. */
function restsOf(list: readonly number[]): Int32Array {
  const rests = new Int32Array(list.length * list.length);
  list.forEach((whole, at) => {
    // What is left beside longer strips is shorter.
    let rest = at;
    for (let first = 1; first < at; first += 1) {
      const room = whole - (list[first] ?? 0) + SAME;
      while (rest > 0 && (list[rest] ?? 0) > room) rest -= 1;
      rests[at * list.length + first] = rest;
    }
  });
  return rests;
}

/** Lengths in both directions, in the finest steps that can be afforded. */
function pointsOf(room: Size, oriented: readonly Leaf[], stages: number): Readonly<Record<Way, Points>> {
  for (const grid of GRIDS) {
    const upright = sums(roundedUp(oriented, 'width', grid), room.width);
    const level = sums(roundedUp(oriented, 'height', grid), room.height);
    const isShort = Math.max(upright.length, level.length) <= LONGEST_LIST;
    const looks = isShort ? looksAt(upright.length, level.length, stages, oriented.length) : Infinity;
    if (looks <= (grid < 1 ? MOST_LOOKS : MOST_COARSE))
      return {
        upright: along(upright, oriented, ['width', 'height'], grid),
        level: along(level, oriented, ['height', 'width'], grid),
      };
  }
  const none = { all: [0], ofPieces: [], ofRows: [] };
  return { upright: none, level: none };
}

/** How many strips are looked at, of all rectangles: but for those stages whose strips have few lengths. */
const looksAt = (wide: number, high: number, stages: number, pieces: number): number =>
  wide * high * ((wide + high) * Math.max(0, stages - BLOCKS - 1) + pieces);

type Side = keyof Size;

function along(
  all: readonly number[],
  oriented: readonly Leaf[],
  [own, other]: readonly [Side, Side],
  grid: number,
): Points {
  const places = new Map(all.map((length, place) => [key(length), place]));
  const placesOf = (lengths: readonly number[]) =>
    [...new Set(lengths.flatMap((length) => places.get(key(length)) ?? []))].sort((a, b) => a - b);
  const room = all.at(-1) ?? 0;
  const sets = [...new Set(oriented.map((leaf) => leaf[other]))].map((widest) =>
    roundedUp(worthwhile(oriented, own, other, widest), own, grid),
  );
  // Rows of many widths hold the same.
  const rows = [...new Map(sets.map((lengths) => [lengths.join(), lengths])).values()].flatMap((lengths) =>
    sums(lengths, room),
  );
  return {
    all,
    ofPieces: placesOf(roundedUp(oriented, own, grid)),
    ofRows: placesOf(rows.filter((length) => length > 0)),
  };
}

/** What may lie in a row of a width: what is no shorter than another that is worth as much never needs to. */
const worthwhile = (oriented: readonly Leaf[], own: Side, other: Side, widest: number): readonly Leaf[] =>
  oriented
    .filter((leaf) => leaf[other] <= widest + SAME)
    .sort((a, b) => a[own] - b[own] || b.value - a.value)
    .reduce<Leaf[]>((kept, leaf) => {
      if (!kept.some(({ value }) => value >= leaf.value)) kept.push(leaf);
      return kept;
    }, []);

const roundedUp = (oriented: readonly Leaf[], own: Side, grid: number): number[] =>
  oriented.map((leaf) => (grid === 0 ? leaf[own] : Math.ceil(leaf[own] / grid - SAME) * grid));

/** Lengths that are the same, whatever rounding made of them, have one key. */
const key = (length: number) => Math.round(length / SAME / 10);

/** Sums of lengths up to a room, ascending from 0. */
function sums(lengths: readonly number[], room: number): number[] {
  const sizes = [...new Set(lengths)];
  const all = new Map<number, number>([[0, 0]]);
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
