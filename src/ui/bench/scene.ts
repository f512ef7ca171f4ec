import { useMemo } from 'react';
import type { SvgContext } from '@/paint/svg';
import { SLUG_FACE } from '@/core/compose';
import type { Drawing, Item } from '@/core/drawing';
import { insets, union, type Rect, type SurfaceBoxes } from '@/core/layout';
import { linesOn, sideMarks } from '@/core/marks';
import type { BlankSurface } from '@/core/format';
import { useJob } from '../open-job/context';
import { usePainting } from '../open-job/painting';
import type { Layer, Station } from '../open-job/station';
import { useDesk, useFindings, type Desk, type Checked } from '../open-job/use-desk';
import { projection, useBenchView, type Projection } from '../view/bench-view';
import { usePileView } from '../view/pile-view';
import { useSheetView } from '../view/sheet-view';
import { usePlateView } from '../view/plate-view';

/** A drawing on the bench, and where it lies. */
export interface LaidDrawing {
  readonly drawing: Drawing;
  readonly at: Projection;
}

/** What is on the bench, and how it is looked at. */
export interface Scene {
  readonly desk: Desk;
  readonly station: Station;
  /** Whether the station shows something at all. */
  readonly shows: (layer: Layer) => boolean;
  readonly at: Projection;
  readonly context: SvgContext;
  /** The other page of the spread, where both are shown. */
  readonly beside: LaidDrawing | undefined;
  /** The printer’s sheet with its marks, where that is shown. */
  readonly press: { readonly sheet: Rect; readonly items: readonly Item[] } | undefined;
  /** Separations stand in for the artwork. */
  readonly plates: boolean;
  readonly gamut: boolean;
  /** Copies stand in for the artwork. */
  readonly pile: boolean;
  /** The sheet of the press with all that lies on it stands in for the artwork. */
  readonly imposed: boolean;
  /** Cut to the trim. */
  readonly isTrimmed: boolean;
  /** Distances, safe area and columns. */
  readonly guides: boolean;
  readonly safe: ReturnType<typeof insets>;
  /** Everything that is shown. */
  readonly whole: Rect;
  /** What is brought into view when the piece opens: the page, or both of a spread. */
  readonly home: Rect;
  /** What of the page is seen. */
  readonly seen: Rect;
  /** The surface with the lines that are shown in line code. */
  readonly coded: BlankSurface;
  readonly findings: Checked['findings'];
}

/** A page with its bleed, but for the edge at the spine: there the other page begins. */
export function toSpine({ trim, bleed, spread }: SurfaceBoxes): Rect {
  const left = spread.x < trim.x ? trim.x : bleed.x;
  const right = spread.x + spread.width > trim.x + trim.width ? trim.x + trim.width : bleed.x + bleed.width;
  return { ...bleed, x: left, width: right - left };
}

const movedBy = (r: Rect, dx: number): Rect => ({ ...r, x: r.x + dx });

/**
 * What is brought into view when a side opens: itself, or both pages of a spread.
 * @param beside the page beside it
 * @param dx how far to the right the trim of that begins, mm
 */
export const homeOf = (boxes: SurfaceBoxes, beside: SurfaceBoxes | undefined, dx: number): Rect =>
  beside ? union([boxes.bleed, movedBy(beside.bleed, dx)]) : boxes.bleed;

export function useScene(): Scene {
  const desk = useDesk();
  const { surface, drawing, resources, rules, beside } = desk;
  const { boxes } = surface;
  const station = useJob((s) => s.station);
  const { scale, x, y, guides, trimmed } = useBenchView();
  const wantsPlates = usePlateView((s) => s.plates);
  const gamut = usePlateView((s) => s.gamut);
  const wantsPile = usePileView((v) => v.mode !== 'none');
  const findings = useFindings();
  const shows = (layer: Layer) => station.shows.has(layer);

  const press = usePressSheet(shows('press-sheet'));
  const isTrimmed = trimmed && station.trims;
  const plates = wantsPlates && shows('plates');
  const pile = wantsPile && shows('pile');
  const imposed = useSheetView((v) => v.isShown) && shows('imposed');
  const isSpread = beside !== undefined && press === undefined && !isTrimmed && !plates && !pile;
  const besideDx = beside?.dx ?? 0;
  const at = useMemo(() => projection({ scale, x, y }), [scale, x, y]);
  const besideAt = useMemo(() => projection({ scale, x: x + besideDx * scale, y }), [scale, x, y, besideDx]);
  const codesDrawn = shows('drawn-lines');
  const coded = useMemo(
    () => (codesDrawn ? { ...surface, processLines: linesOn(surface, drawing) } : surface),
    [codesDrawn, surface, drawing],
  );
  const home = homeOf(boxes, beside?.drawing.boxes, besideDx);
  const whole = press?.sheet ?? (isTrimmed ? boxes.bleed : home);
  return {
    desk,
    station,
    shows,
    at,
    context: usePainting(resources, rules.conversion),
    beside: isSpread ? { drawing: beside.drawing, at: besideAt } : undefined,
    press,
    plates,
    gamut,
    pile,
    imposed,
    isTrimmed,
    guides,
    safe: insets(boxes.safe, boxes.trim),
    whole,
    home,
    seen: press ? whole : isTrimmed ? boxes.trim : isSpread ? toSpine(boxes) : boxes.bleed,
    coded,
    findings: findings.filter((f) => f.surface === surface.name),
  };
}

/** The sheet of this side as the printer gets it. */
function usePressSheet(isShown: boolean): Scene['press'] {
  const { job, piece, surface, drawing, rules, resources, blank } = useDesk();
  const face = resources.fonts.find(SLUG_FACE.family, SLUG_FACE.weight, SLUG_FACE.italic);
  const { scale } = blank;
  return useMemo(
    () => (isShown ? sideMarks(job, { piece, surface, drawing, rules, scale }, face, 'date of export') : undefined),
    [isShown, job, piece, surface, drawing, rules, scale, face],
  );
}
