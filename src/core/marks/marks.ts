import { linePath, type Item, type Path } from '../drawing';
import type { Output } from '../job';
import { grow, type EdgeLengths, type Point, type Rect, type SurfaceBoxes } from '../layout';
import type { Mm } from '../measure';
import { MARK_LENGTH, type Rules } from '../rules';
import type { ProcessLine } from '../format';
import { DASHES } from '../shop';
import { noteItems, type Face } from '../type';
import { barPatches, type BarInks } from './colour-bar';
import { PATCH, REGISTRATION, markLines, patchRow, targetPath } from './mark-shapes';

/** Clear space between the outermost mark and the edge of the sheet, mm. */
const RIM = 2;
const SLUG_SIZE_PT = 5.5;

/** What is printed about the job outside the trim. */
export interface SlugWords {
  readonly job: string;
  readonly side: string;
  readonly date: string;
  readonly plates: string;
}

export interface MarksRequest {
  readonly boxes: SurfaceBoxes;
  readonly marks: Output['marks'];
  /** From the trim to the marks, mm; at least the bleed. */
  readonly offset: Mm;
  /** Room for notes beyond the marks at the foot, mm. */
  readonly slug: Mm;
  readonly words: SlugWords;
  /** Folds, scores and perforations get ticks where they meet the trim. */
  readonly lines: readonly ProcessLine[];
  readonly codes: Rules['lines'];
  /** Sets the slug line. */
  readonly face: Face | undefined;
  /** What the colour bar shows. */
  readonly inks: BarInks;
}

/** The printed sheet around a piece: its size, and everything outside the bleed. */
export interface MarkedSheet {
  readonly sheet: Rect;
  readonly items: readonly Item[];
}

/**
 * Marks of one surface, all outside the bleed and in registration colour.
 *
 * Zones from the trim outward: offset, marks (5 mm), then at the head the colour bar and at the foot the slug line,
 * then a clear rim.
 */
export function marksFor(request: MarksRequest): MarkedSheet {
  const { boxes, marks, offset } = request;
  const drawsMarks = marks.corner || marks.centre || marks.register || (marks.fold && request.lines.some(isTicked));
  const ticks = marks.fold ? ticksOn(request.lines, boxes.trim) : [];
  const zone = drawsMarks ? offset + MARK_LENGTH : widest(insetsOf(boxes));
  const bar = marks.colourBar ? barFor(boxes.trim, zone, request.inks) : undefined;
  const line = marks.slugLine && request.face ? slugLine(request, request.face, zone) : undefined;
  const reach: EdgeLengths = {
    left: zone,
    right: zone,
    top: zone + (bar ? bar.size + 1 : 0),
    bottom: zone + (line ? line.height + 1 : 0) + request.slug,
  };
  const hasRim = drawsMarks || bar || line;
  return {
    sheet: grow(boxes.trim, hasRim ? grow4(reach, RIM) : reach),
    items: [
      ...(marks.corner ? [markLines('corner marks', cornerMarks(boxes.trim, offset))] : []),
      ...(marks.centre ? [markLines('centre marks', centreMarks(boxes.trim, offset, ticks))] : []),
      ...(marks.register ? [markLines('register targets', targets(boxes.trim, offset, ticks))] : []),
      ...(marks.fold ? foldTicks(request) : []),
      ...(bar?.items ?? []),
      ...(line?.items ?? []),
    ],
  };
}

const widest = (e: EdgeLengths): Mm => Math.max(e.top, e.right, e.bottom, e.left);
const insetsOf = ({ trim, bleed }: SurfaceBoxes): EdgeLengths => ({
  top: trim.y - bleed.y,
  left: trim.x - bleed.x,
  right: bleed.x + bleed.width - trim.x - trim.width,
  bottom: bleed.y + bleed.height - trim.y - trim.height,
});
const grow4 = (e: EdgeLengths, by: Mm): EdgeLengths => ({
  top: e.top + by,
  right: e.right + by,
  bottom: e.bottom + by,
  left: e.left + by,
});

