'use client';
import type { Frame } from '@/core/drawing';
import { distances, gapsBetween, type Rect, type SurfaceBoxes } from '@/core/layout';
import { formatLengthValue, type JobUnit } from '@/core/measure';
import { COLOURS, FACES } from '../shell/theme';
import { Dimension, HALO } from './Dimensions';
import { boundsOf, type Caught, type Handle } from '@/core/edit';
import { project } from '../view/bench-view';
import type { Projection } from '../view/bench-view';

const HANDLES: readonly Handle[] = [
  { x: -1, y: -1 },
  { x: 0, y: -1 },
  { x: 1, y: -1 },
  { x: 1, y: 0 },
  { x: 1, y: 1 },
  { x: 0, y: 1 },
  { x: -1, y: 1 },
  { x: -1, y: 0 },
];

const CURSORS: Readonly<Record<string, string>> = {
  '-1,-1': 'nwse-resize',
  '1,1': 'nwse-resize',
  '1,-1': 'nesw-resize',
  '-1,1': 'nesw-resize',
  '0,-1': 'ns-resize',
  '0,1': 'ns-resize',
  '-1,0': 'ew-resize',
  '1,0': 'ew-resize',
};

interface Props {
  readonly frames: readonly Frame[];
  readonly boxes: SurfaceBoxes;
  readonly at: Projection;
  readonly unit: JobUnit;
  readonly dragging: boolean;
  /** Whether handles are offered. */
  readonly editable: boolean;
  readonly caught: readonly Caught[];
  readonly onStretch: (handle: Handle, event: React.PointerEvent) => void;
  readonly onTurn: (event: React.PointerEvent) => void;
  /** What the selection is measured to. */
  readonly measured: Frame | undefined;
}

/** What is selected: outlines, handles, and, while it is dragged, what it caught on and how far it is from the trim. */
export function Selection({ frames, boxes, at, unit, dragging, editable, caught, onStretch, onTurn, measured }: Props) {
  if (frames.length === 0) return null;
  const bounds = boundsOf(frames);
  const [only] = frames.length === 1 ? frames : [];
  const [first, second] = frames;
  return (
    <g>
      {frames.map((frame) => (
        <Outline key={frame.element} frame={frame} at={at} />
      ))}
      {measured && <Gaps from={bounds} to={boundsOf([measured])} at={at} unit={unit} />}
      {!measured && !dragging && first && second && frames.length === 2 && (
        <Gaps from={boundsOf([first])} to={boundsOf([second])} at={at} unit={unit} />
      )}
      {dragging && <Distances bounds={bounds} boxes={boxes} at={at} unit={unit} />}
      {caught.map(({ axis, line }) => (
        <CaughtLine key={`${axis}${line.at}`} axis={axis} at={at} line={line} boxes={boxes} />
      ))}
      {only && editable && !dragging && <Handles frame={only} at={at} onStretch={onStretch} onTurn={onTurn} />}
    </g>
  );
}

function Outline({ frame, at }: { readonly frame: Frame; readonly at: Projection }) {
  const r = project(frame.rect, at);
  const turn = `rotate(${frame.rotate} ${r.x + r.width / 2} ${r.y + r.height / 2})`;
  const box = { x: r.x, y: r.y, width: r.width, height: r.height, fill: 'none', transform: turn };
  return (
    <g pointerEvents="none">
      <rect {...box} stroke="#ffffff" strokeWidth="3" strokeOpacity="0.7" />
      <rect {...box} stroke={COLOURS.accent} strokeWidth="1.5" />
    </g>
  );
}

