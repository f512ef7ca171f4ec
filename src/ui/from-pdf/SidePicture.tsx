'use client';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import { useMemo } from 'react';
import { itemsOf } from '@/core/drawing';
import type { Job, SideName } from '@/core/job';
import type { Rect } from '@/core/layout';
import { svgPage } from '@/paint/svg';
import { paintingOf } from '../open-job/painting';
import { useDeskOf } from '../open-job/use-desk';
import { COLOURS } from '../shell/theme';

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
export function SidePicture({ job, side, part, height }: Props) {
  const { desk, problem } = useDeskOf(job, side);
  const boxes = desk?.drawing.boxes;
  const shown = boxes && (part === 'whole' ? boxes.bleed : cornerOf(boxes.bleed));
  const picture = useMemo(() => {
    if (!desk || !boxes) return '';
    const { drawing, resources, rules } = desk;
    return svgPage(itemsOf(drawing), boxes.bleed, paintingOf(resources, rules.conversion)).replace(
      / width="[^"]*mm" height="[^"]*mm"/,
      ` x="${boxes.bleed.x}" y="${boxes.bleed.y}" width="${boxes.bleed.width}" height="${boxes.bleed.height}"`,
    );
  }, [desk, boxes]);
  if (problem) return <Alert severity="error">{problem}</Alert>;
  return (
    <Box sx={{ bgcolor: COLOURS.bench, p: 1, height, width: '100%' }}>
      {shown && (
        <svg
          role="img"
          aria-label={part === 'whole' ? `The ${side} with its bleed` : `The top left corner of the ${side}, enlarged`}
          viewBox={`${shown.x} ${shown.y} ${shown.width} ${shown.height}`}
          width="100%"
          height="100%"
        >
          <rect {...boxes.bleed} fill="#fff" />
          <g dangerouslySetInnerHTML={{ __html: picture }} />
          <rect
            {...boxes.trim}
            fill="none"
            stroke={COLOURS.fault}
            strokeWidth={1.2}
            vectorEffect="non-scaling-stroke"
            strokeDasharray="6 4"
          />
        </svg>
      )}
    </Box>
  );
}

const cornerOf = ({ x, y, width, height }: Rect): Rect => ({
  x,
  y,
  width: Math.min(width, CORNER - x),
  height: Math.min(height, CORNER - y),
});
