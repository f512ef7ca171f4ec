import { expose, transfer } from 'comlink';
import { fetchProfile, type PictureConverter } from '../bring-in/profile';
import type { Build } from '../core/colour';
import { imagesIn, pageKey, plateNames, type Item, type PageItem, type PictureItem } from '../core/drawing';
import type { Path, Rect } from '../core/layout';
import {
  coverageOf,
  differences,
  mostInk,
  readPlates,
  seenPlates,
  unpackInks,
  type InkPixels,
  type PlateView,
  type Plates,
  type Seeing,
} from '../paint/plates';

/** A glyph of a font, for those who have no fonts. */
export interface TaughtGlyph {
  readonly font: string;
  readonly gid: number;
  readonly path: Path;
  readonly unitsPerEm: number;
}

export interface PlatesAsked {
  readonly items: readonly Item[];
  readonly view: PlateView;
  readonly profile: string;
  /** Of what the coverage is told, mm from the trimmed corner. */
  readonly counted: PlateView['box'];
  /** The build that shows each plate that is no process ink. */
  readonly shown: Readonly<Record<string, Build>>;
  /** Plates of inks, whose sum the paper limits; coatings and lines are none. */
  readonly inks: readonly string[];
}

export interface PlateFacts {
  readonly width: number;
  readonly height: number;
  readonly names: readonly string[];
  /** Share of the counted part that each plate covers. */
  readonly coverage: Readonly<Record<string, number>>;
  /** The most ink together, percent, and where, pixels. */
  readonly most: { readonly total: number; readonly x: number; readonly y: number };
  /** Pictures that could not be fetched. */
  readonly missing: readonly string[];
  /** How long reading took, ms. */
  readonly took: number;
}

const glyphs = new Map<string, { readonly path: Path; readonly unitsPerEm: number }>();
const pictures = new Map<string, Promise<InkPixels>>();
const profiles = new Map<string, Promise<PictureConverter>>();

let last: { readonly plates: Plates; readonly asked: PlatesAsked } | undefined;

async function bytesOf(path: string): Promise<Uint8Array> {
  const response = await fetch(path);
  if (!response.ok) throw new Error(`${path} could not be loaded.`);
  return new Uint8Array(await response.arrayBuffer());
}

/** What is fetched once and kept. A failure is not: who asks next tries again. */
function kept<T>(known: Map<string, Promise<T>>, key: string, make: () => Promise<T>, most: number): Promise<T> {
  const before = known.get(key);
  if (before) return before;
  const made = make();
  made.catch(() => known.delete(key));
  if (known.size >= most) known.clear();
  known.set(key, made);
  return made;
}

const converterFor = (profile: string): Promise<PictureConverter> =>
  kept(profiles, profile, async () => (await fetchProfile(profile)).pictures(), 8);

/** Pixels by where they come from; undefined when they could not be fetched, which is said and tried again. */
const pixelsOnce = (address: string, make: () => Promise<InkPixels>): Promise<InkPixels | undefined> =>
  kept(pictures, address, make, 60).catch(() => undefined);

/** Pixels across that a picture is asked for at most. */
const MOST_WIDE = 6000;

/** Widths are asked for in steps of half an octave, so that a small zoom fetches nothing anew. */
const stepped = (pixels: number): number =>
  Math.min(MOST_WIDE, Math.max(16, Math.round(2 ** (Math.ceil(Math.log2(pixels) * 2) / 2))));

/** Where the pixels of a picture or page are fetched; who has the same address shows the same, copies of items too. */
function addressOf(item: PictureItem | PageItem, scale: number, profile: string): string {
  if (item.kind === 'page') return `/api/assets/${pageKey(item)}`;
  const [a, b] = item.matrix;
  // A colour is cleared by all the pixels that there are: in fewer, it would lie elsewhere.
  const width = item.adjust?.clear ? MOST_WIDE : stepped(item.image.width * scale * Math.hypot(a, b));
  const query = new URLSearchParams({ profile, width: String(width) });
  if (item.adjust) query.set('adjust', JSON.stringify(item.adjust));
  if (item.blur) query.set('blur', ((item.blur / item.image.width) * width).toFixed(2));
  return `/api/assets/${item.picture}/inks?${query.toString()}`;
}

const pictureAt = (address: string): Promise<InkPixels | undefined> =>
  pixelsOnce(address, async () => unpackInks(await bytesOf(address)));

/** A page of somebody else’s document as its picture on the bench, converted: near, and said to be no more. */
function pageAt(item: PageItem, profile: string): Promise<InkPixels | undefined> {
  const address = addressOf(item, 1, profile);
  return pixelsOnce(`${profile} ${address}`, async () => {
    const response = await fetch(address);
    if (!response.ok) throw new Error(`${address} could not be loaded.`);
    const bitmap = await createImageBitmap(await response.blob());
    const { width, height } = bitmap;
    const context = new OffscreenCanvas(width, height).getContext('2d');
    if (!context) throw new Error('This browser cannot read the pixels of a page.');
    context.drawImage(bitmap, 0, 0);
    const { data } = context.getImageData(0, 0, width, height);
    const rgb = new Uint8Array(width * height * 3);
    const alpha = new Uint8Array(width * height);
    for (let i = 0; i < alpha.length; i += 1) {
      rgb.set(data.subarray(i * 4, i * 4 + 3), i * 3);
      alpha[i] = data[i * 4 + 3] ?? 255;
    }
    return { width, height, space: 'cmyk', pixels: (await converterFor(profile)).rgbToCmyk(rgb), alpha };
  });
}

