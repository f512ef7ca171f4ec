import type { Adjust } from '../core/element';

/** sRGB pixels with opacity, 8 bits a channel, each channel by itself. */
export interface Pixels {
  readonly width: number;
  readonly height: number;
  readonly rgb: Uint8Array;
  /** Left out, opaque. */
  readonly alpha?: Uint8Array;
}

/** Colours just beyond the tolerance fade in over this distance, so that no hard stairs are left (ΔE 1976). */
const SHOULDER = 5;

/** A picture’s pixels as its frame wants them: a colour cleared, black and white, levels. */
export function adjusted(pixels: Pixels, { clear, grey, levels }: Adjust): Pixels {
  const alpha = clear ? cleared(pixels, clear) : pixels.alpha;
  const curve = levels ? curveOf(levels) : undefined;
  let { rgb } = pixels;
  if (grey) rgb = desaturated(rgb);
  if (curve) rgb = rgb.map((v) => curve[v] ?? v);
  return { ...pixels, rgb, ...(alpha && { alpha }) };
}

/** Output for each tone: 255 × ((v − black) ÷ (white − black)) ^ (1 ÷ gamma), held within 0 and 255. */
export function curveOf({ black, white, gamma }: NonNullable<Adjust['levels']>): Uint8Array {
  return Uint8Array.from({ length: 256 }, (_, v) => {
    const share = Math.min(Math.max((v - black) / (white - black), 0), 1);
    return Math.round(255 * share ** (1 / gamma));
  });
}

/** sRGB to linear light (IEC 61966-2-1). */
const LINEAR = Float64Array.from({ length: 256 }, (_, v) => {
  const c = v / 255;
  return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
});
const encoded = (light: number): number =>
  255 * (light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055);

/** As bright as before in linear light, without colour: Y = 0.2126 R + 0.7152 G + 0.0722 B (ITU-R BT.709). */
function desaturated(rgb: Uint8Array): Uint8Array {
  const out = new Uint8Array(rgb.length);
  for (let i = 0; i < rgb.length; i += 3) {
    const y =
      0.2126 * (LINEAR[rgb[i] ?? 0] ?? 0) +
      0.7152 * (LINEAR[rgb[i + 1] ?? 0] ?? 0) +
      0.0722 * (LINEAR[rgb[i + 2] ?? 0] ?? 0);
    out.fill(Math.round(encoded(y)), i, i + 3);
  }
  return out;
}

/** CIE 1976 L*a*b* of an sRGB colour, D65 (CIE 15). */
export function labOf(r: number, g: number, b: number): readonly [number, number, number] {
  const [lr, lg, lb] = [LINEAR[r] ?? 0, LINEAR[g] ?? 0, LINEAR[b] ?? 0];
  const f = (t: number) => (t > 216 / 24389 ? Math.cbrt(t) : ((24389 / 27) * t + 16) / 116);
  const x = f((0.4124564 * lr + 0.3575761 * lg + 0.1804375 * lb) / 0.95047);
  const y = f(0.2126729 * lr + 0.7151522 * lg + 0.072175 * lb);
  const z = f((0.0193339 * lr + 0.119192 * lg + 0.9503041 * lb) / 1.08883);
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)];
}

function cleared({ rgb, alpha }: Pixels, { r, g, b, tolerance }: NonNullable<Adjust['clear']>): Uint8Array {
  const [L, A, B] = labOf(r, g, b);
  const known = new Map<number, number>();
  const share = (red: number, green: number, blue: number): number => {
    const key = (red << 16) | (green << 8) | blue;
    const before = known.get(key);
    if (before !== undefined) return before;
    const [l, a, bb] = labOf(red, green, blue);
    const distance = Math.hypot(l - L, a - A, bb - B);
    const value = Math.min(Math.max((distance - tolerance) / SHOULDER, 0), 1);
    if (known.size > 100_000) known.clear();
    known.set(key, value);
    return value;
  };
  return Uint8Array.from({ length: rgb.length / 3 }, (_, i) =>
    Math.round((alpha?.[i] ?? 255) * share(rgb[i * 3] ?? 0, rgb[i * 3 + 1] ?? 0, rgb[i * 3 + 2] ?? 0)),
  );
}
