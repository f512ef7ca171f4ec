import { PDFArray, PDFDict, PDFDocument, PDFHexString, PDFName, PDFString } from '@cantoo/pdf-lib';
import { createHash } from 'node:crypto';
import sharp from 'sharp';
import { readPicture } from '../bring-in/picture';
import { itemsOfPart } from '../paint/pdf';
import type { Job, Paint, SolidPaint } from '../core/job';
import type { SpotInk } from '../core/element';
import { edges } from '../core/layout';
import { openDesk, plateItems, pressPage, sidePlates, type AssetSource } from '../output';
import { separatedTiff } from '../output/cmyk-jpeg';
import { pdfOf } from './exports';
import { makeJob } from './jobs';
import { pngWith } from './picture-kinds';
import { platesOf, type Plate } from './programs';

/** Plates as we read them beside those that Ghostscript separates from our own press file. */

const AT = new Date('2026-05-01T09:00:00Z');
export const PPI = 100;
/** Ghostscript paints every pixel that an area touches; drawn finer and averaged it comes near to true areas. */
const FINER = 6;

export const process = (c: number, m: number, y: number, k: number, overprint?: boolean) =>
  ({ kind: 'process', c, m, y, k, ...(overprint !== undefined && { overprint }) }) as const;
export const spot = (
  tint: number,
  more: { c?: number; m?: number; y?: number; k?: number; overprint?: boolean } = {},
): SolidPaint => ({
  kind: 'spot',
  c: 0,
  m: 0,
  y: 0,
  k: 0,
  spots: [{ ink: 'Silver', tint }],
  ...more,
});

export const INKS: SpotInk[] = [
  { name: 'Silver', finish: 'metallic', c: 0, m: 0, y: 0, k: 45 },
  { name: 'Moon glow', finish: 'fluorescent', c: 0, m: 20, y: 90, k: 0 },
];

export const gradient = (
  shape: 'linear' | 'radial',
  stops: readonly (readonly [at: number, paint: SolidPaint, opacity?: number])[],
  more: object = {},
): Paint => ({
  kind: 'gradient',
  shape,
  angle: 30,
  length: 100,
  centre: { x: 0.5, y: 0.5 },
  stops: stops.map(([at, paint, opacity = 1]) => ({ at, paint, opacity })),
  ...more,
});

const [WIDTH, HEIGHT] = [320, 240];

/** How opaque a drawn picture is: everywhere, in soft bars, or in a disc with a hard rim. */
type Veil = 'opaque' | 'bars' | 'disc';

const opacityAt: Readonly<Record<Veil, (x: number, y: number) => number>> = {
  opaque: () => 255,
  bars: (x) => 127 + 127 * Math.sin(x / 40),
  disc: (x, y) => 255 * Math.min(1, Math.max(0, 100 - Math.hypot(x - WIDTH / 2, y - HEIGHT / 2))),
};

export interface DrawnPicture {
  readonly format: 'png' | 'jpeg' | 'tiff';
  readonly colour: 'rgb' | 'grey' | 'cmyk';
  readonly veil?: Veil;
  /** A profile file that a PNG is tagged with. */
  readonly profile?: string;
}

/** A picture drawn here: bars of colour with a wave through them. */
export async function drawn({ format, colour, veil = 'opaque', profile }: DrawnPicture) {
  const inks = { rgb: 3, grey: 1, cmyk: 4 }[colour];
  const channels = (inks + (veil === 'opaque' ? 0 : 1)) as 1 | 2 | 3 | 4;
  const pixels = new Uint8Array(WIDTH * HEIGHT * channels);
  for (let y = 0; y < HEIGHT; y += 1)
    for (let x = 0; x < WIDTH; x += 1)
      for (let c = 0; c < channels; c += 1) {
        const tone = 127 + 100 * Math.sin(x / (120 + 11 * c)) * Math.cos(y / (140 - 7 * c));
        pixels[(y * WIDTH + x) * channels + c] = Math.round(c === inks ? opacityAt[veil](x, y) : tone);
      }
  const file = await encoded(pixels, channels, { format, colour });
  const bytes = new Uint8Array(profile === undefined ? file : pngWith(file, profile));
  const read = await readPicture(`drawn.${format}`, bytes);
  if (!read.ok) throw new Error(read.problem);
  return { sha: createHash('sha256').update(bytes).digest('hex'), bytes, facts: read.picture };
}

function encoded(pixels: Uint8Array, channels: 1 | 2 | 3 | 4, { format, colour }: DrawnPicture): Promise<Buffer> {
  const raw = sharp(pixels, { raw: { width: WIDTH, height: HEIGHT, channels } });
  const toned = colour === 'grey' ? raw.toColourspace('b-w') : raw;
  switch (format) {
    case 'png':
      return toned.png().toBuffer();
    case 'jpeg':
      return toned.jpeg({ quality: 95 }).toBuffer();
    case 'tiff':
      return Promise.resolve(separatedTiff(pixels, { width: WIDTH, height: HEIGHT }));
  }
}

export const SIZE = { size: { width: 60, height: 60 }, bleed: edges(0) };
export const UNMARKED = {
  output: {
    ...makeJob().output,
    marks: { corner: false, centre: false, register: false, colourBar: false, slugLine: false, fold: false },
  },
};

