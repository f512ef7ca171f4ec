import { PDFStream, type PDFDict } from '@cantoo/pdf-lib';
import { dictOf, entry, listOf, name, nameText, unpacked, type Opened, type Token } from './pdf';

/** How many glyphs a font has; Infinity where it does not say. Read once a font. */
const known = new WeakMap<PDFDict, number>();

/**
 * How many characters of some strings have no glyph: those of number 0, which is the sign for a missing one, and those
 * beyond the last of the font. Only where the numbers in the strings are those of the glyphs themselves (ISO 32000-1,
 * 9.7.5.2: Identity-H, with a map from one to the other that is Identity too).
 */
export function missingIn(file: Opened, font: PDFDict, strings: readonly Token[]): number {
  const inner = dictOf(file, listOf(file, font.get(name('DescendantFonts')))[0]);
  if (!inner || nameText(entry(file, font, 'Encoding')) !== 'Identity-H') return 0;
  const map = entry(file, inner, 'CIDToGIDMap');
  if (map instanceof PDFStream) return 0;
  const count = known.get(font) ?? glyphsOf(file, inner);
  known.set(font, count);
  let missing = 0;
  for (const token of strings) {
    if (token.kind !== 'string') continue;
    for (let i = 0; i + 1 < token.bytes.length; i += 2) {
      const glyph = ((token.bytes[i] ?? 0) << 8) | (token.bytes[i + 1] ?? 0);
      if (glyph === 0 || glyph >= count) missing += 1;
    }
  }
  return missing;
}

/** From the table of a TrueType font that says it (OpenType, “maxp”); other fonts are not looked into. */
function glyphsOf(file: Opened, inner: PDFDict): number {
  const program = entry(file, dictOf(file, inner.get(name('FontDescriptor'))), 'FontFile2');
  if (!(program instanceof PDFStream)) return Infinity;
  try {
    const bytes = unpacked(program);
    const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
    for (let i = 0; i < view.getUint16(4); i += 1) {
      const at = 12 + 16 * i;
      // “maxp”
      if (view.getUint32(at) === 0x6d617870) return view.getUint16(view.getUint32(at + 8) + 4);
    }
    return Infinity;
  } catch {
    return Infinity;
  }
}
