import { PDFArray, PDFDict, PDFName, PDFStream, type PDFObject, type PDFPage } from '@cantoo/pdf-lib';

const name = (text: string): PDFName => PDFName.of(text);
const FILES = ['FontFile', 'FontFile2', 'FontFile3'].map(name);

/** Most objects of a page that are looked at. */
const MOST = 200_000;

/** Names of the fonts that a page is set in and does not carry: a press has others, or none. */
export function unembeddedFonts(page: PDFPage): readonly string[] {
  const { context } = page.node;
  const found = new Set<string>();
  const seen = new Set<PDFObject>();
  const resources = page.node.Resources();
  const open: PDFObject[] = resources ? [resources] : [];
  for (let object = open.pop(); object !== undefined && seen.size < MOST; object = open.pop()) {
    const value = context.lookup(object);
    if (value === undefined || seen.has(value)) continue;
    seen.add(value);
    if (value instanceof PDFArray) for (const member of value.asArray()) open.push(member);
    const dict = value instanceof PDFStream ? value.dict : value instanceof PDFDict ? value : undefined;
    if (!dict) continue;
    const missing = missingIn(dict);
    if (missing !== undefined) found.add(missing);
    for (const member of dict.values()) open.push(member);
  }
  return [...found];
}

/** The name of a font whose outlines are not in the file; undefined for one that is whole, and for what is no font. */
function missingIn(dict: PDFDict): string | undefined {
  if (dict.lookup(name('Type')) !== name('Font')) return undefined;
  const subtype = dict.lookup(name('Subtype'));
  // A composite font leads to its descendants; glyphs of Type 3 are content.
  if (subtype === name('Type0') || subtype === name('Type3')) return undefined;
  const descriptor = dict.lookup(name('FontDescriptor'));
  if (descriptor instanceof PDFDict && FILES.some((file) => descriptor.has(file))) return undefined;
  const base = dict.lookup(name('BaseFont'));
  return base instanceof PDFName ? base.decodeText() : 'a font without a name';
}
