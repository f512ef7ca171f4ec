import sharp from 'sharp';
import type { Adjust } from '../core/element';
import type { PictureAsset } from '../core/job';
import { openPicture } from '../bring-in/picture';
import { adjusted } from './adjust';

/** What of a picture is opaque, as a white picture with that opacity. */
export async function silhouettePng(
  bytes: Uint8Array,
  asset: PictureAsset,
  wide: number,
  adjust: Adjust | undefined,
): Promise<Uint8Array> {
  const width = Math.min(asset.width, Math.max(1, wide));
  const { data, info } = await openPicture(bytes)
    .autoOrient()
    .resize(width)
    .toColourspace('srgb')
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const count = info.width * info.height;
  const channel = (c: number) => Uint8Array.from({ length: count }, (_, i) => data[i * 4 + c] ?? 0);
  const rgb = Uint8Array.from({ length: count * 3 }, (_, i) => data[Math.floor(i / 3) * 4 + (i % 3)] ?? 0);
  const pixels = { width: info.width, height: info.height, rgb, alpha: channel(3) };
  const { alpha = pixels.alpha } = adjust ? adjusted(pixels, adjust) : pixels;
  const out = new Uint8Array(count * 4).fill(255);
  alpha.forEach((a, i) => (out[i * 4 + 3] = a));
  return sharp(out, { raw: { width: info.width, height: info.height, channels: 4 } })
    .png({ compressionLevel: 1 })
    .toBuffer();
}
