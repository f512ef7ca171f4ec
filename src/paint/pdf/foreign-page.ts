import {
  PDFArray,
  PDFDict,
  PDFDocument,
  PDFName,
  PDFObjectCopier,
  PDFRawStream,
  PDFRef,
  PDFStream,
  decodePDFRawStream,
  type PDFContext,
  type PDFPage,
} from '@cantoo/pdf-lib';
import { addStream, toObject, type Value } from './objects';

/** Somebody else’s document, ready for its pages to be set down in one that is being written. */
export interface ForeignDocument {
  readonly document: PDFDocument;
  readonly copier: PDFObjectCopier;
}

export async function openForeign(bytes: Uint8Array, into: PDFContext): Promise<ForeignDocument> {
  const document = await PDFDocument.load(bytes, { ignoreEncryption: false, updateMetadata: false });
  return { document, copier: PDFObjectCopier.for(document.context, into) };
}

/** The box of a page that is shown: its trim box, or what stands in for it. */
export const shownBox = (page: PDFPage): { x: number; y: number; width: number; height: number } => page.getTrimBox();

/** What a page that was set down brings with it. */
export interface SetDown {
  readonly form: PDFRef;
  /** Layers of the document that are off; they stay off. */
  readonly hidden: readonly PDFRef[];
  readonly transparent: boolean;
}

/**
 * A page as a form that fills the unit square, its vectors kept. Only its content and what that draws with come along:
 * no annotations, actions or attached files.
 * @param srgb the profile by which untagged RGB in it is understood
 */
export function setDown(
  { document, copier }: ForeignDocument,
  number: number,
  into: PDFContext,
  srgb: PDFRef,
  deflate: (bytes: Uint8Array) => Uint8Array,
): SetDown {
  const page = document.getPage(number - 1);
  const content = contentOf(page);
  const resources = page.node.Resources();
  const copied = resources ? copier.copy(resources) : PDFDict.withContext(into);
  tagRgb(copied, into, srgb, new Set());
  const group = page.node.lookupMaybe(PDFName.of('Group'), PDFDict);
  const box = shownBox(page);
  const form = addStream(
    into,
    {
      Type: 'XObject',
      Subtype: 'Form',
      BBox: [box.x, box.y, box.x + box.width, box.y + box.height],
      Matrix: toUnitSquare(box, page.getRotation().angle),
      Group: group ? copier.copy(group) : undefined,
      Resources: copied,
      Filter: 'FlateDecode',
    },
    deflate(content),
  );
  return { form, hidden: hiddenLayers(document, copier), transparent: group !== undefined };
}

/** From the page’s points to the unit square as it is shown, turned as the page asks (clockwise, ISO 32000-1, 7.7.3.3). */
function toUnitSquare(box: { x: number; y: number; width: number; height: number }, rotate: number): readonly number[] {
  const { x, y, width: w, height: h } = box;
  switch (((rotate % 360) + 360) % 360) {
    case 90:
      return [0, -1 / w, 1 / h, 0, -y / h, 1 + x / w];
    case 180:
      return [-1 / w, 0, 0, -1 / h, 1 + x / w, 1 + y / h];
    case 270:
      return [0, 1 / w, -1 / h, 0, 1 + y / h, -x / w];
    default:
      return [1 / w, 0, 0, 1 / h, -x / w, -y / h];
  }
}

/** The content streams of a page, decoded and joined as if they were one. */
function contentOf(page: PDFPage): Uint8Array {
  const contents = page.node.Contents();
  const streams =
    contents instanceof PDFArray
      ? contents.asArray().map((entry) => page.node.context.lookup(entry))
      : contents
        ? [contents]
        : [];
  const parts = streams.flatMap((stream) =>
    stream instanceof PDFRawStream
      ? [decodePDFRawStream(stream).decode()]
      : stream instanceof PDFStream
        ? [stream.getContents()]
        : [],
  );
  const joined = new Uint8Array(parts.reduce((sum, part) => sum + part.length + 1, 0));
  let at = 0;
  for (const part of parts) {
    joined.set(part, at);
    at += part.length;
    joined[at] = 10;
    at += 1;
  }
  return joined;
}

/** Says by which profile untagged RGB is meant, in these resources and in those of every form they name (ISO 32000-1, 8.6.5.6). */
function tagRgb(resources: PDFDict, into: PDFContext, srgb: PDFRef, seen: Set<PDFDict>): void {
  if (seen.has(resources)) return;
  seen.add(resources);
  const spaces = resources.lookupMaybe(PDFName.of('ColorSpace'), PDFDict) ?? PDFDict.withContext(into);
  const meant: Value = ['ICCBased', srgb];
  if (!spaces.has(PDFName.of('DefaultRGB'))) spaces.set(PDFName.of('DefaultRGB'), toObject(into, meant));
  resources.set(PDFName.of('ColorSpace'), spaces);
  const forms = resources.lookupMaybe(PDFName.of('XObject'), PDFDict);
  for (const [, value] of forms?.entries() ?? []) {
    const form = into.lookup(value);
    const inner = form instanceof PDFStream ? form.dict.lookupMaybe(PDFName.of('Resources'), PDFDict) : undefined;
    if (inner) tagRgb(inner, into, srgb, seen);
  }
}

/** Layers that the document opens with switched off. */
function hiddenLayers(document: PDFDocument, copier: PDFObjectCopier): readonly PDFRef[] {
  const layers = document.catalog.lookupMaybe(PDFName.of('OCProperties'), PDFDict);
  const usual = layers?.lookupMaybe(PDFName.of('D'), PDFDict);
  const off = usual?.lookupMaybe(PDFName.of('OFF'), PDFArray);
  return off?.asArray().flatMap((ref) => (ref instanceof PDFRef ? [copier.copy(ref)] : [])) ?? [];
}
