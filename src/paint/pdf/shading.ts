import { PROCESS, platesIn, shownBuild, type Rgb, type SpotTint } from '../../core/colour';
import type { Ink, InkStop } from '../../core/drawing';
import { mixed } from '../mixed-stops';
import type { GradientInk } from './content';
import type { Value } from './objects';
import { plateColour, type Plate } from './spaces';

/** Exponential interpolation between two colours (ISO 32000-1, 7.10.3). */
const between = (from: readonly number[], to: readonly number[]): Value => ({
  FunctionType: 2,
  Domain: [0, 1],
  C0: from,
  C1: to,
  N: 1,
});

/** Colours at places from 0 to 1 as one function; before the first and after the last they go on. */
function alongStops(stops: readonly { readonly at: number; readonly values: readonly number[] }[]): Value {
  const [first, last] = [stops[0], stops.at(-1)];
  if (!first || !last) throw new RangeError('A gradient has at least two stops.');
  const whole = [
    ...(first.at > 0 ? [{ ...first, at: 0 }] : []),
    ...stops,
    ...(last.at < 1 ? [{ ...last, at: 1 }] : []),
  ];
  // Two stops at one place are a hard edge: no function stands between them.
  const pieces = whole.flatMap((stop, i) => {
    const next = whole[i + 1];
    return next && next.at - stop.at > 1e-6 ? [{ from: stop, to: next }] : [];
  });
  const [only] = pieces;
  if (!only) return between(first.values, last.values);
  if (pieces.length === 1) return between(only.from.values, only.to.values);
  return {
    FunctionType: 3,
    Domain: [0, 1],
    Functions: pieces.map(({ from, to }) => between(from.values, to.values)),
    Bounds: pieces.slice(0, -1).map(({ to }) => to.at),
    Encode: pieces.flatMap(() => [0, 1]),
  };
}

const rgbValues = ({ r, g, b }: Rgb): readonly number[] => [r, g, b].map((v) => v / 255);

function geometry(ink: GradientInk): { readonly [key: string]: Value } {
  const { run } = ink;
  return run.kind === 'linear'
    ? { ShadingType: 2, Coords: [run.from.x, run.from.y, run.to.x, run.to.y], Extend: [true, true] }
    : {
        ShadingType: 3,
        Coords: [run.centre.x, run.centre.y, 0, run.centre.x, run.centre.y, run.radius],
        Extend: [true, true],
      };
}

/**
 * The plates of a gradient as a shading (ISO 32000-1, 8.7.4.5.3 and 8.7.4.5.4). One that overprints names its plates:
 * in DeviceCMYK a shading paints all four, whatever the overprint mode says (11.7.4.5).
 * @param space of plates of their own
 */
export function pressShading(ink: GradientInk, space: (plates: readonly Plate[]) => Value): Value {
  const spots = spotsIn(ink.stops);
  if (spots.length === 0 && !ink.overprint) {
    const stops = ink.stops.map(({ at, build }) => ({ at, values: PROCESS.map((name) => build[name] / 100) }));
    return { ...geometry(ink), ColorSpace: 'DeviceCMYK', Function: alongStops(stops) };
  }
  // All its stops speak of the same plates.
  const used = [...new Set(ink.stops.flatMap(platesIn))];
  const colours = ink.stops.map((stop) => {
    const tints = spots.map((spot) => ({ ...spot, tint: stop.spots?.find((s) => s.name === spot.name)?.tint ?? 0 }));
    return { at: stop.at, ...plateColour({ build: stop.build, spots: tints }, used) };
  });
  const plates = colours[0]?.plates ?? [];
  const stops = colours.map(({ at, tints }) => ({ at, values: tints }));
  return { ...geometry(ink), ColorSpace: space(plates), Function: alongStops(stops) };
}

/** The spots of all stops, each once. */
const spotsIn = (stops: readonly InkStop[]): readonly SpotTint[] => [
  ...new Map(stops.flatMap(({ spots = [] }) => spots.map((spot) => [spot.name, spot] as const))).values(),
];

/** The colours of a gradient as a screen shows them. */
export function screenShading(ink: GradientInk, toRgb: (ink: Ink) => Rgb, space: Value | undefined): Value {
  const stops = mixed(ink.stops).map((stop) => ({
    at: stop.at,
    values: rgbValues(toRgb({ kind: 'process', build: shownBuild(stop), overprint: false })),
  }));
  return { ...geometry(ink), ColorSpace: space ?? 'DeviceRGB', Function: alongStops(stops) };
}

/** How opaque a gradient is, as a grey shading for a luminosity mask. */
export const opacityShading = (ink: GradientInk): Value => ({
  ...geometry(ink),
  ColorSpace: 'DeviceGray',
  Function: alongStops(ink.stops.map(({ at, opacity }) => ({ at, values: [opacity] }))),
});