/** Two ticks at each corner, in line with the trimmed edges. */
export function cornerMarks(trim: Rect, offset: Mm): Path {
  const [right, bottom] = [trim.x + trim.width, trim.y + trim.height];
  const [near, far] = [offset, offset + MARK_LENGTH];
  return [
    ...[trim.y, bottom].flatMap((y) => [
      ...linePath({ x: trim.x - far, y }, { x: trim.x - near, y }),
      ...linePath({ x: right + near, y }, { x: right + far, y }),
    ]),
    ...[trim.x, right].flatMap((x) => [
      ...linePath({ x, y: trim.y - far }, { x, y: trim.y - near }),
      ...linePath({ x, y: bottom + near }, { x, y: bottom + far }),
    ]),
  ];
}

const TICKED = ['fold', 'score', 'perforation'] as const;
type Ticked = (typeof TICKED)[number];
const isTicked = (line: ProcessLine): boolean => (TICKED as readonly string[]).includes(line.process);

type Edge = 'top' | 'right' | 'bottom' | 'left';

/** Where a fold, score or perforation meets an edge of the trim. */
interface Tick {
  readonly process: Ticked;
  readonly edge: Edge;
  /** Along the edge, mm. */
  readonly at: Mm;
}

const TOUCHES = 0.01;

/** Ticks of upright and level lines at the edges that they reach, or run past. */
function ticksOn(lines: readonly ProcessLine[], trim: Rect): readonly Tick[] {
  const [right, bottom] = [trim.x + trim.width, trim.y + trim.height];
  return TICKED.flatMap((process) =>
    lines
      .filter((line) => line.process === process && !line.path)
      .flatMap(({ from, to }): readonly Tick[] => {
        if (Math.abs(from.x - to.x) < TOUCHES) {
          const [high, low] = [Math.min(from.y, to.y), Math.max(from.y, to.y)];
          return [
            ...(high < trim.y + TOUCHES ? [{ process, edge: 'top' as const, at: from.x }] : []),
            ...(low > bottom - TOUCHES ? [{ process, edge: 'bottom' as const, at: from.x }] : []),
          ];
        }
        if (Math.abs(from.y - to.y) < TOUCHES) {
          const [first, last] = [Math.min(from.x, to.x), Math.max(from.x, to.x)];
          return [
            ...(first < trim.x + TOUCHES ? [{ process, edge: 'left' as const, at: from.y }] : []),
            ...(last > right - TOUCHES ? [{ process, edge: 'right' as const, at: from.y }] : []),
          ];
        }
        return [];
      }),
  );
}

/** A point outside an edge of the trim. @param along the edge, @param out from it */
function outside(trim: Rect, edge: Edge, along: Mm, out: Mm): Point {
  switch (edge) {
    case 'top':
      return { x: along, y: trim.y - out };
    case 'bottom':
      return { x: along, y: trim.y + trim.height + out };
    case 'left':
      return { x: trim.x - out, y: along };
    case 'right':
      return { x: trim.x + trim.width + out, y: along };
  }
}

/** Ticks outside the bleed in line with folds, scores and perforations, in their own coding at half its length. */
function foldTicks({ lines, codes, boxes, offset }: MarksRequest): readonly Item[] {
  const ticks = ticksOn(lines, boxes.trim);
  return TICKED.flatMap((process): Item[] => {
    const path = ticks
      .filter((tick) => tick.process === process)
      .flatMap(({ edge, at }) =>
        linePath(outside(boxes.trim, edge, at, offset + MARK_LENGTH), outside(boxes.trim, edge, at, offset)),
      );
    if (path.length === 0) return [];
    const dash = DASHES[codes[process].form].map((mm) => mm / 2);
    return [markLines(`${process} ticks`, path, dash)];
  });
}

