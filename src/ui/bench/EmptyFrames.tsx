import Box from '@mui/material/Box';
import type { Drawing } from '@/core/drawing';
import { elementsOn } from '@/core/job';
import type { Rect } from '@/core/layout';
import { pixels } from '@/core/measure';
import { useDesk } from '../open-job/use-desk';
import { COLOURS, FACES } from '../shell/theme';
import { project } from '../view/bench-view';
import type { Projection } from '../view/bench-view';

/** Frames that hold nothing yet still have to be seen. */
export function EmptyFrames({ drawing, at }: { readonly drawing: Drawing; readonly at: Projection }) {
  const { piece, rules, blank } = useDesk();
  const elements = new Map(elementsOn(piece, drawing.surface).map((e) => [e.id, e]));
  const wants = (id: string): string => {
    const element = elements.get(id);
    return element?.kind === 'picture' ? element.wants || 'a picture' : '';
  };
  const inPixels = (mm: number) => pixels(mm * blank.scale, rules.ppi.value);
  const pixelsOf = (rect: Rect) => `${inPixels(rect.width)} × ${inPixels(rect.height)} px`;
  return drawing.frames
    .filter((f) => f.items.length === 0)
    .map((f) => {
      const r = project(f.rect, at);
      return (
        <g key={f.element} pointerEvents="none">
          <rect {...r} fill="#ffffff" fillOpacity="0.6" stroke={COLOURS.inkSoft} strokeDasharray="3 3" />
          {f.kind === 'picture' && (
            <path
              d={`M${r.x} ${r.y}l${r.width} ${r.height}M${r.x + r.width} ${r.y}l${-r.width} ${r.height}`}
              stroke={COLOURS.inkSoft}
              strokeOpacity="0.5"
            />
          )}
          {f.kind === 'picture' && r.width > 60 && (
            <text
              x={r.x + r.width / 2}
              y={r.y + r.height / 2 - 3}
              textAnchor="middle"
              fontSize="12"
              fill={COLOURS.ink}
              fontFamily={FACES.text}
            >
              <tspan>{wants(f.element)}</tspan>
              <tspan x={r.x + r.width / 2} dy="15" fontFamily={FACES.figure} fontSize="11">
                {pixelsOf(f.rect)}
              </tspan>
            </text>
          )}
        </g>
      );
    });
}

/** What a side says that has nothing on it. */
export function EmptyHint({ at, trim }: { readonly at: Projection; readonly trim: Rect }) {
  return (
    <Box
      sx={{
        position: 'absolute',
        left: at.x(0),
        top: at.y(0),
        width: trim.width * at.scale,
        height: trim.height * at.scale,
        display: 'grid',
        placeItems: 'center',
        textAlign: 'center',
        pointerEvents: 'none',
        color: 'text.secondary',
        p: 4,
      }}
    >
      <div>
        <Box sx={{ fontFamily: FACES.title, fontWeight: 700, fontSize: 20, color: 'text.primary' }}>A blank side</Box>
        Drop a picture here, or add text and boxes from the bar above.
      </div>
    </Box>
  );
}
