import {
  PDFArray,
  PDFName,
  PDFNumber,
  PDFRawStream,
  decodePDFRawStream,
  PDFDict,
  type PDFObject,
} from '@cantoo/pdf-lib';
import type { ColourEngine } from '../../core/colour';
import { colourOfProfile, type PictureConverter } from '../../bring-in/profile';
import { entryOf } from './entries';
import type { Inks, ToInks } from './content-in-inks';

/** An RGB of a file: how its pixels come to inks, and single colours of words, lines and areas. */
export interface RgbSpace {
  /** Pixels of 8 bits a channel, interleaved, to four inks likewise. */
  readonly pixels: (rgb: Uint8Array) => Uint8Array;
  readonly colour: ToInks;
}

/** The press that an RGB is converted for. */
export interface Press {
  readonly engine: ColourEngine;
  readonly converter: PictureConverter;
}

/** Spaces lead to others: a file that leads in a circle is followed so far. */
const DEEP = 8;

/**
 * What a colour space of a file is, where it is an RGB: a device’s, a calibrated one (understood as sRGB), or one
 * with a profile.
 * @param resources where its name is looked up
 */
export function rgbSpaceOf(
  object: PDFObject | undefined,
  resources: PDFDict | undefined,
  press: Press,
  deep = 0,
): RgbSpace | undefined {
  if (deep > DEEP) return undefined;
  if (object instanceof PDFName) {
    const said = object.decodeText();
    const spaces = resources && entryOf(resources, 'ColorSpace');
    const own = spaces instanceof PDFDict ? spaces : undefined;
    const isDevice = said === 'DeviceRGB' || said === 'RGB';
    const stands = own && entryOf(own, isDevice ? 'DefaultRGB' : said);
    if (stands !== undefined && stands !== object) return rgbSpaceOf(stands, resources, press, deep + 1);
    return isDevice ? plain(press) : undefined;
  }
  if (!(object instanceof PDFArray)) return undefined;
  const kind = object.lookup(0);
  switch (kind instanceof PDFName ? kind.decodeText() : '') {
    case 'DeviceRGB':
    case 'CalRGB':
      return plain(press);
    case 'ICCBased': {
      const profile = object.lookup(1);
      const count = profile instanceof PDFRawStream ? entryOf(profile.dict, 'N') : undefined;
      if (!(profile instanceof PDFRawStream) || !(count instanceof PDFNumber) || count.asNumber() !== 3)
        return undefined;
      return ofProfile(decodePDFRawStream(profile).decode(), press);
    }
    default:
      return undefined;
  }
}

const BYTE = 255;

const inksOf = ([c = 0, m = 0, y = 0, k = 0]: Uint8Array): Inks => [c / BYTE, m / BYTE, y / BYTE, k / BYTE];

function plain({ engine, converter }: Press): RgbSpace {
  return {
    pixels: converter.rgbToCmyk,
    colour: ([r, g, b]) => {
      if (r === g && g === b) return inBlack(r, engine);
      const { c, m, y, k } = engine.toBuild({ r: r * BYTE, g: g * BYTE, b: b * BYTE });
      return [c / 100, m / 100, y / 100, k / 100];
    },
  };
}

/** RGB of a profile of its own. One that cannot be used is understood as sRGB, as a screen shows it. */
function ofProfile(icc: Uint8Array, press: Press): RgbSpace {
  const { converter, engine } = press;
  if (colourOfProfile(icc) !== 'rgb') return plain(press);
  const pixels = (rgb: Uint8Array) => converter.taggedToCmyk(icc, rgb);
  try {
    pixels(Uint8Array.of(0, 0, 0));
  } catch {
    return plain(press);
  }
  return {
    pixels,
    colour: ([r, g, b]) =>
      r === g && g === b ? inBlack(r, engine) : inksOf(pixels(Uint8Array.from([r, g, b], (n) => Math.round(n * BYTE)))),
  };
}

/** Steps by which the tint of black is found: to a five-thousandth. */
const STEPS = 13;

/**
 * Grey words, lines and areas are printed in black alone, as light as in the press’s four: four inks would blur fine
 * things as soon as a plate lies off (common practice).
 */
function inBlack(grey: number, engine: ColourEngine): Inks {
  if (grey <= 0) return [0, 0, 0, 1];
  if (grey >= 1) return [0, 0, 0, 0];
  const value = grey * BYTE;
  const wanted = engine.buildLab(engine.toBuild({ r: value, g: value, b: value })).L;
  let [light, dark] = [0, 100];
  for (let i = 0; i < STEPS; i += 1) {
    const k = (light + dark) / 2;
    if (engine.buildLab({ c: 0, m: 0, y: 0, k }).L > wanted) light = k;
    else dark = k;
  }
  return [0, 0, 0, (light + dark) / 200];
}