export interface Plated {
  readonly name: string;
  readonly width: number;
  readonly height: number;
  readonly ours: Uint8Array;
  readonly theirs: Plate;
}

/** @param off name of a layer that is switched off for both */
export async function bothPlates(
  job: Job,
  assets: AssetSource,
  side: number,
  off?: string,
): Promise<readonly Plated[]> {
  const desk = await openDesk(job, assets);
  const shown = desk.sides[side];
  if (!shown) throw new Error('no such side');
  const { sheet, parts } = pressPage(desk, shown, AT);
  const items =
    off === undefined
      ? plateItems(desk, shown, AT, { marks: true })
      : parts.flatMap((part) =>
          'layer' in part ? (part.layer.name === off ? [] : part.layer.items) : itemsOfPart(part),
        );
  const ours = await sidePlates(desk, shown, items, { box: sheet, scale: PPI / 25.4 });
  const pdf = await pdfOf(job, assets);
  const theirs = await platesOf(off === undefined ? pdf : await without(pdf, off), side + 1, PPI, FINER);
  const printedOnTheirs = [...theirs].filter(([, plate]) => plate.mean > 0).map(([name]) => name);
  const printedOnOurs = ours.names.filter((_, i) => ours.pixels[i]?.some((v) => v > 0));
  expect(printedOnTheirs.sort()).toEqual([...printedOnOurs].sort());
  return [...theirs].flatMap(([name, plate]) => {
    const own = ours.pixels[ours.names.indexOf(name)];
    return own ? [{ name, ours: own, theirs: plate, width: ours.width, height: ours.height }] : [];
  });
}

/** A PDF with one of its layers (optional-content groups) off, as a viewer would switch it (ISO 32000-1, 8.11.4.3). */
async function without(pdf: Uint8Array, layer: string): Promise<Uint8Array> {
  const document = await PDFDocument.load(pdf);
  const content = document.catalog.lookup(PDFName.of('OCProperties'), PDFDict);
  const nameOf = (group: PDFDict) => group.lookupMaybe(PDFName.of('Name'), PDFString, PDFHexString)?.decodeText();
  const groups = content.lookup(PDFName.of('OCGs'), PDFArray).asArray();
  const off = groups.filter((ref) => nameOf(document.context.lookup(ref, PDFDict)) === layer);
  expect(off).toHaveLength(1);
  content.lookup(PDFName.of('D'), PDFDict).set(PDFName.of('OFF'), document.context.obj(off));
  return document.save();
}

/** Sides of the squares that are compared by their means, pixels. */
const BLOCK = 8;
/** A pixel differs from its neighbour by more than this at an edge, of 255. */
const EDGE = 8;

/**
 * Two plates of one page.
 * @returns the mean absolute difference, and the largest difference of the means of a square without an edge in it,
 * both in
 *          percent
 */
export function difference(plated: Plated): { readonly mean: number; readonly region: number } {
  const { ours, theirs, width, height } = plated;
  expect(Math.abs(theirs.width - width) + Math.abs(theirs.height - height)).toBeLessThanOrEqual(2);
  const [w, h] = [Math.min(width, theirs.width), Math.min(height, theirs.height)];
  const [own, their] = [cropped(ours, width, w, h), cropped(theirs.ink, theirs.width, w, h)];
  const edge = new Uint8Array(w * h);
  markEdges(own, w, h, edge);
  markEdges(their, w, h, edge);
  let sum = 0;
  let region = 0;
  for (let top = 0; top < h; top += BLOCK)
    for (let left = 0; left < w; left += BLOCK) {
      let signed = 0;
      let count = 0;
      let isEdge = false;
      for (let y = top; y < Math.min(h, top + BLOCK); y += 1)
        for (let x = left, at = y * w + x; x < Math.min(w, left + BLOCK); x += 1, at += 1) {
          const d = (own[at] ?? 0) - (their[at] ?? 0);
          sum += d < 0 ? -d : d;
          signed += d;
          count += 1;
          isEdge ||= edge[at] === 1;
        }
      if (!isEdge) region = Math.max(region, Math.abs(signed / count));
    }
  return { mean: sum / (w * h) / 2.55, region: region / 2.55 };
}

function cropped(pixels: Uint8Array, stride: number, width: number, height: number): Uint8Array {
  const out = new Uint8Array(width * height);
  for (let y = 0; y < height; y += 1) out.set(pixels.subarray(y * stride, y * stride + width), y * width);
  return out;
}

/** Marks the pixels from which a plate changes to one of their neighbours. */
function markEdges(pixels: Uint8Array, width: number, height: number, edge: Uint8Array): void {
  const mark = (a: number, b: number) => {
    if (Math.abs((pixels[a] ?? 0) - (pixels[b] ?? 0)) > EDGE) edge[a] = edge[b] = 1;
  };
  for (let y = 0; y < height; y += 1)
    for (let x = 0, at = y * width; x < width; x += 1, at += 1) {
      if (x + 1 < width) mark(at, at + 1);
      if (y + 1 < height) mark(at, at + width);
    }
}

export function expectAlike(what: string, plates: readonly Plated[]): void {
  for (const plate of plates) {
    const { mean, region } = difference(plate);
    // Both are said where they fail.
    expect([what, plate.name, mean < 0.5 || mean, region < 2 || region]).toEqual([what, plate.name, true, true]);
  }
}
