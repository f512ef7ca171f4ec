'use client';
import Box from '@mui/material/Box';
import { useCallback, useEffect, useMemo, useRef, type DragEvent, type MouseEvent } from 'react';
import { elementsOn } from '@/core/job';
import { insets, union, type Rect, type SurfaceBoxes } from '@/core/layout';
import { linesOn, sideMarks } from '@/core/marks';
import { SLUG_FACE } from '@/core/compose';
import type { Blank, BlankSurface } from '@/core/format';
import { useJob, useJobStore } from '../open-job/context';
import { usePainting } from '../open-job/painting';
import { useDesk, useFindings } from '../open-job/use-desk';
import { api, wordsOf } from '../shell/api';
import { useSay } from '../shell/Messages';
import { COLOURS } from '../shell/theme';
import type { Layer, Station } from '../open-job/station';
import { useMeasured } from './use-measured';
import { Dimensions, type Chains } from './Dimensions';
import { EmptyFrames, EmptyHint } from './EmptyFrames';
import { FindingMarks } from './FindingMarks';
import { FramingHint } from './FramingHint';
import { framesAt } from '@/core/edit';
import { BaselineLines } from './BaselineLines';
import { LineCode } from './LineCode';
import { project } from '../view/bench-view';
import { GradientHandles } from './GradientHandles';
import { Paper } from './Paper';
import { PathPoints } from './PathPoints';
import { pickedAt } from './pick';
import { BoxOutlines, FinishShapes, Unprinted } from './PressLines';
import { GamutPicture } from '../finish/GamutPicture';
import { PlatePicture } from '../finish/PlatePicture';
import { usePlateView } from '../view/plate-view';
import { Selection } from './Selection';
import { SlotMarks } from './SlotMarks';
import { SheetPicture } from './SheetPicture';
import { TableCells } from './TableCells';
import { Typing } from './typing/Typing';
import { useDrag } from './use-drag';
import { projection, useBenchView } from '../view/bench-view';
import { handlingOf } from '../slip/kinds';

interface Props {
  readonly onDropFiles: (files: readonly File[], at: { x: number; y: number }) => void;
}

/** The piece drawn to scale, on a pale bench. */
const movedBy = (r: Rect, dx: number): Rect => ({ ...r, x: r.x + dx });

/** A page with its bleed, but for the edge at the spine: there the other page begins. */
function toSpine({ trim, bleed, spread }: SurfaceBoxes): Rect {
  const left = spread.x < trim.x ? trim.x : bleed.x;
  const right = spread.x + spread.width > trim.x + trim.width ? trim.x + trim.width : bleed.x + bleed.width;
  return { ...bleed, x: left, width: right - left };
}

