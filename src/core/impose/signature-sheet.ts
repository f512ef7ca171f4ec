import { edges, type EdgeLengths, type Rect } from '../geometry';
import type { Mm } from '../measure';
import type { Size } from '../paper';
import { printable, type SheetRoom } from './press-sheet';
import {
  creepAt,
  signaturePlaces,
  type BookSignature,
  type Gathering,
  type PagePlace,
  type SignatureScheme,
} from './signature';

/** How the pages of a signature stand apart. */
export interface SignatureSpacing {
  /** What is trimmed off at head, foot and fore-edge once it is folded, mm. */
  readonly trim: Mm;
  /** What is milled off at the spine before it is glued, mm; 0 where it is stitched. */
  readonly mill: Mm;
  readonly bleed: Mm;
}

/** A page on its sheet. */
export interface LaidPage {
  /** Of the book, from 1. */
  readonly page: number;
  /** Its trim, mm from the top left corner of the sheet. */
  readonly trim: Rect;
  readonly quarters: 0 | 2;
  /** Beyond its trim it is seen so far, at each edge of `trim`. */
  readonly bleed: EdgeLengths;
  /** How far what is printed is moved toward the spine, mm. */
  readonly creep: Mm;
  readonly spine: PagePlace['spine'];
}

export interface SignatureSheet {
  readonly room: SheetRoom;
  readonly scheme: SignatureScheme;
  readonly outer: readonly LaidPage[];
  readonly inner: readonly LaidPage[];
  /** Everything, trims to be cut off among it, mm on the sheet. */
  readonly block: Rect;
  /** Creases, mm on the outer form: upright at x, level at y. */
  readonly creases: { readonly x: readonly Mm[]; readonly y: readonly Mm[] };
}

/** Where columns or rows begin, and how long all of it is. @param gaps before each and after the last */
function starts(size: Mm, gaps: readonly Mm[]): { readonly at: readonly Mm[]; readonly whole: Mm } {
  let to = 0;
  const at = gaps.slice(0, -1).map((gap, i) => {
    to += gap + (i > 0 ? size : 0);
    return to;
  });
  return { at, whole: to + size + (gaps.at(-1) ?? 0) };
}

/** Room that a signature takes on its sheet, mm. */
export function signatureSize(scheme: SignatureScheme, page: Size, spacing: SignatureSpacing): Size {
  const { columns, rows } = gapsOf(scheme, spacing);
  return { width: starts(page.width, columns).whole, height: starts(page.height, rows).whole };
}

/** Gaps of the outer form: nothing or the milled edge at a spine, twice the trim where it is cut. */
function gapsOf(scheme: SignatureScheme, { trim, mill }: SignatureSpacing) {
  const places = signaturePlaces(scheme).filter(({ form }) => form === 'outer');
  const gapAfter = (column: number): Mm => {
    const place = places.find((p) => p.column === column);
    const spineAtRight = place && (place.spine === 'right') !== place.isTurned;
    return spineAtRight ? 2 * mill : 2 * trim;
  };
  return {
    columns: [trim, ...Array.from({ length: scheme.across - 1 }, (_, i) => gapAfter(i)), trim],
    rows: [trim, ...Array.from({ length: scheme.down - 1 }, () => 2 * trim), trim],
  };
}

/** The schemes that a sheet takes, the largest first. */
export function takesSignature(
  room: SheetRoom,
  scheme: SignatureScheme,
  page: Size,
  spacing: SignatureSpacing,
): boolean {
  const size = signatureSize(scheme, page, spacing);
  const free = printable(room, 'sheetwise');
  return size.width <= free.width + 1e-6 && size.height <= free.height + 1e-6;
}

/**
 * A signature on its sheet, both forms. The back is printed sheetwise: turned over about an upright line.
 * @param caliper of the paper, mm: how far pages creep, where they are nested
 */
export function signatureSheet(
  { scheme, pages }: BookSignature,
  room: SheetRoom,
  page: Size,
  spacing: SignatureSpacing,
  book: { readonly pages: number; readonly gathering: Gathering; readonly caliper: Mm },
): SignatureSheet {
  const { columns, rows } = gapsOf(scheme, spacing);
  const [x, y] = [starts(page.width, columns), starts(page.height, rows)];
  const free = printable(room, 'sheetwise');
  const block = {
    x: (room.sheet.width - x.whole) / 2,
    y: free.y + (free.height - y.whole) / 2,
    width: x.whole,
    height: y.whole,
  };
  const laid = (place: PagePlace): LaidPage => {
    const outerColumn = place.form === 'outer' ? place.column : scheme.across - 1 - place.column;
    const left = block.x + (x.at[outerColumn] ?? 0);
    const trim = {
      x: place.form === 'outer' ? left : room.sheet.width - left - page.width,
      y: block.y + (y.at[place.row] ?? 0),
      ...page,
    };
    const number = pages[place.page - 1] ?? 0;
    const spineAtRight = (place.spine === 'right') !== place.isTurned;
    const outside = Math.min(spacing.bleed, spacing.trim);
    const atSpine = Math.min(spacing.bleed, spacing.mill);
    return {
      page: number,
      trim,
      quarters: place.isTurned ? 2 : 0,
      bleed: { ...edges(outside), [spineAtRight ? 'right' : 'left']: atSpine },
      creep: book.gathering === 'nested' ? creepAt(number, book.pages, book.caliper) : 0,
      spine: place.spine,
    };
  };
  const places = signaturePlaces(scheme);
  const middles = (at: readonly Mm[], gaps: readonly Mm[], from: Mm) =>
    at.slice(1).map((start, i) => from + start - (gaps[i + 1] ?? 0) / 2);
  return {
    room,
    scheme,
    outer: places.filter(({ form }) => form === 'outer').map(laid),
    inner: places.filter(({ form }) => form === 'inner').map(laid),
    block,
    creases: {
      x: middles(x.at, columns, block.x),
      y: middles(y.at, rows, block.y),
    },
  };
}
