import { PDFRawStream, type PDFContext, type PDFObject, type PDFRef } from '@cantoo/pdf-lib';
import { toDict, toObject, utf8, type Value } from './objects';

type Entries = { readonly [key: string]: Value | undefined };

/** Objects as they are made: written at once, and forgotten but for where they lie. */
export interface Objects {
  /** A number for an object that is made later. */
  readonly reserve: () => PDFRef;
  readonly put: (ref: PDFRef, value: Value) => void;
  readonly add: (value: Value) => PDFRef;
  /** A stream whose bytes are encoded as its entries say. */
  readonly encoded: (entries: Entries, bytes: Uint8Array) => PDFRef;
  /** A stream, deflated. */
  readonly stream: (entries: Entries, bytes: Uint8Array) => PDFRef;
}

/** Above the seven bits of text, so that what carries the file takes it for binary (ISO 32000-1, 7.5.2). */
const BINARY = Uint8Array.of(0x25, 0xe2, 0xe3, 0xcf, 0xd3, 0x0a);

/**
 * Writes a file object by object (ISO 32000-1, 7.5): what was written is taken away in parts, so that a file of any
 * length is made in the same memory. Objects of others stay in the context until the end, because they are looked up.
 */
export class FileWriter implements Objects {
  /** Where each object lies, by its number, bytes. */
  private readonly offsets: number[] = [];
  private waiting: Uint8Array[] = [];
  private length = 0;

  constructor(
    private readonly context: PDFContext,
    private readonly deflate: (bytes: Uint8Array) => Uint8Array,
    version: string,
  ) {
    this.push(utf8(`%PDF-${version}\n`));
    this.push(BINARY);
  }

  private push(bytes: Uint8Array): void {
    this.waiting.push(bytes);
    this.length += bytes.length;
  }

  reserve(): PDFRef {
    return this.context.nextRef();
  }

  put(ref: PDFRef, value: Value): void {
    this.write(ref, toObject(this.context, value));
  }

  add(value: Value): PDFRef {
    const ref = this.reserve();
    this.put(ref, value);
    return ref;
  }

  encoded(entries: Entries, bytes: Uint8Array): PDFRef {
    const ref = this.reserve();
    this.write(ref, PDFRawStream.of(toDict(this.context, { ...entries, Length: bytes.length }), bytes));
    return ref;
  }

  stream(entries: Entries, bytes: Uint8Array): PDFRef {
    return this.encoded({ ...entries, Filter: 'FlateDecode' }, this.deflate(bytes));
  }

  private write(ref: PDFRef, object: PDFObject): void {
    this.offsets[ref.objectNumber] = this.length;
    const bytes = new Uint8Array(object.sizeInBytes());
    object.copyBytesInto(bytes, 0);
    this.push(utf8(`${ref.objectNumber} 0 obj\n`));
    this.push(bytes);
    this.push(utf8('\nendobj\n'));
  }

  /** What was written since this was asked last. */
  taken(): Uint8Array {
    const bytes = new Uint8Array(this.waiting.reduce((sum, part) => sum + part.length, 0));
    let at = 0;
    for (const part of this.waiting) {
      bytes.set(part, at);
      at += part.length;
    }
    this.waiting = [];
    return bytes;
  }

  /** How much waits to be taken, bytes. */
  get ready(): number {
    return this.waiting.reduce((sum, part) => sum + part.length, 0);
  }

  /** Writes what the context holds, the table of all objects, and where to begin. */
  end(trailer: { readonly Root: PDFRef; readonly Info: PDFRef; readonly ID: Value }): void {
    for (const [ref, object] of this.context.enumerateIndirectObjects()) this.write(ref, object);
    const size = this.context.largestObjectNumber + 1;
    const start = this.length;
    const rows = Array.from({ length: size }, (_, number) => {
      const at = number === 0 ? undefined : this.offsets[number];
      // A line of the table has twenty bytes (ISO 32000-1, 7.5.4).
      return at === undefined ? '0000000000 65535 f \n' : `${String(at).padStart(10, '0')} 00000 n \n`;
    });
    this.push(utf8(`xref\n0 ${size}\n${rows.join('')}trailer\n`));
    const dict = toObject(this.context, { Size: size, ...trailer });
    this.push(utf8(`${dict.toString()}\nstartxref\n${start}\n%%EOF\n`));
  }
}
