import type { Edges, Grid } from '../element';
import { edges, grow, offsetPath, pathBounds, rectPath, surfaceBoxes, type EdgeLengths, type Path } from '../layout';
import { pixels, type Mm } from '../measure';
import type { Size } from '../paper';

import { MARK_LENGTH } from '../rules';
import type { Blank, BlankSurface, SheetFit } from './blank';
import { commonFigures } from './common-figures';
import type { FormatContext, Plan, SurfacePlan } from './format';
import { fitOnSheet } from './sheet-fit';

/** What every piece decides beside the decisions of its kind. */
export interface PieceCommons {
  readonly id: string;
  readonly name: string;
  readonly grid: Grid;
  readonly readingDistance: Mm;
}

/** Completes what a format planned: boxes, bleed outlines, sheets and the figures that every piece has. */
export function completeBlank(plan: Plan, commons: PieceCommons, context: FormatContext): Blank {
  const { rules } = context;
  const surfaces = plan.surfaces.map((surface) => completeSurface(surface, rules.bleed.value, rules.safe.value, commons.grid)); // prettier-ignore
  const [first] = surfaces;
  if (!first) throw new RangeError('A piece has at least one surface.');
  const flat = plan.flat ?? { width: first.boxes.trim.width, height: first.boxes.trim.height };
  const withBleed = { width: first.boxes.bleed.width, height: first.boxes.bleed.height };
  const scale = plan.scale ?? 1;
  const ppi = rules.ppi.value;
  const inPixels = (s: Size): Size => ({ width: pixels(s.width * scale, ppi), height: pixels(s.height * scale, ppi) });
  const sheets = fits(plan, first, context);
  const { bleed, trim } = first.boxes;
  return {
    id: commons.id,
    name: commons.name,
    finished: plan.finished,
    flat,
    withBleed,
    bleed: {
      top: trim.y - bleed.y,
      right: bleed.x + bleed.width - trim.x - trim.width,
      bottom: bleed.y + bleed.height - trim.y - trim.height,
      left: trim.x - bleed.x,
    },
    safe: rules.safe.value,
    pixels: { ppi, finished: inPixels(flat), withBleed: inPixels(withBleed) },
    surfaces,
    figures: commonFigures(plan, { flat, withBleed, scale, first, sheets }, commons, context),
    problems: plan.problems ?? [],
    sheets,
    ...(plan.folding && { folding: plan.folding }),
    scale,
  };
}

function completeSurface(plan: SurfacePlan, bleed: Edges, safe: Edges, grid: Grid): BlankSurface {
  const { size } = plan;
  const by: EdgeLengths = { ...bleed, ...plan.bleed };
  const clear: EdgeLengths = { ...edges(0), ...plan.clear };
  const inner: EdgeLengths = {
    top: safe.top + clear.top,
    right: safe.right + clear.right,
    bottom: safe.bottom + clear.bottom,
    left: safe.left + clear.left,
  };
  const panels = plan.panels ?? [{ name: plan.name, x: 0, y: 0, ...size }];
  const boxes = surfaceBoxes(size, by, inner, grid, panels);
  const outline = plan.outline ?? rectPath(boxes.trim);
  const bleedOutline = plan.outline ? bleedAround(plan.outline, by) : rectPath(boxes.bleed);
  return {
    name: plan.name,
    outline,
    bleedOutline,
    panels,
    processLines: plan.processLines ?? [],
    zones: plan.zones ?? [],
    ...(plan.repeats && { repeats: plan.repeats }),
    // A shape’s bleed may reach further than its box’s at a pointed corner.
    boxes: plan.outline ? { ...boxes, bleed: grow(pathBounds(outline), by) } : boxes,
  };
}

/** Bleed follows the outline: a constant distance outside it, the widest of the four. */
const bleedAround = (outline: Path, by: EdgeLengths): Path =>
  offsetPath(outline, Math.max(by.top, by.right, by.bottom, by.left), 'sharp');

/** On each sheet of the house, and on the one that the piece names. */
function fits(plan: Plan, { boxes }: BlankSurface, { rules }: FormatContext): readonly SheetFit[] {
  const own = plan.onSheet ? [{ name: plan.onSheet.name, ...plan.onSheet.size }] : [];
  return [...own, ...rules.sheets].map((sheet) =>
    fitOnSheet({
      trim: boxes.trim,
      withBleed: boxes.bleed,
      marks: rules.markOffset.value + MARK_LENGTH,
      unprintable: plan.onSheet && sheet === own[0] ? 0 : rules.unprintable.value,
      sheet,
    }),
  );
}
