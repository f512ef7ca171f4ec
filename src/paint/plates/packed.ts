import type { InkPixels } from './picture-rows';

/** Four whole numbers of 32 bits: width, height, inks a pixel, and whether there is an opacity. */
const HEAD = 16;

/** The inks of a picture as bytes, for the way from the server to the page. */
export function packInks({ width, height, space, pixels, alpha }: InkPixels): Uint8Array {
  const bytes = new Uint8Array(HEAD + pixels.length + (alpha?.length ?? 0));
  const head = new DataView(bytes.buffer);
  [width, height, space === 'cmyk' ? 4 : 1, alpha ? 1 : 0].forEach((n, i) => head.setUint32(i * 4, n, true));
  bytes.set(pixels, HEAD);
  if (alpha) bytes.set(alpha, HEAD + pixels.length);
  return bytes;
}

/** @throws RangeError when the bytes are not what `packInks` made */
export function unpackInks(bytes: Uint8Array): InkPixels {
  const head = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (bytes.length < HEAD) throw new RangeError('The inks of a picture were cut off.');
  const [width = 0, height = 0, inks = 0, clear = 0] = [0, 4, 8, 12].map((at) => head.getUint32(at, true));
  const size = width * height;
  if (bytes.length !== HEAD + size * (inks + clear)) throw new RangeError('The inks of a picture were cut off.');
  const pixels = bytes.subarray(HEAD, HEAD + size * inks);
  const alpha = clear === 1 ? { alpha: bytes.subarray(HEAD + size * inks) } : {};
  return { width, height, space: inks === 4 ? 'cmyk' : 'grey', pixels, ...alpha };
}