async function read({
  items,
  view,
  profile,
}: PlatesAsked): Promise<{ plates: Plates; missing: readonly string[]; took: number }> {
  const addressIn = (item: PictureItem | PageItem) => addressOf(item, view.scale, profile);
  const found = new Map<string, InkPixels>();
  const missing: string[] = [];
  await Promise.all(
    imagesIn(items).map(async (item) => {
      const pixels = await (item.kind === 'picture' ? pictureAt(addressIn(item)) : pageAt(item, profile));
      if (pixels) found.set(addressIn(item), pixels);
      else missing.push(item.from);
    }),
  );
  const start = performance.now();
  const plates = readPlates(items, plateNames(items), view, {
    outline: (font, gid) => glyphs.get(`${font} ${gid}`),
    picture: (item) => found.get(addressIn(item)),
    page: (item) => found.get(addressIn(item)),
  });
  return { plates, missing, took: performance.now() - start };
}

/** Pixels at which a side is read whole when only a part of it is in view. */
const WHOLE = 400_000;

/** How much of the counted part each plate covers: of all of it, whatever part is in view. */
async function coverageIn(asked: PlatesAsked, seen: Plates): Promise<Readonly<Record<string, number>>> {
  const { view, counted } = asked;
  const isWhole = contains(view.box, counted);
  const scale = isWhole ? view.scale : Math.min(view.scale, Math.sqrt(WHOLE / (counted.width * counted.height)));
  const plates = isWhole ? seen : (await read({ ...asked, view: { box: counted, scale } })).plates;
  const from = isWhole ? view.box : counted;
  const px = (mm: number) => Math.round(mm * scale);
  const x = px(counted.x - from.x);
  const y = px(counted.y - from.y);
  const width = Math.min(plates.width - x, px(counted.width));
  const height = Math.min(plates.height - y, px(counted.height));
  return Object.fromEntries(coverageOf(plates, { x, y, width, height }));
}

const contains = (outer: Rect, inner: Rect): boolean =>
  outer.x <= inner.x &&
  outer.y <= inner.y &&
  outer.x + outer.width >= inner.x + inner.width &&
  outer.y + outer.height >= inner.y + inner.height;

const worker = {
  /** Takes outlines of glyphs that have not been seen before. */
  learn(taught: readonly TaughtGlyph[]): void {
    for (const { font, gid, ...outline } of taught) glyphs.set(`${font} ${gid}`, outline);
  },

  /** Reads the plates of a part of a surface and keeps them. */
  async read(asked: PlatesAsked): Promise<PlateFacts> {
    const { missing, plates, took } = await read(asked);
    last = { plates, asked };
    const coverage = await coverageIn(asked, plates);
    return {
      width: plates.width,
      height: plates.height,
      names: plates.names,
      coverage,
      most: mostInk(plates, (name) => asked.inks.includes(name)),
      missing,
      took,
    };
  },

  /** The plates that were read last, as they are looked at: four bytes a pixel. */
  async seen(seeing: Seeing): Promise<Uint8ClampedArray<ArrayBuffer>> {
    if (!last) return new Uint8ClampedArray(0);
    const { plates, asked } = last;
    const converter = await converterFor(asked.profile);
    const pixels = seenPlates(plates, seeing, {
      toRgb: converter.cmykToRgb,
      shownAs: (name) => asked.shown[name],
    });
    return transfer(pixels, [pixels.buffer]);
  },

  /** Where the inks together are more than a limit, four bytes a pixel; clear elsewhere. */
  overLimit(limit: number): Uint8ClampedArray<ArrayBuffer> {
    if (!last) return new Uint8ClampedArray(0);
    const { plates, asked } = last;
    const counted = plates.pixels.filter((_, p) => asked.inks.includes(plates.names[p] ?? ''));
    const out = new Uint8ClampedArray(plates.width * plates.height * 4);
    for (let i = 0; i < out.length / 4; i += 1) {
      let sum = 0;
      for (const plate of counted) sum += plate[i] ?? 0;
      const percent = sum / 2.55;
      // Half a percent is rounding.
      if (percent <= limit + 0.5) continue;
      out.set([214, 36, 36, Math.min(255, 150 + (percent - limit) * 2)], i * 4);
    }
    return transfer(out, [out.buffer]);
  },

  /** Dot area of each plate at a pixel, percent. */
  at(x: number, y: number): readonly number[] {
    if (!last) return [];
    const { width, height, pixels } = last.plates;
    if (x < 0 || y < 0 || x >= width || y >= height) return [];
    return pixels.map((plate) => (plate[Math.floor(y) * width + Math.floor(x)] ?? 0) / 2.55);
  },

  /** How many pixels of each other plate are different without a layer. */
  async without(items: readonly Item[]): Promise<Readonly<Record<string, number>>> {
    if (!last) return {};
    const { plates } = await read({ ...last.asked, items });
    return Object.fromEntries(differences(last.plates, plates));
  },
};

export type PlatesWorker = typeof worker;

expose(worker);
