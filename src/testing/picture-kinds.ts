import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { crc32, deflateSync } from 'node:zlib';
import fc from 'fast-check';
import sharp from 'sharp';
import { readPicture } from '../bring-in/picture';
import type { Asset, Job } from '../core/job';
import { edges } from '../core/layout';
import { MM_PER_PT } from '../core/measure';
import { cmykJpeg, separatedTiff } from '../output/cmyk-jpeg';
import { makeJob, picture } from './jobs';
import { run, type Plate } from './programs';

/** Squares of colour across and down a picture, and the pixels of each: a square is one block of a JPEG. */
const SQUARES = 8;
const PIXELS = 8;
const SIDE = SQUARES * PIXELS;

const PRESS = 'assets/profiles/coated-fogra39.icc';
/** Profiles of Debian’s icc-profiles-free. */
const theirs = (name: string): string => `/usr/share/color/icc/${name}.icc`;
const WIDE = theirs('compatibleWithAdobeRGB1998');
const WIDER = theirs('LStar-RGB');
const GREY = theirs('Gray');

type Colour = readonly number[];

/** One picture, and the inks that each of its squares should have, percent. */
export interface PictureKind {
  readonly name: string;
  readonly file: string;
  readonly bytes: Uint8Array;
  readonly inks: readonly Colour[];
}

/**
 * Little CMS’s own command line, without optimisation: rows of numbers through two profiles, relative, black
 * compensated.
 */
export function transicc(from: string, to: string, rows: readonly Colour[]): readonly Colour[] {
  const typed = `${rows.map((row) => row.join(' ')).join('\n')}\n`;
  return run('transicc', ['-c0', '-n', '-t1', '-b', '-i', from, '-o', to], typed)
    .split('\n')
    .map((line) => line.trim().split(/\s+/).map(Number))
    .filter((row) => row.length >= 3 && row.every(Number.isFinite));
}

const squares = (channels: number, seed: number): readonly Colour[] =>
  fc.sample(fc.array(fc.nat(255), { minLength: channels, maxLength: channels }), {
    seed,
    numRuns: SQUARES * SQUARES,
  });

/** Squares as pixels, row by row. */
function pixelsOf(colours: readonly Colour[]): Uint8Array {
  const channels = colours[0]?.length ?? 0;
  const out = new Uint8Array(SIDE * SIDE * channels);
  for (let y = 0; y < SIDE; y += 1)
    for (let x = 0; x < SIDE; x += 1) {
      const square = Math.floor(y / PIXELS) * SQUARES + Math.floor(x / PIXELS);
      out.set(colours[square] ?? [], (y * SIDE + x) * channels);
    }
  return out;
}

const raw = (colours: readonly Colour[], channels: 1 | 2 | 3 | 4) =>
  sharp(pixelsOf(colours), { raw: { width: SIDE, height: SIDE, channels } });

const png = async (colours: readonly Colour[], channels: 1 | 3 | 4): Promise<Uint8Array> => {
  const image = raw(colours, channels);
  return new Uint8Array(await (channels === 1 ? image.toColourspace('b-w') : image).png().toBuffer());
};

/** Sixteen bits a channel: every level of 255 is 257 of these. */
async function deepPng(colours: readonly Colour[], channels: 1 | 3): Promise<Uint8Array> {
  const deep = Uint16Array.from(pixelsOf(colours), (v) => v * 257);
  const image = sharp(deep, { raw: { width: SIDE, height: SIDE, channels } });
  return new Uint8Array(
    await image
      .toColourspace(channels === 1 ? 'grey16' : 'rgb16')
      .png()
      .toBuffer(),
  );
}

/** A PNG with a profile, its numbers as they were: the chunk iCCP after its header (PNG specification, 11.3.3.3). */
export function pngWith(file: Uint8Array, profile: string): Uint8Array {
  const body = Buffer.concat([Buffer.from('iCCPtagged\0\0', 'latin1'), deflateSync(readFileSync(profile))]);
  const [length, check] = [Buffer.alloc(4), Buffer.alloc(4)];
  length.writeUInt32BE(body.length - 4);
  check.writeUInt32BE(crc32(body) >>> 0);
  // Signature and IHDR take 33 bytes.
  return new Uint8Array(Buffer.concat([file.subarray(0, 33), length, body, check, file.subarray(33)]));
}

