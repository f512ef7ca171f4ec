import type { PDFDict, PDFStream } from '@cantoo/pdf-lib';
import type { Painted } from '../painted';
import { unpacked, type Opened } from '../pdf';

/** What is gathered on the way. */
export interface Gathering {
  readonly file: Opened;
  readonly painted: Painted[];
  readonly unseen: Painted[];
  /** What a tile or a glyph lays down, gone through once. */
  readonly laid: Map<PDFStream, readonly Painted[]>;
  /** Pages on which words are set in a font. */
  readonly fonts: Map<PDFDict, Set<number>>;
  readonly unreadable: { page: number; why: string }[];
}

/** Bytes of a stream; undefined where they are damaged, which is noted. */
export function bytesOf({ unreadable }: Gathering, stream: PDFStream, page: number): Uint8Array | undefined {
  try {
    return unpacked(stream);
  } catch {
    unreadable.push({ page, why: 'Some of its content is damaged and cannot be unpacked.' });
    return undefined;
  }
}
