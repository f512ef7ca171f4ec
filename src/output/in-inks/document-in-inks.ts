import {
  PDFArray,
  PDFDict,
  PDFDocument,
  PDFName,
  PDFNumber,
  PDFRawStream,
  PDFRef,
  PDFStream,
  decodePDFRawStream,
  type PDFContext,
  type PDFObject,
} from '@cantoo/pdf-lib';
import { deflateSync } from 'node:zlib';
import { contentInInks } from './content-in-inks';
import { entryOf, numbersIn } from './entries';
import { imageInInks, paletteInInks } from './image-in-inks';
import { readFunction } from './pdf-function';
import { rgbSpaceOf, type Press, type RgbSpace } from './rgb-space';

const key = (text: string): PDFName => PDFName.of(text);

/**
 * Somebody else’s document with every RGB on some of its pages in the press’s inks: words, lines, areas, pictures,
 * gradients, patterns and glyphs that draw themselves, in forms too. Soft masks stay: they are no colours. What cannot
 * be had in inks (a mesh, a picture within the content or keyed by a colour) stays as it is.
 * @param pages from 1
 */
export async function documentInInks(bytes: Uint8Array, pages: Iterable<number>, press: Press): Promise<Uint8Array> {
  const document = await PDFDocument.load(bytes, { updateMetadata: false });
  const walk = new Walk(document.context, press);
  for (const number of pages) {
    const page = document.getPage(number - 1);
    const resources = page.node.Resources();
    const text = textOf(page.node.Contents(), document.context);
    page.node.set(key('Contents'), document.context.register(walk.content(text, resources)));
    walk.resources(resources);
  }
  await walk.done();
  return document.save({ useObjectStreams: false, addDefaultPage: false, updateFieldAppearances: false });
}

/** The content of a page; where it lies in several streams they are one (ISO 32000-1, 7.8.2). */
function textOf(contents: PDFObject | undefined, context: PDFContext): string {
  const streams = contents instanceof PDFArray ? contents.asArray().map((entry) => context.lookup(entry)) : [contents];
  return streams.flatMap((s) => (s instanceof PDFStream ? [latin1(s)] : [])).join('\n');
}

const latin1 = (stream: PDFStream): string =>
  Buffer.from(stream instanceof PDFRawStream ? decodePDFRawStream(stream).decode() : stream.getContents()).toString(
    'latin1',
  );

/** Goes through what content draws with, each thing once. */
class Walk {
  private readonly seen = new Set<PDFObject>();
  private readonly pictures: (() => Promise<void>)[] = [];

  constructor(
    private readonly context: PDFContext,
    private readonly press: Press,
  ) {}

  /** Pictures are unpacked one after the other: there may be many. */
  async done(): Promise<void> {
    for (const convert of this.pictures) await convert();
  }

  content(text: string, resources: PDFDict | undefined, dict?: PDFDict): PDFRawStream {
    const spaces = new Map<string, RgbSpace | undefined>();
    const rgbOf = (name: string) => {
      if (!spaces.has(name)) spaces.set(name, rgbSpaceOf(key(name), resources, this.press));
      return spaces.get(name)?.colour;
    };
    const bytes = deflateSync(Buffer.from(contentInInks(text, rgbOf), 'latin1'));
    const entries = dict?.clone(this.context) ?? PDFDict.withContext(this.context);
    entries.delete(key('DecodeParms'));
    entries.set(key('Filter'), key('FlateDecode'));
    entries.set(key('Length'), PDFNumber.of(bytes.length));
    return PDFRawStream.of(entries, bytes);
  }

  resources(resources: PDFDict | undefined): void {
    if (!resources || this.seen.has(resources)) return;
    this.seen.add(resources);
    this.each(resources, 'XObject', (ref, object) => this.drawn(ref, object, resources));
    this.each(resources, 'Pattern', (ref, object) => this.pattern(ref, object, resources));
    this.each(resources, 'Shading', (_, object) => this.shading(object, resources));
    this.each(resources, 'Font', (_, object) => this.glyphs(object, resources));
    this.each(resources, 'ColorSpace', (_, object, spaces, name) => {
      const made = this.palette(object, resources);
      if (made) spaces.set(name, made);
    });
  }

  private each(
    resources: PDFDict,
    kind: string,
    visit: (ref: PDFRef | undefined, object: PDFObject | undefined, dict: PDFDict, name: PDFName) => void,
  ): void {
    const dict = entryOf(resources, kind);
    if (!(dict instanceof PDFDict)) return;
    for (const [name, value] of dict.entries())
      visit(value instanceof PDFRef ? value : undefined, this.context.lookup(value), dict, name);
  }

  private drawn(ref: PDFRef | undefined, object: PDFObject | undefined, resources: PDFDict): void {
    if (!ref || !(object instanceof PDFRawStream) || this.seen.has(object)) return;
    this.seen.add(object);
    if (entryOf(object.dict, 'Subtype') === key('Image')) this.picture(ref, object, resources);
    else this.form(ref, object, resources);
  }