/** A JPEG with a profile: segments APP2 after its start (ICC.1, B.4), each at most 65,519 bytes of it. */
function jpegWith(file: Uint8Array, profile: string): Uint8Array {
  const icc = readFileSync(profile);
  const count = Math.ceil(icc.length / 65_519);
  const segments = Array.from({ length: count }, (_, i) => {
    const part = icc.subarray(i * 65_519, (i + 1) * 65_519);
    const head = Buffer.alloc(18);
    head.writeUInt16BE(0xffe2, 0);
    head.writeUInt16BE(part.length + 16, 2);
    head.write('ICC_PROFILE\0', 4, 'latin1');
    head.set([i + 1, count], 16);
    return Buffer.concat([head, part]);
  });
  return new Uint8Array(Buffer.concat([file.subarray(0, 2), ...segments, file.subarray(2)]));
}

const percent = (colours: readonly Colour[]): readonly Colour[] => colours.map((row) => row.map((v) => v / 2.55));

/** The colours of a JPEG’s squares as it decodes: what it lost is not the press’s doing. */
async function decoded(jpeg: Uint8Array): Promise<readonly Colour[]> {
  const { data, info } = await sharp(jpeg, { ignoreIcc: true }).raw().toBuffer({ resolveWithObject: true });
  return Array.from({ length: SQUARES * SQUARES }, (_, square) => {
    const x = ((square % SQUARES) + 0.5) * PIXELS;
    const y = (Math.floor(square / SQUARES) + 0.5) * PIXELS;
    return [...data.subarray((y * SIDE + x) * info.channels, (y * SIDE + x + 1) * info.channels)];
  });
}

/** Grey prints in black alone. */
const blackOf = (greys: readonly Colour[]): readonly Colour[] => greys.map(([v = 0]) => [0, 0, 0, (255 - v) / 2.55]);

/** Every other square lets half of the paper through. */
const veil = (square: number): number => (square % 2 === 0 ? 255 : 128);
const veiled = (colours: readonly Colour[]): readonly Colour[] => colours.map((row, i) => [...row, veil(i)]);
const thinned = (inks: readonly Colour[]): readonly Colour[] =>
  inks.map((row, i) => row.map((ink) => (ink * veil(i)) / 255));

/** Every kind of picture that can be placed, with the inks that Little CMS’s own command line gives it. */
export async function pictureKinds(): Promise<readonly PictureKind[]> {
  const rgb = squares(3, 3);
  const grey = squares(1, 5);
  const cmyk = squares(4, 7);
  const [plain, wide, wider] = ['*sRGB', WIDE, WIDER].map((from) => transicc(from, PRESS, rgb)) as [
    readonly Colour[],
    readonly Colour[],
    readonly Colour[],
  ];
  const rgbPng = await png(rgb, 3);
  const deep = await deepPng(rgb, 3);
  const jpeg = new Uint8Array(await raw(rgb, 3).jpeg({ quality: 100, chromaSubsampling: '4:4:4' }).toBuffer());
  const jpegRgb = await decoded(jpeg);
  /** Grey of a profile of its own is the tone that it means. */
  const meant = transicc(GREY, '*sRGB', grey).map((row) => row.slice(0, 1));
  const inks = await cmykJpeg(pixelsOf(cmyk), { width: SIDE, height: SIDE }, 100);
  const clear = await png(veiled(rgb), 4);
  return [
    { name: 'sRGB', file: 'srgb.png', bytes: rgbPng, inks: plain },
    { name: 'sRGB, tagged', file: 'tagged.png', bytes: pngWith(rgbPng, theirs('sRGB')), inks: plain },
    { name: 'sRGB, JPEG', file: 'srgb.jpg', bytes: jpeg, inks: transicc('*sRGB', PRESS, jpegRgb) },
    { name: 'sRGB, 16 bits', file: 'deep.png', bytes: deep, inks: plain },
    { name: 'wide RGB', file: 'wide.png', bytes: pngWith(rgbPng, WIDE), inks: wide },
    { name: 'wide RGB, JPEG', file: 'wide.jpg', bytes: jpegWith(jpeg, WIDE), inks: transicc(WIDE, PRESS, jpegRgb) },
    { name: 'wide RGB, 16 bits', file: 'wide-deep.png', bytes: pngWith(deep, WIDE), inks: wide },
    { name: 'L*-RGB', file: 'wider.png', bytes: pngWith(rgbPng, WIDER), inks: wider },
    { name: 'grey', file: 'grey.png', bytes: await png(grey, 1), inks: blackOf(grey) },
    { name: 'grey, 16 bits', file: 'grey-deep.png', bytes: await deepPng(grey, 1), inks: blackOf(grey) },
    { name: 'grey, tagged', file: 'grey-tagged.png', bytes: pngWith(await png(grey, 1), GREY), inks: blackOf(meant) },
    {
      name: 'grey, tagged, 16 bits',
      file: 'grey-deep-tagged.png',
      bytes: pngWith(await deepPng(grey, 1), GREY),
      inks: blackOf(meant),
    },
    {
      name: 'CMYK',
      file: 'cmyk.tif',
      bytes: new Uint8Array(separatedTiff(pixelsOf(cmyk), { width: SIDE, height: SIDE })),
      inks: percent(cmyk),
    },
    { name: 'CMYK, tagged', file: 'cmyk.jpg', bytes: jpegWith(inks, PRESS), inks: percent(cmyk) },
    { name: 'RGB, partly clear', file: 'clear.png', bytes: clear, inks: thinned(plain) },
    { name: 'wide RGB, partly clear', file: 'clear-wide.png', bytes: pngWith(clear, WIDE), inks: thinned(wide) },
  ];
}

