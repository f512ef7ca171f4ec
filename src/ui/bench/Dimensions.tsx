'use client';
import type { Measured } from '@/core/figure';
import type { EdgeLengths, SurfaceBoxes } from '@/core/layout';
import { formatLengthValue, type JobUnit } from '@/core/measure';
import { COLOURS, FACES } from '../shell/theme';
import type { Projection } from '../view/bench-view';

interface DimensionProps {
  readonly axis: 'x' | 'y';
  readonly from: number;
  readonly to: number;
  /** Where the line runs on the other axis, px. */
  readonly across: number;
  readonly label: string;
  readonly strong?: boolean;
}

/** Keeps a figure readable where it lies over the artwork. */
export const HALO = { stroke: COLOURS.halo, strokeOpacity: 0.85, strokeWidth: 3.5, paintOrder: 'stroke' } as const;

/** An engineer’s dimension line: two slashes, a line, and the figure in a gap in its middle. */
export function Dimension({ axis, from, to, across, label, strong = false }: DimensionProps) {
  const length = Math.abs(to - from);
  const colour = strong ? COLOURS.accent : COLOURS.ink;
  const middle = (from + to) / 2;
  const half = label.length * 3.9 + 7;
  const isTight = length < half * 2 + 10;
  const point = (along: number, off = 0) => (axis === 'x' ? `${along} ${across + off}` : `${across + off} ${along}`);
  const slash = (along: number) => {
    const [x, y] = axis === 'x' ? [along, across] : [across, along];
    return `M${x - 4} ${y + 4}L${x + 4} ${y - 4}`;
  };
  const ends = `M${point(from, -6)}L${point(from, 6)}M${point(to, -6)}L${point(to, 6)}`;
  const line = isTight
    ? `M${point(from)}L${point(to)}`
    : `M${point(from)}L${point(middle - half)}M${point(middle + half)}L${point(to)}`;
  const [tx, ty] = axis === 'x' ? [middle, across + (isTight ? -9 : 4)] : [across + (isTight ? -9 : 4), middle];
  return (
    <g aria-hidden data-on="surround">
      {strong && <path d={`${ends}${line}`} stroke={COLOURS.halo} strokeOpacity="0.8" strokeWidth="4" fill="none" />}
      <path
        d={`${ends}${line}${slash(from)}${slash(to)}`}
        stroke={colour}
        strokeWidth={strong ? 1.8 : 1.1}
        fill="none"
      />
      <text
        x={tx}
        y={ty}
        textAnchor="middle"
        transform={axis === 'y' ? `rotate(-90 ${tx} ${ty})` : undefined}
        fill={colour}
        fontFamily={FACES.figure}
        fontWeight={strong ? 600 : 400}
        fontSize="12.5"
        {...HALO}
      >
        {label}
      </text>
    </g>
  );
}

/** Stops along the width and down the height, mm. */
export interface Chains {
  readonly x: readonly number[];
  readonly y: readonly number[];
}

/** More distances than this would be a smear of figures. */
const MOST_SPANS = 14;

interface Props {
  readonly boxes: SurfaceBoxes;
  readonly bleed: EdgeLengths;
  readonly safe: EdgeLengths;
  readonly markOffset: number;
  readonly unit: JobUnit;
  /** Drawn so many times smaller than life: figures are life’s. */
  readonly scale: number;
  readonly at: Projection;
  readonly pointed: Measured | undefined;
  /** Distances shown while nothing is pointed at. */
  readonly chains: Chains;
}

/** The piece’s measures along its head and its left side; the one that is pointed at on the sheet stands out. */
export function Dimensions({ boxes, bleed, safe, markOffset, unit, scale, at, pointed, chains }: Props) {
  const { trim } = boxes;
  const write = (mm: number) => formatLengthValue(mm * scale, unit);
  const head = at.y(boxes.bleed.y) - 22;
  const left = at.x(boxes.bleed.x) - 22;
  const across = (from: number, to: number, off = 0, strong = false) => (
    <Dimension
      key={`x${from}-${to}-${off}`}
      axis="x"
      from={at.x(from)}
      to={at.x(to)}
      across={head - off}
      label={write(to - from)}
      strong={strong}
    />
  );
  const down = (from: number, to: number, off = 0, strong = false) => (
    <Dimension
      key={`y${from}-${to}-${off}`}
      axis="y"
      from={at.y(from)}
      to={at.y(to)}
      across={left - off}
      label={write(to - from)}
      strong={strong}
    />
  );
  const [w, h] = [trim.width, trim.height];
  const spans = (stops: readonly number[]) =>
    stops
      .slice(1)
      .map((to, i) => [stops[i] ?? 0, to] as const)
      .filter(([from, to]) => to - from > 1e-6)
      .slice(0, MOST_SPANS);
  const chained = (axis: 'x' | 'y', stops: readonly number[], strong: boolean) => {
    const draw = axis === 'x' ? across : down;
    const whole = axis === 'x' ? w : h;
    const parts = spans(stops);
    // Parts stand near the piece, the whole beyond them.
    return parts.length > 1
      ? [...parts.map(([from, to]) => draw(from, to, 0, strong)), draw(0, whole, 24)]
      : [draw(0, whole)];
  };
  if (!pointed)
    return <g pointerEvents="none">{[...chained('x', chains.x, false), ...chained('y', chains.y, false)]}</g>;
  switch (pointed.kind) {
    case 'box':
      if (pointed.box === 'trim') return <g pointerEvents="none">{[across(0, w, 0, true), down(0, h, 0, true)]}</g>;
      if (pointed.box === 'bleed') {
        return (
          <g pointerEvents="none">
            {[across(-bleed.left, w + bleed.right, 0, true), down(-bleed.top, h + bleed.bottom, 0, true)]}
          </g>
        );
      }
      return (
        <g pointerEvents="none">
          {[
            across(0, safe.left, 0, true),
            across(safe.left, w - safe.right, 0, true),
            across(w - safe.right, w, 0, true),
            down(0, safe.top, 0, true),
            down(safe.top, h - safe.bottom, 0, true),
            down(h - safe.bottom, h, 0, true),
          ]}
        </g>
      );
    case 'columns':
      return (
        <g pointerEvents="none">
          {[...boxes.grid.columns.map((c) => across(c.start, c.start + c.size, 0, true)), down(0, h)]}
        </g>
      );
    case 'stops':
      return (
        <g pointerEvents="none">
          {[
            ...chained('x', pointed.axis === 'x' ? pointed.stops : [], true),
            ...chained('y', pointed.axis === 'y' ? pointed.stops : [], true),
          ]}
        </g>
      );
    case 'sheet':
      return null;
    case 'marks':
      return <g pointerEvents="none">{[across(-markOffset, 0, 0, true), across(0, w), down(0, h)]}</g>;
  }
}
