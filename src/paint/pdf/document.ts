import { PDFContext, PDFHeader, PDFHexString, PDFName, PDFString, PDFWriter, type PDFRef } from '@cantoo/pdf-lib';
import type { PictureItem, ProcessLayer } from '../../core/drawing';
import type { Build } from '../../core/colour';
import type { Rect } from '../../core/layout';
import { mmToPt } from '../../core/measure';
import type { ShapingFont } from '../../core/type';
import { REGISTRATION_SPACE, SCREEN_SPACE, pageContent, pdfWidth, type PagePart, type Purpose } from './content';
import { addStream, toDict, toObject, type Value } from './objects';
import { PRODUCER, pdfDate, xmp, type Metadata } from './metadata';

/** One page: what is drawn and its boxes, mm from the trimmed top-left corner. */
export interface PdfPage {
  readonly parts: readonly PagePart[];
  readonly trim: Rect;
  readonly bleed: Rect;
  /** The whole sheet, marks and slug included. */
  readonly sheet: Rect;
}

/** A picture ready for a PDF. */
export interface EncodedPicture {
  readonly width: number;
  readonly height: number;
  readonly space: 'cmyk' | 'rgb' | 'grey';
  readonly bytes: Uint8Array;
  readonly filter: 'jpeg' | 'deflate';
  /** A CMYK JPEG holds its inks inverted. */
  readonly inverted: boolean;
  /** Opacity, 8 bits a pixel, deflated. */
  readonly mask?: Uint8Array;
}

export interface PdfRequest {
  readonly pages: readonly PdfPage[];
  readonly purpose: Purpose;
  readonly metadata: Metadata;
  /** The output profile of a press file, or sRGB for a screen file. */
  readonly profile: { readonly bytes: Uint8Array; readonly condition: string; readonly about: string };
  readonly font: (key: string) => ShapingFont | undefined;
  /** PostScript name of a font file. */
  readonly fontName: (key: string) => string;
  /** The font file cut down to the glyphs, with their ids kept. */
  readonly subset: (key: string, gids: readonly number[]) => Uint8Array;
  readonly picture: (item: PictureItem) => EncodedPicture;
  readonly deflate: (bytes: Uint8Array) => Uint8Array;
}

/** Largest side of a page without a user unit: 200 in (PDF 1.6, annex C). */
const LARGEST = 14_400;

/** Points that a user space unit has to stand for so that the sheet fits into a page. */
export const userUnitFor = (sheet: Rect): number =>
  Math.max(1, Math.ceil(mmToPt(Math.max(sheet.width, sheet.height)) / LARGEST));

interface UsedFont {
  readonly name: string;
  readonly ref: PDFRef;
  /** Text of each glyph used. */
  readonly glyphs: Map<number, string>;
}

/**
 * Writes a PDF 1.6: for the press one that follows PDF/X-4 (ISO 15930-7), for the screen a plain one.
 * The same request gives the same bytes.
 */
