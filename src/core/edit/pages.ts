import {
  mapRefs,
  type Element,
  type BaseLayout,
  type PageLayout,
  blankOf,
  elementsOn,
  itemOf,
  sideOfBase,
  type Job,
  type Piece,
  type SideName,
  finishOn,
  withFinish,
  redecided,
} from '../job';
import { Impossible, pageName, pageNumberOf } from '../format';
import { withoutElements } from './flow';

/** First and last of some pages, from 1. */
export interface PageRange {
  readonly from: number;
  readonly to: number;
}

/** How many pages a piece has as a decision; undefined for one whose sides are not counted in pages. */
export function pageCount(piece: Piece): number | undefined {
  const pages = piece.decisions['pages'];
  return typeof pages === 'number' ? pages : undefined;
}

/** The piece with every page under another number. @param to its new number; undefined where it goes */
function renumbered(piece: Piece, to: (n: number) => number | undefined): Piece {
  const rename = (side: SideName): SideName | undefined => {
    const n = pageNumberOf(side);
    if (n === undefined) return side;
    const next = to(n);
    return next === undefined ? undefined : pageName(next);
  };
  const named = <T>(record: Readonly<Record<SideName, T>>): Record<SideName, T> =>
    Object.fromEntries(
      Object.entries(record).flatMap(([side, value]) => {
        const next = rename(side);
        return next === undefined ? [] : [[next, value]];
      }),
    );
  const sided = <T extends { readonly side?: string | undefined }>(list: readonly T[]): T[] =>
    list.flatMap((entry) => {
      if (entry.side === undefined) return [entry];
      const side = rename(entry.side);
      return side === undefined ? [] : [{ ...entry, side }];
    });
  return {
    ...piece,
    surfaces: named(piece.surfaces),
    ...(piece.finish && { finish: named(piece.finish) }),
    layouts: named(piece.layouts),
    grids: sided(piece.grids),
    guides: sided(piece.guides),
  };
}

/**
 * The fewest pages that the piece can have and that are enough.
 * @throws Impossible when none near it can be, with the reason
 */
function withPageCount(job: Job, piece: Piece, enough: number): Piece {
  let why: unknown;
  for (let pages = Math.max(1, enough); pages < enough + STEPS; pages += 1) {
    const made = redecided(piece, { pages });
    try {
      blankOf(job, made);
      return made;
    } catch (error) {
      if (!(error instanceof Impossible)) throw error;
      why = error;
    }
  }
  throw why;
}

/** No binding goes in larger steps than this. */
const STEPS = 16;

/** Some pages, moved so that they come before the page that has a number now; one past the last is the end. */
export function withPagesMoved(piece: Piece, { from, to }: PageRange, before: number): Piece {
  const moves = new Map(movesOf({ from, to }, before, pageCount(piece) ?? 0));
  return moves.size === 0 ? piece : renumbered(piece, (n) => moves.get(n) ?? n);
}

/** The number each page has after some were moved, for those that get another. */
export function movesOf(
  { from, to }: PageRange,
  before: number,
  count: number,
): readonly (readonly [was: number, is: number])[] {
  const order = Array.from({ length: count }, (_, i) => i + 1);
  const taken = order.slice(from - 1, to);
  const next = [
    ...order.slice(0, before - 1).filter((n) => !taken.includes(n)),
    ...taken,
    ...order.slice(before - 1).filter((n) => !taken.includes(n)),
  ];
  return next.flatMap((was, i) => (was === i + 1 ? [] : [[was, i + 1] as const]));
}

/**
 * Empty pages before the page that has a number now. Where the binding needs more, they are put at the end.
 * @throws Impossible when the piece cannot have so many
 */
export function withPagesInserted(job: Job, piece: Piece, before: number, count: number): Piece {
  const pages = pageCount(piece) ?? 0;
  return withPageCount(
    job,
    renumbered(piece, (n) => (n >= before ? n + count : n)),
    pages + count,
  );
}

/** Without some pages and what lies on them; words that flow on from there go on where they flow to. */
export function withoutPages(job: Job, piece: Piece, { from, to }: PageRange): Piece {
  const pages = pageCount(piece) ?? 0;
  const count = to - from + 1;
  const sides = Array.from({ length: count }, (_, i) => pageName(from + i));
  const own = sides.flatMap((side) => (piece.surfaces[side] ?? []).map((e) => e.id));
  const without = withoutElements(piece, own);
  const left = renumbered(without, (n) => (n >= from && n <= to ? undefined : n > to ? n - count : n));
  return withPageCount(job, left, Math.max(1, pages - count));
}

