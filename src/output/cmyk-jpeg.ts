import sharp from 'sharp';
import type { PictureSize } from './picture-size';

/**
 * Encodes CMYK pixels as a JPEG without changing a number. sharp takes raw pixels for RGB only, so they go in as a
 * plain TIFF that says they are separated (TIFF 6.0, section 16).
 */
export const cmykJpeg = (pixels: Uint8Array, size: PictureSize, quality: number): Promise<Buffer> =>
  sharp(separatedTiff(pixels, size), { limitInputPixels: false })
    .pipelineColourspace('cmyk')
    .toColourspace('cmyk')
    .jpeg({ quality, chromaSubsampling: '4:4:4' })
    .toBuffer();

const SHORT = 3;
const LONG = 4;

/** CMYK pixels as a plain TIFF (TIFF 6.0, section 16). */
export function separatedTiff(pixels: Uint8Array, { width, height }: PictureSize): Buffer {
  const entries: readonly (readonly [tag: number, type: number, count: number, value: number])[] = [
    [256, LONG, 1, width],
    [257, LONG, 1, height],
    [258, SHORT, 4, 0], // bits per sample: offset filled in below
    [259, SHORT, 1, 1], // not compressed
    [262, SHORT, 1, 5], // separated
    [273, LONG, 1, 0], // strip: offset filled in below
    [277, SHORT, 1, 4],
    [278, LONG, 1, height],
    [279, LONG, 1, pixels.length],
  ];
  const bitsAt = 8 + 2 + entries.length * 12 + 4;
  const stripAt = bitsAt + 8;
  const head = Buffer.alloc(stripAt);
  head.write('II*\0', 0, 'latin1');
  head.writeUInt32LE(8, 4);
  head.writeUInt16LE(entries.length, 8);
  entries.forEach(([tag, type, count, value], i) => {
    const at = 10 + i * 12;
    head.writeUInt16LE(tag, at);
    head.writeUInt16LE(type, at + 2);
    head.writeUInt32LE(count, at + 4);
    head.writeUInt32LE(tag === 258 ? bitsAt : tag === 273 ? stripAt : value, at + 8);
  });
  for (let i = 0; i < 4; i += 1) head.writeUInt16LE(8, bitsAt + i * 2);
  return Buffer.concat([head, pixels]);
}
