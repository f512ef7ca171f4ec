import type { BoxRef, Grid, Measures } from '../element';
import type { Mm } from '../measure';
import type { Span } from './axis';
import { grow, intersection, negated, turnedBounds, type EdgeLengths, type Rect } from '../geometry';
import { gridArea, rectOf, tracksOf, type Tracks } from './tracks';

/** A part of a surface that the reader meets as one, by name. */
export interface PanelBox extends Rect {
  readonly name: string;
}

/** Where an element of the surface stands, before it is turned. */
export interface PlacedBox extends Rect {
  readonly name: string;
  readonly rotate: number;
}

/** Tracks of a named grid. */
export interface NamedTracks extends Tracks {
  readonly name: string;
}

/** A guide where it lies. */
export interface GuideLine {
  readonly id: string;
  readonly axis: 'x' | 'y';
  readonly at: Mm;
  readonly name: string;
}

/** The boxes of one surface that elements stand against. */
export interface SurfaceBoxes {
  readonly trim: Rect;
  readonly bleed: Rect;
  readonly safe: Rect;
  /** Both pages of an open book that this is one of; without a facing page, its trim. */
  readonly spread: Rect;
  readonly panels: readonly PanelBox[];
  /** Drilled holes in reading order. */
  readonly holes: readonly Rect[];
  /** The side’s own grid. */
  readonly grid: Tracks;
  readonly grids: Readonly<Record<string, NamedTracks>>;
  readonly guides: readonly GuideLine[];
  /** Elements by id, once they are placed. */
  readonly placed: Readonly<Record<string, PlacedBox>>;
  readonly measures: Measures;
  /** Elements whose places wait for each other. */
  readonly circular: readonly string[];
}

export interface SurfaceParts {
  readonly panels?: readonly PanelBox[];
  readonly holes?: readonly Rect[];
  readonly measures?: Measures;
  readonly isLeftPage?: boolean;
  /** On which side another page lies beside it. */
  readonly facing?: 'left' | 'right' | undefined;
}

/** The boxes of a bare surface; elements and named grids come when it is laid out. */
export function surfaceBoxes(
  size: { width: Mm; height: Mm },
  bleed: EdgeLengths,
  safe: EdgeLengths,
  grid: Grid,
  { panels = [], holes = [], measures = {}, isLeftPage = false, facing }: SurfaceParts = {},
): SurfaceBoxes {
  const trim = { x: 0, y: 0, ...size };
  const inner = grow(trim, negated(safe));
  return {
    trim,
    bleed: grow(trim, bleed),
    safe: inner,
    spread: facing === undefined ? trim : { ...trim, x: facing === 'right' ? 0 : -size.width, width: 2 * size.width },
    panels,
    holes,
    grid: tracksOf(grid, gridArea(grid, trim, inner, measures, isLeftPage), measures),
    grids: {},
    guides: [],
    placed: {},
    measures,
    circular: [],
  };
}

/** The stretch from one track to another, both counted from 1; tracks the grid no longer has end at its last. */
function trackSpan(tracks: readonly Span[], from: number, to: number): Span {
  const at = (n: number) => tracks[Math.min(Math.max(n, 1), tracks.length) - 1] ?? { start: 0, size: 0 };
  const [first, last] = [at(Math.min(from, to)), at(Math.max(from, to))];
  return { start: first.start, size: last.start + last.size - first.start };
}

const tracksNamed = (grid: string | undefined, boxes: SurfaceBoxes): Tracks =>
  (grid === undefined ? undefined : boxes.grids[grid]) ?? boxes.grid;

