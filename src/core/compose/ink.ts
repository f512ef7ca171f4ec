import {
  NO_INK,
  isBlackOnly,
  shiftOf,
  tinted,
  writeHex,
  type Build,
  type ColourEngine,
  type Rgb,
  type SpotTint,
} from '../colour';
import type { GradientRun, Ink, InkStop } from '../drawing';
import type { Gradient, Paint, SolidPaint, SpotInk, Swatch } from '../element';
import type { Job } from '../job';
import type { Rect } from '../layout';

export type ProcessInk = Extract<Ink, { kind: 'process' }>;

/** The output profile beside the inks and named colours of a job. */
export interface PaintBook extends ColourEngine {
  readonly spot: (name: string) => SpotInk | undefined;
  readonly swatch: (name: string) => Swatch | undefined;
  /** sRGB as a build, and how far it moves where the paper cannot show it. */
  readonly converted: (rgb: Rgb) => { readonly build: Build; readonly lost?: number };
}

/** What the paints of a job mean on its paper. */
export function paintBook(colour: ColourEngine, { inks, swatches }: Pick<Job, 'inks' | 'swatches'>): PaintBook {
  const spots = new Map((inks ?? []).map((ink) => [ink.name, ink]));
  const named = new Map((swatches ?? []).map((swatch) => [swatch.name, swatch]));
  const known = new Map<string, ReturnType<PaintBook['converted']>>();
  const converted = (rgb: Rgb) => {
    const key = writeHex(rgb);
    const before = known.get(key);
    if (before) return before;
    const { build, deltaE, outOfGamut } = shiftOf(rgb, colour);
    const made = outOfGamut ? { build, lost: deltaE } : { build };
    known.set(key, made);
    return made;
  };
  return { ...colour, converted, spot: (name) => spots.get(name), swatch: (name) => named.get(name) };
}

/** The paint that an ink was, with its numbers as they are. */
export function paintOfInk({ from, build, spots, overprint }: ProcessInk): SolidPaint {
  const laid = overprint ? { overprint } : {};
  if (from) return { kind: 'rgb', ...from };
  return spots
    ? { kind: 'spot', ...build, spots: spots.map(({ name, tint }) => ({ ink: name, tint })), ...laid }
    : { kind: 'process', ...build, ...laid };
}

const BLACK_INK: ProcessInk = { kind: 'process', build: { ...NO_INK, k: 100 }, overprint: false };

/** What a paint lays on paper as an area: artwork knocks out what is beneath, unless its paint says otherwise. */
export function solidInk(paint: SolidPaint, colour: PaintBook): ProcessInk {
  switch (paint.kind) {
    case 'process':
      return {
        kind: 'process',
        build: { c: paint.c, m: paint.m, y: paint.y, k: paint.k },
        overprint: paint.overprint ?? false,
      };
    case 'paper':
      return { kind: 'process', build: NO_INK, overprint: false };
    case 'rgb': {
      const from = { r: paint.r, g: paint.g, b: paint.b };
      const { build, lost } = colour.converted(from);
      return { kind: 'process', build, overprint: paint.overprint ?? false, from, ...(lost !== undefined && { lost }) };
    }
    case 'spot': {
      const spots = paint.spots.flatMap(({ ink, tint }): SpotTint[] => {
        const found = colour.spot(ink);
        return found ? [{ name: ink, tint, shown: { c: found.c, m: found.m, y: found.y, k: found.k } }] : [];
      });
      const build = { c: paint.c, m: paint.m, y: paint.y, k: paint.k };
      return { kind: 'process', build, overprint: paint.overprint ?? false, ...(spots.length > 0 && { spots }) };
    }
    case 'swatch': {
      const found = colour.swatch(paint.swatch);
      const ink = found ? solidInk(found.paint, colour) : BLACK_INK;
      const overprint = paint.overprint ?? ink.overprint;
      return paint.tint === 100
        ? { ...ink, overprint }
        : { kind: 'process', overprint, ...tinted(ink, paint.tint / 100) };
    }
  }
}

/** What fills a box: one ink, or a gradient across the box. */
export const inkOf = (paint: Paint, box: Rect, colour: PaintBook): Ink =>
  paint.kind === 'gradient' ? gradientInk(paint, box, colour) : solidInk(paint, colour);

/** A gradient overprints when all its stops do; a part of one cannot. */
function gradientInk(paint: Gradient, box: Rect, colour: PaintBook): Ink {
  const stops = [...paint.stops]
    .sort((a, b) => a.at - b.at)
    .map((stop) => ({ ...stop, ink: solidInk(stop.paint, colour) }));
  return {
    kind: 'gradient',
    run: runOf(paint, box),
    stops: stops.map(({ at, opacity, ink: { build, spots } }): InkStop => ({
      at: at / 100,
      build,
      ...(spots && { spots }),
      opacity,
    })),
    ...(stops.every(({ ink }) => ink.overprint) && { overprint: true as const }),
  };
}

/**
 * Where a gradient runs. A linear one at 100 % reaches from corner to corner across its angle: |w·cos| + |h·sin|; a
 * radial one to the corners from the middle: half the diagonal.
 */
export function runOf({ shape, angle, length, centre }: Omit<Gradient, 'stops'>, box: Rect): GradientRun {
  const middle = { x: box.x + box.width * centre.x, y: box.y + box.height * centre.y };
  if (shape === 'radial') {
    return { kind: 'radial', centre: middle, radius: (Math.hypot(box.width, box.height) / 2) * (length / 100) };
  }
  const turn = (angle * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const half = ((Math.abs(box.width * cos) + Math.abs(box.height * sin)) * length) / 200;
  return {
    kind: 'linear',
    from: { x: middle.x - cos * half, y: middle.y - sin * half },
    to: { x: middle.x + cos * half, y: middle.y + sin * half },
  };
}

/**
 * What a paint lays on paper as type or line: black is one ink and overprints, so that no paper shows at its edges
 * when the plates shift, and sRGB black becomes that black. A paint that says how it is laid keeps its word.
 */
export function fineInkOf(paint: SolidPaint, colour: PaintBook): ProcessInk {
  const said = 'overprint' in paint ? paint.overprint : undefined;
  if (paint.kind === 'rgb' && paint.r + paint.g + paint.b === 0) {
    return { ...BLACK_INK, overprint: said ?? true, from: { r: 0, g: 0, b: 0 } };
  }
  const ink = solidInk(paint, colour);
  return said === undefined && isBlackOnly(ink.build) && !ink.spots ? { ...ink, overprint: true } : ink;
}
