'use client';
import type { Rect, SurfaceBoxes } from '@/core/layout';
import { COLOURS } from '../shell/theme';
import type { Projection } from './view';

/** Our line code, told by shape as well as colour: hatched band = bleed, brackets and faint rim = safe, strips = columns. */
export function LineCode({
  boxes,
  at,
  guides,
}: {
  readonly boxes: SurfaceBoxes;
  readonly at: Projection;
  readonly guides: boolean;
}) {
  const trim = project(boxes.trim, at);
  const bleed = project(boxes.bleed, at);
  const safe = project(boxes.safe, at);
  return (
    <g aria-hidden pointerEvents="none">
      <defs>
        <pattern id="bleed-hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="6" height="6" fill="#ffffff" fillOpacity="0.38" />
          <line x1="0" y1="0" x2="0" y2="6" stroke={COLOURS.ink} strokeOpacity="0.4" strokeWidth="1.4" />
        </pattern>
      </defs>
      {guides && <path d={`${box(bleed)} ${box(trim)}`} fill="url(#bleed-hatch)" fillRule="evenodd" />}
      {guides && <Columns boxes={boxes} at={at} />}
      {guides && <path d={`${box(trim)} ${box(safe)}`} fill={COLOURS.accent} fillOpacity="0.05" fillRule="evenodd" />}
      {guides && <path d={brackets(safe)} fill="none" stroke="#ffffff" strokeOpacity="0.75" strokeWidth="3.4" />}
      {guides && <path d={brackets(safe)} fill="none" stroke={COLOURS.accent} strokeWidth="1.6" />}
      <path d={box(trim)} fill="none" stroke={COLOURS.ink} strokeWidth="1.2" />
    </g>
  );
}

function Columns({ boxes, at }: { readonly boxes: SurfaceBoxes; readonly at: Projection }) {
  const { columns, rows, safe } = boxes;
  return (
    <>
      {columns.length > 1 &&
        columns.map((c) => (
          <rect
            key={`c${c.start}`}
            x={at.x(c.start)}
            y={at.y(safe.y)}
            width={c.size * at.scale}
            height={safe.height * at.scale}
            fill="#6f8fb3"
            fillOpacity="0.05"
            stroke="#6f8fb3"
            strokeOpacity="0.55"
            strokeWidth="0.8"
          />
        ))}
      {rows.length > 1 &&
        rows.map((r) => (
          <rect
            key={`r${r.start}`}
            x={at.x(safe.x)}
            y={at.y(r.start)}
            width={safe.width * at.scale}
            height={r.size * at.scale}
            fill="none"
            stroke="#6f8fb3"
            strokeOpacity="0.55"
            strokeWidth="0.8"
          />
        ))}
    </>
  );
}

export const project = (r: Rect, at: Projection): Rect => ({
  x: at.x(r.x),
  y: at.y(r.y),
  width: r.width * at.scale,
  height: r.height * at.scale,
});

const box = (r: Rect): string => `M${r.x} ${r.y}h${r.width}v${r.height}h${-r.width}z`;

/** Short brackets at the four corners. */
function brackets(r: Rect): string {
  const arm = Math.min(14, r.width / 4, r.height / 4);
  const [right, bottom] = [r.x + r.width, r.y + r.height];
  return (
    `M${r.x} ${r.y + arm}V${r.y}H${r.x + arm}M${right - arm} ${r.y}H${right}V${r.y + arm}` +
    `M${right} ${bottom - arm}V${bottom}H${right - arm}M${r.x + arm} ${bottom}H${r.x}V${bottom - arm}`
  );
}
