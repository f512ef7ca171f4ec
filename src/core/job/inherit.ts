import { Element, mapRefs, mirrored } from '../element';
import { isLeftPage } from '../format';
import type { BaseLayout, PageLayout } from './base-layout';
import type { Piece, SideName } from './schema';

/*
 * What lies on a side is read with `elementsOn` and written with `withSide`: the items of base layouts are among it, as
 * elements of the side. A page keeps only what differs from its layout.
 */

const BASE = 'base:';

/** A base layout is laid out as a side of its own. */
export const sideOfBase = (id: string): SideName => `${BASE}${id}`;
export const baseOfSide = (side: SideName): string | undefined =>
  side.startsWith(BASE) ? side.slice(BASE.length) : undefined;

export const baseById = (piece: Piece, id: string | null | undefined): BaseLayout | undefined =>
  piece.bases.find((b) => b.id === id);

/** The layout of which a side is, or that it follows. */
const layoutOf = (piece: Piece, side: SideName): PageLayout | BaseLayout | undefined => {
  const base = baseOfSide(side);
  return base === undefined ? piece.layouts[side] : baseById(piece, base);
};

const keyOf = (layout: PageLayout | BaseLayout): string => ('key' in layout ? layout.key : layout.id);

const NOTHING: readonly Element[] = [];

/** What only this side has. */
const ownOf = (piece: Piece, side: SideName): readonly Element[] => {
  const base = baseOfSide(side);
  return (base === undefined ? piece.surfaces[side] : baseById(piece, base)?.elements) ?? NOTHING;
};

/** An item of a layout, on the page of a key. */
const itemOn = (item: string, key: string): string => `${item}@${key}`;

/** The item of its layout that an element shows; undefined for one of the side’s own. */
export const itemOf = (id: string): string | undefined => {
  const at = id.lastIndexOf('@');
  return at < 0 ? undefined : id.slice(0, at);
};

/** Items as they would stand on a side if nothing of them were changed there. */
interface Followed {
  /** By the item’s id in its layout. */
  readonly items: ReadonlyMap<string, Element>;
}

interface Known {
  readonly from: readonly unknown[];
  readonly followed: Followed;
  readonly own: readonly Element[] | undefined;
  readonly all: readonly Element[];
}

/** What was found of a layout object; it is replaced whenever the side changes. */
const known = new WeakMap<PageLayout | BaseLayout, Known>();

const columnsOf =
  (piece: Piece) =>
  (grid: string | undefined): number => {
    const found = grid === undefined ? piece.grid : piece.grids.find((g) => g.id === grid);
    return found ? (found.columnWidths?.length ?? found.columns) : 1;
  };

/** Items of one layout, element by element, so that those that did not change stay the same objects. */
const shown = new WeakMap<Element, Map<string, { readonly from: readonly unknown[]; readonly element: Element }>>();

function followedBy(
  piece: Piece,
  side: SideName,
  layout: PageLayout | BaseLayout,
  above: readonly Element[],
): Followed {
  const key = keyOf(layout);
  const base = baseById(piece, layout.base);
  const turned = base?.mirrored === true && isLeftPage(side);
  const ids = new Set(above.map((e) => e.id));
  const columns = columnsOf(piece);
  const items = new Map<string, Element>();
  for (const item of above) {
    const mine = shown.get(item) ?? new Map<string, { from: readonly unknown[]; element: Element }>();
    shown.set(item, mine);
    const from = [turned, turned ? piece.grid : undefined, turned ? piece.grids : undefined];
    const before = mine.get(key);
    const isSame = before?.from.every((v, i) => v === from[i]);
    const stands = turned ? mirrored(item, columns) : item;
    const element =
      isSame && before
        ? before.element
        : { ...mapRefs(stands, (id) => (ids.has(id) ? itemOn(id, key) : id)), id: itemOn(item.id, key) };
    if (!isSame) mine.set(key, { from, element });
    items.set(item.id, element);
  }
  return { items };
}

