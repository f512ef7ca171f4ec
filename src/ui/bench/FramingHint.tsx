import type { Drawing } from '@/core/drawing';
import { COLOURS, FACES } from '../shell/theme';
import { project } from '../view/bench-view';
import type { Projection } from '../view/bench-view';

/** The frame whose content is moved. */
export function FramingHint({
  id,
  drawing,
  at,
}: {
  readonly id: string;
  readonly drawing: Drawing;
  readonly at: Projection;
}) {
  const frame = drawing.frames.find((f) => f.element === id);
  if (!frame) return null;
  const r = project(frame.rect, at);
  return (
    <g pointerEvents="none" data-framing={id}>
      <rect {...r} fill="none" stroke={COLOURS.accent} strokeWidth="2.5" strokeDasharray="2 3" />
      <text x={r.x + 6} y={r.y - 8} fill={COLOURS.accent} fontFamily={FACES.figure} fontSize="12">
        content moves, frame stays · Escape when done
      </text>
    </g>
  );
}
