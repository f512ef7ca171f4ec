/** A sheet of a booklet, two pages to a side: left and right as one looks at that side. Undefined is a blank page. */
export interface SpreadSheet {
  readonly front: readonly [left: number | undefined, right: number | undefined];
  readonly back: readonly [left: number | undefined, right: number | undefined];
}

/**
 * The sheets of a booklet that is folded once and stitched through its fold, the outermost first: printer’s spreads. On
 * the outside of the outermost lie the last page and the first one. Pages that are wanting to a multiple of four are
 * blank, at the end.
 * @param pages how many it has
 */
export function printersSpreads(pages: number): readonly SpreadSheet[] {
  const sheets = Math.ceil(pages / 4);
  const last = sheets * 4;
  const page = (number: number) => (number <= pages ? number : undefined);
  return Array.from({ length: sheets }, (_, sheet) => ({
    front: [page(last - 2 * sheet), page(1 + 2 * sheet)],
    back: [page(2 + 2 * sheet), page(last - 1 - 2 * sheet)],
  }));
}