export async function writePdf(request: PdfRequest): Promise<Uint8Array> {
  const context = PDFContext.create();
  context.header = PDFHeader.forVersion(1, 6);
  const { deflate } = request;
  const add = (value: Value): PDFRef => context.register(toObject(context, value));
  const stream: AddStream = (entries, bytes) =>
    addStream(context, { ...entries, Filter: 'FlateDecode' }, deflate(bytes));
  const text = (value: string) => utf8(value);

  const fonts = new Map<string, UsedFont>();
  const pictures = new Map<string, { name: string; ref: PDFRef }>();
  const states = new Map<string, { name: string; ref: PDFRef }>();
  const spots = new Map<string, { name: string; ref: PDFRef }>();
  const layers = new Map<string, { name: string; ref: PDFRef }>();
  let transparent = false;

  const profileRef = stream({ N: request.purpose.kind === 'press' ? 4 : 3 }, request.profile.bytes);
  const tint = stream({ FunctionType: 4, Domain: [0, 1], Range: [0, 1, 0, 1, 0, 1, 0, 1] }, text('{dup dup dup}'));
  const colourSpaces: Record<string, PDFRef> =
    request.purpose.kind === 'press'
      ? { [REGISTRATION_SPACE]: add(['Separation', 'All', 'DeviceCMYK', tint]) }
      : { [SCREEN_SPACE]: add(['ICCBased', profileRef]) };

  const addPicture = (item: PictureItem): { name: string; ref: PDFRef } => {
    const made = request.picture(item);
    const key = `${item.picture}/${made.width}x${made.height}`;
    const before = pictures.get(key);
    if (before) return before;
    const space =
      made.space === 'cmyk' ? 'DeviceCMYK' : made.space === 'grey' ? 'DeviceGray' : ['ICCBased', profileRef];
    const image = { Type: 'XObject', Subtype: 'Image', Width: made.width, Height: made.height, BitsPerComponent: 8 };
    if (made.mask) transparent = true;
    const mask =
      made.mask && addStream(context, { ...image, ColorSpace: 'DeviceGray', Filter: 'FlateDecode' }, made.mask);
    const entries = {
      ...image,
      ColorSpace: space,
      Decode: made.inverted ? [1, 0, 1, 0, 1, 0, 1, 0] : undefined,
      SMask: mask,
      Filter: made.filter === 'jpeg' ? 'DCTDecode' : 'FlateDecode',
    };
    const added = { name: `Im${pictures.size + 1}`, ref: addStream(context, entries, made.bytes) };
    pictures.set(key, added);
    return added;
  };

  const pageTree = context.nextRef();
  const pages = request.pages.map((page) => {
    const used = {
      Font: new Map<string, PDFRef>(),
      XObject: new Map<string, PDFRef>(),
      ExtGState: new Map<string, PDFRef>(),
      ColorSpace: new Map<string, PDFRef>(Object.entries(colourSpaces)),
      Properties: new Map<string, PDFRef>(),
    };
    const userUnit = userUnitFor(page.sheet);
    const content = pageContent(page.parts, page.sheet, userUnit, {
      purpose: request.purpose,
      font: request.font,
      resources: {
        font: (key, gid, glyphText) => {
          const font: UsedFont = fonts.get(key) ?? {
            name: `F${fonts.size + 1}`,
            ref: context.nextRef(),
            glyphs: new Map(),
          };
          fonts.set(key, font);
          if (glyphText !== '' || !font.glyphs.has(gid)) font.glyphs.set(gid, font.glyphs.get(gid) || glyphText);
          used.Font.set(font.name, font.ref);
          return font.name;
        },
        picture: (item) => {
          const picture = addPicture(item);
          used.XObject.set(picture.name, picture.ref);
          return picture.name;
        },
        state: (overprint, opacity) => {
          if (opacity < 1) transparent = true;
          const key = `${overprint}/${opacity}`;
          const gs = states.get(key) ?? {
            name: `Gs${states.size + 1}`,
            ref: add({ Type: 'ExtGState', OP: overprint, op: overprint, OPM: 1, ca: opacity, CA: opacity }),
          };
          states.set(key, gs);
          used.ExtGState.set(gs.name, gs.ref);
          return gs.name;
        },
        spot: ({ name, shown }) => {
          const space = spots.get(name) ?? { name: `CsSpot${spots.size + 1}`, ref: add(separation(name, shown)) };
          spots.set(name, space);
          used.ColorSpace.set(space.name, space.ref);
          return space.name;
        },
        layer: (layer) => {
          const group = layers.get(layer.name) ?? { name: `Oc${layers.size + 1}`, ref: add(optionalContent(layer)) };
          layers.set(layer.name, group);
          used.Properties.set(group.name, group.ref);
          return group.name;
        },
      },
    });
    const box = (r: Rect) => {
      const u = (mm: number) => mmToPt(mm) / userUnit;
      const left = u(r.x - page.sheet.x);
      const bottom = u(page.sheet.y + page.sheet.height - r.y - r.height);
      return [left, bottom, left + u(r.width), bottom + u(r.height)].map((v) => Math.round(v * 1e5) / 1e5);
    };
    const contents = stream({}, text(content));
    const blending = colourSpaces[SCREEN_SPACE] ?? 'DeviceCMYK';
    return add({
      Type: 'Page',
      Parent: pageTree,
      MediaBox: box(page.sheet),
      CropBox: box(page.sheet),
      BleedBox: box(page.bleed),
      TrimBox: box(page.trim),
      UserUnit: userUnit > 1 ? userUnit : undefined,
      Group: transparent ? { Type: 'Group', S: 'Transparency', CS: blending } : undefined,
      Contents: contents,
      Resources: {
        Font: Object.fromEntries(used.Font),
        XObject: Object.fromEntries(used.XObject),
        ExtGState: Object.fromEntries(used.ExtGState),
        ColorSpace: Object.fromEntries(used.ColorSpace),
        Properties: used.Properties.size > 0 ? Object.fromEntries(used.Properties) : undefined,
      },
    });
  });
  context.assign(pageTree, toDict(context, { Type: 'Pages', Kids: pages, Count: pages.length }));

  for (const [key, used] of fonts) {
    const font = request.font(key);
    if (font) embedFont(context, stream, request, key, font, used);
  }

  const press = request.purpose.kind === 'press';
  const { metadata, profile } = request;
  const metadataRef = addStream(
    context,
    { Type: 'Metadata', Subtype: 'XML' },
    text(xmp(metadata, press ? 'PDF/X-4' : undefined)),
  );
  const intent = {
    Type: 'OutputIntent',
    S: 'GTS_PDFX',
    OutputConditionIdentifier: PDFString.of(profile.condition),
    RegistryName: PDFString.of('http://www.color.org'),
    Info: PDFString.of(profile.about),
    DestOutputProfile: profileRef,
  };
  context.trailerInfo.Root = add({
    Type: 'Catalog',
    Pages: pageTree,
    Metadata: metadataRef,
    OutputIntents: press ? [intent] : undefined,
    OCProperties: layers.size > 0 ? optionalContents([...layers.values()].map((l) => l.ref)) : undefined,
    ViewerPreferences: { DisplayDocTitle: true },
  });
  const date = PDFString.of(pdfDate(metadata.at));
  context.trailerInfo.Info = add({
    Title: PDFHexString.fromText(metadata.title),
    Creator: PDFString.of(PRODUCER),
    Producer: PDFString.of(PRODUCER),
    CreationDate: date,
    ModDate: date,
    Trapped: PDFName.of('False'),
  });
  const id = PDFHexString.of(metadata.id);
  context.trailerInfo.ID = toObject(context, [id, id]);
  return PDFWriter.forContext(context, Infinity).serializeToBuffer();
}

