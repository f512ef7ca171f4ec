import { extentOf, type Element } from '../element';
import {
  around,
  edges,
  flatten,
  grow,
  mapPath,
  overlaps,
  pose,
  positive,
  rectPath,
  type Path,
  type Point,
  type Rect,
  type SurfaceBoxes,
} from '../layout';
import type { Mm } from '../measure';
import { weakMemo } from './memo';
import { outlineOf } from './shape';

/** An outline that text keeps clear of, and how far. */
interface Obstacle {
  readonly parts: readonly (readonly Point[])[];
  readonly gap: Mm;
}

function outlineOfAny(element: Element, boxes: SurfaceBoxes): Path | undefined {
  const placed = boxes.placed[element.id];
  if (!placed) return undefined;
  const rect = positive(placed);
  const { rotate, shear } = element.placement;
  const path =
    element.kind === 'shape'
      ? outlineOf(element, { rect, reach: rect, matrix: pose(rect, rotate, shear) }, { boxes })
      : rectPath(rect);
  return mapPath(path, pose(rect, rotate, shear));
}

type NamedObstacle = Obstacle & { readonly element: string };

/** By side: each of its texts asks. */
const known = weakMemo<readonly NamedObstacle[]>();

/** What text of a side keeps clear of. */
export const obstaclesOn = (elements: readonly Element[], boxes: SurfaceBoxes): readonly NamedObstacle[] =>
  known(elements, [boxes], () =>
    elements
      .filter((element) => element.wrap !== null)
      .flatMap((element) => {
        const path = outlineOfAny(element, boxes);
        const gap = element.wrap === null ? 0 : extentOf(element.wrap, boxes.measures);
        return path ? [{ element: element.id, parts: flatten(path, 0.1), gap }] : [];
      }),
  );

/**
 * Spans across that obstacles take between two heights, from the left edge of a frame and below its head.
 * @param inner where the frame’s text stands on the side
 */
export function avoiding(
  obstacles: readonly Obstacle[],
  inner: Rect,
): ((top: Mm, bottom: Mm) => readonly (readonly [Mm, Mm])[]) | undefined {
  const near = obstacles.filter(({ parts, gap }) => overlaps(grow(around(parts.flat()), edges(gap)), inner));
  if (near.length === 0) return undefined;
  return (top, bottom) =>
    near.flatMap(({ parts, gap }) => {
      const span = across(parts, inner.y + top - gap, inner.y + bottom + gap);
      return span ? [[span[0] - gap - inner.x, span[1] + gap - inner.x] as const] : [];
    });
}

/** The span that an outline takes within a band. */
function across(parts: readonly (readonly Point[])[], top: Mm, bottom: Mm): readonly [Mm, Mm] | undefined {
  let [left, right] = [Infinity, -Infinity];
  const take = (x: Mm) => {
    left = Math.min(left, x);
    right = Math.max(right, x);
  };
  for (const points of parts) {
    points.forEach((a, i) => {
      const b = points[(i + 1) % points.length] ?? a;
      if (a.y >= top && a.y <= bottom) take(a.x);
      for (const y of [top, bottom]) {
        if ((a.y < y && b.y > y) || (a.y > y && b.y < y)) take(a.x + ((b.x - a.x) * (y - a.y)) / (b.y - a.y));
      }
    });
  }
  return right >= left ? [left, right] : undefined;
}
