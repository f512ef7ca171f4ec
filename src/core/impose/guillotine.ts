import { union, type Rect } from '../geometry';

/** Which way a cut runs: upright, so that its parts lie side by side, or level, one above the other. */
export type Way = 'upright' | 'level';

export const across = (way: Way): Way => (way === 'upright' ? 'level' : 'upright');

/**
 * A rectangle of paper as a guillotine parts it: every cut runs from one edge of what lies beneath the knife to the
 * other. Lengths in mm, from the top left corner of the whole.
 */
export type Layout = { readonly rect: Rect } & (
  | { readonly is: 'piece'; readonly kind: number; readonly isTurned: boolean }
  | { readonly is: 'waste' }
  | { readonly is: 'cut'; readonly way: Way; readonly parts: readonly Layout[] }
);

/** A piece where it lies. */
export interface LaidPiece {
  readonly rect: Rect;
  /** Which of those that were asked for. */
  readonly kind: number;
  /** By a quarter. */
  readonly isTurned: boolean;
}

export function piecesIn(layout: Layout): readonly LaidPiece[] {
  switch (layout.is) {
    case 'piece':
      return [{ rect: layout.rect, kind: layout.kind, isTurned: layout.isTurned }];
    case 'waste':
      return [];
    case 'cut':
      return layout.parts.flatMap(piecesIn);
  }
}

/** The same layout somewhere else. */
export function movedLayout(layout: Layout, x: number, y: number): Layout {
  const rect = { ...layout.rect, x: layout.rect.x + x, y: layout.rect.y + y };
  return layout.is === 'cut'
    ? { ...layout, rect, parts: layout.parts.map((part) => movedLayout(part, x, y)) }
    : { ...layout, rect };
}

/** How often the direction of cuts changes on the way to a piece, at most. */
export function stagesOf(layout: Layout): number {
  return layout.is === 'cut' ? 1 + Math.max(0, ...layout.parts.map(stagesOf)) : 0;
}

/** Lengths that differ by less are one, mm: far below what a knife can do. */
export const SAME = 1e-6;

/** A rectangle parted at a length from its left or top edge. */
export function parted(rect: Rect, way: Way, at: number): readonly [Rect, Rect] {
  const { x, y, width, height } = rect;
  return way === 'upright'
    ? [
        { x, y, width: at, height },
        { x: x + at, y, width: width - at, height },
      ]
    : [
        { x, y, width, height: at },
        { x, y: y + at, width, height: height - at },
      ];
}

/** A piece in the top left corner of a rectangle, with what falls off to its right and below. */
export function pieceIn(
  rect: Rect,
  size: { readonly width: number; readonly height: number },
  kind: number,
  isTurned: boolean,
): Layout {
  const below = rect.height - size.height > SAME;
  const beside = rect.width - size.width > SAME;
  const row = below ? parted(rect, 'level', size.height)[0] : rect;
  const [own] = beside ? parted(row, 'upright', size.width) : [row];
  const piece: Layout = { rect: own, is: 'piece', kind, isTurned };
  const inRow: Layout = beside
    ? { rect: row, is: 'cut', way: 'upright', parts: [piece, waste(parted(row, 'upright', size.width)[1])] }
    : piece;
  return below
    ? { rect, is: 'cut', way: 'level', parts: [inRow, waste(parted(rect, 'level', size.height)[1])] }
    : inRow;
}

export const waste = (rect: Rect): Layout => ({ rect, is: 'waste' });

/** The layout as tight as its pieces: what lies around them is waste. @param trim of a piece within its cell */
export function tightened(layout: Layout, trim: (cell: LaidPiece) => Rect): Layout {
  switch (layout.is) {
    case 'waste':
      return layout;
    case 'piece':
      return { ...layout, rect: trim(layout) };
    case 'cut': {
      const parts = layout.parts.filter((part) => piecesIn(part).length > 0).map((part) => tightened(part, trim));
      const [only] = parts;
      if (!only) return waste(layout.rect);
      return parts.length === 1 ? only : { ...layout, rect: union(parts.map(({ rect }) => rect)), parts };
    }
  }
}
