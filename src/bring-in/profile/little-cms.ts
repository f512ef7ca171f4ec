import {
  inkLimiter,
  type Build,
  type ColourEngine,
  type Conversion,
  type Intent,
  type Lab,
  type Rgb,
} from '../../core/colour';

type Package = typeof import('lcms-wasm');
type LittleCms = Awaited<ReturnType<Package['instantiate']>>;

/** Fetches the package. A page loads it from its own address: bundlers do not follow how it finds its WebAssembly. */
export type LoadPackage = () => Promise<Package>;

interface Loaded {
  readonly cms: LittleCms;
  readonly compensate: number;
  readonly exact: number;
  /** A finer grid for whole pictures: the usual one errs by more than 1 % of ink in places. */
  readonly fine: number;
}

/** As a profile numbers its rendering intents (ICC.1, 7.2.15). */
const INTENT: Readonly<Record<Intent, number>> = { perceptual: 0, relative: 1, saturation: 2, absolute: 3 };

/** Steps of the grid by which whole pictures are converted. */
const FINE = 65;

let loading: Promise<Loaded> | undefined;

const littleCms = (load: LoadPackage): Promise<Loaded> =>
  (loading ??= load().then(async (lib) => ({
    cms: await lib.instantiate(),
    compensate: lib.cmsFLAGS_BLACKPOINTCOMPENSATION,
    exact: lib.cmsFLAGS_NOOPTIMIZE,
    // Grid points on each axis, as Little CMS takes them in its flags.
    fine: FINE << 16,
  })));

const clamped = (n: number): number => Math.min(FULL, Math.max(0, Math.round(n)));

/** Full scale of a 16-bit channel: RGB and CMYK alike. */
const FULL = 65535;

/** Conversions of whole pictures, 8 bits a channel in and out, interleaved. */
export interface PictureConverter {
  /** sRGB to the press, by the intent it was opened with. */
  readonly rgbToCmyk: (pixels: Uint8Array) => Uint8Array;
  /** RGB of a profile of its own to the press, likewise. @param icc its file */
  readonly taggedToCmyk: (icc: Uint8Array, pixels: Uint8Array) => Uint8Array;
  /** Grey of a profile of its own to the grey of sRGB, one byte a pixel. @param icc its file */
  readonly taggedToGrey: (icc: Uint8Array, pixels: Uint8Array) => Uint8Array;
  /** The press as a screen shows it, the paper white. */
  readonly cmykToRgb: (pixels: Uint8Array) => Uint8Array;
  /** sRGB and the press in L*a*b* D50, three floats a pixel; the press relative to its paper. */
  readonly rgbToLab: (pixels: Uint8Array) => Float32Array;
  readonly cmykToLab: (pixels: Uint8Array) => Float32Array;
  /** Inks separated anew with no more than so much on each other, percent: see `inkLimiter`. */
  readonly heldTo: (limit: number, pixels: Uint8Array) => Uint8Array;
}

export interface OpenProfile {
  readonly engine: ColourEngine;
  readonly pictures: () => PictureConverter;
}

/**
 * Opens a CMYK output profile (ICC) with Little CMS.
 * @param key   name of the profile in the job
 * @param bytes the ICC file
 * @param load  fetches Little CMS
 * @param way   the rendering intent to the press, and whether black is compensated; what is printed is shown and
 * measured
 *              relative to its paper, whatever the way there
 * @throws Error when the bytes are not a CMYK profile that converts both ways
 */
