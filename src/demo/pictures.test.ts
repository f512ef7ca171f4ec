import { readdirSync } from 'node:fs';
import sharp from 'sharp';
import { PICTURE_FILES, demoFile, drawnPicture } from './pictures';

/** Small enough to be drawn in a moment. */
const SHARE = 0.1;

const lightness = (bytes: Buffer, width?: number, height?: number) =>
  sharp(bytes).resize(width, height, { fit: 'fill' }).greyscale().raw().toBuffer({ resolveWithObject: true });

test('every picture that the demo draws ships with it, and none besides', () => {
  expect(readdirSync('assets/demo/pictures').sort()).toEqual([...PICTURE_FILES].sort());
});

test.each(PICTURE_FILES)('%s is what is drawn', async (name) => {
  const drawn = await lightness(await drawnPicture(name, SHARE));
  const kept = await lightness((await demoFile(name, '.')).bytes, drawn.info.width, drawn.info.height);
  let apart = 0;
  for (const [i, value] of drawn.data.entries()) apart += Math.abs(value - (kept.data[i] ?? 0));
  // Stars of a pixel are drawn larger on a small picture.
  expect(apart / drawn.data.length).toBeLessThan(5);
});
