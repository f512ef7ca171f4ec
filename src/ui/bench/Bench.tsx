'use client';
import Box from '@mui/material/Box';
import { useCallback, useEffect, useMemo, useRef, type DragEvent, type MouseEvent } from 'react';
import { insets, type Rect } from '@/core/layout';
import { marksFor, pathOf } from '@/core/marks';
import { SLUG_FACE } from '@/core/compose';
import type { Drawing } from '@/core/drawing';
import type { Blank, BlankSurface } from '@/core/format';
import { elementsOn } from '@/core/job';
import { pixels, ptToMm } from '@/core/measure';
import type { Rules } from '@/core/rules';
import { DASHES } from '@/core/shop';
import { lineStyle, pathData } from '@/paint/svg';
import { useJob, useJobStore } from '../job/context';
import { usePainting } from '../job/painting';
import { useDesk, useFindings } from '../job/use-desk';
import { api, wordsOf } from '../shell/api';
import { useSay } from '../shell/Messages';
import { COLOURS, FACES } from '../shell/theme';
import { useMeasured } from './use-measured';
import { Items } from './Artwork';
import { Dimensions, type Chains } from './Dimensions';
import { framesAt } from './gestures';
import { LineCode, project } from './LineCode';
import { GradientHandles } from './GradientHandles';
import { PathPoints } from './PathPoints';
import { pickedAt } from './pick';
import { Selection } from './Selection';
import { SheetPicture } from './SheetPicture';
import { Typing } from './Typing';
import { useDrag } from './use-drag';
import { projection, useBenchView, type Projection } from './view';

interface Props {
  readonly onDropFiles: (files: readonly File[], at: { x: number; y: number }) => void;
}

