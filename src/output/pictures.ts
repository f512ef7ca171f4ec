import { deflateSync } from 'node:zlib';
import sharp, { type Sharp } from 'sharp';
import { openPicture } from '../bring-in/picture';
import { colourOfProfile, everyThird, type PictureConverter } from '../bring-in/profile';
import type { Adjust } from '../core/element';
import type { PictureAsset } from '../core/job';
import type { EncodedPicture } from '../paint/pdf';
import type { InkPixels } from '../paint/plates';
import { adjusted, type Pixels } from './adjust';
import { CannotExport } from './cannot-export';
import { cmykJpeg } from './cmyk-jpeg';
import { gaussian } from '../paint/gaussian';
import type { PictureSize } from './picture-size';

/** What a frame does to the pixels of its picture. */
export interface Treatment {
  readonly adjust?: Adjust | undefined;
  /** Standard deviation of a blur, pixels; the picture grows by three of them on every side. */
  readonly blur?: number | undefined;
}

/** Whether its tones are touched: then the way leads through sRGB. A limit of ink works on the inks themselves. */
const isTreated = ({ adjust, blur }: Treatment): boolean =>
  (adjust !== undefined && (adjust.grey || adjust.levels !== null || adjust.clear !== null)) || (blur ?? 0) > 0;

const QUALITY = 95;

/**
 * Pictures are sent with at most this multiple of the needed resolution; more is thrown away by the press anyway [cp].
 */
const MOST = 1.5;

/**
 * The pixels to send for a picture: its own, or fewer where it has far more than needed. Never more than its own.
 * @param effective resolution it has where it stands, ppi
 * @param needed    resolution the job needs, ppi
 */
export function sentSize(asset: PictureSize, effective: number, needed: number): PictureSize {
  const most = needed * MOST;
  if (effective <= most) return { width: asset.width, height: asset.height };
  const share = most / effective;
  return { width: Math.max(1, Math.round(asset.width * share)), height: Math.max(1, Math.round(asset.height * share)) };
}

/** A pipeline with the camera’s orientation applied, at a size. */
const sized = (bytes: Uint8Array, asset: PictureAsset, size: PictureSize, ownNumbers = false) => {
  const upright = openPicture(bytes, ownNumbers).autoOrient();
  return size.width === asset.width && size.height === asset.height
    ? upright
    : upright.resize(size.width, size.height, { fit: 'fill' });
};

/** What was read of a picture. @throws CannotExport when its file is damaged */
async function sound<T>({ name }: PictureAsset, reading: Promise<T>): Promise<T> {
  try {
    return await reading;
  } catch (error) {
    const why = `The picture “${name}” is damaged or cut short and cannot be opened. Bring it in again.`;
    throw new CannotExport(why, { cause: error });
  }
}

const decoded = (asset: PictureAsset, pipeline: Sharp): Promise<Buffer> => sound(asset, pipeline.raw().toBuffer());

/**
 * The inks of a picture: RGB is converted through the output profile, CMYK keeps its numbers, grey prints in black.
 * This is what the press file carries and what the plates show.
 */
export async function inkPixels(
  bytes: Uint8Array,
  asset: PictureAsset,
  size: PictureSize,
  converter: PictureConverter,
  treatment: Treatment = {},
): Promise<InkPixels> {
  const inks = await separated(bytes, asset, size, converter, treatment);
  const most = treatment.adjust?.ink;
  return most === undefined || inks.space === 'grey' ? inks : { ...inks, pixels: converter.heldTo(most, inks.pixels) };
}

async function separated(
  bytes: Uint8Array,
  asset: PictureAsset,
  size: PictureSize,
  converter: PictureConverter,
  treatment: Treatment,
): Promise<InkPixels> {
  if (isTreated(treatment)) {
    const { rgb, alpha, ...grown } = await pictureRgb(bytes, asset, size, converter, treatment);
    const clear = alpha && { alpha };
    return treatment.adjust?.grey
      ? { ...grown, space: 'grey', pixels: everyThird(rgb).map((v) => 255 - v), ...clear }
      : { ...grown, space: 'cmyk', pixels: converter.rgbToCmyk(rgb), ...clear };
  }
  const clear = asset.alpha ? { alpha: await rawAlpha(bytes, asset, size) } : {};
  const tagged = asset.profile === null ? undefined : (await sound(asset, openPicture(bytes).metadata())).icc;
  const meant = tagged && colourOfProfile(tagged);
  const pipeline = sized(bytes, asset, size).removeAlpha();
  /** Its numbers as they are, for conversions by a profile of its own. */
  const own = () => sized(bytes, asset, size, true).removeAlpha();
  switch (asset.colour) {
    case 'grey': {
      const grey =
        tagged && meant === 'grey'
          ? converter.taggedToGrey(tagged, await decoded(asset, own().toColourspace('b-w')))
          : await decoded(asset, pipeline.toColourspace('b-w'));
      return { ...size, space: 'grey', pixels: grey.map((v) => 255 - v), ...clear };
    }
    case 'cmyk': {
      const pixels = await decoded(asset, pipeline.pipelineColourspace('cmyk').toColourspace('cmyk'));
      return { ...size, space: 'cmyk', pixels, ...clear };
    }
    case 'rgb': {
      // Straight to the press: by way of sRGB, colours that both have and sRGB has not would be lost.
      const pixels =
        tagged && meant === 'rgb'
          ? converter.taggedToCmyk(tagged, await decoded(asset, own().toColourspace('srgb')))
          : converter.rgbToCmyk(await decoded(asset, pipeline.toColourspace('srgb')));
      return { ...size, space: 'cmyk', pixels, ...clear };
    }
  }
}

