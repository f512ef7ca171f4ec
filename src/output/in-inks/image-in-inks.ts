import {
  PDFArray,
  PDFName,
  PDFNumber,
  PDFRawStream,
  PDFStream,
  PDFString,
  PDFHexString,
  decodePDFRawStream,
  type PDFContext,
  type PDFDict,
  type PDFObject,
} from '@cantoo/pdf-lib';
import { deflateSync } from 'node:zlib';
import sharp from 'sharp';
import { entryOf, numbersIn } from './entries';
import type { RgbSpace } from './rgb-space';

const key = (text: string): PDFName => PDFName.of(text);

/** Filters of a stream, in the order in which they are undone. */
export function filtersOf(dict: PDFDict): readonly string[] {
  const filter = entryOf(dict, 'Filter');
  const list =
    filter instanceof PDFArray ? Array.from({ length: filter.size() }, (_, i) => filter.lookup(i)) : [filter];
  return list.flatMap((f) => (f instanceof PDFName ? [f.decodeText()] : []));
}

/** What is keyed out by its colours, or blended with a matte, would be another picture in other colours. */
const isBound = (dict: PDFDict): boolean => {
  const mask = entryOf(dict, 'SMask');
  return entryOf(dict, 'Mask') instanceof PDFArray || (mask instanceof PDFStream && mask.dict.has(key('Matte')));
};

/**
 * A picture in RGB as one in inks, its other entries kept.
 * @returns undefined for one that has to stay as it is: packed or keyed in a way that is not undone here
 */
export async function imageInInks(
  stream: PDFRawStream,
  space: RgbSpace,
  context: PDFContext,
): Promise<PDFRawStream | undefined> {
  const { dict } = stream;
  if (isBound(dict)) return undefined;
  const rgb = await pixelsOf(stream);
  if (!rgb) return undefined;
  const bytes = deflateSync(space.pixels(rgb));
  const made = dict.clone(context);
  for (const entry of ['DecodeParms', 'Decode', 'Intent']) made.delete(key(entry));
  made.set(key('ColorSpace'), key('DeviceCMYK'));
  made.set(key('BitsPerComponent'), PDFNumber.of(8));
  made.set(key('Filter'), key('FlateDecode'));
  made.set(key('Length'), PDFNumber.of(bytes.length));
  return PDFRawStream.of(made, bytes);
}

const numberAt = (dict: PDFDict, name: string): number => {
  const value = entryOf(dict, name);
  return value instanceof PDFNumber ? value.asNumber() : 0;
};

/** Pixels of 8 bits a channel, interleaved; undefined where they cannot be had. */
async function pixelsOf(stream: PDFRawStream): Promise<Uint8Array | undefined> {
  const { dict } = stream;
  const [width, height] = [numberAt(dict, 'Width'), numberAt(dict, 'Height')];
  const count = width * height * 3;
  const decode = numbersIn(dict, 'Decode');
  const isPlain = decode.every((value, i) => value === i % 2);
  const filters = filtersOf(dict);
  if (count <= 0 || !isPlain) return undefined;
  if (filters.at(-1) === 'DCTDecode') {
    if (filters.length > 1) return undefined;
    const { data, info } = await sharp(stream.getContents()).toColourspace('srgb').raw().toBuffer({
      resolveWithObject: true,
    });
    return info.channels === 3 && info.width === width && info.height === height ? new Uint8Array(data) : undefined;
  }
  if (
    filters.some(
      (filter) => !['FlateDecode', 'LZWDecode', 'RunLengthDecode', 'ASCIIHexDecode', 'ASCII85Decode'].includes(filter),
    )
  )
    return undefined;
  const bytes = decodePDFRawStream(stream).decode();
  switch (numberAt(dict, 'BitsPerComponent')) {
    case 8:
      return bytes.length >= count ? bytes.subarray(0, count) : undefined;
    case 16:
      return bytes.length >= 2 * count ? Uint8Array.from({ length: count }, (_, i) => bytes[2 * i] ?? 0) : undefined;
    default:
      return undefined;
  }
}

/**
 * A list of RGBs by number, as one of inks.
 * @param list the colour space: Indexed, its base, the last number, the colours
 */
export function paletteInInks(list: PDFArray, space: RgbSpace, context: PDFContext): PDFArray | undefined {
  const last = list.lookup(2);
  const bytes = bytesOf(list.lookup(3));
  const count = last instanceof PDFNumber ? last.asNumber() + 1 : 0;
  if (!bytes || count < 1) return undefined;
  const rgb = new Uint8Array(count * 3);
  rgb.set(bytes.subarray(0, rgb.length));
  const hex = Buffer.from(space.pixels(rgb)).toString('hex');
  return context.obj([key('Indexed'), key('DeviceCMYK'), count - 1, PDFHexString.of(hex)]);
}

function bytesOf(object: PDFObject | undefined): Uint8Array | undefined {
  if (object instanceof PDFString || object instanceof PDFHexString) return object.asBytes();
  return object instanceof PDFRawStream ? decodePDFRawStream(object).decode() : undefined;
}
