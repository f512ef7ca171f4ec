import type { Mm } from '../measure';
import type { Span } from './axis';
import type { SurfaceBoxes } from './boxes';
import { centreOf, turnedBounds, type Rect } from '../geometry';
import { spanX, spanY, type Tracks } from './tracks';

/** A line something can snap to, with the word for it. */
export interface SnapLine {
  readonly at: Mm;
  readonly name: string;
}

export interface SnapLines {
  readonly x: readonly SnapLine[];
  readonly y: readonly SnapLine[];
}

/** Which of a moving element's three lines may catch. */
export type SnapPart = 'start' | 'centre' | 'end';

export interface Snapped {
  /** How much further the element has to go to lie on the line. */
  readonly shift: Mm;
  readonly line: SnapLine;
  readonly part: SnapPart;
}

const threeLines = (start: Mm, size: Mm, name: string): SnapLine[] => [
  { at: start, name },
  { at: start + size / 2, name: `centre of ${name}` },
  { at: start + size, name },
];

const partLines = (tracks: Tracks, axis: 'x' | 'y', of: string): SnapLine[] => {
  const [spans, noun] = axis === 'x' ? [tracks.columns, 'column'] : [tracks.rows, 'row'];
  return spans.length > 1 ? spans.flatMap((s, i) => threeLines(s.start, s.size, `${noun} ${i + 1}${of}`)) : [];
};

/**
 * Edges and centres of every box of the surface and of the other elements, thirds and quarters of the large ones, and
 * the guides: no helper shape is needed to find a middle.
 * @param without elements that do not count, such as those that are being moved
 */
export function snapLines(boxes: SurfaceBoxes, without: ReadonlySet<string> = new Set()): SnapLines {
  const rects = [
    { name: 'trim', rect: boxes.trim },
    { name: 'safe', rect: boxes.safe },
    ...boxes.panels.map((panel) => ({ name: panel.name, rect: panel })),
    ...boxes.holes.map((rect, i) => ({ name: `hole ${i + 1}`, rect })),
    ...Object.entries(boxes.placed).flatMap(([id, placed]) =>
      without.has(id) ? [] : [{ name: placed.name, rect: turnedBounds(placed, placed.rotate) }],
    ),
  ];
  const lines = (axis: 'x' | 'y'): SnapLine[] => [
    ...rects.flatMap(({ name, rect }) => {
      const span = axis === 'x' ? spanX(rect) : spanY(rect);
      const whole = axis === 'x' ? boxes.trim.width : boxes.trim.height;
      const lines = threeLines(span.start, span.size, name);
      return span.size >= whole * LARGE ? [...lines, ...divisionLines(span, name)] : lines;
    }),
    ...partLines(boxes.grid, axis, ''),
    ...Object.values(boxes.grids).flatMap((grid) => partLines(grid, axis, ` of ${grid.name}`)),
    ...boxes.guides.filter((guide) => guide.axis === axis).map(({ at, name }) => ({ at, name })),
  ];
  return { x: lines('x'), y: lines('y') };
}

const DIVISIONS: readonly (readonly [share: number, name: string])[] = [
  [1 / 4, 'first quarter'],
  [1 / 3, 'first third'],
  [2 / 3, 'second third'],
  [3 / 4, 'third quarter'],
];

/** Share of the trim from which a box is worth dividing: the parts of small ones would catch everywhere. */
const LARGE = 1 / 4;

const divisionLines = (span: Span, of: string): SnapLine[] =>
  DIVISIONS.map(([share, name]) => ({ at: span.start + span.size * share, name: `${name} of ${of}` }));

/**
 * The nearest line within reach of one of the element's own lines on an axis.
 * @param parts which of the element's lines may catch: all three while moving, one while stretching
 * @param reach how near is near, mm (a few pixels at the bench's zoom)
 */
export function snapAxis(
  span: { readonly start: Mm; readonly size: Mm },
  lines: readonly SnapLine[],
  parts: readonly SnapPart[],
  reach: Mm,
): Snapped | undefined {
  const own: Readonly<Record<SnapPart, Mm>> = {
    start: span.start,
    centre: span.start + span.size / 2,
    end: span.start + span.size,
  };
  let best: Snapped | undefined;
  for (const line of lines) {
    for (const part of parts) {
      const shift = line.at - own[part];
      if (Math.abs(shift) <= reach && (!best || Math.abs(shift) < Math.abs(best.shift))) {
        best = { shift, line, part };
      }
    }
  }
  return best;
}

/** A distance to show beside a moving element: from its edge to the nearest edge of the box it stands in. */
export interface Distance {
  readonly axis: 'x' | 'y';
  readonly from: Mm;
  readonly to: Mm;
  /** Where on the other axis the dimension line runs. */
  readonly across: Mm;
}

/** Distances from an element to the four edges of a box around it. */
export function distances(rect: Rect, box: Rect): readonly Distance[] {
  const middle = centreOf(rect);
  return [
    { axis: 'x', from: box.x, to: rect.x, across: middle.y },
    { axis: 'x', from: rect.x + rect.width, to: box.x + box.width, across: middle.y },
    { axis: 'y', from: box.y, to: rect.y, across: middle.x },
    { axis: 'y', from: rect.y + rect.height, to: box.y + box.height, across: middle.x },
  ];
}

/** Rounds to the job's step. */
export const toStep = (mm: Mm, step: Mm): Mm => Math.round(Math.round(mm / step) * step * 1e6) / 1e6;
