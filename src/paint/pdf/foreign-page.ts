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
import { shownBox, type PageItem } from '../../core/drawing';
import { edges, type Rect } from '../../core/layout';
import { neutralise, type Neutral } from './neutralise';
import { addStream, type Value } from './objects';

/** Somebody else’s document, ready for its pages to be set down in one that is being written. */
export interface ForeignDocument {
  readonly document: PDFDocument;
  readonly copier: PDFObjectCopier;
}

export async function openForeign(bytes: Uint8Array, into: PDFContext): Promise<ForeignDocument> {
  const document = await PDFDocument.load(bytes, { ignoreEncryption: false, updateMetadata: false });
  return { document, copier: PDFObjectCopier.for(document.context, into) };
}

/** What a page that was set down brings with it. */
export interface SetDown {
  readonly form: PDFRef;
  /** Layers of the document that are seen, and those that are not, when it is printed. */
  readonly shown: readonly PDFRef[];
  readonly hidden: readonly PDFRef[];
}

/**
 * A page as a form that fills the unit square, its vectors kept. Only its content and what that draws with come along:
 * no annotations, actions or attached files. It is a group of its own, so that it can be laid on as one and mixes with
 * nothing but itself; its graphics state begins as a page’s does.
 * @param beyond   how far it is seen beyond its trim box, mm of the page as it is shown
 * @param blending the space in which it mixes where it does not say one
 */
export function setDown(
  { document, copier }: ForeignDocument,
  { page: number, beyond = edges(0) }: Pick<PageItem, 'page' | 'beyond'>,
  neutral: Neutral,
  blending: Value,
): SetDown {
  const { context, deflate } = neutral;
  const page = document.getPage(number - 1);
  const content = contentOf(page);
  const resources = page.node.Resources();
  const copied = resources ? copier.copy(resources) : PDFDict.withContext(context);
  const group = page.node.lookupMaybe(PDFName.of('Group'), PDFDict);
  const box = shownBox({ trim: page.getTrimBox(), rotate: page.getRotation().angle }, beyond);
  const form = addStream(
    context,
    {
      Type: 'XObject',
      Subtype: 'Form',
      BBox: [box.x, box.y, box.x + box.width, box.y + box.height],
      Matrix: toUnitSquare(box, page.getRotation().angle),
      Group: group ? copier.copy(group) : { Type: 'Group', S: 'Transparency', CS: blending, I: true },
      Resources: copied,
      Filter: 'FlateDecode',
    },
    deflate(content),
  );
  neutralise(form, neutral);
  return { form, ...layersOf(document, copier) };
}

/**
 * From the page’s points to the unit square as it is shown, turned as the page asks (clockwise, ISO 32000-1 7.7.3.3).
 */
function toUnitSquare(box: Rect, rotate: number): readonly number[] {
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

/**
 * Layers of a document as they are when it is printed: on or off as it opens, and then as each says of print where the
 * document lets that decide (ISO 32000-1, 8.11.4.4).
 */
function layersOf(document: PDFDocument, copier: PDFObjectCopier): Pick<SetDown, 'shown' | 'hidden'> {
  const layers = document.catalog.lookupMaybe(PDFName.of('OCProperties'), PDFDict);
  const usual = layers?.lookupMaybe(PDFName.of('D'), PDFDict);
  if (!layers || !usual) return { shown: [], hidden: [] };
  const listed = (dict: PDFDict, key: string): readonly PDFRef[] =>
    dict
      .lookupMaybe(PDFName.of(key), PDFArray)
      ?.asArray()
      .filter((entry): entry is PDFRef => entry instanceof PDFRef) ?? [];
  const startsOff = usual.lookup(PDFName.of('BaseState')) === PDFName.of('OFF');
  const [on, off] = [new Set(listed(usual, 'ON')), new Set(listed(usual, 'OFF'))];
  const printed = printedBy(usual, document.context);
  const isShown = (layer: PDFRef): boolean => printed.get(layer) ?? (startsOff ? on.has(layer) : !off.has(layer));
  const all = listed(layers, 'OCGs');
  return {
    shown: all.filter(isShown).map((layer) => copier.copy(layer)),
    hidden: all.filter((layer) => !isShown(layer)).map((layer) => copier.copy(layer)),
  };
}

/** Layers of which the document says by itself whether they print. */
function printedBy(usual: PDFDict, context: PDFContext): ReadonlyMap<PDFRef, boolean> {
  const found = new Map<PDFRef, boolean>();
  for (const entry of usual.lookupMaybe(PDFName.of('AS'), PDFArray)?.asArray() ?? []) {
    const rule = context.lookup(entry);
    if (!(rule instanceof PDFDict) || rule.lookup(PDFName.of('Event')) !== PDFName.of('Print')) continue;
    for (const layer of rule.lookupMaybe(PDFName.of('OCGs'), PDFArray)?.asArray() ?? []) {
      const group = layer instanceof PDFRef ? context.lookup(layer) : undefined;
      const usage = group instanceof PDFDict ? group.lookupMaybe(PDFName.of('Usage'), PDFDict) : undefined;
      const state = usage?.lookupMaybe(PDFName.of('Print'), PDFDict)?.lookup(PDFName.of('PrintState'));
      if (layer instanceof PDFRef && state instanceof PDFName) found.set(layer, state !== PDFName.of('OFF'));
    }
  }
  return found;
}
