import {
  boxOfAxis,
  elementKind,
  mmOf,
  type BoxRef,
  type Element,
  type Group,
  type Guide,
  type NamedGrid,
  type Row,
} from '../element';
import type { Mm } from '../measure';
import { solveAxis, type Span } from './axis';
import { guideLines } from './guide';
import { boxRect, isMissing, type NamedTracks, type PlacedBox, type SurfaceBoxes } from './boxes';
import { roomOf } from './place';
import type { Rect } from '../geometry';
import { gridArea, rectOf, spanX, spanY, tracksOf } from './tracks';

/** What lies on one side, and what it is ordered by. */
export interface SideLayout {
  readonly side: string;
  readonly elements: readonly Element[];
  readonly grids: readonly NamedGrid[];
  readonly groups: readonly Group[];
  readonly guides: readonly Guide[];
}

/** What an element is called, and what its content takes. */
export interface ContentReader {
  readonly name: (element: Element) => string;
  /** @param width the width it has, once that is known: the height of set text follows from it */
  readonly size: (element: Element, axis: 'x' | 'y', other: Mm | undefined) => Mm;
  /** Columns and rows that an element lays into its own box: those of a table. */
  readonly tracks: (element: Element, rect: Rect) => NamedTracks | undefined;
}

/** A side as it was solved before. */
export interface SolvedBefore {
  readonly boxes: SurfaceBoxes;
  /** The elements that are not where they were; left out, nobody knows. */
  readonly moved: readonly Element[] | undefined;
}

/**
 * Places every element of a side: each against its box, which may be another element or a grid laid into one. Elements
 * that wait for each other are named in `circular` and stand against the trim.
 * @param before what stands where it stood keeps that box, the same object
 */
export function solveLayout(
  base: SurfaceBoxes,
  layout: SideLayout,
  content: ContentReader,
  before?: SolvedBefore,
): SurfaceBoxes {
  const moved = before?.moved ?? layout.elements;
  const waiting = new Set(moved.map(({ id }) => id));
  const placed: Record<string, PlacedBox> = before?.moved ? { ...before.boxes.placed } : {};
  const grids: Record<string, NamedTracks> = before?.moved ? { ...before.boxes.grids } : {};
  const circular = new Set<string>();
  // Filled as it goes: whatever a reference names is there before the reference is read.
  const boxes: SurfaceBoxes = { ...base, placed, grids, circular: [] };
  const elements = new Map(moved.map((e) => [e.id, e]));
  const gridsById = new Map(layout.grids.filter((g) => !g.side || g.side === layout.side).map((g) => [g.id, g]));
  const rows = rowsOf(layout);
  const rowSpans = new Map<string, ReadonlyMap<string, Span>>();
  const open = new Set<string>();

  /** Does something once what it depends on is there; says whether it came back to itself. */
  const within = (key: string, work: () => void): boolean => {
    if (open.has(key)) return false;
    open.add(key);
    work();
    open.delete(key);
    return true;
  };

  const need = (ref: BoxRef): boolean => {
    switch (ref.box) {
      case 'element':
        return place(ref.element);
      case 'columns':
      case 'rows':
      case 'cells':
        return ref.grid === undefined || (elements.has(ref.grid) ? place(ref.grid) : layGrid(ref.grid));
      case 'trim':
      case 'bleed':
      case 'safe':
      case 'spread':
      case 'panel':
      case 'hole':
        return true;
    }
  };

  const layGrid = (id: string): boolean => {
    const grid = gridsById.get(id);
    if (!grid || grids[id]) return true;
    return within(`grid ${id}`, () => {
      need(grid.in);
      const box = boxRect(grid.in, boxes);
      grids[id] = { name: grid.name, ...tracksOf(grid, gridArea(grid, box, box, base.measures), base.measures) };
    });
  };

  const axisOf = (element: Element, axis: 'x' | 'y', other: Mm | undefined): Span => {
    const row = rows.get(element.id);
    if (row?.row.axis === axis) {
      const span = rowSpan(row).get(element.id);
      if (span) return span;
    }
    return ownSpan(element, axis, other);
  };

  const ownSpan = (element: Element, axis: 'x' | 'y', other: Mm | undefined): Span => {
    if (!need(boxOfAxis(element.placement, axis))) circular.add(element.id);
    const given = element.placement[axis];
    const taken = given.size === 'content' ? content.size(element, axis, other) : 0;
    return solveAxis(given, roomOf(element.placement, axis, boxes), { measures: base.measures, content: taken });
  };

  const rowSpan = (row: RowOf): ReadonlyMap<string, Span> => {
    const known = rowSpans.get(row.id);
    if (known) return known;
    let spans: ReadonlyMap<string, Span> = new Map();
    within(`row ${row.id}`, () => {
      need(row.row.in);
      const box = boxRect(row.row.in, boxes);
      const across = row.row.axis === 'x';
      const sizes = row.members.map((m) => Math.max(0, ownSpan(m, row.row.axis, undefined).size));
      const starts = rowStarts(row.row, across ? spanX(box) : spanY(box), sizes, base.measures);
      spans = new Map(row.members.map((m, i) => [m.id, { start: starts[i] ?? 0, size: sizes[i] ?? 0 }]));
    });
    rowSpans.set(row.id, spans);
    return spans;
  };

  const place = (id: string): boolean => {
    const element = elements.get(id);
    if (!element || !waiting.has(id)) return true;
    return within(id, () => {
      // The height of set text follows from its width; the width of a picture may follow from its height.
      const { x: givenX, y: givenY } = element.placement;
      const heightFirst =
        givenX.size === 'content' && givenY.size !== 'content' && elementKind(element.kind).content !== 'set';
      const first = heightFirst ? axisOf(element, 'y', undefined) : axisOf(element, 'x', undefined);
      const second = heightFirst ? axisOf(element, 'x', first.size) : axisOf(element, 'y', first.size);
      const rect = heightFirst ? rectOf(second, first) : rectOf(first, second);
      const box = { ...rect, name: content.name(element), rotate: element.placement.rotate };
      const was = before?.boxes.placed[id];
      placed[id] = was && isSameBox(was, box) ? was : box;
      waiting.delete(id);
      const tracks = content.tracks(element, rect);
      if (tracks) grids[id] = tracks;
      else Reflect.deleteProperty(grids, id);
    });
  };

  for (const id of gridsById.keys()) layGrid(id);
  for (const { id } of moved) if (!place(id)) circular.add(id);
  const guides = layout.guides
    .filter((g) => !g.side || g.side === layout.side)
    .filter((g) => need(g.in) && !isMissing(g.in, boxes))
    .flatMap((guide) => guideLines(guide, boxes));
  return { ...boxes, guides, circular: [...circular] };
}

