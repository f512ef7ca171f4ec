import { PDFContext, PDFHexString, type PDFRef } from '@cantoo/pdf-lib';
import { leavesOf, spotsIn, type Item, type PageItem, type PictureItem, type SoftMask } from '../../core/drawing';
import type { Rect } from '../../core/layout';
import { mmToPt } from '../../core/measure';
import { isFlat, itemsOfPart, pageContent, type PagePart, type Purpose } from './content';
import { embedFont, type FontSource } from './fonts';
import { openForeign, setDown, type ForeignDocument, type SetDown } from './foreign-page';
import { spotName, type Neutral, type SpotBook } from './neutralise';
import { FileWriter } from './file-writer';
import { textString, toObject, utf8, type Value } from './objects';
import { PRODUCER, pdfDate, xmp, type Metadata } from './metadata';
import { separation } from './spaces';
import { ResourcePool, type EncodedMask, type EncodedPicture } from './resources';

/** One page: what is drawn and its boxes, mm from the trimmed top-left corner. */
export interface PdfPage {
  readonly parts: readonly PagePart[];
  readonly trim: Rect;
  readonly bleed: Rect;
  /** The whole sheet, marks and slug included. */
  readonly sheet: Rect;
  /** What a reader calls the page: the number that it carries, or a name. Left out, its place in the file. */
  readonly label?: number | string;
}

export interface PdfRequest extends FontSource {
  readonly pages: readonly PdfPage[];
  /**
   * Pages beyond those, made when they are wanted. The documents that they show and the inks that they print are among
   * those of `like`.
   */
  readonly further?: { readonly pages: AsyncIterable<PdfPage>; readonly like: readonly PdfPage[] };
  readonly purpose: Purpose;
  readonly metadata: Metadata;
  /** The output profile of a press file, or sRGB for a screen file. */
  readonly profile: { readonly bytes: Uint8Array; readonly condition: string | undefined; readonly about: string };
  /** By which untagged RGB of other people’s pages is understood. */
  readonly srgb: Uint8Array;
  /** The encoding of a picture; the same object for the same pixels. */
  readonly picture: (item: PictureItem) => EncodedPicture;
  readonly softMask: (mask: SoftMask) => EncodedMask;
  /** Bytes of a document by its hash. */
  readonly document: (sha: string) => Uint8Array;
  readonly deflate: (bytes: Uint8Array) => Uint8Array;
}

/** Largest side of a page without a user unit: 200 in (PDF 1.6, annex C). */
const LARGEST = 14_400;

/** Points that a user space unit has to stand for so that the sheet fits into a page. */
export const userUnitFor = (sheet: Rect): number =>
  Math.max(1, Math.ceil(mmToPt(Math.max(sheet.width, sheet.height)) / LARGEST));

/**
 * Writes a PDF 1.6: for the press one that follows PDF/X-4 (ISO 15930-7), for the screen a plain one. A flat one for
 * the press is a PDF 1.4 that follows PDF/X-1a (ISO 15930-4); what it shows must not mix.
 * The same request gives the same bytes.
 */
export async function writePdf(request: PdfRequest): Promise<Uint8Array> {
  const parts: Uint8Array[] = [];
  for await (const part of pdfParts(request)) parts.push(part);
  const bytes = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0));
  let at = 0;
  for (const part of parts) {
    bytes.set(part, at);
    at += part.length;
  }
  return bytes;
}

/** Bytes that are gathered before they are given out. */
const PART = 256 * 1024;

/** The same file in parts, as it is written: the pages of a long one are asked for one after the other. */
export async function* pdfParts(request: PdfRequest): AsyncGenerator<Uint8Array, void> {
  const context = PDFContext.create();
  const flat = isFlat(request.purpose);
  const writer = new FileWriter(context, request.deflate, flat ? '1.4' : '1.6');
  const press = request.purpose.kind === 'press';
  const profileRef = writer.stream({ N: press ? 4 : 3 }, request.profile.bytes);
  const pool = await poolFor(request, { context, writer, profileRef });

  const pageTree = writer.reserve();
  const pages: PDFRef[] = [];
  const labels: PdfPage['label'][] = [];
  const write = (page: PdfPage): void => {
    pages.push(writePage(page, pageTree, writer, pool));
    labels.push(page.label);
  };
  for (const page of request.pages) write(page);
  for await (const page of request.further?.pages ?? []) {
    write(page);
    if (writer.ready > PART) yield writer.taken();
  }
  writer.put(pageTree, { Type: 'Pages', Kids: pages, Count: pages.length });

  for (const [key, used] of pool.fonts) {
    const font = request.font(key);
    if (font) embedFont(writer, request, key, font, used, flat);
  }

  const { metadata, profile } = request;
  const metadataRef = writer.encoded(
    { Type: 'Metadata', Subtype: 'XML' },
    utf8(xmp(metadata, press && !flat ? 'PDF/X-4' : undefined)),
  );
  const intent = {
    Type: 'OutputIntent',
    S: 'GTS_PDFX',
    // ISO 15930-7: a condition that no registry lists is told by the profile alone.
    OutputConditionIdentifier: textString(profile.condition ?? 'Custom'),
    ...(profile.condition !== undefined && { RegistryName: textString('http://www.color.org') }),
    Info: textString(profile.about),
    DestOutputProfile: profileRef,
  };
  const own = [...pool.layers.values()].map((l) => l.ref);
  const Root = writer.add({
    Type: 'Catalog',
    Pages: pageTree,
    Metadata: metadataRef,
    OutputIntents: press ? [intent] : undefined,
    OCProperties:
      own.length + pool.shownLayers.size + pool.hiddenLayers.size > 0
        ? layerList(own, [...pool.shownLayers], [...pool.hiddenLayers])
        : undefined,
    PageLabels: pageLabels(labels),
    ViewerPreferences: { DisplayDocTitle: true },
  });
  const date = textString(pdfDate(metadata.at));
  const Info = writer.add({
    Title: textString(metadata.title),
    Creator: textString(PRODUCER),
    Producer: textString(PRODUCER),
    CreationDate: date,
    ModDate: date,
    Trapped: 'False',
    // ISO 15930-4, 6.13, from memory; PDF/X-4 is named in the metadata instead.
    GTS_PDFXVersion: flat ? textString('PDF/X-1a:2003') : undefined,
  });
  const id = PDFHexString.of(metadata.id);
  writer.end({ Root, Info, ID: [id, id] });
  yield writer.taken();
}