export async function openProfile(
  key: string,
  bytes: Uint8Array,
  load: LoadPackage,
  way: Omit<Conversion, 'profile'>,
): Promise<OpenProfile> {
  const { cms, compensate, exact, fine } = await littleCms(load);
  const shown = INTENT.relative;
  const black = way.blackPoint && way.intent !== 'absolute' ? compensate : 0;
  const profile = cms.cmsOpenProfileFromMem(bytes, bytes.byteLength);
  if (!profile || cms.cmsGetColorSpaceASCII(profile) !== 'CMYK') {
    throw new Error(`“${key}” is not a CMYK output profile.`);
  }
  const srgb = cms.cmsCreate_sRGBProfile();
  const lab = cms.cmsCreateLab4Profile(null);
  // 16 bits for RGB and CMYK and floats for Lab; the package returns garbage for doubles.
  const cmyk16 = cms.cmsFormatterForColorspaceOfProfile(profile, 2, false);
  const rgb16 = cms.cmsFormatterForColorspaceOfProfile(srgb, 2, false);
  const cmyk8 = cms.cmsFormatterForColorspaceOfProfile(profile, 1, false);
  const rgb8 = cms.cmsFormatterForColorspaceOfProfile(srgb, 1, false);
  const lab16 = cms.cmsFormatterForColorspaceOfProfile(lab, 2, false);
  const labFloat = cms.cmsFormatterForColorspaceOfProfile(lab, 4, true);
  const link = (from: number, inFormat: number, to: number, outFormat: number, intent: number, flags: number) => {
    const made = cms.cmsCreateTransform(from, inFormat, to, outFormat, intent, flags);
    if (!made) throw new Error(`“${key}” does not convert both ways.`);
    return made;
  };
  const rgbToCmyk = link(srgb, rgb16, profile, cmyk16, INTENT[way.intent], black | exact);
  const cmykToRgb = link(profile, cmyk16, srgb, rgb16, shown, compensate | exact);
  const cmykToLab = link(profile, cmyk16, lab, labFloat, shown, exact);
  const labToCmyk = link(lab, lab16, profile, cmyk16, shown, exact);
  const rgbToLab = link(srgb, rgb16, lab, labFloat, shown, exact);

  const rgbIn = ({ r, g, b }: Rgb) => Uint16Array.of(r * 257, g * 257, b * 257);
  // 16 bits as version 4 of ICC encodes Lab: 0 to 100 and −128 to 127 over the whole range.
  const labIn = ({ L, a, b }: Lab) =>
    Uint16Array.of(clamped(L * 655.35), clamped((a + 128) * 257), clamped((b + 128) * 257));
  const cmykIn = ({ c, m, y, k }: Build) => Uint16Array.from([c, m, y, k], (n) => Math.round((n / 100) * FULL));
  const run = (transform: number, input: Uint16Array): readonly number[] =>
    Array.from(cms.cmsDoTransform(transform, input, 1));
  const labOut = ([L = 0, a = 0, b = 0]: readonly number[]): Lab => ({ L, a, b });

  const engine: ColourEngine = {
    profile: key,
    toBuild: memoize(keyOfRgb, (rgb) => {
      const [c = 0, m = 0, y = 0, k = 0] = run(rgbToCmyk, rgbIn(rgb)).map((n) => (n / FULL) * 100);
      return { c, m, y, k };
    }),
    toRgb: memoize(keyOfBuild, (build) => {
      const [r = 0, g = 0, b = 0] = run(cmykToRgb, cmykIn(build)).map((n) => n / 257);
      return { r, g, b };
    }),
    buildLab: (build) => labOut(run(cmykToLab, cmykIn(build))),
    fromLab: ({ L, a, b }) => {
      const [c = 0, m = 0, y = 0, k = 0] = Array.from(cms.cmsDoTransform(labToCmyk, labIn({ L, a, b }), 1)).map(
        (n) => (n / FULL) * 100,
      );
      return { c, m, y, k };
    },
    rgbLab: (rgb) => labOut(run(rgbToLab, rgbIn(rgb))),
  };

  return {
    engine,
    pictures: once(() => {
      // 16 bits in, although pictures have 8: by its way from 8 bits the library errs by up to 2.7 % of ink. What comes
      // out is rounded to 8 by the library.
      const toCmyk = once(() => link(srgb, rgb16, profile, cmyk8, INTENT[way.intent], black | fine));
      const toRgb = once(() => link(profile, cmyk16, srgb, rgb8, shown, compensate));
      const fromRgb = taggedWith(cms, (own) => link(own, rgb16, profile, cmyk8, INTENT[way.intent], black | fine));
      const fromGrey = taggedWith(cms, (own) => {
        const grey16 = cms.cmsFormatterForColorspaceOfProfile(own, 2, false);
        return link(own, grey16, srgb, rgb8, shown, compensate | exact);
      });
      const toLab = (pixels: Uint8Array) => labsInStrips(cms, cmykToLab, pixels, 4);
      const limiterTo = memoize(String, (limit: number) => inkLimiter(limit, toLab));
      return {
        rgbToCmyk: (pixels) => convertInStrips(cms, toCmyk(), pixels, 3, 4),
        taggedToCmyk: (icc, pixels) => convertInStrips(cms, fromRgb(icc), pixels, 3, 4),
        taggedToGrey: (icc, pixels) => everyThird(convertInStrips(cms, fromGrey(icc), pixels, 1, 3)),
        cmykToRgb: (pixels) => convertInStrips(cms, toRgb(), pixels, 4, 3),
        rgbToLab: (pixels) => labsInStrips(cms, rgbToLab, pixels, 3),
        cmykToLab: toLab,
        heldTo: (limit, pixels) => limiterTo(limit)(pixels),
      };
    }),
  };
}

