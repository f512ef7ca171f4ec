'use client';
import type { Tracks } from '@/core/layout';
import type { BlankSurface, ProcessLine } from '@/core/format';
import type { Rect, SurfaceBoxes } from '@/core/layout';
import { pathBounds, rectPath } from '@/core/layout';
import { lineStyle, pathData } from '@/paint/svg';
import { COLOURS, FACES } from '../shell/theme';
import { project, type Projection } from '../view/bench-view';

interface Props {
  readonly surface: BlankSurface;
  readonly at: Projection;
  readonly guides: boolean;
  /** Names of panels and zones, where there is room for them. */
  readonly names: boolean;
  /** With the grids and guides that the side was laid out with. */
  readonly boxes: SurfaceBoxes;
}

/**
 * Our line code, told by shape as well as colour: hatched band = bleed, brackets and faint rim = safe, strips =
 * columns, dash-dot with triangles = fold, dots = perforation, solid with a blade = cut.
 */
export function LineCode({ surface, boxes, at, guides, names }: Props) {
  const safe = project(boxes.safe, at);
  const trim = project(boxes.trim, at);
  const toScreen = `translate(${at.x(0)} ${at.y(0)}) scale(${at.scale})`;
  const [outline, bleed] = [pathData(surface.outline), pathData(surface.bleedOutline)];
  return (
    <g aria-hidden pointerEvents="none">
      <defs>
        <pattern id="bleed-hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="6" height="6" fill="#ffffff" fillOpacity="0.38" />
          <line x1="0" y1="0" x2="0" y2="6" stroke={COLOURS.ink} strokeOpacity="0.4" strokeWidth="1.4" />
        </pattern>
        <pattern id="zone-hatch" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
          <line x1="0" y1="0" x2="0" y2="9" stroke={COLOURS.fault} strokeOpacity="0.35" strokeWidth="1.2" />
        </pattern>
        <clipPath id="outside-trim" clipPathUnits="userSpaceOnUse">
          <path d={`${bleed}${outline}`} transform={toScreen} clipRule="evenodd" />
        </clipPath>
      </defs>
      {guides && (
        <rect {...project(grownBox(boxes.bleed), at)} fill="url(#bleed-hatch)" clipPath="url(#outside-trim)" />
      )}
      {guides && <Columns boxes={boxes} at={at} />}
      {guides && <Guides boxes={boxes} at={at} />}
      {guides && <path d={`${box(trim)} ${box(safe)}`} fill={COLOURS.accent} fillOpacity="0.05" fillRule="evenodd" />}
      {guides && <path d={brackets(safe)} fill="none" stroke="#ffffff" strokeOpacity="0.75" strokeWidth="3.4" />}
      {guides && <path d={brackets(safe)} fill="none" stroke={COLOURS.accent} strokeWidth="1.6" />}
      {guides &&
        surface.zones.map((zone, i) => (
          <ZoneShape key={`${zone.name}-${i}`} zone={zone} transform={toScreen} at={at} label={names} />
        ))}
      <path d={outline} transform={toScreen} fill="none" stroke={COLOURS.ink} strokeWidth={1.2 / at.scale} />
      {guides && names && surface.panels.length > 1 && <PanelNames surface={surface} at={at} />}
      {guides &&
        surface.processLines.map((line, i) => (
          <Line key={i} line={line} trim={boxes.trim} at={at} transform={toScreen} />
        ))}
    </g>
  );
}

/** A little more than the bleed, so that the hatching is cut by the outline and not by its own box. */
const grownBox = (r: Rect): Rect => ({ x: r.x - 1, y: r.y - 1, width: r.width + 2, height: r.height + 2 });

interface LineProps {
  readonly line: ProcessLine;
  readonly trim: Rect;
  readonly at: Projection;
  readonly transform: string;
}

function Line({ line, trim, at, transform }: LineProps) {
  const { colour, dash, cap } = lineStyle(line.process);
  const width = line.process === 'perforation' ? 2.6 : 1.4;
  const style = {
    fill: 'none',
    stroke: colour,
    strokeLinecap: cap,
  } as const;
  if (line.path) {
    return (
      <path
        d={pathData(line.path)}
        transform={transform}
        {...style}
        strokeWidth={width / at.scale}
        strokeDasharray={dash.map((n) => n / at.scale).join(' ')}
      />
    );
  }
  const [x1, y1, x2, y2] = [at.x(line.from.x), at.y(line.from.y), at.x(line.to.x), at.y(line.to.y)];
  const isFold = line.process === 'fold' || line.process === 'score';
  return (
    <>
      <path d={`M${x1} ${y1}L${x2} ${y2}`} {...style} strokeWidth={width} strokeDasharray={dash.join(' ')} />
      {isFold && <FoldTabs line={line} trim={trim} ends={[x1, y1, x2, y2]} colour={colour} />}
      {line.process === 'cut' && <path d={`M${x1 - 4} ${y1 - 3}l8 3l-8 3z`} fill={colour} />}
    </>
  );
}

/** Triangles where a fold meets the trim; in the middle of one that does not. */
function FoldTabs({
  line,
  trim,
  ends,
  colour,
}: {
  readonly line: ProcessLine;
  readonly trim: Rect;
  readonly ends: readonly [number, number, number, number];
  readonly colour: string;
}) {
  const [x1, y1, x2, y2] = ends;
  const up = line.direction === 'up';
  const onTrim = ({ x, y }: { x: number; y: number }) =>
    Math.min(Math.abs(x), Math.abs(x - trim.width), Math.abs(y), Math.abs(y - trim.height)) < 0.05;
  const [first, last] = [onTrim(line.from), onTrim(line.to)];
  return (
    <>
      {first && <Tab x={x1} y={y1} toX={x2} toY={y2} colour={colour} up={up} />}
      {last && <Tab x={x2} y={y2} toX={x1} toY={y1} colour={colour} up={up} />}
      {!first && !last && (
        <Tab
          x={(x1 + x2) / 2 + (x2 - x1 === 0 ? 0 : 4)}
          y={(y1 + y2) / 2 + (y2 - y1 === 0 ? 0 : 4)}
          toX={x2}
          toY={y2}
          colour={colour}
          up={up}
        />
      )}
    </>
  );
}