interface Opened {
  readonly context: PDFContext;
  readonly writer: FileWriter;
  readonly profileRef: PDFRef;
}

/** What content names, with the documents of other people opened. */
async function poolFor(request: PdfRequest, { context, writer, profileRef }: Opened): Promise<ResourcePool> {
  const { deflate } = request;
  const foreign = await openDocuments(request, context);
  const neutral: Neutral | undefined =
    foreign.size > 0
      ? {
          context,
          rgb: ['ICCBased', writer.stream({ N: 3 }, request.srgb)],
          spots: ownSpots(request, context),
          deflate,
        }
      : undefined;
  const pool: ResourcePool = new ResourcePool(writer, {
    purpose: request.purpose,
    profileRef,
    picture: request.picture,
    softMask: request.softMask,
    font: request.font,
    page: (item): SetDown => {
      const document = foreign.get(item.document);
      if (!document || !neutral) throw new Error('A document was not opened.');
      return setDown(document, item, neutral, pool.blending);
    },
  });
  return pool;
}

function writePage(page: PdfPage, pageTree: PDFRef, writer: FileWriter, pool: ResourcePool): PDFRef {
  const { sheet } = page;
  const userUnit = userUnitFor(sheet);
  const { context: content, dictionary } = pool.open();
  const drawn = pageContent(page.parts, sheet, userUnit, content);
  const box = (r: Rect) => {
    const u = (mm: number) => mmToPt(mm) / userUnit;
    const left = u(r.x - sheet.x);
    const bottom = u(sheet.y + sheet.height - r.y - r.height);
    return [left, bottom, left + u(r.width), bottom + u(r.height)].map((v) => Math.round(v * 1e5) / 1e5);
  };
  return writer.add({
    Type: 'Page',
    Parent: pageTree,
    MediaBox: box(sheet),
    CropBox: box(sheet),
    BleedBox: box(page.bleed),
    TrimBox: box(page.trim),
    UserUnit: userUnit > 1 ? userUnit : undefined,
    Group: pool.transparent ? { Type: 'Group', S: 'Transparency', CS: pool.blending } : undefined,
    Contents: writer.stream({}, utf8(drawn)),
    Resources: dictionary(),
  });
}

const itemsOfPages = ({ pages, further }: PdfRequest): readonly Item[] =>
  [...pages, ...(further?.like ?? [])].flatMap(({ parts }) => parts.flatMap(itemsOfPart));

/** Every document that a page speaks of. */
async function openDocuments(request: PdfRequest, context: PDFContext): Promise<ReadonlyMap<string, ForeignDocument>> {
  const items = leavesOf(itemsOfPages(request));
  const names = new Set(items.filter((i): i is PageItem => i.kind === 'page').map((i) => i.document));
  const opened = new Map<string, ForeignDocument>();
  for (const name of names) opened.set(name, await openForeign(request.document(name), context));
  return opened;
}

/** The labels of pages as ranges that count on (ISO 32000-1, 12.4.2). */
function pageLabels(said: readonly PdfPage['label'][]): Value | undefined {
  if (said.every((label) => label === undefined)) return undefined;
  const labels = said.map((label, i) => label ?? i + 1);
  const ranges = labels.flatMap((label, i): readonly Value[] => {
    if (typeof label === 'string') return [i, { P: textString(label) }];
    const before = labels[i - 1];
    return typeof before === 'number' && before + 1 === label ? [] : [i, { S: 'D', St: label }];
  });
  return { Nums: ranges };
}

/** Our own layers on; those of other people’s pages as they print, and locked. */
const layerList = (own: readonly PDFRef[], shown: readonly PDFRef[], hidden: readonly PDFRef[]): Value => ({
  OCGs: [...own, ...shown, ...hidden],
  D: {
    Name: textString('All layers'),
    Order: own,
    ON: [...own, ...shown],
    ...(hidden.length > 0 && { OFF: hidden }),
    ...(shown.length + hidden.length > 0 && { Locked: [...shown, ...hidden] }),
  },
});

/** The spot inks that we print with, as we show them: other people’s pages show them so too. */
function ownSpots(request: PdfRequest, context: PDFContext): SpotBook {
  const items = itemsOfPages(request);
  const book: SpotBook = new Map();
  for (const spot of spotsIn(items)) {
    const [, , alternate, transform] = separation(spot);
    book.set(spotName(spot.name), {
      alternate: toObject(context, alternate),
      transform: toObject(context, transform),
    });
  }
  return book;
}
