import { PROCESS, PROCESS_PLATES, platesIn, type Laid } from '../../core/colour';
import type { GradientRun, Ink, InkStop } from '../../core/drawing';
import { inverse, multiply, type Matrix } from '../../core/layout';
import type { RowInk } from './canvas';

/** Percent to a value of a plate. */
const valueOf = (percent: number): number => Math.round(Math.min(100, Math.max(0, percent)) * 2.55);

/** What a colour lays on each plate. */
const tintOn = ({ build, spots = [] }: Laid, plate: string): number => {
  const ink = PROCESS.find((name) => PROCESS_PLATES[name] === plate);
  return ink ? build[ink] : (spots.find(({ name }) => name === plate)?.tint ?? 0);
};

/** A flat ink on each plate; a plate that it overprints is left as it is (ISO 32000-1, 11.7.4.3). */
export function flatInk(ink: Exclude<Ink, { kind: 'gradient' }>, names: readonly string[]): RowInk {
  switch (ink.kind) {
    case 'process': {
      const used = ink.overprint ? platesIn(ink) : names;
      return { of: names.map((name) => (used.includes(name) ? valueOf(tintOn(ink, name)) : undefined)) };
    }
    case 'technical':
      return {
        of: names.map((name) => (name === ink.name ? valueOf(ink.tint ?? 100) : ink.knocksOut ? 0 : undefined)),
      };
    case 'registration':
      return { of: names.map(() => valueOf(ink.tint)) };
  }
}

/** The plates that a gradient leaves as they are. */
export const leftByGradient = (
  { overprint, stops }: Extract<Ink, { kind: 'gradient' }>,
  names: readonly string[],
): ReadonlySet<string> => {
  const used = new Set(stops.flatMap(platesIn));
  return new Set(overprint ? names.filter((name) => !used.has(name)) : []);
};

/** Steps of a gradient: finer than the eye and than a plate can tell. */
const STEPS = 1024;

/** A gradient in pixels, ready for rows. */
export interface Shading {
  /** Its values on each plate along its run. */
  readonly values: readonly Uint8Array[];
  readonly opacity: Uint8Array | undefined;
  /** Steps along its run for the middle of each pixel of a row, from a column on. */
  readonly steps: (y: number, from: number, to: number, into: Uint16Array) => void;
}

/** @param matrix to pixels */
export function shadingOf(
  run: GradientRun,
  stops: readonly InkStop[],
  names: readonly string[],
  matrix: Matrix,
  left: number,
): Shading {
  const isClear = stops.some((s) => s.opacity < 1);
  const along = (of: (stop: InkStop) => number) =>
    Uint8Array.from({ length: STEPS + 1 }, (_, i) => valueOf(at(stops, i / STEPS, of)));
  const back = inverse(matrix);
  return {
    values: names.map((name) => along((stop) => tintOn(stop, name))),
    opacity: isClear ? along((stop) => stop.opacity * 100) : undefined,
    steps: run.kind === 'linear' ? linearSteps(run, back, left) : radialSteps(run, back, left),
  };
}

/** A value between the stops; two at one place are a hard edge. */
function at(stops: readonly InkStop[], place: number, of: (stop: InkStop) => number): number {
  const after = stops.findIndex((stop) => stop.at > place);
  const next = after === -1 ? stops.at(-1) : stops[after];
  const before = after === -1 ? next : (stops[after - 1] ?? next);
  if (!next || !before) return 0;
  if (next === before) return of(next);
  return of(before) + ((of(next) - of(before)) * (place - before.at)) / (next.at - before.at);
}

const stepOf = (t: number): number => Math.round(Math.min(1, Math.max(0, t)) * STEPS);

function linearSteps(
  { from, to }: Extract<GradientRun, { kind: 'linear' }>,
  back: Matrix,
  left: number,
): Shading['steps'] {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const length = dx * dx + dy * dy || 1;
  const [a, b, c, d, e, f] = back;
  // How far along it a pixel lies is linear in its column and its row.
  const across = (a * dx + b * dy) / length;
  const down = (c * dx + d * dy) / length;
  const start = ((e - from.x) * dx + (f - from.y) * dy) / length;
  return (y, first, last, into) => {
    let t = start + (left + first + 0.5) * across + (y + 0.5) * down;
    for (let x = first; x < last; x += 1, t += across) into[x] = stepOf(t);
  };
}

function radialSteps(
  { centre, radius }: Extract<GradientRun, { kind: 'radial' }>,
  back: Matrix,
  left: number,
): Shading['steps'] {
  const [a, b, c, d, e, f] = back;
  return (y, first, last, into) => {
    for (let x = first; x < last; x += 1) {
      const [px, py] = [left + x + 0.5, y + 0.5];
      const dx = a * px + c * py + e - centre.x;
      const dy = b * px + d * py + f - centre.y;
      into[x] = stepOf(radius > 0 ? Math.hypot(dx, dy) / radius : 1);
    }
  };
}

/** From millimetres to pixels. */
export const pixelMatrix = (scale: number, x: number, y: number, item: Matrix): Matrix =>
  multiply([scale, 0, 0, scale, -x * scale, -y * scale], item);
