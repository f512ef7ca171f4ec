import { PDFArray, PDFDict, PDFNumber, PDFRawStream, decodePDFRawStream, type PDFObject } from '@cantoo/pdf-lib';
import { entryOf, numbersIn } from './entries';
import { calculator } from './calculator';

/** A function of a PDF of one number (ISO 32000-1, 7.10). */
export type PdfFunction = (x: number) => readonly number[];

/**
 * Reads a function of one number, or several of which each gives one result.
 * @returns undefined for one that cannot be read, or is of more numbers
 */
export function readFunction(object: PDFObject | undefined): PdfFunction | undefined {
  if (object instanceof PDFArray) {
    const each = Array.from({ length: object.size() }, (_, i) => readFunction(object.lookup(i)));
    if (each.length === 0 || each.some((f) => f === undefined)) return undefined;
    return (x) => each.flatMap((f) => f?.(x)[0] ?? 0);
  }
  const dict = object instanceof PDFRawStream ? object.dict : object instanceof PDFDict ? object : undefined;
  const domain = dict && numbersIn(dict, 'Domain');
  if (!dict || domain?.length !== 2) return undefined;
  const [least = 0, most = 1] = domain;
  const inner = bodyOf(dict, object instanceof PDFRawStream ? object : undefined, [least, most]);
  const range = numbersIn(dict, 'Range');
  return (
    inner &&
    ((x) => {
      const values = inner(Math.min(most, Math.max(least, x)));
      return range.length === 0
        ? values
        : values.map((v, i) => Math.min(range[2 * i + 1] ?? 1, Math.max(range[2 * i] ?? 0, v)));
    })
  );
}

type Interval = readonly [least: number, most: number];

function bodyOf(dict: PDFDict, stream: PDFRawStream | undefined, domain: Interval): PdfFunction | undefined {
  const type = entryOf(dict, 'FunctionType');
  switch (type instanceof PDFNumber ? type.asNumber() : -1) {
    case 0:
      return stream && sampled(stream, domain);
    case 2:
      return exponential(dict);
    case 3:
      return stitched(dict, domain);
    case 4:
      return stream && calculator(Buffer.from(decodePDFRawStream(stream).decode()).toString('latin1'));
    default:
      return undefined;
  }
}

const between = (x: number, [a, b]: Interval, [c, d]: Interval): number =>
  a === b ? c : c + ((x - a) * (d - c)) / (b - a);

/** Type 0: samples, and straight lines between them. */
function sampled(stream: PDFRawStream, domain: Interval): PdfFunction | undefined {
  const { dict } = stream;
  const [size = 0] = numbersIn(dict, 'Size');
  const [bits = 0] = [entryOf(dict, 'BitsPerSample')].map((b) => (b instanceof PDFNumber ? b.asNumber() : 0));
  const range = numbersIn(dict, 'Range');
  const count = range.length / 2;
  if (size < 1 || count < 1 || ![8, 16].includes(bits)) return undefined;
  const bytes = decodePDFRawStream(stream).decode();
  const encode = numbersIn(dict, 'Encode');
  const decode = numbersIn(dict, 'Decode');
  const most = 2 ** bits - 1;
  const sample = (at: number, i: number): number => {
    const n = (at * count + i) * (bits / 8);
    const value = bits === 8 ? (bytes[n] ?? 0) : (bytes[n] ?? 0) * 256 + (bytes[n + 1] ?? 0);
    const to = decode.length > 0 ? decode : range;
    return between(value, [0, most], [to[2 * i] ?? 0, to[2 * i + 1] ?? 1]);
  };
  return (x) => {
    const at = Math.min(size - 1, Math.max(0, between(x, domain, [encode[0] ?? 0, encode[1] ?? size - 1])));
    const low = Math.floor(at);
    const high = Math.min(size - 1, low + 1);
    return Array.from({ length: count }, (_, i) => sample(low, i) + (at - low) * (sample(high, i) - sample(low, i)));
  };
}

/** Type 2: from one set of values to another, by a power. */
function exponential(dict: PDFDict): PdfFunction {
  const [c0, c1] = [numbersIn(dict, 'C0'), numbersIn(dict, 'C1')];
  const [from, to] = [c0.length > 0 ? c0 : [0], c1.length > 0 ? c1 : [1]];
  const power = entryOf(dict, 'N');
  const n = power instanceof PDFNumber ? power.asNumber() : 1;
  return (x) => from.map((value, i) => value + x ** n * ((to[i] ?? 0) - value));
}

/** Type 3: others, one after the other. */
function stitched(dict: PDFDict, [least, most]: Interval): PdfFunction | undefined {
  const list = entryOf(dict, 'Functions');
  if (!(list instanceof PDFArray)) return undefined;
  const parts = Array.from({ length: list.size() }, (_, i) => readFunction(list.lookup(i)));
  const bounds = numbersIn(dict, 'Bounds');
  const encode = numbersIn(dict, 'Encode');
  if (parts.length === 0 || parts.some((part) => part === undefined)) return undefined;
  return (x) => {
    const found = bounds.findIndex((bound) => x < bound);
    const k = found < 0 ? parts.length - 1 : found;
    const part: Interval = [bounds[k - 1] ?? least, bounds[k] ?? most];
    return parts[k]?.(between(x, part, [encode[2 * k] ?? 0, encode[2 * k + 1] ?? 1])) ?? [];
  };
}
