import { PDFArray, PDFDict, PDFHexString, PDFName, PDFStream, PDFString } from '@cantoo/pdf-lib';
import { DOMParser } from '@xmldom/xmldom';
import { dictOf, entry, listOf, name, numbersOf, reachable, unpacked, type OpenFile } from './reader';

const textIn = (object: unknown): string | undefined =>
  object instanceof PDFString || object instanceof PDFHexString ? object.decodeText() : undefined;

/** Header, trailer, what a catalog may not have (ISO 15930-7, 6.1 and 6.14, from memory). */
export function checkTrailer(file: OpenFile): void {
  const { bytes, document, say } = file;
  const head = Buffer.from(bytes.subarray(0, 1024)).toString('latin1');
  if (!/^%PDF-1\.[3-6]\s/.test(head)) say('header', 'is not of PDF 1.3 to 1.6');
  if (!/^%PDF[^\r\n]*[\r\n]+%[\x80-\xff]{4}/.test(head)) say('header', 'no four bytes above 127 in a comment after it');
  const { trailerInfo } = document.context;
  const ids = listOf(file, trailerInfo.ID);
  if (
    ids.length !== 2 ||
    ids.some((id) => !(id instanceof PDFString || id instanceof PDFHexString) || id.asBytes().length < 16)
  )
    say('identifier', 'two strings of sixteen bytes are wanted');
  if (trailerInfo.Encrypt) say('encryption', 'a press file is open');
  const { catalog } = document;
  for (const key of ['OpenAction', 'AA', 'AcroForm', 'Collection', 'Perms', 'Legal', 'URI', 'Requirements'])
    if (catalog.has(name(key))) say('catalog', `/${key} has no place in a press file`);
  const names = dictOf(file, catalog.get(name('Names')));
  for (const key of ['JavaScript', 'EmbeddedFiles', 'AlternatePresentations'])
    if (names?.has(name(key))) say('catalog', `/Names holds /${key}`);
}

/** Document information and XMP say the same (ISO 15930-7, 6.3, from memory). */
export function checkMetadata(file: OpenFile): void {
  const { document, say } = file;
  const info = dictOf(file, document.context.trailerInfo.Info);
  const title = textIn(entry(file, info, 'Title'));
  const trapped = entry(file, info, 'Trapped');
  if (title === undefined || title === '') say('information', 'no title');
  for (const key of ['CreationDate', 'ModDate'])
    if (!/^D:\d{14}(Z|[+-]\d\d'\d\d'?)$/.test(textIn(entry(file, info, key)) ?? ''))
      say('information', `/${key} is no date`);
  if (trapped !== name('True') && trapped !== name('False')) say('information', '/Trapped is neither True nor False');
  const stream = entry(file, document.catalog, 'Metadata');
  if (!(stream instanceof PDFStream)) return say('metadata', 'no XMP');
  if (stream.dict.has(name('Filter'))) say('metadata', 'XMP is packed');
  const xml = new TextDecoder().decode(stream.getContents());
  if (
    !/^<\?xpacket begin="\ufeff?" id="W5M0MpCehiHzreSzNTczkc9d"\?>/.test(xml) ||
    !/<\?xpacket end="[rw]"\?>\s*$/.test(xml)
  )
    say('metadata', 'XMP does not stand in its packet');
  const read = readXmp(xml);
  if (!read) return say('metadata', 'XMP is not well-formed');
  if (read('GTS_PDFXVersion') !== 'PDF/X-4') say('conformance', 'XMP does not name PDF/X-4');
  if (read('title') !== title) say('metadata', 'the title is another than in the document information');
  if (read('Trapped') !== (trapped instanceof PDFName ? trapped.decodeText() : undefined))
    say('metadata', 'trapping is said in two ways');
  for (const [key, twin] of [
    ['CreateDate', 'CreationDate'],
    ['ModifyDate', 'ModDate'],
  ] as const) {
    const [mine, theirs] = [read(key), textIn(entry(file, info, twin))];
    if (!mine || !theirs || digits(mine) !== digits(theirs)) say('metadata', `${key} is not ${twin}`);
  }
  for (const key of ['DocumentID', 'VersionID', 'RenditionClass', 'MetadataDate'])
    if (!read(key)) say('metadata', `no ${key}`);
}

const digits = (date: string): string => date.replace(/\D/g, '').slice(0, 14);

/** Values of an XMP packet by the local names of their elements; undefined when it cannot be read. */
function readXmp(xml: string): ((key: string) => string | undefined) | undefined {
  try {
    const document = new DOMParser({
      onError: (level, message) => {
        if (level !== 'warning') throw new Error(message);
      },
    }).parseFromString(xml, 'text/xml');
    return (key) => document.getElementsByTagNameNS('*', key)[0]?.textContent ?? undefined;
  } catch {
    return undefined;
  }
}