/** The piece drawn to scale, on a pale bench. */
export function Bench({ onDropFiles }: Props) {
  const desk = useDesk();
  const store = useJobStore();
  const findings = useFindings();
  const say = useSay();
  const station = useJob((s) => s.station);
  const selection = useJob((s) => s.selection);
  const typing = useJob((s) => s.typing);
  const pointed = useJob((s) => s.pointed);
  const svg = useRef<SVGSVGElement>(null);
  const { scale, x, y, guides, trimmed, resize, fit, zoomAt, pan } = useBenchView();
  const at = useMemo(() => projection({ scale, x, y }), [scale, x, y]);
  const { job, rules, surface, drawing, resources, piece } = desk;
  const { boxes } = surface;
  const isOutput = station === 'output';
  const isTrimmed = trimmed && station === 'inspect';
  const drag = useDrag(svg, station === 'lay-out' || station === 'size');
  const editing = useJob((s) => s.editing);
  const framing = useJob((s) => s.framing);
  const picking = useJob((s) => s.picking);
  const [only] = selection.length === 1 ? selection : [];
  const measured = useMeasured(svg, drawing, scale);

  const context = usePainting(resources, rules.profile);
  const press = useMemo(
    () =>
      isOutput
        ? marksFor({
            boxes,
            marks: job.output.marks,
            offset: rules.markOffset.value,
            slug: piece.slug,
            face: resources.fonts.find(SLUG_FACE.family, SLUG_FACE.weight, SLUG_FACE.italic),
            words: { job: job.name, side: surface.name, date: 'date of export', plates: 'plates' },
            lines: surface.processLines,
            codes: rules.lines,
          })
        : undefined,
    [
      isOutput,
      boxes,
      job.output.marks,
      job.name,
      rules.markOffset.value,
      piece.slug,
      resources.fonts,
      surface.name,
      surface.processLines,
      rules.lines,
    ],
  );

  // The piece is brought into view when it opens and when its size or what is shown of it changes.
  const shownBox = press?.sheet ?? boxes.bleed;
  const boxKey = JSON.stringify(shownBox);
  useEffect(() => {
    const host = svg.current?.parentElement;
    if (!host) return;
    const observer = new ResizeObserver(([entry]) => {
      if (!entry) return;
      resize(entry.contentRect.width, entry.contentRect.height);
    });
    observer.observe(host);
    return () => observer.disconnect();
  }, [resize]);
  useEffect(() => {
    fit(JSON.parse(boxKey) as typeof shownBox);
  }, [boxKey, fit, station]);
  useEffect(() => () => useBenchView.setState({ width: 0, height: 0 }), []);

  // Wheel: pan; with Ctrl, or pinched: zoom. Not passive, or the page would zoom.
  useEffect(() => {
    const element = svg.current;
    if (!element) return;
    const wheel = (event: WheelEvent) => {
      event.preventDefault();
      const box = element.getBoundingClientRect();
      if (event.ctrlKey || event.metaKey) {
        zoomAt(Math.exp(-event.deltaY * 0.01), { x: event.clientX - box.left, y: event.clientY - box.top });
      } else pan(event.shiftKey ? -event.deltaY : -event.deltaX, event.shiftKey ? 0 : -event.deltaY);
    };
    element.addEventListener('wheel', wheel, { passive: false });
    return () => element.removeEventListener('wheel', wheel);
  }, [pan, zoomAt]);

  const pointIn = useCallback(
    (event: { clientX: number; clientY: number }) => {
      const box = svg.current?.getBoundingClientRect();
      return at.toMm({ x: event.clientX - (box?.left ?? 0), y: event.clientY - (box?.top ?? 0) });
    },
    [at],
  );
  const onDoubleClick = (event: MouseEvent) => {
    if (station !== 'lay-out') return;
    const [top] = framesAt(drawing, pointIn(event), 4 / scale);
    if (!top) return;
    const { select, type, frame, editPath } = store.getState();
    select([top.element]);
    if (top.kind === 'text') type(top.element);
    if (top.kind === 'picture') frame(top.element);
    if (top.kind === 'shape') editPath(top.element);
  };
  const onPick = (event: { clientX: number; clientY: number; stopPropagation: () => void }) => {
    event.stopPropagation();
    const found = pickedAt(drawing, pointIn(event));
    const { pick } = store.getState();
    pick(undefined);
    if (!picking) return;
    if (!found) say({ tone: 'problem', text: 'There is nothing but paper there.' });
    else if (found.kind === 'paint') picking(found.paint);
    else
      api
        .pixel(found.picture, found.x, found.y)
        .then(({ colours: [rgb] }) => rgb && picking({ kind: 'rgb', ...rgb }))
        .catch((error: unknown) => say({ tone: 'problem', text: wordsOf(error) }));
  };
  const onDrop = (event: DragEvent) => {
    event.preventDefault();
    const files = [...event.dataTransfer.files];
    if (files.length > 0) onDropFiles(files, pointIn(event));
  };

  const paper = project(isOutput ? shownBox : isTrimmed ? boxes.trim : boxes.bleed, at);
  const shadow = project(isOutput ? shownBox : boxes.trim, at);
  const clip = project(isTrimmed ? boxes.trim : isOutput ? shownBox : boxes.bleed, at);
  const chains = useMemo(() => partsChains(desk.blank, surface), [desk.blank, surface]);
  const frames = drawing.frames.filter((f) => selection.includes(f.element));
  const here = findings.filter((f) => f.surface === surface.name);
  return (
    <Box
      sx={{ position: 'absolute', inset: 0, overflow: 'hidden', bgcolor: COLOURS.bench }}
      onDragOver={(e) => e.preventDefault()}
      onDrop={onDrop}
    >
      <svg
        ref={svg}
        width="100%"
        height="100%"
        tabIndex={0}
        role="application"
        aria-label={`${piece.name}, ${surface.name}, ${drawing.frames.length} elements. Tab steps through them; arrows nudge.`}
        data-bench
        data-scale={scale}
        data-origin={`${x},${y}`}
        onPointerDown={picking ? onPick : drag.onPointerDown}
        onDoubleClick={onDoubleClick}
        style={{
          display: 'block',
          outlineOffset: -3,
          touchAction: 'none',
          userSelect: 'none',
          cursor: picking ? 'crosshair' : drag.dragging === 'pan' ? 'grabbing' : 'default',
        }}
      >
        <defs>
          <clipPath id="paper-clip">
            <rect {...clip} />
          </clipPath>
        </defs>
        <Shadow of={shadow} />
        <rect {...paper} fill={job.stock.white ?? '#ffffff'} />
        <g clipPath="url(#paper-clip)" pointerEvents="none">
          <g transform={`translate(${x} ${y}) scale(${scale})`}>
            {drawing.repeated.length > 0 && <Items items={drawing.repeated} context={context} />}
            {drawing.frames.map((frame) => (
              <Items key={frame.element} id={frame.element} items={frame.items} context={context} />
            ))}
            {drawing.reserved.length > 0 && <Items items={drawing.reserved} context={context} />}
            {press && <Items items={press.items} context={context} />}
          </g>
        </g>
        {isOutput && <ProcessLines surface={surface} at={at} codes={rules.lines} weight={rules.lineWeightPt.value} />}
        {!isTrimmed && !isOutput && (
          <LineCode surface={surface} boxes={drawing.boxes} at={at} guides={guides} names={station === 'size'} />
        )}
        {isOutput && <BoxOutlines boxes={boxes} at={at} />}
        {guides && !isTrimmed && (
          <Dimensions
            boxes={isOutput ? { ...boxes, bleed: shownBox } : boxes}
            bleed={desk.blank.bleed}
            safe={insets(boxes.safe, boxes.trim)}
            scale={desk.blank.scale}
            markOffset={rules.markOffset.value}
            unit={job.unit}
            at={at}
            pointed={pointed}
            chains={station === 'size' ? chains : NO_CHAINS}
          />
        )}
        {station === 'lay-out' && <EmptyFrames drawing={drawing} at={at} />}
        {station === 'inspect' &&
          here.map((finding, i) => {
            const r = project(finding.where, at);
            const colour = finding.severity === 'fault' ? COLOURS.fault : COLOURS.warning;
            return (
              <g key={`${finding.rule}-${finding.element}-${i}`} pointerEvents="none">
                <rect
                  x={r.x}
                  y={r.y}
                  width={Math.max(r.width, 2)}
                  height={Math.max(r.height, 2)}
                  fill={colour}
                  fillOpacity="0.1"
                  stroke={colour}
                  strokeWidth="1.6"
                  strokeDasharray="5 3"
                />
                <circle cx={r.x} cy={r.y} r="10" fill={colour} stroke="#fff" strokeWidth="1.5" />
                <text
                  x={r.x}
                  y={r.y + 4}
                  textAnchor="middle"
                  fill="#fff"
                  fontFamily={FACES.figure}
                  fontWeight="600"
                  fontSize="11"
                >
                  {i + 1}
                </text>
              </g>
            );
          })}
        {typing ? (
          <Typing id={typing} at={at} />
        ) : (
          station !== 'output' && (
            <Selection
              frames={frames}
              boxes={boxes}
              at={at}
              unit={job.unit}
              dragging={drag.dragging === 'move' || drag.dragging === 'stretch' || drag.dragging === 'turn'}
              caught={drag.caught}
              editable={station !== 'inspect' && !editing && !framing}
              measured={measured}
              onStretch={drag.onStretch}
              onTurn={drag.onTurn}
            />
          )
        )}
        {editing && !typing && <PathPoints id={editing} at={at} toMm={pointIn} />}
        {station === 'lay-out' && only && !editing && !typing && <GradientHandles id={only} at={at} toMm={pointIn} />}
        {framing && <FramingHint id={framing} drawing={drawing} at={at} />}
        {drag.marquee && (
          <rect
            {...project(drag.marquee, at)}
            fill={COLOURS.accent}
            fillOpacity="0.1"
            stroke={COLOURS.accent}
            strokeDasharray="4 3"
          />
        )}
      </svg>
      {pointed?.kind === 'sheet' && (
        <SheetPicture blank={desk.blank} sheet={pointed.sheet} unit={job.unit} rim={rules.unprintable.value} />
      )}
      {drawing.frames.length === 0 && station === 'lay-out' && <EmptyHint at={at} trim={boxes.trim} />}
    </Box>
  );
}

