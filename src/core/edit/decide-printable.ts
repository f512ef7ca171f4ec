import { type PrintableContent, elementsOn, saidOn, withSide, type Piece, type SideName } from '../job';

/**
 * The piece with other decisions of a printable: where they are said, which for a page of a run is the base layout, so
 * that all pages of it follow; on the page itself where that already decides for itself.
 */
export function withDecisions(
  piece: Piece,
  side: SideName,
  id: string,
  change: (content: PrintableContent) => PrintableContent,
): Piece {
  const source = saidOn(piece, side, id, 'content');
  const elements = elementsOn(piece, source.side).map((e) =>
    e.id === source.id && e.kind === 'printable' ? { ...e, content: change(e.content) } : e,
  );
  return withSide(piece, source.side, elements);
}