/** One output intent, with a profile of a press (ISO 15930-7, 6.2.2, from memory). */
export function checkIntent(file: OpenFile): void {
  const { document, say } = file;
  const intents = listOf(file, document.catalog.get(name('OutputIntents'))).map((o) => dictOf(file, o));
  const ours = intents.filter((intent) => entry(file, intent, 'S') === name('GTS_PDFX'));
  if (ours.length !== 1) return say('output intent', `${ours.length} of them for PDF/X`);
  const [intent] = ours;
  if (!textIn(entry(file, intent, 'OutputConditionIdentifier'))) say('output intent', 'no identifier of the condition');
  const profile = entry(file, intent, 'DestOutputProfile');
  if (!(profile instanceof PDFStream)) return say('output intent', 'no profile');
  if (Number(String(entry(file, profile.dict, 'N'))) !== 4) say('output intent', 'its profile is not for four inks');
  const icc = unpacked(profile);
  const tag = (at: number) => Buffer.from(icc.subarray(at, at + 4)).toString('latin1');
  if (tag(36) !== 'acsp') return say('output intent', 'its profile is no ICC profile');
  if (tag(12) !== 'prtr' || tag(16) !== 'CMYK') say('output intent', 'its profile is not of a press in CMYK');
  if (new DataView(icc.buffer, icc.byteOffset).getUint32(0) !== icc.length)
    say('output intent', 'its profile is cut short');
}

const inside = (inner: readonly number[], outer: readonly number[]): boolean =>
  inner.length === 4 &&
  outer.length === 4 &&
  (inner[0] ?? 0) >= (outer[0] ?? 0) - 0.005 &&
  (inner[1] ?? 0) >= (outer[1] ?? 0) - 0.005 &&
  (inner[2] ?? 0) <= (outer[2] ?? 0) + 0.005 &&
  (inner[3] ?? 0) <= (outer[3] ?? 0) + 0.005;

const hasSize = ([a = 0, b = 0, c = 0, d = 0]: readonly number[]): boolean => c > a && d > b;

/** Boxes of every page, one in the other; nothing that acts (ISO 15930-7, 6.5 and 6.6, from memory). */
export function checkPages(file: OpenFile): void {
  const { document, say } = file;
  document.getPages().forEach((page, i) => {
    const where = `page ${i + 1}`;
    const box = (key: string) => numbersOf(file, page.node.get(name(key)));
    const media = box('MediaBox');
    const [bleed, trim, crop] = ['BleedBox', 'TrimBox', 'CropBox'].map(box) as [number[], number[], number[]];
    if (!hasSize(media)) say('boxes', `${where}: no media box`);
    if (!hasSize(trim)) say('boxes', `${where}: no trim box`);
    if (page.node.has(name('ArtBox'))) say('boxes', `${where}: an art box beside the trim box`);
    if (!hasSize(bleed)) say('boxes', `${where}: no bleed box`);
    if (!inside(trim, bleed)) say('boxes', `${where}: the trim reaches out of the bleed`);
    if (!inside(bleed, media)) say('boxes', `${where}: the bleed reaches out of the sheet`);
    if (crop.length > 0 && !inside(trim, crop)) say('boxes', `${where}: the trim reaches out of the crop box`);
    for (const key of ['AA', 'PresSteps', 'Annots']) if (page.node.has(name(key))) say('page', `${where}: /${key}`);
    const unit = page.node.get(name('UserUnit'));
    if (unit !== undefined && !(Number(String(unit)) > 0)) say('boxes', `${where}: a user unit that is none`);
  });
}

/** Layers are listed, and nothing switches them behind the printer’s back (ISO 15930-7, 6.9, from memory). */
export function checkLayers(file: OpenFile): void {
  const { document, say } = file;
  const layers = dictOf(file, document.catalog.get(name('OCProperties')));
  const groups = [...reachable(file)].filter(
    (o): o is PDFDict => o instanceof PDFDict && o.get(name('Type')) === name('OCG'),
  );
  if (!layers) {
    if (groups.length > 0) say('layers', 'groups without a list of them');
    return;
  }
  const listed = new Set(listOf(file, layers.get(name('OCGs'))));
  for (const group of groups) {
    if (!listed.has(group)) say('layers', 'a group is not listed');
    if (textIn(entry(file, group, 'Name')) === undefined) say('layers', 'a group has no name');
  }
  const usual = dictOf(file, layers.get(name('D')));
  if (!usual) return say('layers', 'no usual configuration');
  if (!textIn(entry(file, usual, 'Name'))) say('layers', 'the configuration has no name');
  if (usual.has(name('AS'))) say('layers', 'layers are switched by themselves');
  const order = entry(file, usual, 'Order');
  if (order !== undefined && !(order instanceof PDFArray)) say('layers', 'their order is none');
}