/** A triangle at the end of a fold, filled when the paper rises toward the viewer. */
function Tab({
  x,
  y,
  toX,
  toY,
  colour,
  up,
}: {
  readonly x: number;
  readonly y: number;
  readonly toX: number;
  readonly toY: number;
  readonly colour: string;
  readonly up: boolean;
}) {
  const angle = (Math.atan2(toY - y, toX - x) * 180) / Math.PI;
  return (
    <path
      d="M0 0L-9 -5L-9 5Z"
      transform={`translate(${x} ${y}) rotate(${angle})`}
      fill={up ? colour : '#ffffff'}
      stroke={colour}
      strokeWidth="1.2"
    />
  );
}

const ZONE_FILLS = { 'keep-clear': 'url(#zone-hatch)', 'no-ink': 'url(#zone-hatch)', hidden: '#6b7280' } as const;

function ZoneShape({
  zone,
  transform,
  at,
  label,
}: {
  readonly zone: BlankSurface['zones'][number];
  readonly transform: string;
  readonly at: Projection;
  readonly label: boolean;
}) {
  const d = pathData(zone.outline);
  const box = project(pathBounds(zone.outline), at);
  const fits = box.width > zone.name.length * 6.4 + 8 && box.height > 14;
  return (
    <>
      <path
        d={d}
        transform={transform}
        fill={ZONE_FILLS[zone.kind]}
        fillOpacity={zone.kind === 'hidden' ? 0.18 : 1}
        stroke={COLOURS.fault}
        strokeOpacity="0.5"
        strokeWidth={0.8 / at.scale}
        strokeDasharray={`${3 / at.scale} ${3 / at.scale}`}
      />
      {label && fits && (
        <text
          x={box.x + box.width / 2}
          y={box.y + box.height / 2 + 4}
          textAnchor="middle"
          fontFamily={FACES.text}
          fontSize="11.5"
          fontWeight="600"
          fill={COLOURS.fault}
          stroke="#ffffff"
          strokeOpacity="0.9"
          strokeWidth="3"
          paintOrder="stroke"
        >
          {zone.name}
        </text>
      )}
    </>
  );
}

function PanelNames({ surface, at }: { readonly surface: BlankSurface; readonly at: Projection }) {
  return surface.panels.map((panel, i) => {
    const r = project(panel, at);
    const size = Math.min(15, Math.max(9, r.width / (panel.name.length * 0.62)));
    const fits = r.width > panel.name.length * size * 0.45 && r.height > size;
    const upright = !fits && r.height > panel.name.length * size * 0.6;
    const [cx, cy] = [r.x + r.width / 2, r.y + r.height / 2];
    const turn = (panel.turned ? 180 : 0) + (upright ? -90 : 0);
    return (
      <g key={panel.name}>
        <path d={pathData(rectPath(r))} fill="#6f8fb3" fillOpacity={i % 2 === 0 ? 0.1 : 0.03} />
        {(fits || upright) && (
          <text
            x={cx}
            y={cy}
            dominantBaseline="middle"
            textAnchor="middle"
            transform={turn === 0 ? undefined : `rotate(${turn} ${cx} ${cy})`}
            fontFamily={FACES.title}
            fontWeight="700"
            fontSize={upright ? 11 : size}
            fill={COLOURS.inkSoft}
            stroke="#ffffff"
            strokeOpacity="0.85"
            strokeWidth="3"
            paintOrder="stroke"
          >
            {panel.name}
          </text>
        )}
      </g>
    );
  });
}

function Columns({ boxes, at }: { readonly boxes: SurfaceBoxes; readonly at: Projection }) {
  return (
    <>
      <TrackStrips tracks={boxes.grid} at={at} />
      {Object.entries(boxes.grids).map(([id, tracks]) => (
        <TrackStrips key={id} tracks={tracks} at={at} />
      ))}
    </>
  );
}

/** Guides: long thin dashes across the whole bench, each with a small flag at its head. */
function Guides({ boxes, at }: { readonly boxes: SurfaceBoxes; readonly at: Projection }) {
  const b = project(boxes.bleed, at);
  return boxes.guides.map((guide, i) => {
    const upright = guide.axis === 'x';
    const p = upright ? at.x(guide.at) : at.y(guide.at);
    const [from, to] = upright ? [b.y - 12, b.y + b.height + 12] : [b.x - 12, b.x + b.width + 12];
    const ends = upright ? { x1: p, x2: p, y1: from, y2: to } : { y1: p, y2: p, x1: from, x2: to };
    const flag = upright ? `M${p} ${from}l7 3l-7 3z` : `M${from} ${p}l3 -7l3 7z`;
    return (
      <g key={`${guide.id}-${i}`} stroke={COLOURS.accent}>
        <line {...ends} strokeWidth="1" strokeDasharray="14 4" strokeOpacity="0.8" />
        <path d={flag} fill={COLOURS.accent} stroke="none" />
      </g>
    );
  });
}

function TrackStrips({ tracks, at }: { readonly tracks: Tracks; readonly at: Projection }) {
  const { columns, rows, area: safe } = tracks;
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
