import 'server-only';
import { elementsOf, pictureAsset, type Adjust, type Asset, type Job, type PictureAsset } from '@/core/job';
import type { Rgb } from '@/core/colour';
import { TRACED_BY } from '@/core/finish';
import type { Finding } from '@/core/check';
import {
  checkDesk,
  gamutMap,
  inkMost,
  traceShapes,
  type GamutMap,
  type Traced,
  inkPixels,
  openDesk,
  openConversion,
  blankPng,
  paletteOf,
  pixelOf,
  previewPng,
  screenImage,
} from '@/output';
import { packInks } from '@/paint/plates';
import { readSvg } from '@/bring-in/svg';
import type { VectorArt } from '@/core/shape';
import { assetFacts, assetStore, cached, sha256 } from './assets';
import { documentPagePng } from './documents';
import { Problem } from './problem';
import { revision } from './jobs';

/** A picture and what is known of it. @throws Problem when it is not one, or its file is gone */
async function pictureFile(sha: string): Promise<{ readonly bytes: Uint8Array; readonly facts: PictureAsset }> {
  const facts = pictureAsset({ [sha]: await assetFacts(sha) }, sha);
  if (!facts) throw new Problem(404, 'This is not a picture.', 'Bring the picture in again.');
  const bytes = await assetStore.get(sha);
  if (!bytes) throw new Problem(404, 'The picture’s file is gone.', 'Bring the picture in again.');
  return { bytes, facts };
}

/** Longest side of a picture on the bench, pixels. */
const BENCH_PIXELS = 1600;

/** A picture as the paper will show it, for the bench; made once and kept. */
export async function benchPicture(
  sha: string,
  conversion: string,
  adjust: Adjust | undefined,
): Promise<{ readonly bytes: Uint8Array; readonly type: 'image/jpeg' | 'image/png' }> {
  const asset: Asset = await assetFacts(sha);
  const facts = pictureAsset({ [sha]: asset }, sha);
  if (!facts) throw new Problem(404, 'This is not a picture.', 'Bring the picture in again.');
  const type = facts.alpha || adjust?.clear ? 'image/png' : 'image/jpeg';
  const bytes = await cached(
    `${sha}-${conversion}-${BENCH_PIXELS}${adjust ? `-${sha256(new TextEncoder().encode(JSON.stringify(adjust))).slice(0, 16)}` : ''}`,
    async () => {
      const bytes = await assetStore.get(sha);
      if (!bytes) throw new Problem(404, 'The picture’s file is gone.', 'Bring the picture in again.');
      const share = Math.min(1, BENCH_PIXELS / Math.max(facts.width, facts.height));
      const size = {
        width: Math.max(1, Math.round(facts.width * share)),
        height: Math.max(1, Math.round(facts.height * share)),
      };
      return (await screenImage(await openConversion(conversion, assetStore), bytes, facts, size, { adjust })).data;
    },
  );
  return { bytes, type };
}

/** Widest that the inks of a picture are given out at, pixels. */
const WIDEST = 6000;

interface InkWish {
  readonly adjust: Adjust | undefined;
  readonly width: number;
  /** Standard deviation, pixels of that width. */
  readonly blur: number;
}

/** The inks of a picture, as the press file has them, at a width: see `unpackInks`. */
export async function pictureInks(sha: string, conversion: string, { adjust, width, blur }: InkWish): Promise<Uint8Array> {
  const { bytes, facts } = await pictureFile(sha);
  if (!Number.isInteger(width) || width < 1 || width > WIDEST || !(blur >= 0 && blur <= 500)) throw new Problem(400, `A width from 1 to ${WIDEST} pixels is wanted.`, 'Reload the page.');
  const own = Math.min(width, facts.width);
  const size = { width: own, height: Math.max(1, Math.round((facts.height * own) / facts.width)) };
  const profile = await openConversion(conversion, assetStore);
  return packInks(await inkPixels(bytes, facts, size, profile.pictures(), { adjust, blur }));
} // prettier-ignore

