import { isBlackOnly, type ColourEngine } from '../colour';
import type { GradientRun, Ink } from '../drawing';
import type { Gradient, Paint, SolidPaint } from '../element';
import type { Rect } from '../layout';

export type ProcessInk = Extract<Ink, { kind: 'process' }>;

/** What a paint lays on paper as an area: artwork knocks out what is beneath. */
export function solidInk(paint: SolidPaint, colour: ColourEngine): ProcessInk {
  switch (paint.kind) {
    case 'process':
      return { kind: 'process', build: { c: paint.c, m: paint.m, y: paint.y, k: paint.k }, overprint: false };
    case 'paper':
      return { kind: 'process', build: { c: 0, m: 0, y: 0, k: 0 }, overprint: false };
    case 'rgb': {
      const from = { r: paint.r, g: paint.g, b: paint.b };
      return { kind: 'process', build: colour.toBuild(from), overprint: false, from };
    }
  }
}

/** What fills a box: one ink, or a gradient across the box. */
export const inkOf = (paint: Paint, box: Rect, colour: ColourEngine): Ink =>
  paint.kind === 'gradient'
    ? {
        kind: 'gradient',
        run: runOf(paint, box),
        stops: [...paint.stops]
          .sort((a, b) => a.at - b.at)
          .map(({ at, paint: stop, opacity }) => ({ at: at / 100, build: solidInk(stop, colour).build, opacity })),
      }
    : solidInk(paint, colour);

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
 * when the plates shift, and sRGB black becomes that black.
 */
export function fineInkOf(paint: SolidPaint, colour: ColourEngine): ProcessInk {
  if (paint.kind === 'rgb' && paint.r + paint.g + paint.b === 0) {
    const from = { r: 0, g: 0, b: 0 };
    return { kind: 'process', build: { c: 0, m: 0, y: 0, k: 100 }, overprint: true, from };
  }
  const ink = solidInk(paint, colour);
  return isBlackOnly(ink.build) ? { ...ink, overprint: true } : ink;
}
