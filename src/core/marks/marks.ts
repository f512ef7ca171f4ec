import { linePath, rectPath, ellipsePath, type Ink, type Item, type Path } from '../drawing';
import type { Output } from '../job';
import { IDENTITY, grow, type EdgeLengths, type Rect, type SurfaceBoxes } from '../layout';
import { ptToMm, type Mm } from '../measure';
import { MARK_LENGTH, type Rules } from '../rules';
import type { ProcessLine } from '../format';
import { DASHES } from '../shop';
import type { Face } from '../type';
import { noteItems } from './note';

/** Weight of a mark, mm [cp]. */
export const MARK_WEIGHT = ptToMm(0.25);
/** Clear space between the outermost mark and the edge of the sheet, mm. */
const RIM = 2;
const SLUG_SIZE_PT = 5.5;

const REGISTRATION: Ink = { kind: 'registration', tint: 100 };

/** Patches of the colour bar: solids, two-ink overprints, halves, and a grey balance beside its black [cp]. */
const PATCHES: readonly (readonly [c: number, m: number, y: number, k: number])[] = [
  [100, 0, 0, 0], [0, 100, 0, 0], [0, 0, 100, 0], [0, 0, 0, 100],
  [0, 100, 100, 0], [100, 0, 100, 0], [100, 100, 0, 0],
  [50, 0, 0, 0], [0, 50, 0, 0], [0, 0, 50, 0], [0, 0, 0, 50],
  [50, 40, 40, 0],
]; // prettier-ignore

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
  const zone = drawsMarks ? offset + MARK_LENGTH : widest(insetsOf(boxes));
  const bar = marks.colourBar ? barFor(boxes.trim, zone) : undefined;
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
      ...(marks.corner ? [strokes('corner marks', cornerMarks(boxes.trim, offset))] : []),
      ...(marks.centre ? [strokes('centre marks', centreMarks(boxes.trim, offset))] : []),
      ...(marks.register ? [strokes('register targets', targets(boxes.trim, offset))] : []),
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

function strokes(from: string, path: Path, dash: readonly Mm[] = []): Item {
  const stroke = { ink: REGISTRATION, width: MARK_WEIGHT, dash, cap: 'butt' as const };
  return { kind: 'path', from, opacity: 1, matrix: IDENTITY, path, fill: null, stroke };
}

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
const isTicked = (line: ProcessLine): boolean => (TICKED as readonly string[]).includes(line.process);

/** Ticks outside the bleed in line with folds, scores and perforations, in their own coding at half its length. */
function foldTicks({ lines, codes, boxes, offset }: MarksRequest): readonly Item[] {
  return TICKED.flatMap((process): Item[] => {
    const own = lines.filter((line) => line.process === process && !line.path);
    const path = own.flatMap((line) => ticksOf(line, boxes.trim, offset));
    if (path.length === 0) return [];
    return [
      strokes(
        `${process} ticks`,
        path,
        DASHES[codes[process].form].map((mm) => mm / 2),
      ),
    ];
  });
}

const TOUCHES = 0.01;

/** A tick at each end of an upright or level line that lies on the trim. */
function ticksOf({ from, to }: ProcessLine, trim: Rect, offset: Mm): Path {
  const [near, far] = [offset, offset + MARK_LENGTH];
  const [right, bottom] = [trim.x + trim.width, trim.y + trim.height];
  const ends = [from, to];
  if (Math.abs(from.x - to.x) < TOUCHES) {
    return ends.flatMap(({ x, y }) =>
      Math.abs(y - trim.y) < TOUCHES
        ? linePath({ x, y: trim.y - far }, { x, y: trim.y - near })
        : Math.abs(y - bottom) < TOUCHES
          ? linePath({ x, y: bottom + near }, { x, y: bottom + far })
          : [],
    );
  }
  if (Math.abs(from.y - to.y) < TOUCHES) {
    return ends.flatMap(({ x, y }) =>
      Math.abs(x - trim.x) < TOUCHES
        ? linePath({ x: trim.x - far, y }, { x: trim.x - near, y })
        : Math.abs(x - right) < TOUCHES
          ? linePath({ x: right + near, y }, { x: right + far, y })
          : [],
    );
  }
  return [];
}

/** The middle of each side and the direction outward. */
const sides = (trim: Rect) => {
  const [cx, cy] = [trim.x + trim.width / 2, trim.y + trim.height / 2];
  return [
    { x: cx, y: trim.y, dx: 0, dy: -1, length: trim.width },
    { x: trim.x + trim.width, y: cy, dx: 1, dy: 0, length: trim.height },
    { x: cx, y: trim.y + trim.height, dx: 0, dy: 1, length: trim.width },
    { x: trim.x, y: cy, dx: -1, dy: 0, length: trim.height },
  ];
};

/** A tick at the middle of each side. */
function centreMarks(trim: Rect, offset: Mm): Path {
  return sides(trim).flatMap(({ x, y, dx, dy }) => {
    const at = (d: Mm) => ({ x: x + dx * d, y: y + dy * d });
    return linePath(at(offset), at(offset + MARK_LENGTH));
  });
}

/** A circle and a cross beside the middle of each side. */
function targets(trim: Rect, offset: Mm): Path {
  const arm = MARK_LENGTH / 2;
  return sides(trim).flatMap(({ x, y, dx, dy, length }) => {
    // Beside the centre mark, nearer to it on a short side.
    const aside = Math.min(10, length / 5);
    const c = {
      x: x + dx * (offset + arm) + Math.abs(dy) * aside,
      y: y + dy * (offset + arm) + Math.abs(dx) * aside,
    };
    const radius = arm * 0.6;
    return [
      ...linePath({ x: c.x - arm, y: c.y }, { x: c.x + arm, y: c.y }),
      ...linePath({ x: c.x, y: c.y - arm }, { x: c.x, y: c.y + arm }),
      ...ellipsePath({ x: c.x - radius, y: c.y - radius, width: 2 * radius, height: 2 * radius }),
    ];
  });
}

/** Patches in a row above the marks at the head, as large as the width allows, at most 5 mm. */
function barFor(trim: Rect, zone: Mm): { size: Mm; items: readonly Item[] } {
  const size = Math.min(5, trim.width / PATCHES.length);
  const left = trim.x + (trim.width - size * PATCHES.length) / 2;
  const y = trim.y - zone - 1 - size;
  const items = PATCHES.map(([c, m, yellow, k], i): Item => ({
    kind: 'path',
    from: 'colour bar',
    opacity: 1,
    matrix: IDENTITY,
    path: rectPath({ x: left + i * size, y, width: size, height: size }),
    fill: { kind: 'process', build: { c, m, y: yellow, k }, overprint: false },
    stroke: null,
  }));
  return { size, items };
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
