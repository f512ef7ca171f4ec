import type { Item } from '../../core/drawing';
import type { PixelBox } from './coverage';

// Named once: a look-up of a global in every step is dear where code runs in a context of its own.
const { round, min, max, sqrt, abs } = Math;

/**
 * What is laid on a row: for each plate one value, or one for each column; nothing where the plate is left as it is.
 */
export interface RowInk {
  /** By plate: 0 to 255 dot area all along, a value for each column, or `undefined` to leave what is beneath. */
  readonly of: readonly (number | Uint8Array | undefined)[];
}

type Mixing = Item['blend'];

/**
 * Plates of a part of a page, 8 bits a pixel, 255 for full ink, with how opaque each pixel is where that has to be
 * known: in groups, and on a page on which something is mixed with what lies beneath.
 */
export class Canvas {
  readonly plates: readonly Uint8Array[];
  readonly alpha: Uint8Array | undefined;
  /** Rows of which all is covered: they are as opaque as paper. */
  private readonly covered: Uint8Array;

  constructor(
    readonly box: PixelBox,
    readonly names: readonly string[],
    isClear: boolean,
  ) {
    const size = box.width * box.height;
    this.plates = names.map(() => new Uint8Array(size));
    this.alpha = isClear ? new Uint8Array(size) : undefined;
    this.covered = new Uint8Array(box.height);
  }

  /** Whether a row may be clear in places. */
  isClearAt(y: number): boolean {
    return this.alpha !== undefined && this.covered[y - this.box.y] === 0;
  }

  /**
   * Lays ink on one row.
   * @param y    row of the page
   * @param from column counted from the left of this canvas
   * @param to   column after the last
   * @param opaque 0 to 255 for each column, indexed as the columns are
   * @param isFull whether all of it is 255
   */
  lay(y: number, from: number, to: number, opaque: Uint8Array, isFull: boolean, ink: RowInk, blend: Mixing): void {
    const base = (y - this.box.y) * this.box.width;
    const row = y - this.box.y;
    if (this.alpha && this.covered[row] === 0) {
      this.layClear(base, from, to, opaque, ink, blend, this.alpha);
      if (from === 0 && to === this.box.width && isFull) this.covered[row] = 1;
    } else this.layOpaque(base, from, to, opaque, isFull, ink, blend);
  }

  /** Lays a page onto paper: of what covers a pixel in part, the paper keeps its part bare. */
  ontoPaper(): readonly Uint8Array[] {
    const { alpha, plates } = this;
    const { width, height } = this.box;
    if (!alpha) return plates;
    for (let row = 0; row < height; row += 1) {
      if (this.covered[row] === 1) continue;
      for (let i = row * width; i < (row + 1) * width; i += 1) {
        const a = alpha[i] ?? 0;
        if (a < 255) for (const plate of plates) plate[i] = between(0, plate[i] ?? 0, a);
      }
    }
    return plates;
  }

  /** On bare paper, which is opaque. */
  private layOpaque(
    base: number,
    from: number,
    to: number,
    opaque: Uint8Array,
    isFull: boolean,
    ink: RowInk,
    blend: Mixing,
  ): void {
    const { plates } = this;
    for (let p = 0; p < plates.length; p += 1) {
      const source = ink.of[p];
      const plate = plates[p];
      if (source === undefined || !plate) continue;
      const mix = blend && mixingFor(blend, this.names[p] ?? '');
      if (mix) {
        for (let x = from; x < to; x += 1) {
          const a = opaque[x] ?? 0;
          if (a === 0) continue;
          const under = plate[base + x] ?? 0;
          const over = typeof source === 'number' ? source : (source[x] ?? 0);
          plate[base + x] = between(under, 255 - mix(255 - under, 255 - over), a);
        }
      } else if (typeof source === 'number') {
        if (isFull) plate.fill(source, base + from, base + to);
        else layFlat(plate, base, from, to, opaque, source);
      } else if (isFull) plate.set(source.subarray(from, to), base + from);
      else
        for (let x = from; x < to; x += 1) {
          const a = opaque[x] ?? 0;
          if (a > 0) plate[base + x] = a === 255 ? (source[x] ?? 0) : between(plate[base + x] ?? 0, source[x] ?? 0, a);
        }
    }
  }

