import { PDFArray, PDFDocument, PDFStream, type PDFDict, type PDFObject, type PDFPage } from '@cantoo/pdf-lib';
import type { Rect } from '../core/geometry';
import type { FileFrame, PageFacts, ReadFile, UsedFont } from './painted';
import { dictOf, entry, listOf, name, nameText, numbersOf, resolved, unpacked, type Opened } from './pdf';
import { bytesOf, walkPage, type Gathering } from './walk';

/** A file that cannot be looked at; the message says why. */
export class NotReadable extends Error {}

/** More pages than this are not gone through [own]. */
const MOST_PAGES = 2000;

/**
 * Reads anybody’s PDF, from its bytes alone.
 * @throws NotReadable where it is no PDF, or is closed by a password
 */
export async function readFile(bytes: Uint8Array): Promise<ReadFile> {
  const document = await opened(bytes);
  if (document.isEncrypted) throw new NotReadable('The file is protected: nobody but its owner can look into it.');
  const file: Opened = { document };
  const gathering: Gathering = { file, painted: [], unseen: [], laid: new Map(), fonts: new Map(), unreadable: [] };
  const pages = pagesOf(document);
  if (pages.length === 0) throw new NotReadable('The file has no page.');
  if (pages.length > MOST_PAGES)
    throw new NotReadable(`The file has ${pages.length} pages; up to ${MOST_PAGES} are read.`);
  const facts = pages.map((page) => factsOf(file, page));
  pages.forEach((page, i) => {
    const { media } = facts[i] ?? {};
    const content = contentOf(gathering, page, i + 1);
    if (media) walkPage(gathering, content, page.node.Resources() ?? document.context.obj({}), i + 1, media);
  });
  const { catalog } = document;
  return {
    version: /%PDF-(\d\.\d)/.exec(Buffer.from(bytes.subarray(0, 1024)).toString('latin1'))?.[1] ?? '',
    pages: facts,
    painted: gathering.painted,
    unseen: gathering.unseen,
    fonts: [...gathering.fonts].map(([font, on]) => usedFont(file, font, [...on])),
    intent: intentOf(file),
    frame: frameOf(file),
    hasScripts: hasScripts(file),
    hasForms: listOf(file, dictOf(file, catalog.get(name('AcroForm')))?.get(name('Fields'))).length > 0,
    layers: layersOf(file),
    unreadable: gathering.unreadable,
  };
}

async function opened(bytes: Uint8Array): Promise<PDFDocument> {
  try {
    return await PDFDocument.load(bytes, { updateMetadata: false, ignoreEncryption: true });
  } catch {
    throw new NotReadable('This is not a PDF, or it is damaged.');
  }
}

function pagesOf(document: PDFDocument): readonly PDFPage[] {
  try {
    return document.getPages();
  } catch {
    throw new NotReadable('The pages of the file cannot be found: it is damaged.');
  }
}

/** The content of a page; where it lies in several streams they are one (ISO 32000-1, 7.8.2). */
function contentOf(gathering: Gathering, page: PDFPage, number: number): Uint8Array {
  const found = resolved(gathering.file, page.node.get(name('Contents')));
  const streams = found instanceof PDFArray ? listOf(gathering.file, found) : [found];
  const parts = streams.flatMap((stream) => {
    const bytes = stream instanceof PDFStream ? bytesOf(gathering, stream, number) : undefined;
    return bytes ? [Buffer.from(bytes), Buffer.from('\n')] : [];
  });
  return Buffer.concat(parts);
}

function rectIn(numbers: readonly number[]): Rect | undefined {
  const [x0, y0, x1, y1] = numbers;
  if (x0 === undefined || y0 === undefined || x1 === undefined || y1 === undefined) return undefined;
  return { x: Math.min(x0, x1), y: Math.min(y0, y1), width: Math.abs(x1 - x0), height: Math.abs(y1 - y0) };
}

