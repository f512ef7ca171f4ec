import type { Build, Rgb } from '../../core/colour';
import type { Plates } from './read-plates';

/** How plates are looked at. */
export interface Seeing {
  /** Names of the plates that are shown. */
  readonly shown: readonly string[];
  /** One plate alone in grey: what a plate-setter sees; else in its colours. */
  readonly isGrey: boolean;
  /** Pixels by which a plate lies off, by its name. */
  readonly off: Readonly<Record<string, { readonly x: number; readonly y: number }>>;
  /** The paper, sRGB. */
  readonly paper: Rgb;
}

/** How inks look. */
export interface InkLook {
  /** Many builds at once, four bytes each, to sRGB, three bytes each. */
  readonly toRgb: (cmyk: Uint8Array) => Uint8Array;
  /** The build that shows a spot, coating or line, solid. */
  readonly shownAs: (plate: string) => Build | undefined;
}

const PROCESS: readonly string[] = ['Cyan', 'Magenta', 'Yellow', 'Black'];

/** Plates laid over each other as a screen shows them, four bytes a pixel. */
export function seenPlates(plates: Plates, seeing: Seeing, look: InkLook): Uint8ClampedArray<ArrayBuffer> {
  const { width, height, names } = plates;
  const size = width * height;
  const shifted = (name: string): Uint8Array | undefined => {
    const plate = seeing.shown.includes(name) ? plates.pixels[names.indexOf(name)] : undefined;
    const off = seeing.off[name];
    return plate && off && (off.x !== 0 || off.y !== 0) ? moved(plate, width, height, off.x, off.y) : plate;
  };
  const out = new Uint8ClampedArray(size * 4);
  if (seeing.isGrey) {
    const only = shifted(seeing.shown[0] ?? '');
    for (let i = 0, at = 0; i < size; i += 1, at += 4) {
      const light = 255 - (only?.[i] ?? 0);
      out[at] = out[at + 1] = out[at + 2] = light;
      out[at + 3] = 255;
    }
    return out;
  }
  const [c, m, y, k] = PROCESS.map(shifted);
  const rgb = builtColours(size, c, m, y, k, look);
  for (let i = 0, at = 0, from = 0; i < size; i += 1, at += 4, from += 3) {
    out[at] = ((rgb[from] ?? 0) * seeing.paper.r) / 255;
    out[at + 1] = ((rgb[from + 1] ?? 0) * seeing.paper.g) / 255;
    out[at + 2] = ((rgb[from + 2] ?? 0) * seeing.paper.b) / 255;
    out[at + 3] = 255;
  }
  for (const name of names.filter((n) => !PROCESS.includes(n))) {
    const plate = shifted(name);
    const shown = plate && look.shownAs(name);
    if (!plate || !shown) continue;
    const [r = 0, g = 0, b = 0] = look.toRgb(
      Uint8Array.of(shown.c * 2.55, shown.m * 2.55, shown.y * 2.55, shown.k * 2.55),
    );
    // Ink lies over ink: each takes its share of the light that is left.
    for (let i = 0, at = 0; i < size; i += 1, at += 4) {
      const tint = plate[i] ?? 0;
      if (tint === 0) continue;
      out[at] = ((out[at] ?? 0) * (65025 - tint * (255 - r))) / 65025;
      out[at + 1] = ((out[at + 1] ?? 0) * (65025 - tint * (255 - g))) / 65025;
      out[at + 2] = ((out[at + 2] ?? 0) * (65025 - tint * (255 - b))) / 65025;
    }
  }
  return out;
}

/** Builds are the same over whole areas: each that differs is converted once. */
function builtColours(
  size: number,
  c: Uint8Array | undefined,
  m: Uint8Array | undefined,
  y: Uint8Array | undefined,
  k: Uint8Array | undefined,
  look: InkLook,
): Uint8Array {
  // Which of the distinct builds a pixel has, found through a table of those seen last.
  const slots = new Int32Array(1 << 16).fill(-1);
  const keys: number[] = [];
  const which = new Int32Array(size);
  for (let i = 0; i < size; i += 1) {
    const key = (((c?.[i] ?? 0) << 24) | ((m?.[i] ?? 0) << 16) | ((y?.[i] ?? 0) << 8) | (k?.[i] ?? 0)) >>> 0;
    const slot = (Math.imul(key, 2654435761) >>> 16) & 0xffff;
    let found = slots[slot] ?? -1;
    if (found < 0 || keys[found] !== key) {
      found = keys.length;
      keys.push(key);
      slots[slot] = found;
    }
    which[i] = found;
  }
  const cmyk = new Uint8Array(keys.length * 4);
  keys.forEach((key, i) => {
    cmyk[i * 4] = key >>> 24;
    cmyk[i * 4 + 1] = (key >>> 16) & 255;
    cmyk[i * 4 + 2] = (key >>> 8) & 255;
    cmyk[i * 4 + 3] = key & 255;
  });
  const rgb = look.toRgb(cmyk);
  const out = new Uint8Array(size * 3);
  for (let i = 0, at = 0; i < size; i += 1, at += 3) {
    const from = (which[i] ?? 0) * 3;
    out[at] = rgb[from] ?? 0;
    out[at + 1] = rgb[from + 1] ?? 0;
    out[at + 2] = rgb[from + 2] ?? 0;
  }
  return out;
}

/** A plate set down elsewhere; what comes in from outside is bare. */
function moved(plate: Uint8Array, width: number, height: number, dx: number, dy: number): Uint8Array {
  const [across, down] = [Math.round(dx), Math.round(dy)];
  const out = new Uint8Array(plate.length);
  for (let y = 0; y < height; y += 1) {
    const from = y - down;
    if (from < 0 || from >= height) continue;
    const start = Math.max(0, -across);
    const end = Math.min(width, width - across);
    if (end > start) out.set(plate.subarray(from * width + start, from * width + end), y * width + start + across);
  }
  return out;
}