/** The rectangle a box reference stands for; a box that is gone stands for the trim. */
export function boxRect(ref: BoxRef, boxes: SurfaceBoxes): Rect {
  switch (ref.box) {
    case 'trim':
    case 'bleed':
    case 'safe':
    case 'spread':
      return boxes[ref.box];
    case 'columns': {
      const { columns, area } = tracksNamed(ref.grid, boxes);
      return { ...area, ...acrossOf(trackSpan(columns, ref.from, ref.to)) };
    }
    case 'rows': {
      const { rows, area } = tracksNamed(ref.grid, boxes);
      return { ...area, ...downOf(trackSpan(rows, ref.from, ref.to)) };
    }
    case 'cells': {
      const { columns, rows } = tracksNamed(ref.grid, boxes);
      return rectOf(trackSpan(columns, ...ref.columns), trackSpan(rows, ...ref.rows));
    }
    case 'panel':
      return boxes.panels.find((panel) => panel.name === ref.panel) ?? boxes.trim;
    case 'hole':
      return boxes.holes[ref.hole - 1] ?? boxes.trim;
    case 'element': {
      const placed = boxes.placed[ref.element];
      return placed ? partOf(placed, ref.part, boxes) : boxes.trim;
    }
  }
}

const acrossOf = (span: Span) => ({ x: span.start, width: span.size });
const downOf = (span: Span) => ({ y: span.start, height: span.size });

/** The box of a placed element that a reference means. */
function partOf(placed: PlacedBox, part: Extract<BoxRef, { box: 'element' }>['part'], boxes: SurfaceBoxes): Rect {
  const { x, y, width, height } = placed;
  switch (part) {
    case 'whole':
      return { x, y, width, height };
    case 'visible':
      return intersection(turnedBounds(placed, placed.rotate), boxes.trim);
    case 'before':
      return { x, y, width: 0, height: 0 };
    case 'past':
      return { x: x + width, y: y + height, width: 0, height: 0 };
  }
}

/** Whether a reference names something that the surface does not have. */
export function isMissing(ref: BoxRef, boxes: SurfaceBoxes): boolean {
  const past = (tracks: readonly Span[], ns: readonly number[]) => ns.some((n) => n > tracks.length);
  const gone = (grid: string | undefined) => grid !== undefined && !boxes.grids[grid];
  switch (ref.box) {
    case 'columns':
      return gone(ref.grid) || past(tracksNamed(ref.grid, boxes).columns, [ref.from, ref.to]);
    case 'rows':
      return gone(ref.grid) || past(tracksNamed(ref.grid, boxes).rows, [ref.from, ref.to]);
    case 'cells': {
      const { columns, rows } = tracksNamed(ref.grid, boxes);
      return gone(ref.grid) || past(columns, ref.columns) || past(rows, ref.rows);
    }
    case 'panel':
      return !boxes.panels.some((panel) => panel.name === ref.panel);
    case 'hole':
      return ref.hole > boxes.holes.length;
    case 'element':
      return !boxes.placed[ref.element];
    case 'trim':
    case 'bleed':
    case 'safe':
    case 'spread':
      return false;
  }
}

/** In words, for the slip and for findings: `trim`, `columns 1–2`, `past the moon`. */
export function boxName(ref: BoxRef, boxes: Pick<SurfaceBoxes, 'grids' | 'placed'>): string {
  const range = (noun: string, a: number, b: number) =>
    a === b ? `${noun} ${a}` : `${noun}s ${Math.min(a, b)}–${Math.max(a, b)}`;
  const inGrid = (grid: string | undefined, words: string) =>
    grid === undefined ? words : `${words} of ${boxes.grids[grid]?.name ?? 'a grid that is gone'}`;
  switch (ref.box) {
    case 'trim':
    case 'bleed':
    case 'safe':
      return ref.box;
    case 'spread':
      return 'both pages';
    case 'columns':
      return inGrid(ref.grid, range('column', ref.from, ref.to));
    case 'rows':
      return inGrid(ref.grid, range('row', ref.from, ref.to));
    case 'cells':
      return inGrid(ref.grid, `${range('column', ...ref.columns)}, ${range('row', ...ref.rows)}`);
    case 'panel':
      return ref.panel;
    case 'hole':
      return `hole ${ref.hole}`;
    case 'element': {
      const name = boxes.placed[ref.element]?.name ?? 'an element that is gone';
      return ref.part === 'whole' ? name : ref.part === 'visible' ? `visible part of ${name}` : `${ref.part} ${name}`;
    }
  }
}
