import type { Point } from '../layout';
import type { Mm } from '../measure';
import type { FoldStep, Turn } from './fold';

/** A rigid motion in space: rows of a 3 × 4 matrix; x right, y down, z toward the viewer of the side that lies up. */
export type Pose = readonly [
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
];

export const AT_REST: Pose = [1, 0, 0, 0, 0, 1, 0, 0, 0, 0, 1, 0];

/** Anything that folds: parts with outlines, and turns one after another. */
export interface Folding {
  /** The side that lies up, and the one below it, by name. */
  readonly up: string;
  readonly down: string | undefined;
  readonly parts: readonly { readonly name: string; readonly outline: readonly Point[] }[];
  readonly steps: readonly FoldStep[];
  /** Parts that are in the way, from which step on. */
  readonly collisions?: readonly { readonly step: number; readonly facets: readonly number[] }[];
}

type Vector = readonly [number, number, number];

export const movePoint = (m: Pose, p: Vector): Vector => [
  m[0] * p[0] + m[1] * p[1] + m[2] * p[2] + m[3],
  m[4] * p[0] + m[5] * p[1] + m[6] * p[2] + m[7],
  m[8] * p[0] + m[9] * p[1] + m[10] * p[2] + m[11],
];

/** First b, then a. */
function after(a: Pose, b: Pose): Pose {
  const cell = (i: number, j: number) =>
    (a[i * 4] ?? 0) * (b[j] ?? 0) +
    (a[i * 4 + 1] ?? 0) * (b[4 + j] ?? 0) +
    (a[i * 4 + 2] ?? 0) * (b[8 + j] ?? 0) +
    (j === 3 ? (a[i * 4 + 3] ?? 0) : 0);
  const row = (i: 0 | 1 | 2) => [cell(i, 0), cell(i, 1), cell(i, 2), cell(i, 3)] as const;
  return [...row(0), ...row(1), ...row(2)];
}

/** A turn about the line through two points. */
function about(a: Vector, b: Vector, degrees: number): Pose {
  const [dx, dy, dz] = [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
  const length = Math.hypot(dx, dy, dz) || 1;
  const [u, v, w] = [dx / length, dy / length, dz / length];
  const angle = (degrees * Math.PI) / 180;
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const k = 1 - c;
  const r = [
    c + u * u * k,
    u * v * k - w * s,
    u * w * k + v * s,
    v * u * k + w * s,
    c + v * v * k,
    v * w * k - u * s,
    w * u * k - v * s,
    w * v * k + u * s,
    c + w * w * k,
  ] as const;
  const shift = (i: 0 | 3 | 6, at: number) => at - (r[i] * a[0] + r[(i + 1) as 1] * a[1] + r[(i + 2) as 2] * a[2]);
  return [r[0], r[1], r[2], shift(0, a[0]), r[3], r[4], r[5], shift(3, a[1]), r[6], r[7], r[8], shift(6, a[2])];
}

const centroid = (outline: readonly Point[]): Vector => [
  outline.reduce((s, p) => s + p.x, 0) / outline.length,
  outline.reduce((s, p) => s + p.y, 0) / outline.length,
  0,
];

/**
 * The turn with its direction settled, so that a positive angle lifts the moving side off the up side of what stays.
 */
function turnPose(turn: Turn, poses: readonly Pose[], folding: Folding, share: number): Pose {
  const stays = poses[turn.stays] ?? AT_REST;
  const a = movePoint(stays, [turn.from.x, turn.from.y, 0]);
  const b = movePoint(stays, [turn.to.x, turn.to.y, 0]);
  const flat = folding.parts[turn.facets[0] ?? 0]?.outline ?? [];
  // On the flat sheet: which side of the crease the moving part lies on decides the sense of the turn.
  const [cx, cy] = centroid(flat);
  const cross = (turn.to.x - turn.from.x) * (cy - turn.from.y) - (turn.to.y - turn.from.y) * (cx - turn.from.x);
  return about(a, b, turn.angle * share * (cross > 0 ? 1 : -1));
}

/**
 * Where each part is after so many folds; a fraction is a fold under way.
 * @param progress from 0 (flat) to the number of steps
 */
export function posesAt(folding: Folding, progress: number): readonly Pose[] {
  let poses: readonly Pose[] = folding.parts.map(() => AT_REST);
  folding.steps.forEach((step, i) => {
    const share = Math.min(1, Math.max(0, progress - i));
    if (share === 0) return;
    const next = [...poses];
    for (const turn of step.turns) {
      const move = turnPose(turn, poses, folding, share);
      for (const facet of turn.facets) next[facet] = after(move, poses[facet] ?? AT_REST);
    }
    poses = next;
  });
  return poses;
}

/** Height of each part in the stack, in sheets, between steps. */
export function layersAt(folding: Folding, progress: number): readonly number[] {
  const done = Math.min(folding.steps.length, Math.floor(progress));
  const before = folding.steps[done - 1]?.layers ?? folding.parts.map(() => 0);
  const next = folding.steps[done]?.layers ?? before;
  const share = progress - done;
  return before.map((layer, i) => layer + ((next[i] ?? layer) - layer) * share);
}

/** Outer measures of the piece in a state: across, down and high, mm, without the paper’s thickness. */
export function extentAt(folding: Folding, progress: number): { x: Mm; y: Mm; z: Mm } {
  const poses = posesAt(folding, progress);
  const points = folding.parts.flatMap((part, i) =>
    part.outline.map((p) => movePoint(poses[i] ?? AT_REST, [p.x, p.y, 0])),
  );
  const spread = (axis: 0 | 1 | 2) => {
    const values = points.map((p) => p[axis]);
    return Math.max(...values) - Math.min(...values);
  };
  return { x: spread(0), y: spread(1), z: spread(2) };
}