/** A spot ink as a plate of its own, shown by a build where it is not printed. */
const separation = (name: string, shown: Build): Value => [
  'Separation',
  name,
  'DeviceCMYK',
  {
    FunctionType: 2,
    Domain: [0, 1],
    C0: [0, 0, 0, 0],
    C1: [shown.c / 100, shown.m / 100, shown.y / 100, shown.k / 100],
    N: 1,
  },
];

/** A layer with the processing step that it carries (ISO 19593-1; key names from memory). */
const optionalContent = ({ name, step }: ProcessLayer): Value => ({
  Type: 'OCG',
  Name: PDFHexString.fromText(name),
  Intent: 'View',
  GTS_Metadata: { GTS_ProcStepsGroup: step.group, GTS_ProcStepsType: step.type },
});

/** All layers listed and on. */
const optionalContents = (groups: readonly PDFRef[]): Value => ({
  OCGs: groups,
  D: { Name: PDFString.of('All layers'), Order: groups, ON: groups },
});

/** Adds a stream, deflated. */
type AddStream = (entries: { readonly [key: string]: Value | undefined }, bytes: Uint8Array) => PDFRef;

/** A composite font whose character codes are glyph ids, subset and with a way back to text. */
function embedFont(
  context: PDFContext,
  stream: AddStream,
  request: PdfRequest,
  key: string,
  font: ShapingFont,
  used: UsedFont,
): void {
  const gids = [...used.glyphs.keys()].sort((a, b) => a - b);
  const { facts } = font;
  const per = 1000 / font.unitsPerEm;
  const name = `${subsetTag(key, gids)}+${request.fontName(key)}`;
  const cff = facts.postscriptOutlines;
  const bytes = request.subset(key, gids);
  const file = cff
    ? { FontFile3: stream({ Subtype: 'OpenType' }, bytes) }
    : { FontFile2: stream({ Length1: bytes.length }, bytes) };
  const add = (value: Value): PDFRef => context.register(toObject(context, value));
  const descriptor = add({
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
  const descendant = add({
    Type: 'Font',
    Subtype: cff ? 'CIDFontType0' : 'CIDFontType2',
    BaseFont: name,
    CIDSystemInfo: { Registry: PDFString.of('Adobe'), Ordering: PDFString.of('Identity'), Supplement: 0 },
    FontDescriptor: descriptor,
    DW: 0,
    W: gids.flatMap((gid) => [gid, [pdfWidth(font, gid)]]),
    CIDToGIDMap: cff ? undefined : 'Identity',
  });
  const dict = toDict(context, {
    Type: 'Font',
    Subtype: 'Type0',
    BaseFont: name,
    Encoding: 'Identity-H',
    DescendantFonts: [descendant],
    ToUnicode: stream({}, utf8(toUnicode(used.glyphs))),
  });
  context.assign(used.ref, dict);
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
  const rows = [...glyphs].filter(([, s]) => s !== '').sort(([a], [b]) => a - b).map(([gid, s]) => `<${hex4(gid)}> <${utf16(s)}>`); // prettier-ignore
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

const encoder = new TextEncoder();
const utf8 = (s: string): Uint8Array => encoder.encode(s);