function Handles({
  frame,
  at,
  onStretch,
  onTurn,
}: {
  readonly frame: Frame;
  readonly at: Projection;
  readonly onStretch: (handle: Handle, event: React.PointerEvent) => void;
  readonly onTurn: (event: React.PointerEvent) => void;
}) {
  const r = project(frame.rect, at);
  const [cx, cy] = [r.x + r.width / 2, r.y + r.height / 2];
  const size = 9;
  const isFlat = { x: r.width < 1, y: r.height < 1 };
  const shown = HANDLES.filter(
    (h) =>
      !(isFlat.y && h.y !== 0) &&
      !(isFlat.x && h.x !== 0) &&
      // On a small element the corners are enough.
      !(h.x === 0 && r.width < 40 && !isFlat.x) &&
      !(h.y === 0 && r.height < 40 && !isFlat.y),
  );
  return (
    <g transform={`rotate(${frame.rotate} ${cx} ${cy})`}>
      <line x1={cx} y1={r.y} x2={cx} y2={r.y - 20} stroke={COLOURS.accent} strokeWidth="1.3" />
      <circle
        cx={cx}
        cy={r.y - 24}
        r="5.5"
        fill="#ffffff"
        stroke={COLOURS.accent}
        strokeWidth="1.6"
        style={{ cursor: 'grab' }}
        data-handle="turn"
        onPointerDown={onTurn}
      />
      {shown.map((h) => (
        <rect
          key={`${h.x},${h.y}`}
          data-handle={`${h.x},${h.y}`}
          x={cx + (h.x * r.width) / 2 - size / 2}
          y={cy + (h.y * r.height) / 2 - size / 2}
          width={size}
          height={size}
          fill="#ffffff"
          stroke={COLOURS.accent}
          strokeWidth="1.6"
          style={{ cursor: CURSORS[`${h.x},${h.y}`] }}
          onPointerDown={(event) => onStretch(h, event)}
        />
      ))}
    </g>
  );
}

/** The gaps between two boxes, as dimension lines. */
function Gaps({
  from,
  to,
  at,
  unit,
}: {
  readonly from: Rect;
  readonly to: Rect;
  readonly at: Projection;
  readonly unit: JobUnit;
}) {
  return (
    <g pointerEvents="none" data-gaps>
      {gapsBetween(from, to)
        .filter((d) => d.to - d.from > 0.005)
        .map((d) => {
          const along = d.axis === 'x' ? at.x : at.y;
          const across = d.axis === 'x' ? at.y : at.x;
          return (
            <Dimension
              key={`${d.axis}${d.from}`}
              axis={d.axis}
              from={along(d.from)}
              to={along(d.to)}
              across={across(d.across)}
              label={formatLengthValue(Math.round((d.to - d.from) * 1e3) / 1e3, unit)}
              strong
            />
          );
        })}
    </g>
  );
}

/** Distances from the selection to the four edges of the trim. */
function Distances({ bounds, boxes, at, unit }: { bounds: Rect; boxes: SurfaceBoxes; at: Projection; unit: JobUnit }) {
  return (
    <g pointerEvents="none">
      {distances(bounds, boxes.trim)
        .filter((d) => d.to - d.from > 0.05)
        .map((d) => {
          const along = d.axis === 'x' ? at.x : at.y;
          const across = d.axis === 'x' ? at.y : at.x;
          return (
            <Dimension
              key={`${d.axis}${d.from}`}
              axis={d.axis}
              from={along(d.from)}
              to={along(d.to)}
              across={across(d.across)}
              label={formatLengthValue(Math.round(d.to * 1e3 - d.from * 1e3) / 1e3, unit)}
              strong
            />
          );
        })}
    </g>
  );
}

function CaughtLine({
  axis,
  line,
  at,
  boxes,
}: {
  axis: 'x' | 'y';
  line: Caught['line'];
  at: Projection;
  boxes: SurfaceBoxes;
}) {
  const b = project(boxes.bleed, at);
  const p = axis === 'x' ? at.x(line.at) : at.y(line.at);
  const ends =
    axis === 'x'
      ? { x1: p, x2: p, y1: b.y - 14, y2: b.y + b.height + 14 }
      : { y1: p, y2: p, x1: b.x - 14, x2: b.x + b.width + 14 };
  const label = axis === 'x' ? { x: p + 5, y: b.y + b.height + 24 } : { x: b.x + b.width + 18, y: p + 4 };
  return (
    <g pointerEvents="none">
      <line {...ends} stroke={COLOURS.accent} strokeWidth="1.2" strokeDasharray="2 3" />
      <text {...label} fill={COLOURS.accent} fontFamily={FACES.figure} fontSize="11.5" {...HALO}>
        {line.name}
      </text>
    </g>
  );
}
