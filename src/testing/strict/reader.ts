import type { PDFDocument } from '@cantoo/pdf-lib';
import { PDFArray, PDFDict, PDFStream, type PDFObject } from '@cantoo/pdf-lib';
import { resolved } from '../../intake/pdf';

export { dictOf, entry, listOf, name, nameText, numbersOf, resolved, unpacked } from '../../intake/pdf';

/** A press file as a stranger opens it: its objects, and what is said against it. */
export interface OpenFile {
  readonly bytes: Uint8Array;
  readonly document: PDFDocument;
  readonly say: (point: string, what: string) => void;
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
