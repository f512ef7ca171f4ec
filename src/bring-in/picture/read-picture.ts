import { fileTypeFromBuffer } from 'file-type';
import sharp, { type Sharp } from 'sharp';
import type { PictureAsset } from '../../core/job';

/** Largest picture, pixels: a 16-metre banner at 100 ppi and more. */
export const MAX_PIXELS = 300_000_000;

export type PictureReading =
  { readonly ok: true; readonly picture: PictureAsset } | { readonly ok: false; readonly problem: string };

const FORMATS: Readonly<Record<string, PictureAsset['format']>> = {
  'image/jpeg': 'jpeg',
  'image/png': 'png',
  'image/tiff': 'tiff',
  'image/webp': 'webp',
};

/**
 * How a picture is opened everywhere: bounded in pixels, strict about damage.
 * @param ownNumbers its pixels as they are, instead of what its profile makes of them
 */
export const openPicture = (bytes: Uint8Array, ownNumbers = false): Sharp =>
  sharp(bytes, {
    limitInputPixels: MAX_PIXELS,
    failOn: 'truncated',
    sequentialRead: true,
    ignoreIcc: ownNumbers,
  });

/**
 * Reads a picture from outside: JPEG, PNG, TIFF or WebP, by its content and not by its name.
 * @returns its facts, or a sentence that says what is wrong and what to do
 */
export async function readPicture(name: string, bytes: Uint8Array): Promise<PictureReading> {
  const type = await fileTypeFromBuffer(bytes);
  const format = type && FORMATS[type.mime];
  if (!format) {
    // What a package takes a file for is a guess: it is said only where it is a picture that others open.
    const is = type?.mime.startsWith('image/')
      ? `is a picture of another kind (${type.ext})`
      : 'is not a picture, a font, a profile, an SVG or a PDF';
    return bad(`“${name}” ${is}. Save it as JPEG, PNG, TIFF or WebP and bring that in.`);
  }
  try {
    const meta = await sharp(bytes, { limitInputPixels: false }).metadata();
    if (meta.width * meta.height > MAX_PIXELS) {
      return bad(
        `“${name}” has ${meta.width} × ${meta.height} pixels; at most ${MAX_PIXELS / 1e6} million can be ` +
          'placed. Save it smaller.',
      );
    }
    if ((meta.pages ?? 1) > 100)
      return bad(`“${name}” has ${meta.pages} pages. Save the one that is wanted by itself.`);
    // Decodes every row, so that a damaged end is found now and not at the press.
    await openPicture(bytes).resize(16, 16, { fit: 'inside', fastShrinkOnLoad: false }).raw().toBuffer();
    const { width, height } = meta.autoOrient;
    const picture: PictureAsset = {
      kind: 'picture',
      name: name.slice(0, 255),
      format,
      width,
      height,
      colour: meta.space === 'cmyk' ? 'cmyk' : meta.space === 'b-w' || meta.space === 'grey16' ? 'grey' : 'rgb',
      profile: meta.hasProfile ? 'embedded' : null,
      alpha: meta.hasAlpha,
    };
    return { ok: true, picture };
  } catch {
    return bad(`“${name}” is damaged or cut short and cannot be opened. Save or export it again.`);
  }
}

const bad = (problem: string): PictureReading => ({ ok: false, problem });
