import { readDocument } from '../bring-in/document';
import { deflateSync } from 'node:zlib';
import { itemsOf, leavesOf, pictureKey, type Item, type PictureItem, type SoftMask } from '../core/drawing';
import type { Rect } from '../core/layout';
import { MM_PER_INCH } from '../core/measure';
import type { EncodedMask, PdfRequest } from '../paint/pdf';
import { svgMask } from '../paint/svg';
import { CannotExport } from './cannot-export';
import type { Desk } from './desk';
import { gaussian } from '../paint/gaussian';
import { silhouettePng, type SilhouetteDesk } from './silhouette';

/** Masks that are kept by what they show; of copies that all differ none comes again. */
const MOST_MASKS = 200;
/** Pixels to a standard deviation: a Gaussian has nothing finer to show. */
const PER_SIGMA = 6;
/**
 * Silhouettes are drawn this many times finer and averaged: the drawing’s own smoothing knows quarters of a pixel.
 */
const FINER = 2;
/** Most pixels of one mask, and the finest it is ever drawn, to the inch. */
const [MOST_PIXELS, FINEST] = [1_500_000, 600];

/** Every soft mask of a job as a grey image: the silhouette drawn, then blurred by a true Gaussian. */
export async function masksOf(desk: Desk): Promise<PdfRequest['softMask']> {
  const shelf = new MaskShelf(desk);
  await shelf.take(desk.sides);
  return shelf.mask;
}

/** Soft masks as a file takes them: those of the sides that are being written, and no others. */
export class MaskShelf {
  private readonly drawn = new WeakMap<SoftMask, EncodedMask>();
  /** What is the same is drawn once: copies share their masks. */
  private readonly known = new Map<string, EncodedMask>();

  constructor(private readonly desk: Desk) {}

  async take(sides: Desk['sides']): Promise<void> {
    const { desk, known } = this;
    for (const { drawing, rules } of sides) {
      for (const mask of masksIn(itemsOf(drawing))) {
        if (this.drawn.has(mask)) continue;
        const key = JSON.stringify([mask, rules.ppi.value]);
        const made = known.get(key) ?? (await drawMask(desk, mask, rules.ppi.value));
        if (known.size >= MOST_MASKS) known.clear();
        known.set(key, made);
        this.drawn.set(mask, made);
      }
    }
  }

  find(mask: SoftMask): EncodedMask | undefined {
    return this.drawn.get(mask);
  }

  readonly mask = (mask: SoftMask): EncodedMask => {
    const found = this.find(mask);
    if (!found) throw new Error('A soft mask was not drawn.');
    return found;
  };
}

const masksIn = (items: readonly Item[]): readonly SoftMask[] =>
  items.flatMap((item) => (item.kind === 'group' ? [...(item.mask ? [item.mask] : []), ...masksIn(item.items)] : []));

/** @returns white where the mask lets through, before deflating: see `blurredMask` */
async function drawMask(desk: Desk, mask: SoftMask, ppi: number): Promise<EncodedMask> {
  const { pixels, ...image } = await blurredMask(desk, mask, ppi);
  return { ...image, bytes: deflateSync(pixels) };
}

/**
 * A soft mask as grey pixels over its region, which is given back as the pixels cover it.
 * @param ppi resolution the job needs of pictures
 */
export async function blurredMask(
  desk: Pick<Desk, 'fonts' | 'colour'> & SilhouetteDesk,
  mask: SoftMask,
  ppi: number,
): Promise<{ readonly width: number; readonly height: number; readonly region: Rect; readonly pixels: Uint8Array }> {
  const { Resvg } = await import('@resvg/resvg-js');
  const { blur } = mask;
  const fine = Math.min(FINEST, blur > 0 ? (PER_SIGMA / blur) * MM_PER_INCH : FINEST);
  const share = Math.sqrt(MOST_PIXELS / (mask.region.width * mask.region.height)) * MM_PER_INCH;
  const perMm = Math.min(fine, share) / MM_PER_INCH;
  const [wide, high] = [mask.region.width, mask.region.height].map((mm) => Math.max(2, Math.ceil(mm * perMm))) as [
    number,
    number,
  ];
  // Whole pixels: the region grows a little at its right and foot.
  const region: Rect = { ...mask.region, width: wide / perMm, height: high / perMm };
  const hrefs = new Map<string, string>();
  for (const item of leavesOf(mask.of)) {
    if (item.kind !== 'picture') continue;
    hrefs.set(pictureKey(item), await silhouetteHref(desk, item, ppi, wide));
  }
  const svg = svgMask(
    { ...mask, region },
    {
      fonts: desk.fonts.set,
      colour: desk.colour,
      picture: (item) => hrefs.get(pictureKey(item)) ?? '',
      page: () => '',
    },
  );
  const fit = { fitTo: { mode: 'width', value: wide * FINER }, font: { loadSystemFonts: false } } as const;
  const image = new Resvg(svg, fit).render();
  const white = averaged(image.pixels, image.width, wide, high);
  const soft = blur > 0 ? gaussian(white, wide, high, blur * perMm) : white;
  return { width: wide, height: high, region, pixels: Uint8Array.from(soft, Math.round) };
}

