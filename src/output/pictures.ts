import { deflateSync } from 'node:zlib';
import { openPicture } from '../bring-in/picture';
import type { PictureConverter } from '../bring-in/profile';
import type { PictureAsset } from '../core/job';
import type { EncodedPicture } from '../paint/pdf';
import { cmykJpeg } from './cmyk-jpeg';

/** Pixels that a picture is used at. */
export interface PictureSize {
  readonly width: number;
  readonly height: number;
}

const QUALITY = 95;

/** Pictures are sent with at most this multiple of the needed resolution; more is thrown away by the press anyway [cp]. */
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
const sized = (bytes: Uint8Array, asset: PictureAsset, size: PictureSize) => {
  const upright = openPicture(bytes).autoOrient();
  return size.width === asset.width && size.height === asset.height
    ? upright
    : upright.resize(size.width, size.height, { fit: 'fill' });
};

/**
 * A picture for the press: RGB is converted through the output profile, CMYK keeps its numbers, grey prints in black.
 * What came without loss stays without loss.
 */
export async function pressPicture(
  bytes: Uint8Array,
  asset: PictureAsset,
  size: PictureSize,
  converter: PictureConverter,
): Promise<EncodedPicture> {
  const lossless = asset.format === 'png' || asset.format === 'tiff';
  const mask = asset.alpha ? { mask: await alphaOf(bytes, asset, size) } : {};
  const pipeline = sized(bytes, asset, size);
  switch (asset.colour) {
    case 'grey': {
      const grey = pipeline.removeAlpha().toColourspace('b-w');
      const data = lossless
        ? deflateSync(await grey.raw().toBuffer())
        : await grey.jpeg({ quality: QUALITY }).toBuffer();
      return { ...size, space: 'grey', bytes: data, filter: lossless ? 'deflate' : 'jpeg', inverted: false, ...mask };
    }
    case 'cmyk': {
      const raw = await pipeline.removeAlpha().pipelineColourspace('cmyk').toColourspace('cmyk').raw().toBuffer();
      return { ...(await encodeCmyk(raw, size, lossless)), ...mask };
    }
    case 'rgb': {
      // An embedded profile is honoured on the way to sRGB.
      const rgb = await pipeline.removeAlpha().toColourspace('srgb').raw().toBuffer();
      return { ...(await encodeCmyk(converter.rgbToCmyk(rgb), size, lossless)), ...mask };
    }
  }
}

async function encodeCmyk(raw: Uint8Array, size: PictureSize, lossless: boolean): Promise<EncodedPicture> {
  return lossless
    ? { ...size, space: 'cmyk', bytes: deflateSync(raw), filter: 'deflate', inverted: false }
    : { ...size, space: 'cmyk', bytes: await cmykJpeg(raw, size, QUALITY), filter: 'jpeg', inverted: true };
}

/** Opacity of a picture, 8 bits a pixel, deflated. */
const alphaOf = async (bytes: Uint8Array, asset: PictureAsset, size: PictureSize): Promise<Uint8Array> =>
  deflateSync(await sized(bytes, asset, size).ensureAlpha().extractChannel('alpha').raw().toBuffer());

/** A picture as the paper will show it, in sRGB, for the bench and the preview. */
export async function screenPicture(
  bytes: Uint8Array,
  asset: PictureAsset,
  size: PictureSize,
  converter: PictureConverter,
): Promise<{ readonly rgb: Uint8Array; readonly alpha: Uint8Array | undefined }> {
  const pipeline = sized(bytes, asset, size).removeAlpha();
  const cmyk =
    asset.colour === 'cmyk'
      ? await pipeline.pipelineColourspace('cmyk').toColourspace('cmyk').raw().toBuffer()
      : asset.colour === 'grey'
        ? blackOnly(await pipeline.toColourspace('b-w').raw().toBuffer())
        : converter.rgbToCmyk(await pipeline.toColourspace('srgb').raw().toBuffer());
  const alpha = asset.alpha
    ? await sized(bytes, asset, size).ensureAlpha().extractChannel('alpha').raw().toBuffer()
    : undefined;
  return { rgb: converter.cmykToRgb(cmyk), alpha };
}

/** Grey as the black plate prints it. */
function blackOnly(grey: Uint8Array): Uint8Array {
  const cmyk = new Uint8Array(grey.length * 4);
  grey.forEach((v, i) => (cmyk[i * 4 + 3] = 255 - v));
  return cmyk;
}