function factsOf(file: Opened, page: PDFPage): PageFacts {
  const { node } = page;
  const own = (key: string) => rectIn(numbersOf(file, node.getInheritableAttribute(name(key))));
  const media = own('MediaBox') ?? { x: 0, y: 0, width: 612, height: 792 };
  const annotations = listOf(file, node.get(name('Annots'))).flatMap((object) => {
    const dict = dictOf(file, object);
    const box = rectIn(numbersOf(file, dict?.get(name('Rect'))));
    return dict && box ? [{ kind: nameText(entry(file, dict, 'Subtype')) ?? '', box }] : [];
  });
  return { media, bleed: own('BleedBox'), trim: own('TrimBox'), rotate: page.getRotation().angle, annotations };
}

/** Whether a font comes with the file (ISO 32000-1, 9.9). Type 3 draws itself. */
function usedFont(file: Opened, font: PDFDict, pages: readonly number[]): UsedFont {
  const inner = dictOf(file, listOf(file, font.get(name('DescendantFonts')))[0]) ?? font;
  const descriptor = dictOf(file, inner.get(name('FontDescriptor')));
  const isType3 = nameText(entry(file, font, 'Subtype')) === 'Type3';
  const isEmbedded = isType3 || ['FontFile', 'FontFile2', 'FontFile3'].some((key) => descriptor?.has(name(key)));
  return { name: nameText(entry(file, font, 'BaseFont')) ?? 'a font without a name', isEmbedded, pages };
}

function intentOf(file: Opened): string | undefined {
  const [intent] = listOf(file, file.document.catalog.get(name('OutputIntents')));
  const dict = dictOf(file, intent);
  if (!dict) return undefined;
  const said = entry(file, dict, 'OutputConditionIdentifier') ?? entry(file, dict, 'OutputCondition');
  return String(said ?? '').replace(/^\(|\)$/g, '');
}

/** The file as a whole (ISO 15930-7, 6.2 to 6.7, from memory). */
function frameOf(file: Opened): FileFrame {
  const { catalog, context } = file.document;
  const { Info: about, ID: id } = context.trailerInfo;
  const info = dictOf(file, about);
  const [intent] = listOf(file, catalog.get(name('OutputIntents')));
  const dict = dictOf(file, intent);
  const metadata = resolved(file, catalog.get(name('Metadata')));
  const xmp = metadata instanceof PDFStream ? Buffer.from(unpacked(metadata)).toString('utf8') : '';
  const names = dictOf(file, catalog.get(name('Names')));
  return {
    claims:
      /GTS_PDFXVersion(?:>|=["'])\s*([^<"']{1,40})/.exec(xmp)?.[1]?.trim() ??
      textOf(info?.get(name('GTS_PDFXVersion'))),
    hasId: listOf(file, id).length === 2,
    hasProfile: dict?.has(name('DestOutputProfile')) === true || textOf(dict?.get(name('RegistryName'))) !== undefined,
    saysTrapped: info?.has(name('Trapped')) === true || /pdf:Trapped/.test(xmp),
    hasFiles: names?.has(name('EmbeddedFiles')) === true,
  };
}

const textOf = (object: PDFObject | undefined): string | undefined =>
  object === undefined ? undefined : String(object).replace(/^[(/]|\)$/g, '');

/** Scripts of the document, and of its names (ISO 32000-1, 12.6.4.16). */
function hasScripts(file: Opened): boolean {
  const { catalog } = file.document;
  const isScript = (object: PDFObject | undefined) => nameText(entry(file, dictOf(file, object), 'S')) === 'JavaScript';
  const names = dictOf(file, catalog.get(name('Names')));
  return isScript(catalog.get(name('OpenAction'))) || names?.has(name('JavaScript')) === true;
}

function layersOf(file: Opened): ReadFile['layers'] {
  const content = dictOf(file, file.document.catalog.get(name('OCProperties')));
  const usual = dictOf(file, content?.get(name('D')));
  const off = new Set(listOf(file, usual?.get(name('OFF'))));
  return listOf(file, content?.get(name('OCGs'))).flatMap((object) => {
    const dict = dictOf(file, object);
    const title = dict && entry(file, dict, 'Name');
    return dict ? [{ name: String(title ?? '').replace(/^\(|\)$/g, ''), isOn: !off.has(object) }] : [];
  });
}
