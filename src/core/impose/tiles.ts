import type { Rect } from '../geometry';
import type { Mm } from '../measure';
import type { Size } from '../paper';

export interface TileRequest {
  /** What is printed, with or without its bleed, mm. */
  readonly whole: Rect;
  /** Either way round. */
  readonly sheet: Size;
  /** Rim that the printer cannot print, mm. */
  readonly rim: Mm;
  /** By how much neighbours overlap, to be glued, mm. */
  readonly overlap: Mm;
}

/** A sheet of a poster. */
export interface Tile {
  /** Letter of its row and number of its column: B3. */
  readonly name: string;
  readonly column: number;
  readonly row: number;
  /** What of the whole it shows, its overlap included, mm. */
  readonly shows: Rect;
  /** From the sheet’s left and top edge to what it shows, mm. */
  readonly at: { readonly x: Mm; readonly y: Mm };
  /** Edges along which the next tile is glued on: its left and its top are cut away there. */
  readonly glued: { readonly right: boolean; readonly bottom: boolean };
}

export interface Tiling {
  /** As it lies under the tiles. */
  readonly sheet: Size;
  readonly columns: number;
  readonly rows: number;
  readonly tiles: readonly Tile[];
}

export type TilingResult =
  { readonly ok: true; readonly tiling: Tiling } | { readonly ok: false; readonly message: string };

/** More sheets than this nobody glues together [own]. */
export const MOST_TILES = 400;

/** Letters of the rows: A to Z, then AA. */
const letter = (row: number): string =>
  (row >= 26 ? String.fromCharCode(64 + Math.floor(row / 26)) : '') + String.fromCharCode(65 + (row % 26));

/** A large piece on the sheets of a small printer, whichever way round takes fewer of them. */
export function tiling({ whole, sheet, rim, overlap }: TileRequest): TilingResult {
  const ways = [sheet, { width: sheet.height, height: sheet.width }].map((size) => {
    const [wide, high] = [size.width - 2 * rim, size.height - 2 * rim];
    const many = (long: Mm, room: Mm) =>
      room <= overlap ? Infinity : Math.max(1, Math.ceil((long - overlap) / (room - overlap) - 1e-9));
    const [columns, rows] = [many(whole.width, wide), many(whole.height, high)];
    return { size, wide, high, columns, rows };
  });
  const best = ways.reduce((a, b) => (b.columns * b.rows < a.columns * a.rows ? b : a));
  const { size, wide, high, columns, rows } = best;
  if (!Number.isFinite(columns * rows))
    return { ok: false, message: 'The overlap leaves nothing of a sheet. Take a smaller overlap, or a larger sheet.' };
  if (columns * rows > MOST_TILES)
    return {
      ok: false,
      message: `${columns * rows} sheets would be glued together; up to ${MOST_TILES} are. Take a larger sheet.`,
    };
  const tiles = Array.from({ length: columns * rows }, (_, i): Tile => {
    const [column, row] = [i % columns, Math.floor(i / columns)];
    const [x, y] = [whole.x + column * (wide - overlap), whole.y + row * (high - overlap)];
    return {
      name: `${letter(row)}${column + 1}`,
      column,
      row,
      shows: {
        x,
        y,
        width: Math.min(wide, whole.x + whole.width - x),
        height: Math.min(high, whole.y + whole.height - y),
      },
      at: { x: rim, y: rim },
      glued: { right: column < columns - 1, bottom: row < rows - 1 },
    };
  });
  return { ok: true, tiling: { sheet: size, columns, rows, tiles } };
}