  /** Where the ground may be clear: the basic formula of compositing (ISO 32000-1, 11.3.6). */
  private layClear(
    base: number,
    from: number,
    to: number,
    opaque: Uint8Array,
    ink: RowInk,
    blend: Mixing,
    alpha: Uint8Array,
  ): void {
    const { plates } = this;
    const count = to - from;
    if (share.length < count) {
      share = new Float32Array(count);
      beneath = new Float32Array(count);
    }
    let isBare = true;
    for (let i = 0; i < count; i += 1) {
      const a = opaque[from + i] ?? 0;
      const ground = alpha[base + from + i] ?? 0;
      if (ground > 0) isBare = false;
      const union = a + ground - (a * ground) / 255;
      share[i] = union > 0 ? a / union : 0;
      beneath[i] = ground / 255;
      alpha[base + from + i] = round(union);
    }
    if (isBare) {
      // Nothing lies beneath: what is laid is what is there.
      for (let p = 0; p < plates.length; p += 1) {
        const source = ink.of[p] ?? 0;
        if (typeof source === 'number') plates[p]?.fill(source, base + from, base + to);
        else plates[p]?.set(source.subarray(from, to), base + from);
      }
      return;
    }
    for (let p = 0; p < plates.length; p += 1) {
      const plate = plates[p];
      if (!plate) continue;
      const source = ink.of[p];
      const mix = blend && mixingFor(blend, this.names[p] ?? '');
      for (let i = 0; i < count; i += 1) {
        const part = share[i] ?? 0;
        if (part === 0) continue;
        const x = from + i;
        const under = plate[base + x] ?? 0;
        const over = source === undefined ? 0 : typeof source === 'number' ? source : (source[x] ?? 0);
        const ground = beneath[i] ?? 0;
        // A plate that is left as it is keeps what is beneath, as far as there is anything beneath.
        const met = source === undefined ? under : mix ? 255 - mix(255 - under, 255 - over) : over;
        const laid = ground === 0 ? over : (1 - ground) * over + ground * met;
        plate[base + x] = round(under + (laid - under) * part);
      }
    }
  }
}

/**
 * For each pixel of a row: how much of the new lies in what comes out, and how opaque the ground was. Reused from row
 * to row.
 */
let share = new Float32Array(4096);
let beneath = new Float32Array(4096);

function layFlat(plate: Uint8Array, base: number, from: number, to: number, opaque: Uint8Array, value: number): void {
  for (let x = from; x < to; x += 1) {
    const a = opaque[x] ?? 0;
    if (a === 255) plate[base + x] = value;
    else if (a > 0) plate[base + x] = between(plate[base + x] ?? 0, value, a);
  }
}

/** From one to the other by so many 255ths, rounded. */
const between = (under: number, over: number, a: number): number => {
  const t = under * (255 - a) + over * a + 128;
  return (t + (t >> 8)) >> 8;
};

type Mix = (under: number, over: number) => number;

const PROCESS_NAMES: readonly string[] = ['Cyan', 'Magenta', 'Yellow', 'Black'];

/**
 * How a blend mode mixes one plate, on light values 0 to 255 (ISO 32000-1, 11.3.5.2). Spot plates take only modes that
 * keep white white; the others lay on plainly there (11.7.4.2).
 */
function mixingFor(blend: NonNullable<Mixing>, plate: string): Mix | undefined {
  if ((blend === 'difference' || blend === 'exclusion') && !PROCESS_NAMES.includes(plate)) return undefined;
  return MIXES[blend];
}

const screen: Mix = (b, s) => b + s - (b * s) / 255;
const hardLight: Mix = (b, s) => (s <= 127.5 ? (b * 2 * s) / 255 : screen(b, 2 * s - 255));

const MIXES: Readonly<Record<NonNullable<Mixing>, Mix>> = {
  multiply: (b, s) => (b * s) / 255,
  screen,
  overlay: (b, s) => hardLight(s, b),
  darken: (b, s) => min(b, s),
  lighten: (b, s) => max(b, s),
  'color-dodge': (b, s) => (b === 0 ? 0 : b >= 255 - s ? 255 : (b / (255 - s)) * 255),
  'color-burn': (b, s) => (b === 255 ? 255 : 255 - b >= s ? 0 : 255 - ((255 - b) / s) * 255),
  'hard-light': hardLight,
  'soft-light': softLight,
  difference: (b, s) => abs(b - s),
  exclusion: (b, s) => b + s - (2 * b * s) / 255,
};

function softLight(under: number, over: number): number {
  const [b, s] = [under / 255, over / 255];
  if (s <= 0.5) return (b - (1 - 2 * s) * b * (1 - b)) * 255;
  const d = b <= 0.25 ? ((16 * b - 12) * b + 4) * b : sqrt(b);
  return (b + (2 * s - 1) * (d - b)) * 255;
}
