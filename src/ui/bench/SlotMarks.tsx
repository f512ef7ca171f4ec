import type { Drawing } from '@/core/drawing';
import { elementsOn, hasSlot } from '@/core/job';
import { useDesk } from '../open-job/use-desk';
import { COLOURS, FACES } from '../shell/theme';
import { project } from '../view/bench-view';
import type { Projection } from '../view/bench-view';

/** Height of the flag on a slot, px. */
const FLAG = 14;

/** What stays open in a template, and in the jobs begun from it: framed, with a flag that says what it takes. */
export function SlotMarks({ drawing, at }: { readonly drawing: Drawing; readonly at: Projection }) {
  const { piece, job } = useDesk();
  if (job.stage !== 'template' && !job.template) return null;
  const slots = new Map(
    elementsOn(piece, drawing.surface).flatMap((e) => (hasSlot(e) ? [[e.id, e.slot] as const] : [])),
  );
  return drawing.frames.flatMap((frame) => {
    const slot = slots.get(frame.element);
    if (!slot) return [];
    const r = project(frame.rect, at);
    const width = slot.takes.length * 6.6 + 10;
    const isFilled = job.template !== undefined && !slot.open;
    return [
      <g key={frame.element} pointerEvents="none">
        <rect
          {...r}
          fill="none"
          stroke={COLOURS.ink}
          strokeWidth="1.5"
          strokeDasharray={isFilled ? undefined : '1 4'}
          strokeLinecap="round"
        />
        <path
          d={`M${r.x} ${r.y}v${-FLAG}h${width}l5 ${FLAG / 2}l-5 ${FLAG / 2}z`}
          fill={isFilled ? COLOURS.paper : COLOURS.sheet}
          stroke={COLOURS.ink}
        />
        <text x={r.x + 5} y={r.y - 3.5} fontSize="11" fontFamily={FACES.figure} fill={COLOURS.ink}>
          {slot.takes}
        </text>
      </g>,
    ];
  });
}