/** An item with what differs of it here. */
const changed = new WeakMap<Element, WeakMap<object, Element>>();
function withFacts(element: Element, facts: Readonly<Record<string, unknown>> | undefined): Element {
  if (!facts) return element;
  const mine = changed.get(element) ?? new WeakMap<object, Element>();
  changed.set(element, mine);
  const before = mine.get(facts);
  // Read and checked when the job came in; what the program writes is taken from an element.
  const made = before ?? { ...element, ...facts };
  mine.set(facts, made);
  return made;
}

function find(piece: Piece, side: SideName, within: ReadonlySet<string>): Known | undefined {
  const layout = layoutOf(piece, side);
  if (!layout?.base || within.has(layout.base)) return undefined;
  const above = elementsWithin(piece, sideOfBase(layout.base), new Set([...within, layout.base]));
  const own = ownOf(piece, side);
  const { mirrored: isMirrored } = baseById(piece, layout.base) ?? {};
  const from = [above, own, isMirrored, piece.grid, piece.grids];
  const before = known.get(layout);
  if (before?.from.every((v, i) => v === from[i])) return before;
  const followed = followedBy(piece, side, layout, above);
  const left = new Set(layout.without);
  const items = [...followed.items].flatMap(([id, element]) =>
    left.has(id) ? [] : [withFacts(element, layout.facts[id])],
  );
  const made = { from, followed, own, all: [...items, ...own] };
  known.set(layout, made);
  return made;
}

const elementsWithin = (piece: Piece, side: SideName, within: ReadonlySet<string>): readonly Element[] =>
  find(piece, side, within)?.all ?? ownOf(piece, side);

/**
 * The elements of a side, lowest first: those of its base layout, then its own. None where nothing was laid on it yet.
 */
export const elementsOn = (piece: Piece, side: SideName): readonly Element[] => elementsWithin(piece, side, new Set());

/**
 * Where an element is said: on a side itself, or on the base layout that it comes from.
 * @param fact one that the page may say differently; then the page is where it is said
 */
export function saidOn(
  piece: Piece,
  side: SideName,
  id: string,
  fact: string,
): { readonly side: SideName; readonly id: string } {
  const item = itemOf(id);
  const layout = layoutOf(piece, side);
  if (item === undefined || !layout?.base || layout.facts[item]?.[fact] !== undefined) return { side, id };
  return saidOn(piece, sideOfBase(layout.base), item, fact);
}

/** The element as its layout has it, where it is an item of one. */
export function asInLayout(piece: Piece, side: SideName, id: string): Element | undefined {
  const item = itemOf(id);
  return item === undefined ? undefined : find(piece, side, new Set())?.followed.items.get(item);
}

const same = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);

/** What of an element differs from the item as its layout has it. */
function factsOf(element: Element, item: Element): Record<string, unknown> {
  const is: Readonly<Record<string, unknown>> = element;
  const was: Readonly<Record<string, unknown>> = item;
  return Object.fromEntries(
    Object.keys(is).flatMap((key) => (key === 'id' || same(is[key], was[key]) ? [] : [[key, is[key]]])),
  );
}

/** The piece with other elements on a side; of items of its layout only what differs is kept. */
export function withSide(piece: Piece, side: SideName, elements: readonly Element[]): Piece {
  const layout = layoutOf(piece, side);
  const followed = find(piece, side, new Set())?.followed.items;
  if (!layout || !followed) return withOwn(piece, side, [...elements]);
  const before = new Map(elementsOn(piece, side).map((e) => [e.id, e]));
  const key = keyOf(layout);
  const itemIds = new Map([...followed.keys()].map((item) => [itemOn(item, key), item]));
  const here = new Set(elements.map((e) => e.id));
  const facts: Record<string, Record<string, unknown>> = {};
  for (const element of elements) {
    const item = itemIds.get(element.id);
    const from = item === undefined ? undefined : followed.get(item);
    if (item === undefined || !from) continue;
    // What was not touched keeps its facts the same object.
    const kept = layout.facts[item];
    const mine = before.get(element.id) === element ? kept : factsOf(element, from);
    if (mine && Object.keys(mine).length > 0) facts[item] = same(mine, kept) && kept ? kept : mine;
  }
  const without = [...itemIds].flatMap(([id, item]) => (here.has(id) ? [] : [item]));
  const own = elements.filter((e) => !itemIds.has(e.id));
  const next = { ...layout, facts, without };
  const isSame = same(facts, layout.facts) && same(without, layout.without);
  const laid = isSame ? piece : withLayout(piece, side, next);
  const ownBefore = ownOf(piece, side);
  return own.length === ownBefore.length && own.every((e, i) => e === ownBefore[i]) ? laid : withOwn(laid, side, own);
}

