import type { ComponentType } from 'react';
import type { Frame } from '@/core/drawing';
import type { Blank, BlankSurface } from '@/core/format';
import type { Point } from '@/core/layout';
import { useJob } from '../open-job/context';
import { fetched } from '../shell/fetched';
import { COLOURS } from '../shell/theme';
import { project } from '../view/bench-view';
import { BaselineLines } from './BaselineLines';
import { Dimensions, type Chains } from './Dimensions';
import { EmptyFrames } from './EmptyFrames';
import { FindingMarks } from './FindingMarks';
import { FramingHint } from './FramingHint';
import { GradientHandles } from './GradientHandles';
import { LineCode } from './LineCode';
import { PathPoints } from './PathPoints';
import { BoxOutlines, FinishShapes, Unprinted } from './PressLines';
import type { Scene } from './scene';
import { Selection } from './Selection';
import { SlotMarks } from './SlotMarks';
import { TableCells } from './TableCells';
import { Typing } from './typing/Typing';
import type { useDrag } from './use-drag';

/** What a hand is doing on the bench. */
export interface Hand {
  readonly drag: ReturnType<typeof useDrag>;
  /** The element that the selection is measured to. */
  readonly measured: Frame | undefined;
  readonly toMm: (event: { clientX: number; clientY: number }) => Point;
}

interface LayerProps {
  readonly scene: Scene;
  readonly hand: Hand;
}

/** Something drawn on the bench above the artwork. */
interface BenchLayer {
  readonly name: string;
  readonly isShown: (scene: Scene) => boolean;
  readonly Draw: ComponentType<LayerProps>;
}

/** A press on the other page of the spread shows that page. */
function BesidePage({ scene: { beside } }: LayerProps) {
  const show = useJob((s) => s.show);
  if (!beside) return null;
  const { surface, boxes } = beside.drawing;
  return (
    <rect
      {...project(boxes.trim, beside.at)}
      fill="transparent"
      data-beside={surface}
      style={{ cursor: 'pointer' }}
      onPointerDown={(event) => {
        event.stopPropagation();
        show(surface);
      }}
    >
      <title>{surface}</title>
    </rect>
  );
}

function Distances({ scene }: LayerProps) {
  const { desk, at, press, beside, whole, safe, shows } = scene;
  const { blank, surface, rules, job } = desk;
  const pointed = useJob((s) => s.pointed);
  const { boxes } = surface;
  return (
    <Dimensions
      boxes={press || beside ? { ...boxes, bleed: whole } : boxes}
      bleed={blank.bleed}
      safe={safe}
      scale={blank.scale}
      markOffset={rules.markOffset.value}
      unit={job.unit}
      at={at}
      pointed={pointed}
      chains={shows('chains') ? partsChains(blank, surface) : NO_CHAINS}
    />
  );
}

const GamutPicture = fetched(() => import('../finish/GamutPicture').then((m) => m.GamutPicture));
const NO_CHAINS: Chains = { x: [], y: [] };

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

/** What is selected; while it is typed, its words. */
function Chosen({ scene, hand: { drag, measured } }: LayerProps) {
  const { desk, at, shows } = scene;
  const selection = useJob((s) => s.selection);
  const typing = useJob((s) => s.typing);
  const isWithin = useJob((s) => s.editing !== undefined || s.framing !== undefined);
  if (typing) return <Typing id={typing} at={at} />;
  if (!shows('selection')) return null;
  return (
    <Selection
      frames={desk.drawing.frames.filter((f) => selection.includes(f.element))}
      boxes={desk.surface.boxes}
      at={at}
      unit={desk.job.unit}
      dragging={drag.dragging === 'move' || drag.dragging === 'stretch' || drag.dragging === 'turn'}
      caught={drag.caught}
      editable={shows('handles') && !isWithin}
      measured={measured}
      onStretch={drag.onStretch}
      onTurn={drag.onTurn}
    />
  );
}

/** The inside of what is selected: points of a path, a gradient, a picture behind its frame. */
function Inside({ scene: { desk, at, shows }, hand: { toMm } }: LayerProps) {
  const selection = useJob((s) => s.selection);
  const typing = useJob((s) => s.typing);
  const editing = useJob((s) => s.editing);
  const framing = useJob((s) => s.framing);
  const [only] = selection.length === 1 ? selection : [];
  return (
    <>
      {editing && !typing && <PathPoints id={editing} at={at} toMm={toMm} />}
      {shows('gradients') && only && !editing && !typing && <GradientHandles id={only} at={at} toMm={toMm} />}
      {framing && <FramingHint id={framing} drawing={desk.drawing} at={at} />}
    </>
  );
}