const isSameBox = (one: PlacedBox, two: PlacedBox): boolean =>
  one.x === two.x &&
  one.y === two.y &&
  one.width === two.width &&
  one.height === two.height &&
  one.rotate === two.rotate &&
  one.name === two.name;

interface RowOf {
  readonly id: string;
  readonly row: Row;
  readonly members: readonly Element[];
}

/** The row that each element of a side stands in. */
function rowsOf({ elements, groups }: SideLayout): ReadonlyMap<string, RowOf> {
  const found = new Map<string, RowOf>();
  for (const { id, row } of groups) {
    if (!row) continue;
    const members = elements.filter((e) => e.group === id);
    for (const member of members) found.set(member.id, { id, row, members });
  }
  return found;
}

/**
 * Where the members of a row start. An equal gap is (box − sum of sizes) ÷ (n − 1); a single member with it stands
 * in the middle. With a given gap the row as a whole stands at the start, centre or end of the box.
 */
export function rowStarts(
  row: Row,
  box: Span,
  sizes: readonly Mm[],
  measures: SurfaceBoxes['measures'],
): readonly Mm[] {
  const total = sizes.reduce((sum, s) => sum + s, 0);
  const gaps = sizes.length - 1;
  const gap = row.gap === 'equal' ? (gaps > 0 ? (box.size - total) / gaps : 0) : mmOf(row.gap, measures);
  const slack = box.size - total - gaps * gap;
  const from = row.gap === 'equal' && gaps > 0 ? 'start' : row.gap === 'equal' ? 'centre' : row.from;
  let at = box.start + (from === 'start' ? 0 : from === 'centre' ? slack / 2 : slack);
  return sizes.map((size) => {
    const start = at;
    at += size + gap;
    return start;
  });
}
