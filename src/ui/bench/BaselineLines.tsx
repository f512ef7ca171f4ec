'use client';
import { extentOf, type BaselineGrid } from '@/core/job';
import type { SurfaceBoxes } from '@/core/layout';
import { ptToMm } from '@/core/measure';
import { COLOURS } from '../shell/theme';
import type { Projection } from '../view/bench-view';

interface Props {
  readonly grid: BaselineGrid;
  readonly boxes: SurfaceBoxes;
  readonly at: Projection;
}

/** Nearer than this on the screen the lines would be a tint. */
const NEAREST = 3;

/** The baseline grid: hair lines from edge to edge of the trim, each with a short foot at its left end. */
export function BaselineLines({ grid, boxes, at }: Props) {
  const step = ptToMm(grid.stepPt);
  if (step * at.scale < NEAREST) return null;
  const { trim } = boxes;
  const first = extentOf(grid.first, boxes.measures);
  const count = Math.max(0, Math.floor((trim.height - first) / step) + 1);
  const [left, right] = [at.x(trim.x), at.x(trim.x + trim.width)];
  const d = Array.from({ length: count }, (_, i) => {
    const y = at.y(trim.y + first + i * step);
    return `M${left - 5} ${y}h3M${left} ${y}H${right}`;
  }).join('');
  return <path d={d} fill="none" stroke={COLOURS.accent} strokeOpacity="0.45" strokeWidth="0.6" pointerEvents="none" />;
}