/** Pictures side by side, four in a row, a pixel a point. */
const ACROSS = 4;
const STEP = SIDE + 8;

export interface KindsJob {
  readonly job: Job;
  readonly files: ReadonlyMap<string, Uint8Array>;
}

/** A job that shows every kind once. */
export async function kindsJob(kinds: readonly PictureKind[]): Promise<KindsJob> {
  const files = new Map<string, Uint8Array>();
  const assets: Record<string, Asset> = {};
  const elements = [];
  for (const [i, kind] of kinds.entries()) {
    const read = await readPicture(kind.file, kind.bytes);
    if (!read.ok) throw new Error(read.problem);
    const sha = createHash('sha256').update(kind.bytes).digest('hex');
    files.set(sha, kind.bytes);
    assets[sha] = read.picture;
    const { x, y } = cornerOf(i);
    const [left, top, side] = [x, y, SIDE].map((pt) => pt * MM_PER_PT) as [number, number, number];
    elements.push(picture(`picture-${i}`, sha, [left, top, side, side]));
  }
  const marks = { corner: false, centre: false, register: false, colourBar: false, slugLine: false, fold: false };
  const output = { ...makeJob().output, marks };
  const job = makeJob(elements, { assets, output }, { size: { width: 110, height: 110 }, bleed: edges(0) });
  return { job, files };
}

const cornerOf = (i: number) => ({ x: (i % ACROSS) * STEP, y: Math.floor(i / ACROSS) * STEP });

const PLATES = ['Cyan', 'Magenta', 'Yellow', 'Black'] as const;

/**
 * By how much of ink the worst square of a kind differs from what it should have, percent.
 * @param at the ink of a plate at a point, 0 to 1
 */
export function worstOf(
  kind: PictureKind,
  index: number,
  at: (plate: (typeof PLATES)[number], x: number, y: number) => number,
): number {
  const corner = cornerOf(index);
  const differences = kind.inks.flatMap((inks, square) => {
    const x = corner.x + ((square % SQUARES) + 0.5) * PIXELS;
    const y = corner.y + (Math.floor(square / SQUARES) + 0.5) * PIXELS;
    return PLATES.map((plate, p) => Math.abs(at(plate, x, y) * 100 - (inks[p] ?? 0)));
  });
  return Math.max(...differences);
}

/** The ink of plates that Ghostscript separated at 72 pixels to the inch. */
export const inkAt =
  (plates: ReadonlyMap<string, Plate>) =>
  (name: string, x: number, y: number): number =>
    plates.get(name)?.at(x, y) ?? 0;