/** The edges of the trim with their middles and lengths. */
const edgesOf = (
  trim: Rect,
): readonly { readonly edge: Edge; readonly middle: Mm; readonly start: Mm; readonly length: Mm }[] => {
  const across = { middle: trim.x + trim.width / 2, start: trim.x, length: trim.width };
  const down = { middle: trim.y + trim.height / 2, start: trim.y, length: trim.height };
  return [
    { edge: 'top', ...across },
    { edge: 'right', ...down },
    { edge: 'bottom', ...across },
    { edge: 'left', ...down },
  ];
};

/** Nearer than this two marks are read as one, mm [cp]. */
const APART = 1;

const isFree = (ticks: readonly Tick[], edge: Edge, at: Mm, reach: Mm): boolean =>
  ticks.every((tick) => tick.edge !== edge || Math.abs(tick.at - at) >= reach);

/** A tick at the middle of each edge; where the piece is folded there, the fold’s own tick says it. */
function centreMarks(trim: Rect, offset: Mm, ticks: readonly Tick[]): Path {
  return edgesOf(trim)
    .filter(({ edge, middle }) => isFree(ticks, edge, middle, APART))
    .flatMap(({ edge, middle }) =>
      linePath(outside(trim, edge, middle, offset), outside(trim, edge, middle, offset + MARK_LENGTH)),
    );
}

/** Half the width of a register target, mm. */
const ARM = MARK_LENGTH / 2;

/** A circle and a cross beside the middle of each edge, where no tick runs through it. */
function targets(trim: Rect, offset: Mm, ticks: readonly Tick[]): Path {
  return edgesOf(trim).flatMap(({ edge, middle, start, length }) => {
    const at = targetPlace({ edge, middle, start, length }, ticks);
    if (at === undefined) return [];
    return targetPath(outside(trim, edge, at, offset + ARM), ARM);
  });
}

/** Beside the centre mark, nearer to it on a short edge; further along where ticks are in the way. */
function targetPlace(
  { edge, middle, start, length }: ReturnType<typeof edgesOf>[number],
  ticks: readonly Tick[],
): Mm | undefined {
  const aside = Math.min(10, length / 5);
  const steps = Array.from({ length: 60 }, (_, i) => aside + i);
  const places = steps.flatMap((step) => [middle + step, middle - step]);
  const isOn = (at: Mm) => at - ARM >= start && at + ARM <= start + length;
  const first = places.find((at) => isOn(at) && isFree(ticks, edge, at, ARM + APART));
  // On an edge too short for any, it stands where it always stood.
  return first ?? (isFree(ticks, edge, middle + aside, ARM + APART) ? middle + aside : undefined);
}

/** Patches in a row above the marks at the head, as large as the width allows, at most 5 mm. */
function barFor(trim: Rect, zone: Mm, inks: BarInks): { size: Mm; items: readonly Item[] } | undefined {
  const patches = barPatches(inks);
  if (patches.length === 0) return undefined;
  const size = Math.min(PATCH, trim.width / patches.length);
  const at = { x: trim.x + (trim.width - size * patches.length) / 2, y: trim.y - zone - 1 - size };
  return { size, items: patchRow(patches, at, { width: size, height: size }) };
}

/** The slug line below the marks at the foot: job, side, date and plates; on more lines where the piece is narrow. */
function slugLine(request: MarksRequest, face: Face, zone: Mm): { height: Mm; items: readonly Item[] } {
  const { trim } = request.boxes;
  const { job, side, date, plates } = request.words;
  const width = trim.width + 2 * zone;
  const note = noteItems(
    {
      text: [job, side, date, plates].join('   ·   '),
      sizePt: SLUG_SIZE_PT,
      at: { x: trim.x - zone, y: trim.y + trim.height + zone + 1 },
      width,
      ink: REGISTRATION,
      from: 'slug line',
    },
    face,
  );
  // Whole millimetres, so that the sheet has a size one can say.
  return { height: Math.ceil(note.height), items: note.items };
}
