import { shownBuild } from '../core/colour';
import type { InkStop } from '../core/drawing';

/** Steps between two stops: screens mix in sRGB, the press in dot areas, and so many steps bring them together. */
const STEPS = 8;

const between = (a: number, b: number, t: number): number => a + (b - a) * t;

/** The stops with what is mixed between them, for readers that cannot mix dot areas themselves. */
export function mixed(stops: readonly InkStop[]): readonly InkStop[] {
  return stops.flatMap((stop, i) => {
    const next = stops[i + 1];
    if (!next) return [{ at: stop.at, opacity: stop.opacity, build: shownBuild(stop) }];
    return Array.from({ length: STEPS }, (_, k): InkStop => {
      const t = k / STEPS;
      const [one, two] = [shownBuild(stop), shownBuild(next)];
      return {
        at: between(stop.at, next.at, t),
        opacity: between(stop.opacity, next.opacity, t),
        build: {
          c: between(one.c, two.c, t),
          m: between(one.m, two.m, t),
          y: between(one.y, two.y, t),
          k: between(one.k, two.k, t),
        },
      };
    });
  });
}
