import { inflateSync } from 'node:zlib';
import type { PDFDocument } from '@cantoo/pdf-lib';
import {
  PDFArray,
  PDFDict,
  PDFName,
  PDFRawStream,
  PDFRef,
  PDFStream,
  decodePDFRawStream,
  type PDFObject,
} from '@cantoo/pdf-lib';

/** A press file as a stranger opens it: its objects, and what is said against it. */
export interface OpenFile {
  readonly bytes: Uint8Array;
  readonly document: PDFDocument;
  readonly say: (point: string, what: string) => void;
}

export const name = (text: string): PDFName => PDFName.of(text);

/** What a reference leads to. */
export const resolved = ({ document }: OpenFile, object: PDFObject | undefined): PDFObject | undefined =>
  object instanceof PDFRef ? document.context.lookup(object) : object;

export const dictOf = (file: OpenFile, object: PDFObject | undefined): PDFDict | undefined => {
  const found = resolved(file, object);
  return found instanceof PDFDict ? found : found instanceof PDFStream ? found.dict : undefined;
};

export const entry = (file: OpenFile, dict: PDFDict | undefined, key: string): PDFObject | undefined =>
  resolved(file, dict?.get(name(key)));

export const listOf = (file: OpenFile, object: PDFObject | undefined): readonly (PDFObject | undefined)[] => {
  const found = resolved(file, object);
  return found instanceof PDFArray ? found.asArray().map((o) => resolved(file, o)) : [];
};

export const numbersOf = (file: OpenFile, object: PDFObject | undefined): readonly number[] =>
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

/** Everything that can be reached from the trailer, each once. */
export function* reachable(file: OpenFile): Generator<PDFObject> {
  const { context } = file.document;
  const seen = new Set<PDFObject>();
  const open: (PDFObject | undefined)[] = [context.trailerInfo.Root, context.trailerInfo.Info];
  for (let object = open.pop(); open.length > 0 || object !== undefined; object = open.pop()) {
    const found = resolved(file, object);
    if (found === undefined || seen.has(found)) continue;
    seen.add(found);
    yield found;
    if (found instanceof PDFArray) open.push(...found.asArray());
    const dict = found instanceof PDFStream ? found.dict : found instanceof PDFDict ? found : undefined;
    // A page leads to its parent again; that is known by then.
    if (dict) open.push(...dict.values());
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
  return isPlainFlate ? inflateSync(stream.getContents()) : decodePDFRawStream(stream).decode();
}
