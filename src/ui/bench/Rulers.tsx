import { boxOfAxis, elementsOn } from '@/core/job';
import { boxRect, rulerTicks, type Rect } from '@/core/layout';
import { useJob } from '../open-job/context';
import { COLOURS, FACES } from '../shell/theme';
import { useBenchView } from '../view/bench-view';
import type { Scene } from './scene';

/** How thick a ruler is, px. */
const THICK = 18;

/** Rulers along the bench, in the unit of the job, from the box that what is selected stands in. */
export function Rulers({ scene }: { readonly scene: Scene }) {
  const isShown = useBenchView((v) => v.rulers);
  const { width, height } = useBenchView();
  if (!isShown || width === 0) return null;
  return (
    <svg
      width={width}
      height={height}
      aria-hidden
      data-rulers
      style={{ position: 'absolute', inset: 0, pointerEvents: 'none' }}
    >
      <Ruler scene={scene} axis="x" length={width} />
      <Ruler scene={scene} axis="y" length={height} />
      <rect width={THICK} height={THICK} fill={COLOURS.header} stroke={COLOURS.line} />
    </svg>
  );
}

interface Props {
  readonly scene: Scene;
  readonly axis: 'x' | 'y';
  /** Of the bench along it, px. */
  readonly length: number;
}

function Ruler({ scene: { desk, at }, axis, length }: Props) {
  const selection = useJob((s) => s.selection);
  const side = useJob((s) => s.side);
  const { boxes, frames } = desk.drawing;
  const elements = elementsOn(desk.piece, side);
  const only = selection.length === 1 ? elements.find((e) => e.id === selection[0]) : undefined;
  const from = only ? boxRect(boxOfAxis(only.placement, axis), boxes) : boxes.trim;
  const origin = from[axis];
  const px = (mm: number) => at[axis](mm);
  const [first, last] = [(0 - px(origin)) / at.scale, (length - px(origin)) / at.scale];
  const isAcross = axis === 'x';
  return (
    <g data-ruler={axis}>
      <rect
        width={isAcross ? length : THICK}
        height={isAcross ? THICK : length}
        fill={COLOURS.header}
        stroke={COLOURS.line}
      />
      {frames
        .filter((frame) => selection.includes(frame.element))
        .map(({ element, rect }) => (
          <Extent key={element} rect={rect} axis={axis} at={at} />
        ))}
      {rulerTicks(first, last, at.scale, desk.job.unit).map(({ at: mm, label }) => {
        const where = px(origin + mm);
        const short = label === undefined ? THICK - 5 : 6;
        return (
          <g key={mm} transform={isAcross ? `translate(${where} 0)` : `translate(0 ${where})`}>
            <line
              {...(isAcross ? { y1: short, y2: THICK } : { x1: short, x2: THICK })}
              stroke={COLOURS.inkSoft}
              strokeWidth={1}
            />
            {label !== undefined && (
              <text
                fontSize={9}
                fontFamily={FACES.figure}
                fill={COLOURS.ink}
                transform={isAcross ? 'translate(3 9)' : 'translate(9 3) rotate(-90)'}
                textAnchor={isAcross ? 'start' : 'end'}
              >
                {label}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

/** From where to where something selected reaches. */
function Extent({ rect, axis, at }: Pick<Props, 'axis'> & { readonly rect: Rect; readonly at: Scene['at'] }) {
  const [start, size] = axis === 'x' ? [at.x(rect.x), rect.width] : [at.y(rect.y), rect.height];
  const reach = Math.max(1, size * at.scale);
  return axis === 'x' ? (
    <rect x={start} width={reach} height={THICK} fill={COLOURS.sheet} />
  ) : (
    <rect y={start} width={THICK} height={reach} fill={COLOURS.sheet} />
  );
}