/** The distances of folds and parts of this side, across and down: shown under Size while nothing is pointed at. */
function partsChains(blank: Blank, surface: BlankSurface): Chains {
  const stops = blank.figures.flatMap((f) => (f.measured?.kind === 'stops' ? [f.measured] : []));
  const along = (axis: 'x' | 'y'): readonly number[] => {
    const own = stops.filter((m) => m.axis === axis);
    const found = own.find((m) => m.surface === surface.name) ?? own.find((m) => m.surface === undefined);
    if (found) return found.stops;
    // The other face of a row of panels has the same stops, mirrored.
    const [front] = own;
    const width = surface.boxes.trim.width;
    const mirrored = axis === 'x' && front && surface.name.startsWith('inside');
    return mirrored ? front.stops.map((x) => width - x).reverse() : [];
  };
  return { x: along('x'), y: along('y') };
}

const NO_CHAINS: Chains = { x: [], y: [] };

/** Process lines as the press file has them: their form and weight, in the colour that shows their plate. */
function ProcessLines({
  surface,
  at,
  codes,
  weight,
}: {
  readonly surface: BlankSurface;
  readonly at: ReturnType<typeof projection>;
  readonly codes: Rules['lines'];
  readonly weight: number;
}) {
  return (
    <g aria-hidden pointerEvents="none" transform={`translate(${at.x(0)} ${at.y(0)}) scale(${at.scale})`} fill="none">
      {surface.processLines.map((line, i) => (
        <path
          key={i}
          d={pathData(pathOf(line))}
          stroke={lineStyle(line.process).colour}
          strokeWidth={Math.max(ptToMm(weight), 1 / at.scale)}
          strokeDasharray={DASHES[codes[line.process].form].join(' ')}
        />
      ))}
    </g>
  );
}

