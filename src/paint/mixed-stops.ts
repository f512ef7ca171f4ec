import type { InkStop } from '../core/drawing';

/** Steps between two stops: screens mix in sRGB, the press in dot areas, and so many steps bring them together. */
const STEPS = 8;

const between = (a: number, b: number, t: number): number => a + (b - a) * t;

/** The stops with what is mixed between them, for readers that cannot mix dot areas themselves. */
export function mixed(stops: readonly InkStop[]): readonly InkStop[] {
  return stops.flatMap((stop, i) => {
    const next = stops[i + 1];
    if (!next) return [stop];
    return Array.from({ length: STEPS }, (_, k): InkStop => {
      const t = k / STEPS;
      return {
        at: between(stop.at, next.at, t),
        opacity: between(stop.opacity, next.opacity, t),
        build: {
          c: between(stop.build.c, next.build.c, t),
          m: between(stop.build.m, next.build.m, t),
          y: between(stop.build.y, next.build.y, t),
          k: between(stop.build.k, next.build.k, t),
        },
      };
    });
  });
}
