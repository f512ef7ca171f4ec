import { PDFArray, PDFName, PDFNumber, type PDFDict, type PDFObject } from '@cantoo/pdf-lib';

/** An entry of a dictionary, wherever it lies. */
export const entryOf = (dict: PDFDict, key: string): PDFObject | undefined => dict.lookup(PDFName.of(key));

/** Numbers of a list; none where there is no list. */
export function numbersIn(dict: PDFDict, key: string): readonly number[] {
  const list = entryOf(dict, key);
  if (!(list instanceof PDFArray)) return [];
  return Array.from({ length: list.size() }, (_, i) => list.lookup(i)).flatMap((n) =>
    n instanceof PDFNumber ? [n.asNumber()] : [],
  );
}
