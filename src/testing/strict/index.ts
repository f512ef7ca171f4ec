import { PDFDocument, PDFStream } from '@cantoo/pdf-lib';
import { checkFont } from './fonts';
import { checkStream, drawPages, type Walk } from './graphics';
import { reachable, type OpenFile } from './reader';
import { checkIntent, checkLayers, checkMetadata, checkPages, checkTrailer } from './structure';

/** What is said against a press file. */
export interface Fault {
  readonly point: string;
  readonly what: string;
}

/**
 * Holds a press file to ISO 15930-7 (PDF/X-4), point by point, by its bytes alone: it shares nothing with what writes
 * it. The clauses are from memory.
 */
export async function strictFaults(bytes: Uint8Array): Promise<readonly Fault[]> {
  const faults: Fault[] = [];
  const document = await PDFDocument.load(bytes, {
    updateMetadata: false,
    throwOnInvalidObject: true,
    ignoreEncryption: true,
  });
  const file: OpenFile = { bytes, document, say: (point, what) => void faults.push({ point, what }) };
  for (const check of [checkTrailer, checkMetadata, checkIntent, checkPages, checkLayers]) check(file);
  const walk: Walk = { file, spots: new Map(), fonts: new Map(), seen: new Set() };
  drawPages(walk);
  for (const use of walk.fonts.values()) checkFont(file, use);
  for (const object of reachable(file)) if (object instanceof PDFStream) checkStream(file, object, 'a stream');
  return faults;
}
