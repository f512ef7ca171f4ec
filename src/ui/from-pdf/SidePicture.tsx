'use client';
import type { Job, SideName } from '@/core/job';
import type { Rect } from '@/core/layout';
import { COLOURS } from '../shell/theme';
import { SideOf } from '../view/SideOf';

interface Props {
  readonly job: Job;
  readonly side: SideName;
  /** What of it is shown: all of it with its bleed, or its top-left corner. */
  readonly part: 'whole' | 'corner';
  readonly height: number;
}

/** How much of the side beyond its corner is shown, mm. */
const CORNER = 14;

/** A side with its bleed, and where it is cut. */
export const SidePicture = ({ job, side, part, height }: Props) => (
  <SideOf
    job={job}
    side={side}
    height={height}
    cut="bleed"
    box={({ bleed }) => (part === 'whole' ? bleed : cornerOf(bleed))}
    label={part === 'whole' ? `The ${side} with its bleed` : `The top left corner of the ${side}, enlarged`}
    over={({ boxes }) => (
      <rect
        {...boxes.trim}
        fill="none"
        stroke={COLOURS.fault}
        strokeWidth={1.2}
        vectorEffect="non-scaling-stroke"
        strokeDasharray="6 4"
      />
    )}
  />
);

const cornerOf = ({ x, y, width, height }: Rect): Rect => ({
  x,
  y,
  width: Math.min(width, CORNER - x),
  height: Math.min(height, CORNER - y),
});