const isTraceable = (by: string | null): by is (typeof TRACED_BY)[number] =>
  (TRACED_BY as readonly (string | null)[]).includes(by);

/** The outlines of the shapes in a picture. @param threshold percent */
export async function pictureShapes(sha: string, by: string | null, threshold: number): Promise<Traced> {
  if (!isTraceable(by) || !(threshold > 0 && threshold < 100)) throw new Problem(400, 'A way to tell shapes and a percentage between 0 and 100 are wanted.', 'Write another percentage.');
  const { bytes } = await pictureFile(sha);
  return traceShapes(bytes, by, threshold);
} // prettier-ignore

/** What of a picture a paper cannot show. */
export async function pictureGamut(sha: string, conversion: string, adjust: Adjust | undefined): Promise<GamutMap> {
  const { bytes, facts } = await pictureFile(sha);
  return gamutMap(await openConversion(conversion, assetStore), bytes, facts, adjust);
}

/** The most ink that lies on each other in a picture, percent. */
export async function pictureInkMost(sha: string, conversion: string, adjust: Adjust | undefined): Promise<number> {
  const { bytes, facts } = await pictureFile(sha);
  return inkMost(await openConversion(conversion, assetStore), bytes, facts, adjust);
}

/** The colours that make up a picture, or that of one of its pixels, in sRGB. */
export async function pictureColours(sha: string, at: readonly [number, number] | undefined): Promise<readonly Rgb[]> {
  if (at && !at.every(Number.isFinite)) throw new Problem(400, 'A place in the picture is wanted.', 'Reload the page.');
  const { bytes } = await pictureFile(sha);
  return at ? [await pixelOf(bytes, ...at)] : paletteOf(bytes);
} // prettier-ignore

/** A drawing that was brought in, as paths. */
export async function drawingArt(sha: string): Promise<VectorArt> {
  const bytes = await assetStore.get(sha);
  const read = bytes && readSvg(new TextDecoder().decode(bytes));
  if (!read?.ok) throw new Problem(404, 'This drawing is not here.', 'Bring it in again.');
  return read.art;
}

/** A page of a document for the bench; made once and kept. */
export async function benchPage(sha: string, page: number): Promise<Uint8Array> {
  const asset = await assetFacts(sha);
  if (asset.kind !== 'document' || page > asset.pages.length)
    throw new Problem(404, 'There is no such page.', 'Choose another page of the PDF.');
  return cached(`${sha}-page-${page}-${BENCH_PIXELS}.png`, async () => {
    const bytes = await assetStore.get(sha);
    if (!bytes) throw new Problem(404, 'The PDF’s file is gone.', 'Bring it in again.');
    return documentPagePng(bytes, page, BENCH_PIXELS);
  });
}

/** The front of a job, small, for the board. */
export async function thumbnail(id: string, number: number): Promise<Uint8Array> {
  return cached(`thumb-${id}-${number}.png`, async () => {
    const job = await revision(id, number);
    const desk = await openDesk(job, assetStore);
    const [front] = desk.sides;
    if (!front) throw new Problem(404, 'This job has no side to show.', 'Open it and set its size.');
    // What nobody laid anything on yet is told by its shape, its folds and its lines.
    const isBare = job.pieces.every((piece) => elementsOf(piece).length === 0);
    return isBare ? blankPng(front.surface) : previewPng(desk, front, 480);
  });
}

/** What stands in a job’s way, for the board. */
export async function findingsOf(id: string, number: number): Promise<readonly Finding[]> {
  const text = await cached(`checks-${id}-${number}.json`, async () => {
    const job: Job = await revision(id, number);
    return new TextEncoder().encode(JSON.stringify(checkDesk(await openDesk(job, assetStore))));
  });
  return JSON.parse(new TextDecoder().decode(text)) as readonly Finding[];
}
