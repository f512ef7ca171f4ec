import { readFileSync } from 'node:fs';
import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader';
import type { Plate } from './programs';

/** Makes the decoder ready; to be called before the tests. */
export async function readyToRead(): Promise<void> {
  const wasm = readFileSync('node_modules/zxing-wasm/dist/reader/zxing_reader.wasm');
  const wasmBinary = new Uint8Array(wasm).buffer;
  await prepareZXingModule({ overrides: { wasmBinary }, fireImmediately: true });
}

/** Pixels and how much ink is on each. */
type Inked = Pick<Plate, 'width' | 'height' | 'ink'>;

/** The plate as a camera sees it; with gain, everything dark has grown by so many pixels all round. */
export function pictureOf({ width, height, ink }: Inked, gain = 0): ImageData {
  const WHITE = 0xffffffff;
  const BLACK = 0xff000000;
  const pixels = new Uint32Array(width * height).fill(WHITE);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      if ((ink[y * width + x] ?? 0) <= 127) continue;
      for (let py = Math.max(0, y - gain); py <= Math.min(height - 1, y + gain); py += 1)
        pixels.fill(BLACK, py * width + Math.max(0, x - gain), py * width + Math.min(width, x + gain + 1));
    }
  return { data: new Uint8ClampedArray(pixels.buffer), width, height, colorSpace: 'srgb' };
}

/** What a decoder of another make reads on a plate, in the order of its letters. */
export async function readBack(plate: Inked, gain = 0): Promise<readonly string[]> {
  const found = await readBarcodes(pictureOf(plate, gain), {
    tryHarder: true,
    maxNumberOfSymbols: 60,
    textMode: 'HRI',
  });
  return found.map(({ text }) => text).sort();
}
