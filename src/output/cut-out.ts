import sharp, { type OverlayOptions } from 'sharp';
import { centreOf, edges, grow, intersection, type Rect } from '../core/layout';
import { documentPage } from './document-page';

/** A place on a page of a PDF, mm from its trimmed top-left corner. */
export interface PagePlace {
  /** From 1. */
  readonly page: number;
  readonly where: Rect;
}

interface Size {
  readonly width: number;
  readonly height: number;
}

/** Shape and size of a cut-out, pixels. */
const [WIDE, HIGH] = [320, 200];
/** So much of the page is seen at least, mm, and so many times what the place itself is wide. */
const [LEAST, TIMES] = [26, 1.6];
/** What lies beyond the trim is seen too, mm. */
const BEYOND = 6;
/** Pages are drawn once, no finer than this, pixels across. */
const FINEST = 1600;

/** What is seen of the page around a place, mm: in the shape of a cut-out. */
function seenAround({ where }: PagePlace): Rect {
  const width = Math.max(LEAST, where.width * TIMES, ((where.height * TIMES) / HIGH) * WIDE);
  const height = (width / WIDE) * HIGH;
  const { x, y } = centreOf(where);
  return { x: x - width / 2, y: y - height / 2, width, height };
}

/**
 * Pictures cut out of the pages of a PDF, one for each place, with the place outlined. PNG.
 * @param size of its pages as they are trimmed, mm
 */
export async function cutOuts(
  bytes: Uint8Array,
  places: readonly PagePlace[],
  size: Size,
): Promise<readonly Uint8Array[]> {
  const ppm = Math.min(FINEST / (size.width + 2 * BEYOND), Math.max(...places.map((p) => WIDE / seenAround(p).width)));
  const pages = new Map<number, Promise<Uint8Array>>();
  const pageAt = (page: number): Promise<Uint8Array> => {
    const known = pages.get(page);
    if (known) return known;
    const wide = Math.max(1, Math.round((size.width + 2 * BEYOND) * ppm));
    const drawn = documentPage(bytes, { page, beyond: edges(BEYOND) }, wide);
    pages.set(page, drawn);
    return drawn;
  };
  return Promise.all(places.map(async (place) => cutOut(await pageAt(place.page), place, size)));
}

async function cutOut(page: Uint8Array, place: PagePlace, size: Size): Promise<Uint8Array> {
  const { width: pixels, height: rows } = await sharp(page).metadata();
  const ppm = pixels / (size.width + 2 * BEYOND);
  const seen = seenAround(place);
  const box = (r: Rect): Rect => ({
    x: (r.x + BEYOND) * ppm,
    y: (r.y + BEYOND) * ppm,
    width: r.width * ppm,
    height: r.height * ppm,
  });
  const wanted = box(seen);
  const part = intersection(wanted, { x: 0, y: 0, width: pixels, height: rows });
  const [left, top] = [Math.floor(part.x), Math.floor(part.y)];
  const [width, height] = [Math.floor(part.width), Math.floor(part.height)];
  const scale = WIDE / wanted.width;
  const ground = sharp({ create: { width: WIDE, height: HIGH, channels: 3, background: '#8a8a86' } });
  const layers: OverlayOptions[] = [{ input: Buffer.from(outlined(place.where, seen)), left: 0, top: 0 }];
  if (width >= 1 && height >= 1) {
    const cut = await sharp(page)
      .extract({ left, top, width, height })
      .flatten({ background: '#ffffff' })
      .resize(Math.max(1, Math.round(width * scale)), Math.max(1, Math.round(height * scale)), { fit: 'fill' })
      .png()
      .toBuffer();
    layers.unshift({
      input: cut,
      left: Math.max(0, Math.round((left - wanted.x) * scale)),
      top: Math.max(0, Math.round((top - wanted.y) * scale)),
    });
  }
  return new Uint8Array(await ground.composite(layers).png().toBuffer());
}

/** The place as an outline over its cut-out. */
function outlined(where: Rect, seen: Rect): string {
  const ppm = WIDE / seen.width;
  const { x, y, width, height } = grow(where, edges(3 / ppm));
  const px = (mm: number): string => (mm * ppm).toFixed(1);
  const place = `x="${px(x - seen.x)}" y="${px(y - seen.y)}" width="${px(width)}" height="${px(height)}"`;
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDE}" height="${HIGH}">` +
    `<g fill="none"><rect ${place} stroke="#fff" stroke-width="4"/>` +
    `<rect ${place} stroke="#b3261e" stroke-width="2"/></g></svg>`
  );
}

/** So many remarks get a picture [own]. */
const PICTURED = 12;

/** What is about the page as a whole has no place of its own. */
const isWhole = (where: Rect, { width, height }: Size): boolean => where.width * where.height > 0.7 * width * height;

/** Something that is said of a page, and where. */
interface Said {
  readonly pages: readonly number[];
  readonly where?: Rect;
}

/** Pictures of the places that remarks speak of, as PNG; undefined where one has none, or the page cannot be drawn. */
export async function picturesOfRemarks(
  bytes: Uint8Array,
  remarks: readonly Said[],
  size: Size,
): Promise<readonly (Uint8Array | undefined)[]> {
  const placed = remarks.flatMap(({ where, pages: [page] }, i) =>
    where && page !== undefined && !isWhole(where, size) ? [{ i, page, where }] : [],
  );
  const some = placed.slice(0, PICTURED);
  const pngs = some.length > 0 ? await cutOuts(bytes, some, size).catch(() => []) : [];
  const byRemark = new Map(some.map(({ i }, n) => [i, pngs[n]]));
  return remarks.map((_, i) => byRemark.get(i));
}
