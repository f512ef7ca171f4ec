import { ellipsePath, linePath, rectPath, type Ink, type Item, type Path } from '../drawing';
import { IDENTITY, type Point } from '../layout';
import { ptToMm, type Mm } from '../measure';

/** What prints on every plate. */
export const REGISTRATION: Ink = { kind: 'registration', tint: 100 };

/** Weight of a mark, mm [cp]. */
export const MARK_WEIGHT = ptToMm(0.25);

/** Longest side of a patch of a colour bar, mm [cp]. */
export const PATCH: Mm = 5;

/** Lines of marks. @param from what they are, in words @param dash lengths and gaps, mm */
export function markLines(from: string, path: Path, dash: readonly Mm[] = []): Item {
  const stroke = { ink: REGISTRATION, width: MARK_WEIGHT, dash, cap: 'butt' as const };
  return { kind: 'path', from, opacity: 1, matrix: IDENTITY, path, fill: null, stroke };
}

/** A full area. */
export const markArea = (from: string, path: Path, fill: Ink): Item => ({
  kind: 'path',
  from,
  opacity: 1,
  matrix: IDENTITY,
  path,
  fill,
  stroke: null,
});

/** A register target: a cross, and a circle about its middle. @param arm half its width, mm */
export function targetPath({ x, y }: Point, arm: Mm): Path {
  const radius = arm * 0.6;
  return [
    ...linePath({ x: x - arm, y }, { x: x + arm, y }),
    ...linePath({ x, y: y - arm }, { x, y: y + arm }),
    ...ellipsePath({ x: x - radius, y: y - radius, width: 2 * radius, height: 2 * radius }),
  ];
}

/** Patches of a colour bar side by side. @param at top left corner of the first @param size of each, mm */
export const patchRow = (
  patches: readonly Ink[],
  at: Point,
  size: { readonly width: Mm; readonly height: Mm },
): readonly Item[] =>
  patches.map((ink, i) => markArea('colour bar', rectPath({ ...size, x: at.x + i * size.width, y: at.y }), ink));
