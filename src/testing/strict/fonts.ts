import { PDFArray, PDFStream } from '@cantoo/pdf-lib';
import { dictOf, entry, listOf, name, nameText, unpacked, type OpenFile } from './reader';
import type { FontUse } from './graphics';
import { glyphTables, type GlyphTables } from './sfnt';

/**
 * Fonts lie in the file, hold what is drawn with them, are as wide as they say, and lead back to text (ISO 15930-7,
 * 6.2.4.10, from memory).
 */
export function checkFont(file: OpenFile, { font, codes }: FontUse): void {
  const { say } = file;
  const kind = nameText(entry(file, font, 'Subtype'));
  const called = nameText(entry(file, font, 'BaseFont')) ?? kind ?? 'a font';
  if (kind === 'Type3') return;
  const [descendant] =
    kind === 'Type0' ? listOf(file, font.get(name('DescendantFonts'))).map((d) => dictOf(file, d)) : [font];
  if (!descendant) return say('fonts', `${called}: no descendant`);
  const descriptor = dictOf(file, descendant.get(name('FontDescriptor')));
  const program = ['FontFile', 'FontFile2', 'FontFile3']
    .map((key) => entry(file, descriptor, key))
    .find((f) => f instanceof PDFStream);
  if (!(program instanceof PDFStream)) return say('fonts', `${called}: its outlines are not in the file`);
  if (!descriptor || nameText(entry(file, descriptor, 'FontName')) !== nameText(entry(file, descendant, 'BaseFont')))
    say('fonts', `${called}: its descriptor is of another font`);
  if (kind !== 'Type0') return;
  if (!/^[A-Z]{6}\+./.test(called)) say('fonts', `${called}: a part of a font without its six letters`);
  if (entry(file, font, 'Encoding') !== name('Identity-H')) say('fonts', `${called}: codes that are not glyphs`);
  const isTrueType = nameText(entry(file, descendant, 'Subtype')) === 'CIDFontType2';
  if (isTrueType && entry(file, descendant, 'CIDToGIDMap') !== name('Identity'))
    say('fonts', `${called}: no way from codes to glyphs`);
  let glyphs: GlyphTables;
  try {
    glyphs = glyphTables(unpacked(program));
  } catch (error) {
    return say('fonts', `${called}: ${error instanceof Error ? error.message : String(error)}`);
  }
  const widths = widthsOf(file, descendant.get(name('W')));
  const usual = Number(String(entry(file, descendant, 'DW') ?? 1000));
  const meanings = meaningsOf(entry(file, font, 'ToUnicode'));
  if (!meanings) say('fonts', `${called}: no way back to text`);
  for (const [code, { told }] of codes) {
    if (code >= glyphs.count) {
      say('glyphs', `${called}: there is no glyph ${code}`);
      continue;
    }
    const own = (glyphs.advance(code) / glyphs.unitsPerEm) * 1000;
    const said = widths.get(code) ?? usual;
    if (Math.abs(own - said) > 1)
      say('glyphs', `${called}: glyph ${code} is ${own.toFixed(1)} wide and is said to be ${said}`);
    const meant = meanings?.get(code);
    if (!told && (meant === undefined || meant === ''))
      say('glyphs', `${called}: what glyph ${code} stands for is not said`);
    // A glyph for something that is seen has an outline.
    if (meant !== undefined && /[^\s\p{Z}\p{C}]/u.test(meant) && glyphs.isEmpty?.(code))
      say('glyphs', `${called}: glyph ${code}, for ${meant}, is empty`);
  }
}

/** Widths by code (ISO 32000-1, 9.7.4.3). */
function widthsOf(file: OpenFile, list: Parameters<typeof listOf>[1]): ReadonlyMap<number, number> {
  const found = new Map<number, number>();
  const items = listOf(file, list);
  for (let i = 0; i < items.length;) {
    const first = Number(String(items[i]));
    const next = items[i + 1];
    if (next instanceof PDFArray) {
      next.asArray().forEach((width, n) => found.set(first + n, Number(String(width))));
      i += 2;
      continue;
    }
    for (let code = first; code <= Number(String(next)); code += 1) found.set(code, Number(String(items[i + 2])));
    i += 3;
  }
  return found;
}

/** What each code stands for, by a ToUnicode map of single codes (ISO 32000-1, 9.10.3). */
function meaningsOf(map: unknown): ReadonlyMap<number, string> | undefined {
  if (!(map instanceof PDFStream)) return undefined;
  const text = Buffer.from(unpacked(map)).toString('latin1');
  const found = new Map<number, string>();
  for (const [, block = ''] of text.matchAll(/beginbfchar([\s\S]*?)endbfchar/g))
    for (const [, code = '', units = ''] of block.matchAll(/<([0-9a-f]+)>\s*<([0-9a-f]*)>/gi))
      found.set(parseInt(code, 16), String.fromCharCode(...(units.match(/.{4}/g) ?? []).map((u) => parseInt(u, 16))));
  return found;
}
