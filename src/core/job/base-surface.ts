import { pageNumberOf, type Blank, type BlankSurface } from '../format';
import { baseById, baseOfSide, sideOfBase } from './inherit';
import type { Piece, SideName } from './schema';

/** The page that a base layout is laid out on: a right-hand one with another beside it, where there is such a page. */
function pageFor(blank: Blank): BlankSurface | undefined {
  const pages = blank.surfaces.filter((s) => (pageNumberOf(s.name) ?? 0) % 2 === 1);
  return pages[1] ?? pages[0] ?? blank.surfaces[0];
}

/** A side of the piece by its name, or one of its base layouts. */
export function surfaceOf(blank: Blank, piece: Piece, side: SideName): BlankSurface | undefined {
  const base = baseById(piece, baseOfSide(side));
  const page = base && pageFor(blank);
  return page ? { ...page, name: side } : blank.surfaces.find((s) => s.name === side);
}

/** All that can be laid out: the sides of the piece, then its base layouts. */
export const surfacesToLay = (blank: Blank, piece: Piece): readonly BlankSurface[] => [
  ...blank.surfaces,
  ...piece.bases.flatMap((b) => surfaceOf(blank, piece, sideOfBase(b.id)) ?? []),
];