/** Some pages again after the last of them, with everything in the same place. @param fresh gives a new id */
export function withPagesDuplicated(job: Job, piece: Piece, { from, to }: PageRange, fresh: () => string): Piece {
  const count = to - from + 1;
  let out = withPagesInserted(job, piece, to + 1, count);
  for (let n = from; n <= to; n += 1) {
    const [side, copy] = [pageName(n), pageName(n + count)];
    const layout = piece.layouts[side];
    const key = fresh();
    const ids = new Map((piece.surfaces[side] ?? []).map((e) => [e.id, fresh()]));
    const renamed = (id: string): string =>
      ids.get(id) ?? (layout && id.endsWith(`@${layout.key}`) ? `${id.slice(0, -layout.key.length)}${key}` : id);
    const elements = (piece.surfaces[side] ?? []).map((e): Element => ({
      ...mapRefs(e, renamed),
      id: renamed(e.id),
      ...(e.kind === 'text' && { after: null }),
    }));
    const layouts = layout ? { ...out.layouts, [copy]: { ...mapRefs(layout, renamed), key } } : out.layouts;
    out = { ...out, layouts, surfaces: { ...out.surfaces, [copy]: elements } };
    const finish = finishOn(piece, side).map((f) => ({ ...mapRefs(f, renamed), id: fresh() }));
    if (finish.length > 0) out = withFinish(out, copy, finish);
  }
  return out;
}

/** Sides that follow a base layout, or none; what a page had of its own layout’s items goes with that layout. */
export function withBase(piece: Piece, sides: readonly SideName[], base: string | null, fresh: () => string): Piece {
  const layouts = { ...piece.layouts };
  for (const side of sides) {
    const before = layouts[side];
    if (before?.base === base) continue;
    layouts[side] = { key: before?.key ?? fresh(), base, without: [], facts: {} };
  }
  return { ...piece, layouts };
}

/** A new base layout; with a page given, its own elements become the layout’s items and the page follows. */
export function withNewBase(
  piece: Piece,
  name: string,
  from: SideName | undefined,
  fresh: () => string,
): { readonly piece: Piece; readonly id: string } {
  const id = fresh();
  const own = from === undefined ? [] : (piece.surfaces[from] ?? []);
  const base: BaseLayout = { id, name, base: null, without: [], facts: {}, mirrored: true, elements: [...own] };
  const bases = { ...piece, bases: [...piece.bases, base] };
  if (from === undefined) return { piece: bases, id };
  const layout: PageLayout = { key: piece.layouts[from]?.key ?? fresh(), base: id, without: [], facts: {} };
  return {
    piece: { ...bases, surfaces: { ...piece.surfaces, [from]: [] }, layouts: { ...piece.layouts, [from]: layout } },
    id,
  };
}

/** The piece with items of layouts under other ids, wherever pages and layouts name them. */
function itemsRenamed(piece: Piece, ids: ReadonlyMap<string, string>): Piece {
  const renamed = (id: string): string => {
    for (const [was, is] of ids) if (id === was || id.startsWith(`${was}@`)) return `${is}${id.slice(was.length)}`;
    return id;
  };
  const followed = <L extends PageLayout | BaseLayout>(layout: L): L => ({
    ...layout,
    without: layout.without.map(renamed),
    facts: Object.fromEntries(
      Object.entries(layout.facts).map(([item, said]) => [renamed(item), mapRefs(said, renamed)]),
    ),
  });
  return {
    ...piece,
    bases: piece.bases.map((b) => ({ ...followed(b), elements: mapRefs(b.elements, renamed) })),
    layouts: Object.fromEntries(Object.entries(piece.layouts).map(([side, layout]) => [side, followed(layout)])),
    surfaces: mapRefs(piece.surfaces, renamed),
    ...(piece.finish && { finish: mapRefs(piece.finish, renamed) }),
  };
}

/** Without a base layout; pages and layouts that followed it keep its items as their own, and what they say of them. */
export function withoutBase(piece: Piece, id: string, fresh: () => string): Piece {
  const given = new Map<string, string>();
  const own = (side: SideName): Element[] => {
    const list = elementsOn(piece, side);
    for (const e of list) if (itemOf(e.id) !== undefined) given.set(e.id, fresh());
    return list.map((e) => ({ ...e, id: given.get(e.id) ?? e.id }));
  };
  const follows = { base: null, without: [], facts: {} };
  const surfaces = { ...piece.surfaces };
  const layouts = { ...piece.layouts };
  for (const [side, layout] of Object.entries(piece.layouts)) {
    if (layout.base !== id) continue;
    surfaces[side] = own(side);
    layouts[side] = { ...layout, ...follows };
  }
  const bases = piece.bases
    .filter((b) => b.id !== id)
    .map((b) => (b.base === id ? { ...b, ...follows, elements: own(sideOfBase(b.id)) } : b));
  return itemsRenamed({ ...piece, bases, surfaces, layouts }, given);
}