/** The paper’s shadow, from plain rectangles: a filter would be worked out again at every step of a drag. */
function Shadow({ of: r }: { readonly of: Rect }) {
  return (
    <g aria-hidden fill={COLOURS.ink} fillOpacity="0.07">
      {[1, 3, 5].map((d) => (
        <rect key={d} x={r.x - d / 2} y={r.y + d / 2} width={r.width + d} height={r.height + d} rx={d} />
      ))}
    </g>
  );
}

function BoxOutlines({
  boxes,
  at,
}: {
  boxes: ReturnType<typeof useDesk>['surface']['boxes'];
  at: ReturnType<typeof projection>;
}) {
  return (
    <g aria-hidden pointerEvents="none" fill="none">
      <rect {...project(boxes.bleed, at)} stroke={COLOURS.fold} strokeWidth="1" strokeDasharray="6 4" />
      <rect {...project(boxes.trim, at)} stroke={COLOURS.ink} strokeWidth="1" />
    </g>
  );
}

/** The frame whose content is moved. */
function FramingHint({ id, drawing, at }: { readonly id: string; readonly drawing: Drawing; readonly at: Projection }) {
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

/** Frames that hold nothing yet still have to be seen. */
function EmptyFrames({
  drawing,
  at,
}: {
  drawing: ReturnType<typeof useDesk>['drawing'];
  at: ReturnType<typeof projection>;
}) {
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

function EmptyHint({ at, trim }: { at: ReturnType<typeof projection>; trim: { width: number; height: number } }) {
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
