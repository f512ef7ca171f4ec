import { BufferAttribute, BufferGeometry, ShapeUtils, Vector2 } from 'three';
import { AT_REST, layersAt, movePoint, posesAt, type Folding } from '@/core/fold';
import type { Size } from '@/core/paper';

/** One part of the dummy: two faces that share their corners. */
export interface PartModel {
  readonly name: string;
  readonly up: BufferGeometry;
  readonly down: BufferGeometry;
  /** Its edges, so that white paper stands out from a pale bench. */
  readonly edge: BufferGeometry;
}

/** Makes the parts of a piece as they lie flat; corners are moved afterwards. */
export function makeParts(folding: Folding, flat: Size): readonly PartModel[] {
  return folding.parts.map(({ name, outline }) => {
    const contour = outline.map((p) => new Vector2(p.x, -p.y));
    // Counter-clockwise as the up side’s viewer sees them, whichever way the outline runs.
    const ordered = ShapeUtils.triangulateShape(contour, []).map((t) => {
      const corners = t.map((i) => contour[i] ?? new Vector2());
      return ShapeUtils.isClockWise(corners) ? [...t].reverse() : t;
    });
    const face = (indices: number[], u: (x: number) => number) => {
      const geometry = new BufferGeometry();
      geometry.setAttribute('position', new BufferAttribute(new Float32Array(outline.length * 3), 3));
      geometry.setAttribute(
        'uv',
        new BufferAttribute(new Float32Array(outline.flatMap((p) => [u(p.x), 1 - p.y / flat.height])), 2),
      );
      geometry.setIndex(indices);
      return geometry;
    };
    const edge = new BufferGeometry();
    edge.setAttribute('position', new BufferAttribute(new Float32Array(outline.length * 3), 3));
    return {
      name,
      edge,
      up: face(ordered.flat(), (x) => x / flat.width),
      // The other face is printed as its own viewer sees it: left and right change places.
      down: face(
        ordered.flatMap((t) => [...t].reverse()),
        (x) => 1 - x / flat.width,
      ),
    };
  });
}

/**
 * Moves every corner to where it is after so many folds.
 * @param sheet thickness that a sheet is shown with, mm
 */
export function poseParts(
  parts: readonly PartModel[],
  folding: Folding,
  flat: Size,
  progress: number,
  sheet: number,
): void {
  const poses = posesAt(folding, progress);
  const layers = layersAt(folding, progress);
  parts.forEach((part, i) => {
    const outline = folding.parts[i]?.outline ?? [];
    const lift = (layers[i] ?? 0) * sheet;
    for (const [geometry, side] of [
      [part.up, 1],
      [part.down, -1],
      [part.edge, 0],
    ] as const) {
      const position = geometry.getAttribute('position');
      outline.forEach((p, k) => {
        const [x, y, z] = movePoint(poses[i] ?? AT_REST, [p.x, p.y, side * 0.02]);
        position.setXYZ(k, x - flat.width / 2, flat.height / 2 - y, z + lift);
      });
      position.needsUpdate = true;
      if (side !== 0) geometry.computeVertexNormals();
      geometry.computeBoundingSphere();
    }
  });
}

/** How the model is brought into the middle and near: a small folded piece is looked at as easily as a large one. */
export interface Framing {
  /** Middle of what is there, as the model has it. */
  readonly x: number;
  readonly y: number;
  readonly scale: number;
}

/** A folded piece is shown so much larger than it was flat, at most. */
const LARGEST = 2.4;

/** Between two states of rest it goes evenly from one to the other. */
export function framingAt(folding: Folding, flat: Size, progress: number): Framing {
  const done = Math.min(Math.floor(progress), folding.steps.length);
  const from = framingAtRest(folding, flat, done);
  const share = progress - done;
  if (share <= 0) return from;
  const to = framingAtRest(folding, flat, done + 1);
  const between = (a: number, b: number) => a + (b - a) * share;
  return { x: between(from.x, to.x), y: between(from.y, to.y), scale: between(from.scale, to.scale) };
}

function framingAtRest(folding: Folding, flat: Size, done: number): Framing {
  const poses = posesAt(folding, done);
  const points = folding.parts.flatMap(({ outline }, i) =>
    outline.map((p) => movePoint(poses[i] ?? AT_REST, [p.x, p.y, 0])),
  );
  const [xs, ys, zs] = [0, 1, 2].map((axis) => points.map((p) => p[axis] ?? 0));
  const range = (values: readonly number[] = []) => [Math.min(...values), Math.max(...values)] as const;
  const [[left, right], [top, bottom], [low, high]] = [range(xs), range(ys), range(zs)];
  const reach = Math.hypot(right - left, bottom - top, high - low);
  return {
    x: (left + right) / 2 - flat.width / 2,
    y: flat.height / 2 - (top + bottom) / 2,
    scale: Math.min(LARGEST, Math.max(1, Math.hypot(flat.width, flat.height) / reach)),
  };
}
