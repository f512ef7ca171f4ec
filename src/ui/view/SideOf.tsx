'use client';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import { useMemo, type MouseEvent, type ReactNode } from 'react';
import { itemsOf, type Drawing } from '@/core/drawing';
import type { Job, SideName } from '@/core/job';
import type { Point, Rect, SurfaceBoxes } from '@/core/layout';
import { svgPage } from '@/paint/svg';
import { paintingOf } from '../open-job/painting';
import { useDeskOf } from '../open-job/use-desk';
import { COLOURS } from '../shell/theme';

interface Props {
  readonly job: Job;
  readonly side: SideName;
  /** What of it is seen. */
  readonly box: (boxes: SurfaceBoxes) => Rect;
  /** How far artwork is drawn: what lies beyond is cut. */
  readonly cut: 'trim' | 'bleed';
  readonly height: number;
  readonly label: string;
  /** Drawn above it, in millimetres of the side. */
  readonly over?: (drawing: Drawing) => ReactNode;
  readonly onPress?: (at: Point) => void;
}

/** A side of a job that need not be the open one. */
export function SideOf({ job, side, box, cut, height, label, over, onPress }: Props) {
  const { desk, problem } = useDeskOf(job, side);
  const drawing = desk?.drawing;
  const picture = useMemo(() => {
    if (!desk) return '';
    const to = desk.drawing.boxes[cut];
    // A drawing within another is cut to its own edges.
    return svgPage(itemsOf(desk.drawing), to, paintingOf(desk.resources, desk.rules.conversion)).replace(
      / width="[^"]*mm" height="[^"]*mm"/,
      ` x="${to.x}" y="${to.y}" width="${to.width}" height="${to.height}"`,
    );
  }, [desk, cut]);
  if (problem) return <Alert severity="error">{problem}</Alert>;
  const seen = drawing && box(drawing.boxes);
  const press = (event: MouseEvent<SVGSVGElement>) => {
    const map = event.currentTarget.getScreenCTM()?.inverse();
    if (!map || !onPress) return;
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(map);
    onPress({ x, y });
  };
  return (
    <Box sx={{ bgcolor: COLOURS.bench, p: 1, height, width: '100%' }}>
      {drawing && seen && (
        <svg
          role="img"
          aria-label={label}
          viewBox={`${seen.x} ${seen.y} ${seen.width} ${seen.height}`}
          width="100%"
          height="100%"
          style={{ overflow: 'hidden', cursor: onPress ? 'crosshair' : 'default' }}
          onClick={press}
        >
          <rect {...drawing.boxes[cut]} fill="#fff" />
          <g dangerouslySetInnerHTML={{ __html: picture }} />
          {over?.(drawing)}
        </svg>
      )}
    </Box>
  );
}
