import type { BoxRef, Grid } from '../element';
import type { Mm } from '../measure';
import { grow, negated, type EdgeLengths, type Rect } from './geometry';
import type { Span } from './axis';

/** A part of a surface that the reader meets as one, by name. */
export interface PanelBox extends Rect {
  readonly name: string;
}

/** The boxes of one surface that elements stand against. */
export interface SurfaceBoxes {
  readonly trim: Rect;
  readonly bleed: Rect;
  readonly safe: Rect;
  readonly columns: readonly Span[];
  readonly rows: readonly Span[];
  readonly panels: readonly PanelBox[];
}

/** Equal parts of a length with a gap between them: part = (length − (n − 1) × gap) ÷ n. */
export function divide(span: Span, count: number, gap: Mm): readonly Span[] {
  const size = (span.size - (count - 1) * gap) / count;
  return Array.from({ length: count }, (_, i) => ({ start: span.start + i * (size + gap), size }));
}

export const spanX = (r: Rect): Span => ({ start: r.x, size: r.width });
export const spanY = (r: Rect): Span => ({ start: r.y, size: r.height });
export const rectOf = (x: Span, y: Span): Rect => ({ x: x.start, y: y.start, width: x.size, height: y.size });

export function surfaceBoxes(
  size: { width: Mm; height: Mm },
  bleed: EdgeLengths,
  safe: EdgeLengths,
  grid: Grid,
  panels: readonly PanelBox[] = [],
): SurfaceBoxes {
  const trim = { x: 0, y: 0, ...size };
  const inner = grow(trim, negated(safe));
  return {
    trim,
    bleed: grow(trim, bleed),
    safe: inner,
    columns: divide(spanX(inner), grid.columns, grid.gutter),
    rows: divide(spanY(inner), grid.rows, grid.rowGutter),
    panels,
  };
}

/** The stretch from one track to another, both counted from 1; tracks the grid no longer has end at its last. */
function trackSpan(tracks: readonly Span[], from: number, to: number): Span {
  const at = (n: number) => tracks[Math.min(Math.max(n, 1), tracks.length) - 1] ?? { start: 0, size: 0 };
  const [first, last] = [at(Math.min(from, to)), at(Math.max(from, to))];
  return { start: first.start, size: last.start + last.size - first.start };
}

/** The rectangle a box reference stands for. */
export function boxRect(ref: BoxRef, boxes: SurfaceBoxes): Rect {
  switch (ref.box) {
    case 'trim':
    case 'bleed':
    case 'safe':
      return boxes[ref.box];
    case 'columns':
      return rectOf(trackSpan(boxes.columns, ref.from, ref.to), spanY(boxes.safe));
    case 'rows':
      return rectOf(spanX(boxes.safe), trackSpan(boxes.rows, ref.from, ref.to));
    case 'cells':
      return rectOf(trackSpan(boxes.columns, ...ref.columns), trackSpan(boxes.rows, ...ref.rows));
    case 'panel':
      return boxes.panels.find((panel) => panel.name === ref.panel) ?? boxes.trim;
  }
}

/** Whether a reference names a column, row or panel that the surface does not have. */
export function isMissing(ref: BoxRef, boxes: SurfaceBoxes): boolean {
  const past = (tracks: readonly Span[], ns: readonly number[]) => ns.some((n) => n > tracks.length);
  switch (ref.box) {
    case 'columns':
      return past(boxes.columns, [ref.from, ref.to]);
    case 'rows':
      return past(boxes.rows, [ref.from, ref.to]);
    case 'cells':
      return past(boxes.columns, ref.columns) || past(boxes.rows, ref.rows);
    case 'panel':
      return !boxes.panels.some((panel) => panel.name === ref.panel);
    default:
      return false;
  }
}

/** In words, for the slip and for findings: `trim`, `columns 1–2`. */
export function boxName(ref: BoxRef): string {
  const range = (noun: string, a: number, b: number) =>
    a === b ? `${noun} ${a}` : `${noun}s ${Math.min(a, b)}–${Math.max(a, b)}`;
  switch (ref.box) {
    case 'trim':
    case 'bleed':
    case 'safe':
      return ref.box;
    case 'columns':
      return range('column', ref.from, ref.to);
    case 'rows':
      return range('row', ref.from, ref.to);
    case 'cells':
      return `${range('column', ...ref.columns)}, ${range('row', ...ref.rows)}`;
    case 'panel':
      return ref.panel;
  }
}
