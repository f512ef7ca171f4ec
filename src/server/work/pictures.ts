import { documentPage } from '@/output/document-page';
import { toSfnt } from '@/bring-in/font';
import { readSvg } from '@/bring-in/svg';
import type { Rgb } from '@/core/colour';
import type { CoatSource } from '@/core/finish';
import type { Adjust, PictureAsset } from '@/core/job';
import type { EdgeLengths } from '@/core/layout';
import type { VectorArt } from '@/core/shape';
import {
  gamutMap,
  inkMost,
  inkPixels,
  openConversion,
  paletteOf,
  pixelOf,
  screenImage,
  traceShapes,
  type GamutMap,
  type Traced,
} from '@/output';
import { packInks } from '@/paint/plates';
import { assets, fileOf } from './kept';
import { refused } from '../problems';

/** A picture, and the way its colours are seen. */
export interface Seen {
  readonly sha: string;
  readonly facts: PictureAsset;
  readonly conversion: string;
  readonly adjust: Adjust | undefined;
}

/** A picture as the paper will show it, its longest side at most so many pixels. */
export async function benchPicture({ sha, facts, conversion, adjust, pixels }: Seen & { readonly pixels: number }) {
  const share = Math.min(1, pixels / Math.max(facts.width, facts.height));
  const size = {
    width: Math.max(1, Math.round(facts.width * share)),
    height: Math.max(1, Math.round(facts.height * share)),
  };
  const bytes = await fileOf(sha, 'picture');
  return (await screenImage(await openConversion(conversion, assets), bytes, facts, size, { adjust })).data;
}

interface InkWish extends Seen {
  readonly width: number;
  /** Standard deviation, pixels of that width. */
  readonly blur: number;
}

/** The inks of a picture, as the press file has them, at a width: see `unpackInks`. */
export async function pictureInks({ sha, facts, conversion, adjust, width, blur }: InkWish): Promise<Uint8Array> {
  const own = Math.min(width, facts.width);
  const size = { width: own, height: Math.max(1, Math.round((facts.height * own) / facts.width)) };
  const profile = await openConversion(conversion, assets);
  return packInks(await inkPixels(await fileOf(sha, 'picture'), facts, size, profile.pictures(), { adjust, blur }));
}

/** What of a picture a paper cannot show. */
export const pictureGamut = async ({ sha, facts, conversion, adjust }: Seen): Promise<GamutMap> =>
  gamutMap(await openConversion(conversion, assets), await fileOf(sha, 'picture'), facts, adjust);

/** The most ink that lies on each other in a picture, percent. */
export const pictureInkMost = async ({ sha, facts, conversion, adjust }: Seen): Promise<number> =>
  inkMost(await openConversion(conversion, assets), await fileOf(sha, 'picture'), facts, adjust);

interface Trace {
  readonly sha: string;
  readonly by: Extract<CoatSource, { from: 'picture' }>['by'];
  /** Percent. */
  readonly threshold: number;
}

/** The outlines of the shapes in a picture. */
export const pictureShapes = async ({ sha, by, threshold }: Trace): Promise<Traced> =>
  traceShapes(await fileOf(sha, 'picture'), by, threshold);

interface Where {
  readonly sha: string;
  /** Shares of its width and height. */
  readonly at: readonly [number, number] | undefined;
}

/** The colours that make up a picture, or that of one of its pixels, in sRGB. */
export async function pictureColours({ sha, at }: Where): Promise<readonly Rgb[]> {
  const bytes = await fileOf(sha, 'picture');
  return at ? [await pixelOf(bytes, ...at)] : paletteOf(bytes);
}

/** A drawing that was brought in, as paths. */
export async function drawingArt({ sha }: { readonly sha: string }): Promise<VectorArt> {
  const read = readSvg(new TextDecoder().decode(await fileOf(sha, 'drawing')));
  if (!read.ok) throw refused.drawing();
  return read.art;
}

interface Page {
  readonly sha: string;
  readonly page: number;
  readonly beyond: EdgeLengths | undefined;
  /** Pixels across. */
  readonly wide: number;
}

/** A page of a PDF that was brought in, as a PNG. */
export const benchPage = async ({ sha, page, beyond, wide }: Page): Promise<Uint8Array> =>
  documentPage(await fileOf(sha, 'PDF'), { page, ...(beyond && { beyond }) }, wide);

/** A font that was brought in, as sfnt bytes. */
export const fontFile = async ({ sha }: { readonly sha: string }): Promise<Uint8Array> =>
  toSfnt(await fileOf(sha, 'font'));
