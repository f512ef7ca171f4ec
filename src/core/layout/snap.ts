import type { Mm } from '../measure';
import type { SurfaceBoxes } from './boxes';
import { centreOf, type Rect } from './geometry';

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

/** Edges and centres of every box of the surface and of the other elements: no helper shape is needed to find a middle. */
export function snapLines(
  boxes: SurfaceBoxes,
  others: readonly { readonly name: string; readonly rect: Rect }[],
): SnapLines {
  const rects = [
    { name: 'trim', rect: boxes.trim },
    { name: 'safe', rect: boxes.safe },
    ...boxes.panels.map((panel) => ({ name: panel.name, rect: panel })),
    ...others,
  ];
  return {
    x: [
      ...rects.flatMap(({ name, rect }) => threeLines(rect.x, rect.width, name)),
      ...(boxes.columns.length > 1
        ? boxes.columns.flatMap((c, i) => threeLines(c.start, c.size, `column ${i + 1}`))
        : []),
    ],
    y: [
      ...rects.flatMap(({ name, rect }) => threeLines(rect.y, rect.height, name)),
      ...(boxes.rows.length > 1 ? boxes.rows.flatMap((r, i) => threeLines(r.start, r.size, `row ${i + 1}`)) : []),
    ],
  };
}

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
export const toStep = (mm: Mm, step: Mm): Mm => Math.round((Math.round(mm / step) * step) * 1e6) / 1e6; // prettier-ignore