  /** A form, a tile of a pattern or a glyph: content with resources of its own, or those around it. */
  private form(ref: PDFRef, stream: PDFRawStream, around: PDFDict): void {
    const own = entryOf(stream.dict, 'Resources');
    const resources = own instanceof PDFDict ? own : around;
    this.context.assign(ref, this.content(latin1(stream), resources, stream.dict));
    this.resources(resources);
  }

  private picture(ref: PDFRef, stream: PDFRawStream, resources: PDFDict): void {
    const said = entryOf(stream.dict, 'ColorSpace');
    const space = rgbSpaceOf(said, resources, this.press);
    if (space)
      this.pictures.push(async () => {
        const made = await imageInInks(stream, space, this.context);
        if (made) this.context.assign(ref, made);
      });
    const palette = this.palette(said, resources);
    if (palette) stream.dict.set(key('ColorSpace'), palette);
  }

  private palette(object: PDFObject | undefined, resources: PDFDict): PDFArray | undefined {
    const list = object instanceof PDFName ? named(object, resources) : object;
    if (!(list instanceof PDFArray) || ![key('Indexed'), key('I')].includes(list.lookup(0) as PDFName))
      return undefined;
    const space = rgbSpaceOf(list.lookup(1), resources, this.press);
    return space && paletteInInks(list, space, this.context);
  }

  private pattern(ref: PDFRef | undefined, object: PDFObject | undefined, resources: PDFDict): void {
    if (!object || this.seen.has(object)) return;
    this.seen.add(object);
    if (ref && object instanceof PDFRawStream) this.form(ref, object, resources);
    else if (object instanceof PDFDict) this.shading(entryOf(object, 'Shading'), resources);
  }

  private shading(object: PDFObject | undefined, resources: PDFDict): void {
    const dict = object instanceof PDFStream ? object.dict : object;
    if (!(dict instanceof PDFDict) || this.seen.has(dict)) return;
    this.seen.add(dict);
    const space = rgbSpaceOf(entryOf(dict, 'ColorSpace'), resources, this.press);
    const read = readFunction(entryOf(dict, 'Function'));
    if (!space || !read) return;
    const domain = numbersIn(dict, 'Domain');
    const [from, to] = [domain[0] ?? 0, domain[1] ?? 1];
    dict.set(key('Function'), this.context.register(this.sampled(read, from, to, space)));
    dict.set(key('ColorSpace'), key('DeviceCMYK'));
    const ground = numbersIn(dict, 'Background');
    const [r, g, b] = ground;
    if (r !== undefined && g !== undefined && b !== undefined)
      dict.set(key('Background'), this.context.obj([...space.colour([r, g, b])]));
  }

  /** A run of colours as samples of their inks (ISO 32000-1, 7.10.2). */
  private sampled(of: (x: number) => readonly number[], from: number, to: number, space: RgbSpace): PDFRawStream {
    const rgb = new Uint8Array(SAMPLES * 3);
    for (let i = 0; i < SAMPLES; i += 1) {
      const colours = of(from + ((to - from) * i) / (SAMPLES - 1));
      for (let n = 0; n < 3; n += 1) rgb[i * 3 + n] = Math.round(Math.min(1, Math.max(0, colours[n] ?? 0)) * 255);
    }
    const bytes = deflateSync(space.pixels(rgb));
    const dict = this.context.obj({
      FunctionType: 0,
      Domain: [from, to],
      Range: [0, 1, 0, 1, 0, 1, 0, 1],
      Size: [SAMPLES],
      BitsPerSample: 8,
      Filter: 'FlateDecode',
      Length: bytes.length,
    });
    return PDFRawStream.of(dict, bytes);
  }

  /** Glyphs that draw themselves (Type 3). */
  private glyphs(object: PDFObject | undefined, resources: PDFDict): void {
    if (!(object instanceof PDFDict) || this.seen.has(object) || entryOf(object, 'Subtype') !== key('Type3')) return;
    this.seen.add(object);
    const own = entryOf(object, 'Resources');
    const inner = own instanceof PDFDict ? own : resources;
    const drawn = entryOf(object, 'CharProcs');
    if (!(drawn instanceof PDFDict)) return;
    for (const [, ref] of drawn.entries()) {
      const stream = this.context.lookup(ref);
      if (ref instanceof PDFRef && stream instanceof PDFRawStream && !this.seen.has(stream)) {
        this.seen.add(stream);
        this.form(ref, stream, inner);
      }
    }
  }
}

/** Points of a run of colours, straight lines between them. */
const SAMPLES = 256;

function named(name: PDFName, resources: PDFDict): PDFObject | undefined {
  const spaces = entryOf(resources, 'ColorSpace');
  return spaces instanceof PDFDict ? spaces.lookup(name) : undefined;
}
