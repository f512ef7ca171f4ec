import { deflateSync } from 'node:zlib';
import { itemsOf, leavesOf, type Item, type PictureItem, type SoftMask } from '../core/drawing';
import { pictureAsset } from '../core/job';
import { MM_PER_INCH } from '../core/measure';
import type { EncodedMask, PdfRequest } from '../paint/pdf';
import { svgMask } from '../paint/svg';
import { CannotExport } from './cannot-export';
import type { Desk } from './desk';
import { gaussian } from './gaussian';
import { silhouettePng } from './silhouette';

/** Pixels to a standard deviation: a Gaussian has nothing finer to show. */
const PER_SIGMA = 4;
/** Most pixels of one mask, and the finest it is ever drawn, to the inch. */
const [MOST_PIXELS, FINEST] = [6_000_000, 600];

/** Every soft mask of a job as a grey image: the silhouette drawn, then blurred by a true Gaussian. */
export async function masksOf(desk: Desk): Promise<PdfRequest['softMask']> {
  const masks = desk.sides.flatMap(({ drawing }) => masksIn(itemsOf(drawing)));
  const drawn = new Map<SoftMask, EncodedMask>();
  // What is the same is drawn once: copies share their masks.
  const known = new Map<string, EncodedMask>();
  for (const mask of masks) {
    const key = JSON.stringify(mask);
    const made = known.get(key) ?? (await drawMask(desk, mask));
    known.set(key, made);
    drawn.set(mask, made);
  }
  return (mask) => {
    const found = drawn.get(mask);
    if (!found) throw new Error('A soft mask was not drawn.');
    return found;
  };
}

const masksIn = (items: readonly Item[]): readonly SoftMask[] =>
  items.flatMap((item) => (item.kind === 'group' ? [...(item.mask ? [item.mask] : []), ...masksIn(item.items)] : []));

/** @returns white where the mask lets through, before deflating: see `blurredMask` */
async function drawMask(desk: Desk, mask: SoftMask): Promise<EncodedMask> {
  const { width, height, pixels } = await blurredMask(desk, mask);
  return { width, height, bytes: deflateSync(pixels) };
}

/** A soft mask as grey pixels over its region. */
export async function blurredMask(
  desk: Pick<Desk, 'assets' | 'fonts' | 'colour' | 'job'>,
  mask: SoftMask,
): Promise<{ readonly width: number; readonly height: number; readonly pixels: Uint8Array }> {
  const { Resvg } = await import('@resvg/resvg-js');
  const { region, blur } = mask;
  const fine = Math.min(FINEST, blur > 0 ? (PER_SIGMA / blur) * MM_PER_INCH : FINEST);
  const share = Math.sqrt(MOST_PIXELS / (region.width * region.height)) * MM_PER_INCH;
  const perMm = Math.min(fine, share) / MM_PER_INCH;
  const wide = Math.max(2, Math.ceil(region.width * perMm));
  const hrefs = new Map<string, string>();
  for (const item of leavesOf(mask.of)) {
    if (item.kind !== 'picture') continue;
    hrefs.set(item.picture, await silhouetteHref(desk, item, wide));
  }
  const svg = svgMask(mask, {
    fonts: desk.fonts.set,
    colour: desk.colour,
    picture: (item) => hrefs.get(item.picture) ?? '',
    page: () => '',
  });
  const image = new Resvg(svg, { fitTo: { mode: 'width', value: wide }, font: { loadSystemFonts: false } }).render();
  const { width, height, pixels } = image;
  const white = Uint8Array.from({ length: width * height }, (_, i) => pixels[i * 4] ?? 0);
  const soft = blur > 0 ? gaussian(white, width, height, blur * (width / region.width)) : white;
  return { width, height, pixels: Uint8Array.from(soft, Math.round) };
}

async function silhouetteHref(desk: Pick<Desk, 'assets' | 'job'>, item: PictureItem, wide: number): Promise<string> {
  const asset = pictureAsset(desk.job.assets, item.picture);
  const bytes = await desk.assets.get(item.picture);
  if (!asset || !bytes) return '';
  return `data:image/png;base64,${Buffer.from(await silhouettePng(bytes, asset, wide, item.adjust)).toString('base64')}`;
}

/** The bytes of every document that a job’s sides show pages of. */
export async function documentsOf(desk: Desk): Promise<PdfRequest['document']> {
  const opened = new Map<string, Uint8Array>();
  for (const { drawing } of desk.sides) {
    for (const item of leavesOf(itemsOf(drawing))) {
      if (item.kind !== 'page' || opened.has(item.document)) continue;
      const bytes = await desk.assets.get(item.document);
      if (!bytes) throw new CannotExport('A PDF that was brought in is missing. Bring it in again.');
      opened.set(item.document, bytes);
    }
  }
  return (sha) => {
    const found = opened.get(sha);
    if (!found) throw new Error('A document was not opened.');
    return found;
  };
}
