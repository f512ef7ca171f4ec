import type { Edges } from '../element';
import { edges, grow, offsetPath, pathBounds, rectPath, surfaceBoxes, type EdgeLengths, type Path } from '../layout';
import { pixels, type Mm } from '../measure';
import type { Size } from '../paper';

import { MARK_LENGTH } from '../rules';
import type { Blank, BlankProblem, BlankSurface, SheetFit } from './blank';
import { commonFigures } from './common-figures';
import type { FormatContext, Plan, SurfacePlan } from './format';
import type { PieceCommons } from './piece-commons';
import { fitOnSheet } from './sheet-fit';

/** Completes what a format planned: boxes, bleed outlines, sheets and the figures that every piece has. */
export function completeBlank(plan: Plan, commons: PieceCommons, context: FormatContext): Blank {
  const { rules } = context;
  // The pages of a book are alike but for their names: each sort is worked out once.
  const scale = plan.scale ?? 1;
  // Bleed and safe margins are measured on the piece itself; a smaller drawing has them smaller.
  const [bleedDrawn, safeDrawn] = [drawnAt(rules.bleed.value, scale), drawnAt(rules.safe.value, scale)];
  const sorts: { readonly plan: SurfacePlan; readonly surface: BlankSurface }[] = [];
  const surfaces = plan.surfaces.map((surface) => {
    const alike = surface.panels && sorts.find((s) => isAlike(s.plan, surface));
    if (alike) return { ...alike.surface, name: surface.name };
    const made = completeSurface(surface, bleedDrawn, safeDrawn, commons);
    if (sorts.length < MOST_SORTS) sorts.push({ plan: surface, surface: made });
    return made;
  });
  const [first] = surfaces;
  if (!first) throw new RangeError('A piece has at least one surface.');
  const flat = plan.flat ?? { width: first.boxes.trim.width, height: first.boxes.trim.height };
  const withBleed = { width: first.boxes.bleed.width, height: first.boxes.bleed.height };
  const ppi = rules.ppi.value;
  const inPixels = (s: Size): Size => ({ width: pixels(s.width * scale, ppi), height: pixels(s.height * scale, ppi) });
  const pressed = surfaces.find((s) => s.name === plan.pressed) ?? first;
  const sheets = fits(plan, pressed, scale, context);
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
    problems: [...(plan.problems ?? []), ...withoutRoom(surfaces)],
    sheets,
    pressed: lifeSize(pressed, scale),
    ...(plan.folding && { folding: plan.folding }),
    scale,
    ...(plan.edges && { edges: plan.edges }),
    ...(plan.byItself !== undefined && { byItself: plan.byItself }),
    ...(plan.bound && { bound: plan.bound }),
  };
}

const drawnAt = (e: Edges, scale: number): Edges =>
  scale === 1 ? e : { top: e.top / scale, right: e.right / scale, bottom: e.bottom / scale, left: e.left / scale };

/** A side whose safe margins pass each other has no place that is safe. */
function withoutRoom(surfaces: readonly BlankSurface[]): readonly BlankProblem[] {
  const found = surfaces.find(({ boxes }) => boxes.safe.width <= 0 || boxes.safe.height <= 0);
  if (!found) return [];
  const message = `The safe margins leave no room on the ${found.name}. Make them smaller, or the piece larger.`;
  return [{ severity: 'fault', message, parameter: 'safe' }];
}

/** More sorts of pages than this are not looked for. */
const MOST_SORTS = 8;

/** Whether two surfaces were planned as one sort: they share everything but their name. */
const isAlike = (a: SurfacePlan, b: SurfacePlan): boolean =>
  a.size === b.size &&
  a.panels === b.panels &&
  a.processLines === b.processLines &&
  a.zones === b.zones &&
  a.clear === b.clear &&
  a.outline === b.outline &&
  a.bleed === b.bleed &&
  a.repeats === b.repeats &&
  a.isLeftPage === b.isLeftPage &&
  a.facing === b.facing;

function completeSurface(plan: SurfacePlan, bleed: Edges, safe: Edges, { grid, measures }: PieceCommons): BlankSurface {
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
  const processLines = plan.processLines ?? [];
  const holes = processLines.flatMap((l) => (l.process === 'drill' && l.path ? [pathBounds(l.path)] : []));
  const boxes = surfaceBoxes(size, by, inner, grid, {
    panels,
    holes,
    measures,
    isLeftPage: plan.isLeftPage ?? false,
    facing: plan.facing,
  });
  const outline = plan.outline ?? rectPath(boxes.trim);
  const bleedOutline = plan.outline ? bleedAround(plan.outline, by) : rectPath(boxes.bleed);
  return {
    name: plan.name,
    outline,
    bleedOutline,
    panels,
    processLines,
    zones: plan.zones ?? [],
    ...(plan.repeats && { repeats: plan.repeats }),
    // A shape’s bleed may reach further than its box’s at a pointed corner.
    boxes: plan.outline ? { ...boxes, bleed: grow(pathBounds(outline), by) } : boxes,
  };
}

const bleeds = new WeakMap<Path, Map<Mm, Path>>();

/** Bleed follows the outline: a constant distance outside it, the widest of the four. */
function bleedAround(outline: Path, by: EdgeLengths): Path {
  const distance = Math.max(by.top, by.right, by.bottom, by.left);
  const known = bleeds.get(outline) ?? new Map<Mm, Path>();
  bleeds.set(outline, known);
  const bleed = known.get(distance) ?? offsetPath(outline, distance, 'sharp');
  known.set(distance, bleed);
  return bleed;
}

const lifeSize = ({ boxes }: BlankSurface, scale: number): Blank['pressed'] => ({
  trim: { width: boxes.trim.width * scale, height: boxes.trim.height * scale },
  withBleed: { width: boxes.bleed.width * scale, height: boxes.bleed.height * scale },
});

/** On each sheet of the house, and on the one that the piece names. */
function fits(plan: Plan, pressed: BlankSurface, scale: number, { rules }: FormatContext): readonly SheetFit[] {
  const own = plan.onSheet ? [{ name: plan.onSheet.name, ...plan.onSheet.size }] : [];
  return [...own, ...rules.sheets].map((sheet) =>
    fitOnSheet({
      ...lifeSize(pressed, scale),
      marks: rules.markOffset.value + MARK_LENGTH,
      unprintable: plan.onSheet && sheet === own[0] ? 0 : rules.unprintable.value,
      sheet,
    }),
  );
}