/** The box that is drawn around what is to be selected. */
function Marquee({ scene: { at }, hand: { drag } }: LayerProps) {
  if (!drag.marquee) return null;
  return (
    <rect
      {...project(drag.marquee, at)}
      fill={COLOURS.accent}
      fillOpacity="0.1"
      stroke={COLOURS.accent}
      strokeDasharray="4 3"
    />
  );
}

function Finishings({ scene: { at, context } }: LayerProps) {
  return <FinishShapes at={at} context={context} />;
}

function UnprintedShapes({ scene: { at, context } }: LayerProps) {
  return <Unprinted at={at} context={context} />;
}

function OutOfGamut({ scene: { at, context } }: LayerProps) {
  return <GamutPicture at={at} context={context} />;
}

function Lines({ scene: { coded, desk, at, guides, shows } }: LayerProps) {
  return <LineCode surface={coded} boxes={desk.drawing.boxes} at={at} guides={guides} names={shows('panel-names')} />;
}

function Baselines({ scene: { desk, at } }: LayerProps) {
  const grid = desk.piece.baselineGrid;
  return grid && <BaselineLines grid={grid} boxes={desk.drawing.boxes} at={at} />;
}

function SheetBoxes({ scene: { desk, at } }: LayerProps) {
  return <BoxOutlines boxes={desk.surface.boxes} at={at} />;
}

function Frames({ scene: { desk, at } }: LayerProps) {
  return <EmptyFrames drawing={desk.drawing} at={at} />;
}

function Slots({ scene: { desk, at } }: LayerProps) {
  return <SlotMarks drawing={desk.drawing} at={at} />;
}

function Findings({ scene: { findings, at } }: LayerProps) {
  return <FindingMarks findings={findings} at={at} />;
}

function Cells({ scene: { at } }: LayerProps) {
  return <TableCells at={at} />;
}

/** What is drawn above the artwork, the lowest first. */
export const LAYERS: readonly BenchLayer[] = [
  { name: 'the other page', isShown: ({ beside }) => beside !== undefined, Draw: BesidePage },
  {
    name: 'coatings and process lines',
    isShown: ({ shows, plates }) => shows('finish') && !plates,
    Draw: Finishings,
  },
  {
    name: 'what no plate prints',
    isShown: ({ shows, plates }) => shows('unprinted') && !plates,
    Draw: UnprintedShapes,
  },
  {
    name: 'colours that cannot be printed',
    isShown: ({ shows, plates, gamut }) => shows('gamut') && gamut && !plates,
    Draw: OutOfGamut,
  },
  {
    name: 'line code',
    isShown: ({ shows, plates, pile, isTrimmed }) => shows('line-code') && !isTrimmed && !plates && !pile,
    Draw: Lines,
  },
  {
    name: 'baselines',
    isShown: ({ shows, guides, desk }) => shows('baselines') && guides && desk.piece.baselineGrid !== null,
    Draw: Baselines,
  },
  {
    name: 'boxes of the press sheet',
    isShown: ({ press }) => press !== undefined,
    Draw: SheetBoxes,
  },
  {
    name: 'distances',
    isShown: ({ guides, isTrimmed, plates, pile }) => guides && !isTrimmed && !plates && !pile,
    Draw: Distances,
  },
  {
    name: 'empty frames',
    isShown: ({ shows }) => shows('empty-frames'),
    Draw: Frames,
  },
  {
    name: 'slots',
    isShown: ({ shows }) => shows('slots'),
    Draw: Slots,
  },
  {
    name: 'findings',
    isShown: ({ shows, pile }) => shows('findings') && !pile,
    Draw: Findings,
  },
  {
    name: 'cells',
    isShown: ({ shows }) => shows('cells'),
    Draw: Cells,
  },
  { name: 'what is selected', isShown: () => true, Draw: Chosen },
  { name: 'the inside of what is selected', isShown: () => true, Draw: Inside },
  { name: 'marquee', isShown: () => true, Draw: Marquee },
];
