import {
  PDFArray,
  PDFDict,
  PDFName,
  PDFRawStream,
  PDFRef,
  PDFStream,
  decodePDFRawStream,
  type PDFContext,
  type PDFObject,
} from '@cantoo/pdf-lib';
import { nameOf, toObject, type Value } from './objects';

/** How one spot ink is shown where it has no plate: the same all through a file (ISO 15930-7, 6.2.4.4, from memory). */
export type SpotBook = Map<string, { readonly alternate: PDFObject; readonly transform: PDFObject }>;

/** What the objects of somebody else’s page are made to fit. */
export interface Neutral {
  readonly context: PDFContext;
  /** The profile by which untagged RGB is understood, as a colour space. */
  readonly rgb: Value;
  readonly spots: SpotBook;
  readonly deflate: (bytes: Uint8Array) => Uint8Array;
}

const name = (text: string): PDFName => PDFName.of(text);

/**
 * Keys of a graphics state that change how a press prints, or that no press file may have (ISO 15930-7, 6.2.5, from
 * memory).
 */
const PRESS_STATE = ['TR', 'TR2', 'HT', 'HTP', 'BG', 'BG2', 'UCR', 'UCR2'].map(name);

/** What belongs to an editor or to another workflow. */
const LEFT_OUT = ['OPI', 'PieceInfo', 'Alternates', 'Metadata', 'StructParent', 'StructParents', 'LastModified'].map(
  name,
);

/**
 * Makes what a page draws with fit for a press file, in place: untagged RGB is tagged, transfer functions and halftones
 * go, LZW is written anew, every spot ink is shown in one way. Everything that is reached is looked at: forms,
 * patterns, masks and the glyphs of Type 3 fonts too.
 */
export function neutralise(root: PDFObject, neutral: Neutral): void {
  const seen = new Set<PDFObject>();
  const open = [root];
  for (let object = open.pop(); object !== undefined; object = open.pop()) {
    const found = object instanceof PDFRef ? neutral.context.lookup(object) : object;
    if (found === undefined || seen.has(found)) continue;
    seen.add(found);
    if (found instanceof PDFArray) {
      unifySpot(found, neutral);
      for (const member of found.asArray()) open.push(member);
      continue;
    }
    const dict = found instanceof PDFStream ? found.dict : found instanceof PDFDict ? found : undefined;
    if (!dict) continue;
    if (object instanceof PDFRef && found instanceof PDFRawStream) rewriteLzw(object, found, neutral);
    for (const key of LEFT_OUT) dict.delete(key);
    tagGroup(dict, neutral);
    const resources = dict.lookup(name('Resources'));
    if (resources instanceof PDFDict) tagResources(resources, neutral);
    for (const value of dict.values()) open.push(value);
  }
}

/** Resources say what untagged RGB in their content means (ISO 32000-1, 8.6.5.6), and their states print as ours do. */
export function tagResources(resources: PDFDict, { context, rgb }: Neutral): void {
  const spaces = resources.lookupMaybe(name('ColorSpace'), PDFDict) ?? PDFDict.withContext(context);
  if (!spaces.has(name('DefaultRGB'))) spaces.set(name('DefaultRGB'), toObject(context, rgb));
  resources.set(name('ColorSpace'), spaces);
  const states = resources.lookupMaybe(name('ExtGState'), PDFDict);
  for (const key of states?.keys() ?? []) {
    const state = states?.lookupMaybe(key, PDFDict);
    for (const entry of PRESS_STATE) state?.delete(entry);
  }
}

/** A group that mixes in untagged RGB mixes in that RGB by its profile. */
function tagGroup(dict: PDFDict, { context, rgb }: Neutral): void {
  const group = dict.lookup(name('Group'));
  if (group instanceof PDFDict && group.lookup(name('CS')) === name('DeviceRGB'))
    group.set(name('CS'), toObject(context, rgb));
}

/** A spot ink of a name that is known already is shown as it was then. */
function unifySpot(array: PDFArray, { spots }: Neutral): void {
  if (array.size() !== 4 || array.lookup(0) !== name('Separation')) return;
  const ink = array.lookup(1);
  if (!(ink instanceof PDFName)) return;
  const known = spots.get(ink.asString());
  if (known) {
    array.set(2, known.alternate);
    array.set(3, known.transform);
    return;
  }
  spots.set(ink.asString(), { alternate: array.get(2), transform: array.get(3) });
}

/** LZW has no place in a press file (ISO 15930-7, 6.2.2, from memory): the bytes are the same, packed otherwise. */
function rewriteLzw(ref: PDFRef, stream: PDFRawStream, { context, deflate }: Neutral): void {
  const filter = stream.dict.lookup(name('Filter'));
  const filters = filter instanceof PDFArray ? filter.asArray().map((f) => context.lookup(f)) : [filter];
  if (!filters.includes(name('LZWDecode'))) return;
  // What cannot be unpacked further, such as a JPEG within it, does not occur beside LZW.
  const bytes = deflate(decodePDFRawStream(stream).decode());
  const dict = stream.dict;
  dict.set(name('Filter'), name('FlateDecode'));
  dict.delete(name('DecodeParms'));
  dict.set(name('Length'), toObject(context, bytes.length));
  context.assign(ref, PDFRawStream.of(dict, bytes));
}

/** The key of a spot ink in a book of spots. */
export const spotName = (ink: string): string => nameOf(ink).asString();
