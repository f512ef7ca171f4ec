import { inflateSync } from 'node:zlib';
import {
  PDFArray,
  PDFDict,
  PDFName,
  PDFRawStream,
  PDFRef,
  PDFStream,
  decodePDFRawStream,
  type PDFDocument,
  type PDFObject,
} from '@cantoo/pdf-lib';

/** A file whose objects can be looked up. */
export interface Opened {
  readonly document: PDFDocument;
}

/** A stream that unpacks to more is no page, bytes [own]. */
const MOST = 1 << 28;

export const name = (text: string): PDFName => PDFName.of(text);

/** What a reference leads to. */
export const resolved = ({ document }: Opened, object: PDFObject | undefined): PDFObject | undefined =>
  object instanceof PDFRef ? document.context.lookup(object) : object;

export const dictOf = (file: Opened, object: PDFObject | undefined): PDFDict | undefined => {
  const found = resolved(file, object);
  return found instanceof PDFDict ? found : found instanceof PDFStream ? found.dict : undefined;
};

export const entry = (file: Opened, dict: PDFDict | undefined, key: string): PDFObject | undefined =>
  resolved(file, dict?.get(name(key)));

export const listOf = (file: Opened, object: PDFObject | undefined): readonly (PDFObject | undefined)[] => {
  const found = resolved(file, object);
  return found instanceof PDFArray ? found.asArray().map((o) => resolved(file, o)) : [];
};

export const numbersOf = (file: Opened, object: PDFObject | undefined): readonly number[] =>
  listOf(file, object).map((o) => Number(String(o)));

/** The text of a name, its bytes read as UTF-8; undefined when they are none. */
export function nameText(object: PDFObject | undefined): string | undefined {
  if (!(object instanceof PDFName)) return undefined;
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(object.asBytes());
  } catch {
    return undefined;
  }
}

/** The bytes of a stream, unpacked; each stream once. @throws where they are damaged */
export function unpacked(stream: PDFStream): Uint8Array {
  const before = known.get(stream);
  if (before) return before;
  const bytes = unpack(stream);
  known.set(stream, bytes);
  return bytes;
}

const known = new WeakMap<PDFStream, Uint8Array>();

function unpack(stream: PDFStream): Uint8Array {
  if (!(stream instanceof PDFRawStream)) return stream.getContents();
  const isPlainFlate = stream.dict.get(name('Filter')) === name('FlateDecode') && !stream.dict.has(name('DecodeParms'));
  return isPlainFlate
    ? inflateSync(stream.getContents(), { maxOutputLength: MOST })
    : decodePDFRawStream(stream).decode();
}