function withLayout(piece: Piece, side: SideName, layout: PageLayout | BaseLayout): Piece {
  if ('key' in layout) return { ...piece, layouts: { ...piece.layouts, [side]: layout } };
  return { ...piece, bases: piece.bases.map((b) => (b.id === layout.id ? layout : b)) };
}

function withOwn(piece: Piece, side: SideName, elements: Element[]): Piece {
  const base = baseOfSide(side);
  if (base === undefined) return { ...piece, surfaces: { ...piece.surfaces, [side]: elements } };
  return { ...piece, bases: piece.bases.map((b) => (b.id === base ? { ...b, elements } : b)) };
}

/** Sides that have anything on them, base layouts first: pages follow those. */
export const sidesLaid = (piece: Piece): readonly SideName[] => [
  ...piece.bases.map((b) => sideOfBase(b.id)),
  ...new Set([...Object.keys(piece.surfaces), ...Object.keys(piece.layouts)]),
];

/** Every element of the piece with its side: of base layouts, and also of sides that it has no longer. */
export const elementsOf = (piece: Piece): readonly { readonly side: SideName; readonly element: Element }[] =>
  sidesLaid(piece).flatMap((side) => elementsOn(piece, side).map((element) => ({ side, element })));

/** The piece with every element changed, wherever it is said; sides on which nothing changes stay the same. */
export function mapSides(
  piece: Piece,
  change: (elements: readonly Element[], side: SideName) => readonly Element[],
): Piece {
  return sidesLaid(piece).reduce((p, side) => {
    const before = elementsOn(p, side);
    const after = change(before, side);
    return after.length === before.length && after.every((e, i) => e === before[i]) ? p : withSide(p, side, after);
  }, piece);
}

export const mapElements = (piece: Piece, change: (element: Element, side: SideName) => Element): Piece =>
  mapSides(piece, (elements, side) => elements.map((e) => change(e, side)));

/** Whether the layouts that one is based on lead back to it. */
function isCircular(piece: Piece, layout: PageLayout | BaseLayout): boolean {
  const seen = new Set<string>();
  for (let at = layout.base; at !== null; at = baseById(piece, at)?.base ?? null) {
    if (seen.has(at)) return true;
    seen.add(at);
  }
  return false;
}

/** What is wrong with what pages say of their layouts; the facts are completed where they are right. */
export function readLayouts(piece: Piece): { readonly piece: Piece; readonly problems: readonly string[] } {
  const problems: string[] = [];
  let out = piece;
  const where = (side: SideName) => baseById(piece, baseOfSide(side))?.name ?? side;
  for (const side of sidesLaid(piece)) {
    const layout = layoutOf(out, side);
    if (!layout?.base) continue;
    if (!baseById(piece, layout.base)) {
      problems.push(`“${where(side)}” follows the base layout “${layout.base}”, which is not listed.`);
      continue;
    }
    const followed = find(out, side, new Set())?.followed.items;
    if (!followed || isCircular(piece, layout)) {
      problems.push(`The base layout “${where(side)}” is based on itself.`);
      continue;
    }
    const facts = Object.entries(layout.facts).flatMap(([item, said]): [string, Record<string, unknown>][] => {
      const from = followed.get(item);
      if (!from) return [];
      // Its id as it is shown is longer than one that is given.
      const read = Element.safeParse({ ...from, ...said, id: 'item' });
      if (read.success) return [[item, factsOf({ ...read.data, id: from.id }, from)]];
      const issue = read.error.issues[0];
      problems.push(`${where(side)} → ${item} → ${issue?.path.map(String).join(' → ') ?? ''}: ${issue?.message ?? ''}`);
      return [];
    });
    out = withLayout(out, side, { ...layout, facts: Object.fromEntries(facts) });
  }
  return { piece: out, problems };
}