export function Bench({ onDropFiles }: Props) {
  const desk = useDesk();
  const store = useJobStore();
  const findings = useFindings();
  const say = useSay();
  const station = useJob((s) => s.station);
  const selection = useJob((s) => s.selection);
  const typing = useJob((s) => s.typing);
  const pointed = useJob((s) => s.pointed);
  const host = useRef<HTMLDivElement>(null);
  const { scale, x, y, guides, trimmed, resize, fit, zoomAt, pan } = useBenchView();
  const at = useMemo(() => projection({ scale, x, y }), [scale, x, y]);
  const { job, rules, surface, drawing, resources, piece, blank } = desk;
  const { boxes } = surface;
  const shows = (layer: Layer) => station.shows.has(layer);
  const isOutput = shows('press-sheet');
  const isTrimmed = trimmed && station.trims;
  const drag = useDrag(host, station.takes);
  const editing = useJob((s) => s.editing);
  const framing = useJob((s) => s.framing);
  const picking = useJob((s) => s.picking);
  const show = useJob((s) => s.show);
  const besideDx = desk.beside?.dx ?? 0;
  const besideAt = useMemo(() => projection({ scale, x: x + besideDx * scale, y }), [scale, x, y, besideDx]);
  const [only] = selection.length === 1 ? selection : [];
  const measured = useMeasured(host, drawing, scale);

  const context = usePainting(resources, rules.conversion);
  const face = resources.fonts.find(SLUG_FACE.family, SLUG_FACE.weight, SLUG_FACE.italic);
  const press = useMemo(
    () =>
      isOutput
        ? sideMarks(job, { piece, surface, drawing, rules, scale: blank.scale }, face, 'date of export')
        : undefined,
    [isOutput, job, piece, surface, drawing, rules, blank.scale, face],
  );

  // The piece is brought into view when it opens and when its size or what is shown of it changes.
  const { beside } = desk;
  const plates = usePlateView((s) => s.plates) && shows('plates');
  const gamut = usePlateView((s) => s.gamut);
  const roomWidth = useBenchView((s) => s.width);
  const roomHeight = useBenchView((s) => s.height);
  const shownBox =
    press?.sheet ??
    (beside && !isTrimmed ? union([boxes.bleed, movedBy(beside.drawing.boxes.bleed, beside.dx)]) : boxes.bleed);
  const boxKey = JSON.stringify(shownBox);
  useEffect(() => {
    const room = host.current;
    if (!room) return;
    const observer = new ResizeObserver(([entry]) => {
      if (!entry) return;
      resize(entry.contentRect.width, entry.contentRect.height);
    });
    observer.observe(room);
    return () => observer.disconnect();
  }, [resize]);
  const spread = useRef<{
    readonly key: string;
    readonly station: Station;
    readonly beside: string | undefined;
    readonly dx: number;
    readonly side: string;
  }>(undefined);
  useEffect(() => {
    const before = spread.current;
    spread.current = { key: boxKey, station, beside: beside?.drawing.surface, dx: beside?.dx ?? 0, side: surface.name };
    // The other page of the same spread: the paper stays where it lies.
    if (before && before.station === station && before.beside === surface.name)
      useBenchView.getState().turnTo(before.dx, JSON.parse(boxKey) as typeof shownBox);
    else fit(JSON.parse(boxKey) as typeof shownBox);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the spread is told by its box
  }, [boxKey, fit, station]);
  useEffect(() => () => useBenchView.setState({ width: 0, height: 0 }), []);

  // Wheel: pan; with Ctrl, or pinched: zoom. Not passive, or the page would zoom.
  useEffect(() => {
    const element = host.current;
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
      const box = host.current?.getBoundingClientRect();
      return at.toMm({ x: event.clientX - (box?.left ?? 0), y: event.clientY - (box?.top ?? 0) });
    },
    [at],
  );
  const onDoubleClick = (event: MouseEvent) => {
    if (!station.opens) return;
    const [top] = framesAt(drawing, pointIn(event), 4 / scale);
    if (!top) return;
    const state = store.getState();
    state.select([top.element]);
    const element = elementsOn(piece, surface.name).find((e) => e.id === top.element);
    const tracks = drawing.boxes.grids[top.element];
    if (element) handlingOf(element.kind).enter?.(element, { state, tracks, at: pointIn(event) });
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

  const codesDrawn = shows('drawn-lines');
  const coded = useMemo(
    () => (codesDrawn ? { ...surface, processLines: linesOn(surface, drawing) } : surface),
    [codesDrawn, surface, drawing],
  );
  const isSpread = beside !== undefined && !isOutput && !isTrimmed && !plates;
  const shown = isOutput ? shownBox : isTrimmed ? boxes.trim : isSpread ? toSpine(boxes) : boxes.bleed;
  const chains = useMemo(() => partsChains(desk.blank, surface), [desk.blank, surface]);
  const frames = drawing.frames.filter((f) => selection.includes(f.element));
  const here = findings.filter((f) => f.surface === surface.name);
  return (
    <Box
      sx={{ position: 'absolute', inset: 0, overflow: 'hidden', bgcolor: COLOURS.bench }}
      onDragOver={(e) => e.preventDefault()}
      onDrop={onDrop}
    >
      <div
        ref={host}
        tabIndex={0}
        role="application"
        aria-label={
          `${piece.name}, ${surface.name}, ${drawing.frames.length} elements. Tab steps through them; arrows ` +
          'nudge.'
        }
        data-bench
        data-scale={scale}
        data-origin={`${x},${y}`}
        onPointerDown={picking ? onPick : drag.onPointerDown}
        onDoubleClick={onDoubleClick}
        style={{
          position: 'absolute',
          inset: 0,
          outlineOffset: -3,
          touchAction: 'none',
          userSelect: 'none',
          cursor: picking ? 'crosshair' : drag.dragging === 'pan' ? 'grabbing' : 'default',
        }}
      >
        {isSpread && (
          <Paper
            drawing={beside.drawing}
            context={context}
            at={besideAt}
            shown={toSpine(beside.drawing.boxes)}
            lies={beside.drawing.boxes.trim}
            white={job.stock.white ?? '#ffffff'}
            marks={undefined}
          />
        )}
        <Paper
          drawing={drawing}
          context={context}
          at={at}
          shown={shown}
          lies={isOutput ? shownBox : boxes.trim}
          white={job.stock.white ?? '#ffffff'}
          marks={press?.items}
        />
        {plates && <PlatePicture at={at} room={{ width: roomWidth, height: roomHeight }} />}
        <svg width="100%" height="100%" style={{ position: 'absolute', inset: 0, willChange: 'transform' }}>
          {isSpread && (
            <rect
              {...project(beside.drawing.boxes.trim, besideAt)}
              fill="transparent"
              data-beside={beside.drawing.surface}
              style={{ cursor: 'pointer' }}
              onPointerDown={(event) => {
                event.stopPropagation();
                show(beside.drawing.surface);
              }}
            >
              <title>{beside.drawing.surface}</title>
            </rect>
          )}
          {shows('finish') && !plates && <FinishShapes at={at} context={context} />}
          {shows('unprinted') && !plates && <Unprinted at={at} context={context} />}
          {shows('gamut') && !plates && gamut && <GamutPicture at={at} context={context} />}
          {shows('line-code') && !isTrimmed && !plates && (
            <LineCode surface={coded} boxes={drawing.boxes} at={at} guides={guides} names={shows('panel-names')} />
          )}
          {shows('baselines') && guides && desk.piece.baselineGrid && (
            <BaselineLines grid={desk.piece.baselineGrid} boxes={drawing.boxes} at={at} />
          )}
          {isOutput && <BoxOutlines boxes={boxes} at={at} />}
          {guides && !isTrimmed && !plates && (
            <Dimensions
              boxes={isOutput || isSpread ? { ...boxes, bleed: shownBox } : boxes}
              bleed={desk.blank.bleed}
              safe={insets(boxes.safe, boxes.trim)}
              scale={desk.blank.scale}
              markOffset={rules.markOffset.value}
              unit={job.unit}
              at={at}
              pointed={pointed}
              chains={shows('chains') ? chains : NO_CHAINS}
            />
          )}
          {shows('empty-frames') && <EmptyFrames drawing={drawing} at={at} />}
          {shows('slots') && <SlotMarks drawing={drawing} at={at} />}
          {shows('findings') && <FindingMarks findings={here} at={at} />}
          {shows('cells') && <TableCells at={at} />}
          {typing ? (
            <Typing id={typing} at={at} />
          ) : (
            shows('selection') && (
              <Selection
                frames={frames}
                boxes={boxes}
                at={at}
                unit={job.unit}
                dragging={drag.dragging === 'move' || drag.dragging === 'stretch' || drag.dragging === 'turn'}
                caught={drag.caught}
                editable={shows('handles') && !editing && !framing}
                measured={measured}
                onStretch={drag.onStretch}
                onTurn={drag.onTurn}
              />
            )
          )}
          {editing && !typing && <PathPoints id={editing} at={at} toMm={pointIn} />}
          {shows('gradients') && only && !editing && !typing && <GradientHandles id={only} at={at} toMm={pointIn} />}
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
      </div>
      {pointed?.kind === 'sheet' && (
        <SheetPicture blank={desk.blank} sheet={pointed.sheet} unit={job.unit} rim={rules.unprintable.value} />
      )}
      {drawing.frames.length === 0 && shows('empty-frames') && <EmptyHint at={at} trim={boxes.trim} />}
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
