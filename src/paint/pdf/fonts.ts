import type { PDFRef } from '@cantoo/pdf-lib';
import type { ShapingFont } from '../../core/type';
import { pdfWidth } from './content';
import type { Objects } from './file-writer';
import { textString, utf8 } from './objects';

/** What embedding a font asks of the request. */
export interface FontSource {
  readonly font: (key: string) => ShapingFont | undefined;
  /** PostScript name of a font file. */
  readonly fontName: (key: string) => string;
  /** The font file cut down to the glyphs, with their ids kept. */
  readonly subset: (key: string, gids: readonly number[]) => Uint8Array;
}

/** A font that content speaks of by a name. */
export interface UsedFont {
  readonly name: string;
  readonly ref: PDFRef;
  /** Text of each glyph used. */
  readonly glyphs: Map<number, string>;
}

/** A composite font whose character codes are glyph ids, subset and with a way back to text. */
export function embedFont(
  objects: Objects,
  request: FontSource,
  key: string,
  font: ShapingFont,
  used: UsedFont,
  isFlat: boolean,
): void {
  const gids = [...used.glyphs.keys()].sort((a, b) => a - b);
  const { facts } = font;
  const per = 1000 / font.unitsPerEm;
  const name = `${subsetTag(key, gids)}+${request.fontName(key)}`;
  const cff = facts.postscriptOutlines;
  const bytes = request.subset(key, gids);
  // A whole OpenType font in a file is of PDF 1.6; before that its outlines stand there alone.
  const file = cff
    ? {
        FontFile3: objects.stream({ Subtype: isFlat ? 'CIDFontType0C' : 'OpenType' }, isFlat ? cffTable(bytes) : bytes),
      }
    : { FontFile2: objects.stream({ Length1: bytes.length }, bytes) };
  const descriptor = objects.add({
    Type: 'FontDescriptor',
    FontName: name,
    Flags: 4 | (facts.italicAngle === 0 ? 0 : 64),
    FontBBox: facts.bounds.map((v) => Math.round(v * per)),
    ItalicAngle: facts.italicAngle,
    Ascent: Math.round(font.ascender * per),
    Descent: Math.round(font.descender * per),
    CapHeight: Math.round(facts.capHeight * per),
    StemV: 80,
    ...file,
  });
  const descendant = objects.add({
    Type: 'Font',
    Subtype: cff ? 'CIDFontType0' : 'CIDFontType2',
    BaseFont: name,
    CIDSystemInfo: { Registry: textString('Adobe'), Ordering: textString('Identity'), Supplement: 0 },
    FontDescriptor: descriptor,
    DW: 0,
    W: gids.flatMap((gid) => [gid, [pdfWidth(font, gid)]]),
    CIDToGIDMap: cff ? undefined : 'Identity',
  });
  objects.put(used.ref, {
    Type: 'Font',
    Subtype: 'Type0',
    BaseFont: name,
    Encoding: 'Identity-H',
    DescendantFonts: [descendant],
    ToUnicode: objects.stream({}, utf8(toUnicode(used.glyphs))),
  });
}

/** Six letters that differ for different subsets (PDF 1.6, 5.5.3). */
function subsetTag(key: string, gids: readonly number[]): string {
  let hash = 2166136261;
  for (const char of `${key}:${gids.join(',')}`) hash = Math.imul(hash ^ char.charCodeAt(0), 16777619) >>> 0;
  return Array.from({ length: 6 }, () => {
    const letter = String.fromCharCode(65 + (hash % 26));
    hash = Math.floor(hash / 26);
    return letter;
  }).join('');
}

const hex4 = (n: number): string => n.toString(16).padStart(4, '0');
const utf16 = (s: string): string => Array.from({ length: s.length }, (_, i) => hex4(s.charCodeAt(i))).join('');

function toUnicode(glyphs: ReadonlyMap<number, string>): string {
  const rows = [...glyphs]
    .filter(([, s]) => s !== '')
    .sort(([a], [b]) => a - b)
    .map(([gid, s]) => `<${hex4(gid)}> <${utf16(s)}>`);
  const blocks: string[] = [];
  // At most 100 entries a block.
  for (let i = 0; i < rows.length; i += 100) {
    const part = rows.slice(i, i + 100);
    blocks.push(`${part.length} beginbfchar\n${part.join('\n')}\nendbfchar`);
  }
  return `/CIDInit /ProcSet findresource begin
12 dict begin
begincmap
/CIDSystemInfo << /Registry (Adobe) /Ordering (UCS) /Supplement 0 >> def
/CMapName /Adobe-Identity-UCS def
/CMapType 2 def
1 begincodespacerange
<0000> <ffff>
endcodespacerange
${blocks.join('\n')}
endcmap
CMapName currentdict /CMap defineresource pop
end
end`;
}

/** The PostScript outlines of an OpenType font (ISO/IEC 14496-22, 4.5: a directory of tables by their tags). */
function cffTable(font: Uint8Array): Uint8Array {
  const view = new DataView(font.buffer, font.byteOffset, font.byteLength);
  const count = view.getUint16(4);
  for (let i = 0; i < count; i += 1) {
    const at = 12 + i * 16;
    const tag = String.fromCharCode(...font.subarray(at, at + 4));
    if (tag === 'CFF ') return font.subarray(view.getUint32(at + 8), view.getUint32(at + 8) + view.getUint32(at + 12));
  }
  throw new Error('The font has no PostScript outlines.');
}