/** A picture for the press; what came without loss stays without loss. */
export async function pressPicture(
  bytes: Uint8Array,
  asset: PictureAsset,
  size: PictureSize,
  converter: PictureConverter,
  treatment: Treatment = {},
): Promise<EncodedPicture> {
  const lossless = asset.format === 'png' || asset.format === 'tiff';
  const { space, pixels, alpha, ...grown } = await inkPixels(bytes, asset, size, converter, treatment);
  const mask = alpha && { mask: deflateSync(alpha) };
  return space === 'grey'
    ? {
        ...(await encodeGrey(
          pixels.map((v) => 255 - v),
          grown,
          lossless,
        )),
        ...mask,
      }
    : { ...(await encodeCmyk(pixels, grown, lossless)), ...mask };
}

async function encodeGrey(raw: Uint8Array, size: PictureSize, lossless: boolean): Promise<EncodedPicture> {
  const bytes = lossless
    ? deflateSync(raw)
    : await sharp(raw, { raw: { ...size, channels: 1 } })
        .toColourspace('b-w')
        .jpeg({ quality: QUALITY })
        .toBuffer();
  return { ...size, space: 'grey', bytes, filter: lossless ? 'deflate' : 'jpeg', inverted: false };
}

/** The picture’s pixels in sRGB as its frame wants them. */
export async function pictureRgb(
  bytes: Uint8Array,
  asset: PictureAsset,
  size: PictureSize,
  converter: PictureConverter,
  { adjust, blur }: Treatment = {},
): Promise<Pixels> {
  const plain = await plainRgb(bytes, asset, size, converter);
  const toned = adjust ? adjusted(plain, adjust) : plain;
  return blur ? blurred(toned, blur) : toned;
}

async function plainRgb(
  bytes: Uint8Array,
  asset: PictureAsset,
  size: PictureSize,
  converter: PictureConverter,
): Promise<Pixels> {
  const pipeline = sized(bytes, asset, size).removeAlpha();
  const rgb =
    asset.colour === 'cmyk'
      ? converter.cmykToRgb(await decoded(asset, pipeline.pipelineColourspace('cmyk').toColourspace('cmyk')))
      : new Uint8Array(await decoded(asset, pipeline.toColourspace('srgb')));
  const alpha = asset.alpha ? await rawAlpha(bytes, asset, size) : undefined;
  return { ...size, rgb, ...(alpha && { alpha }) };
}

/** How many pixels a blurred picture grows by on every side. */
export const blurMargin = (sigma: number): number => Math.ceil(sigma * 3);

/** Every channel blurred; outside the picture its edge goes on, and what is transparent has no weight. */
function blurred(pixels: Pixels, sigma: number): Pixels {
  const by = blurMargin(sigma);
  const [width, height] = [pixels.width + 2 * by, pixels.height + 2 * by];
  const inside = (v: number, most: number) => Math.min(Math.max(v - by, 0), most - 1);
  const channel = (of: (i: number) => number) => {
    const out = new Float32Array(width * height);
    for (let y = 0; y < height; y += 1)
      for (let x = 0; x < width; x += 1)
        out[y * width + x] = of(inside(y, pixels.height) * pixels.width + inside(x, pixels.width));
    return gaussian(out, width, height, sigma);
  };
  const opacity = (i: number) => pixels.alpha?.[i] ?? 255;
  const weight = pixels.alpha ? channel(opacity) : undefined;
  const rgb = new Uint8Array(width * height * 3);
  for (let c = 0; c < 3; c += 1) {
    const soft = channel((i) => ((pixels.rgb[i * 3 + c] ?? 0) * opacity(i)) / 255);
    soft.forEach((v, i) => (rgb[i * 3 + c] = Math.round(weight ? (v * 255) / Math.max(weight[i] ?? 0, 1e-6) : v)));
  }
  return { width, height, rgb, ...(weight && { alpha: Uint8Array.from(weight, Math.round) }) };
}

async function encodeCmyk(raw: Uint8Array, size: PictureSize, lossless: boolean): Promise<EncodedPicture> {
  return lossless
    ? { ...size, space: 'cmyk', bytes: deflateSync(raw), filter: 'deflate', inverted: false }
    : { ...size, space: 'cmyk', bytes: await cmykJpeg(raw, size, QUALITY), filter: 'jpeg', inverted: true };
}

const rawAlpha = async (bytes: Uint8Array, asset: PictureAsset, size: PictureSize): Promise<Uint8Array> =>
  decoded(asset, sized(bytes, asset, size).ensureAlpha().extractChannel('alpha'));

/** A picture as the paper will show it, in sRGB, for the bench and the preview. */
export async function screenPicture(
  bytes: Uint8Array,
  asset: PictureAsset,
  size: PictureSize,
  converter: PictureConverter,
  treatment: Treatment = {},
): Promise<Pixels> {
  const { space, pixels, alpha, ...grown } = await inkPixels(bytes, asset, size, converter, treatment);
  const rgb = converter.cmykToRgb(space === 'grey' ? blackOnly(pixels) : pixels);
  return { ...grown, rgb, ...(alpha && { alpha }) };
}

/** Black alone, as four inks. */
function blackOnly(black: Uint8Array): Uint8Array {
  const cmyk = new Uint8Array(black.length * 4);
  black.forEach((v, i) => (cmyk[i * 4 + 3] = v));
  return cmyk;
}