/** The red channel of a finer picture, each pixel the mean of the finer ones in it. */
function averaged(pixels: Uint8Array, stride: number, width: number, height: number): Float32Array {
  const out = new Float32Array(width * height);
  for (let y = 0; y < height * FINER; y += 1) {
    const row = Math.floor(y / FINER) * width;
    for (let x = 0, at = y * stride * 4; x < width; x += 1) {
      let sum = 0;
      for (let i = 0; i < FINER; i += 1, at += 4) sum += pixels[at] ?? 0;
      out[row + x] = (out[row + x] ?? 0) + sum;
    }
  }
  return out.map((sum) => sum / (FINER * FINER));
}

async function silhouetteHref(desk: SilhouetteDesk, item: PictureItem, ppi: number, wide: number): Promise<string> {
  const png = await silhouettePng(desk, item, ppi, wide);
  return png ? `data:image/png;base64,${Buffer.from(png).toString('base64')}` : '';
}

/** The bytes of every document that a job’s sides show pages of. */
export async function documentsOf(desk: Desk): Promise<PdfRequest['document']> {
  return fromMap(new Map((await openedDocuments(desk)).map(({ sha, bytes }) => [sha, bytes])));
}

/** The same with what is RGB on the pages that are shown in the press’s inks, as far as it can be. */
export async function documentsInInks(desk: Desk): Promise<PdfRequest['document']> {
  const { profile } = desk;
  const opened = await openedDocuments(desk);
  if (opened.length === 0) return fromMap(new Map());
  const { documentInInks } = await import('./in-inks');
  const press = { engine: profile.engine, converter: profile.pictures() };
  const made = new Map<string, Uint8Array>();
  // What cannot be rewritten is printed as it is: its RGB has a profile then.
  for (const { sha, bytes, pages } of opened)
    made.set(sha, await documentInInks(bytes, pages, press).catch(() => bytes));
  return fromMap(made);
}

const fromMap = (documents: ReadonlyMap<string, Uint8Array>): PdfRequest['document'] => {
  return (sha) => {
    const found = documents.get(sha);
    if (!found) throw new Error('A document was not opened.');
    return found;
  };
};

interface OpenedDocument {
  readonly sha: string;
  readonly name: string;
  readonly bytes: Uint8Array;
  /** How many pages it has. */
  readonly count: number;
  /** Those that are shown, from 1. */
  readonly pages: Set<number>;
}

async function openedDocuments(desk: Desk): Promise<readonly OpenedDocument[]> {
  const opened = new Map<string, OpenedDocument>();
  for (const { drawing } of desk.sides) {
    for (const item of leavesOf(itemsOf(drawing))) {
      if (item.kind !== 'page') continue;
      const found = opened.get(item.document) ?? (await openDocument(desk, item.document));
      if (item.page > found.count)
        throw new CannotExport(`“${found.name}” has no page ${item.page}. Choose another page of it.`);
      found.pages.add(item.page);
      opened.set(item.document, found);
    }
  }
  return [...opened.values()];
}

async function openDocument({ assets, job }: Desk, sha: string): Promise<OpenedDocument> {
  const bytes = await assets.get(sha);
  if (!bytes) throw new CannotExport('A PDF that was brought in is missing. Bring it in again.');
  const read = await readDocument(job.assets[sha]?.name ?? 'PDF', bytes);
  if (!read.ok) throw new CannotExport(read.problem);
  const { name, pages } = read.document;
  return { sha, name, bytes, count: pages.length, pages: new Set() };
}