/**
 * Conversions from the profiles that pictures carry. Pictures of one camera carry one profile: its table is made once.
 */
function taggedWith(cms: LittleCms, link: (own: number) => number): (icc: Uint8Array) => number {
  const made: { readonly icc: Uint8Array; readonly transform: number }[] = [];
  return (icc) => {
    const before = made.find((one) => isSame(one.icc, icc));
    if (before) return before.transform;
    const own = cms.cmsOpenProfileFromMem(icc, icc.byteLength);
    if (!own) throw new Error('The profile of a picture cannot be read.');
    const transform = link(own);
    made.push({ icc, transform });
    return transform;
  };
}

/** The first of three channels that are equal. */
export function everyThird(rgb: Uint8Array): Uint8Array {
  const out = new Uint8Array(rgb.length / 3);
  for (let i = 0; i < out.length; i += 1) out[i] = rgb[i * 3] ?? 0;
  return out;
}

function isSame(one: Uint8Array, two: Uint8Array): boolean {
  if (one.length !== two.length) return false;
  for (let i = 0; i < one.length; i += 1) if (one[i] !== two[i]) return false;
  return true;
}

/** Made when it is first asked for, and then the same. */
function once<T>(make: () => T): () => T {
  let made: { readonly value: T } | undefined;
  return () => (made ??= { value: make() }).value;
}

/** Pixels converted at a time, so that the WebAssembly heap stays small. */
const STRIP = 1 << 18;

function convertInStrips(cms: LittleCms, transform: number, pixels: Uint8Array, from: number, to: number): Uint8Array {
  const count = pixels.length / from;
  const out = new Uint8Array(count * to);
  for (let at = 0; at < count; at += STRIP) {
    const n = Math.min(STRIP, count - at);
    out.set(cms.cmsDoTransform(transform, widened(pixels, at * from, n * from), n), at * to);
  }
  return out;
}

/** Samples of 8 bits as samples of 16. */
function widened(samples: Uint8Array, at: number, length: number): Uint16Array {
  const wide = new Uint16Array(length);
  for (let i = 0; i < length; i += 1) wide[i] = (samples[at + i] ?? 0) * 257;
  return wide;
}

function labsInStrips(cms: LittleCms, transform: number, pixels: Uint8Array, from: number): Float32Array {
  const count = pixels.length / from;
  const out = new Float32Array(count * 3);
  for (let at = 0; at < count; at += STRIP) {
    const n = Math.min(STRIP, count - at);
    out.set(cms.cmsDoTransform(transform, widened(pixels, at * from, n * from), n), at * 3);
  }
  return out;
}

const keyOfRgb = ({ r, g, b }: Rgb) => `${r},${g},${b}`;
const keyOfBuild = ({ c, m, y, k }: Build) => `${c},${m},${y},${k}`;

/** A conversion that remembers its answers: a page uses few colours and asks for them at every redraw. */
function memoize<I, O>(key: (input: I) => string, convert: (input: I) => O): (input: I) => O {
  const known = new Map<string, O>();
  return (input) => {
    const name = key(input);
    const before = known.get(name);
    if (before !== undefined) return before;
    const value = convert(input);
    if (known.size > 5000) known.clear();
    known.set(name, value);
    return value;
  };
}
