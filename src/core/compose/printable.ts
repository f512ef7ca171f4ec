import type { GlyphItem, Item, Note, PlacedGlyph, StrokeStyle } from '../drawing';
import { nameOf, type PrintableElement, type SolidPaint } from '../element';
import {
  linePath,
  mapPath,
  multiply,
  rotation,
  translation,
  type Matrix,
  type NamedTracks,
  type Path,
  type Point,
  type Rect,
} from '../layout';
import { formatLength, ptToMm, type Mm } from '../measure';
import { Impossible } from '../parameter';
import {
  printableOf,
  type LineStyle,
  type Mark,
  type PrintableContext,
  type Role,
  type Solved,
  type Words,
} from '../printable';
import { carriedOut, wholeDashes } from '../shape';
import { fineInkOf, solidInk } from './ink';
import { advanceOf, faceOfWords, letteringOf, shapedWords } from './lettering';
import {
  composeContextOf,
  type Body,
  type ComposeContext,
  type Resources,
  type Setting,
  type ElementContext,
} from './context';

/** A printable worked out in a box, or the decision that cannot be there. */
export type SolvedPrintable =
  | { readonly ok: true; readonly solved: Solved }
  | { readonly ok: false; readonly decision: string; readonly message: string };

/** What solving needs: no boxes. */
type Solving = ComposeContext & Pick<ElementContext, 'turn'>;

const contextOf = (element: PrintableElement, around: Solving): PrintableContext => {
  const language = element.language ?? around.language;
  return {
    unit: around.unit,
    write: (mm) => formatLength(mm, around.unit),
    language,
    turn: around.turn,
    lettering: (name, bold) => letteringOf(faceOfWords(element, name, bold, around).face, language),
    holidays: (region, year) => around.holidays({ region, year, language }),
  };
};

export function solvePrintable(element: PrintableElement, { width, height }: Rect, around: Solving): SolvedPrintable {
  try {
    return {
      ok: true,
      solved: printableOf(element.content.of).solve(element.content, { width, height }, contextOf(element, around)),
    };
  } catch (error) {
    if (error instanceof Impossible) return { ok: false, decision: error.parameter, message: error.message };
    throw error;
  }
}

/** Why decisions cannot be in a box: what a field asks before it takes one. */
export function printableRefusal(
  element: PrintableElement,
  rect: Rect,
  job: Parameters<typeof composeContextOf>[0],
  ppi: number,
  resources: Resources,
): Extract<SolvedPrintable, { ok: false }> | undefined {
  const found = solvePrintable(element, rect, {
    ...composeContextOf(job, ppi, resources),
    turn: { index: 0, isLeft: false },
  });
  return found.ok ? undefined : found;
}

/** Columns and rows of a printable in its box: other elements can stand in its cells. */
export function printableTracks(
  element: PrintableElement,
  rect: Rect,
  context: ElementContext,
): NamedTracks | undefined {
  const found = solvePrintable(element, rect, context);
  const tracks = found.ok ? found.solved.tracks : undefined;
  if (!tracks) return undefined;
  const columns = tracks.columns.map(({ start, size }) => ({ start: rect.x + start, size }));
  const rows = tracks.rows.map(({ start, size }) => ({ start: rect.y + start, size }));
  const [left, top] = [columns[0]?.start ?? rect.x, rows[0]?.start ?? rect.y];
  const [right, bottom] = [columns.at(-1), rows.at(-1)].map((t) => (t ? t.start + t.size : 0));
  const area = { x: left, y: top, width: (right ?? 0) - left, height: (bottom ?? 0) - top };
  return { name: nameOf(element), area, columns, rows };
}

const paintOf = ({ inks }: PrintableElement, role: Role): SolidPaint =>
  role === 'paper' ? { kind: 'paper' } : inks[role];

/** Draws a printable: areas and outlines, then lines, then words in reading order. */
export function composePrintable(element: PrintableElement, setting: Setting, context: ElementContext): Body {
  const { rect, matrix } = setting;
  const result = solvePrintable(element, rect, context);
  if (!result.ok) {
    const { decision, message } = result;
    return { items: [], ink: rect, notes: [{ kind: 'printable-impossible', element: element.id, decision, message }] };
  }
  const { marks, findings, left = [] } = result.solved;
  const base = { from: element.id, opacity: 1, matrix };
  const placed = (path: Path): Path => {
    const there = mapPath(path, translation(rect.x, rect.y));
    return setting.reach === rect ? there : carriedOut(there, context.boxes.trim, context.boxes.bleed);
  };
  const shapes = marks.flatMap((mark): Item[] => {
    if (mark.kind !== 'shape') return [];
    const path = placed(mark.path);
    const fill = mark.fill && solidInk(paintOf(element, mark.fill), context.colour);
    return [
      { kind: 'path', ...base, path, fill, stroke: mark.stroke && strokeOf(element, mark.stroke, path, context) },
    ];
  });
  const lines = linesTogether(marks).map(({ style, runs }): Item => {
    const path = runs.flatMap((run) => linePath(...endsOf(run, setting, context)));
    const [first] = runs;
    return {
      kind: 'path',
      ...base,
      path,
      fill: null,
      stroke: strokeOf(element, style, first ? linePath(first.from, first.to) : [], context),
    };
  });
  const notes = new Map<string, Note>();
  const written = marks.flatMap((mark) =>
    mark.kind === 'words' ? wordItems(element, mark, base, rect, context, notes) : [],
  );
  return {
    items: [...shapes, ...lines, ...written],
    ink: rect,
    notes: [
      ...notes.values(),
      ...left.map((message): Note => ({ kind: 'printable-left', element: element.id, message })),
    ],
    findings,
  };
}

type Line = Extract<Mark, { kind: 'line' }>;

/**
 * Both ends of a line where it stands; an end on the trim goes on along its run into the bleed, where that is asked
 * for.
 */
function endsOf(
  { from, to }: Line,
  { rect, reach }: Setting,
  { boxes: { trim, bleed } }: ElementContext,
): readonly [Point, Point] {
  const there = (p: Point): Point => ({ x: p.x + rect.x, y: p.y + rect.y });
  const [a, b] = [there(from), there(to)];
  if (reach === rect) return [a, b];
  const out = (at: Mm, low: Mm, high: Mm, lowest: Mm, highest: Mm): Mm =>
    Math.abs(at - low) < 1e-6 ? lowest : Math.abs(at - high) < 1e-6 ? highest : at;
  const across = (x: Mm) => out(x, trim.x, trim.x + trim.width, bleed.x, bleed.x + bleed.width);
  const down = (y: Mm) => out(y, trim.y, trim.y + trim.height, bleed.y, bleed.y + bleed.height);
  if (a.y === b.y)
    return [
      { ...a, x: across(a.x) },
      { ...b, x: across(b.x) },
    ];
  return a.x === b.x
    ? [
        { ...a, y: down(a.y) },
        { ...b, y: down(b.y) },
      ]
    : [a, b];
}

/** Lines of one style and length are one path: a sheet of five hundred is drawn as fast as a sheet of five. */
function linesTogether(
  marks: readonly Mark[],
): readonly { readonly style: LineStyle; readonly runs: readonly Line[] }[] {
  const groups = new Map<string, { style: LineStyle; runs: Line[] }>();
  for (const mark of marks) {
    if (mark.kind !== 'line') continue;
    const { style, from, to } = mark;
    // Dashes are stretched to end whole, by the length; solid lines may be of any.
    const length = style.dash === 'solid' ? 0 : Math.hypot(to.x - from.x, to.y - from.y).toFixed(3);
    const key = `${style.role} ${style.weightPt} ${style.dash} ${style.sparse ?? 1} ${length}`;
    const group = groups.get(key) ?? { style, runs: [] };
    groups.set(key, group);
    group.runs.push(mark);
  }
  return [...groups.values()];
}

/** Dash and gap in the width of the line [cp]. */
const DASHED = [5, 4] as const;
const DOTTED = [0, 2.6] as const;

function strokeOf(element: PrintableElement, style: LineStyle, path: Path, context: ElementContext): StrokeStyle {
  const width = ptToMm(style.weightPt);
  const ink = fineInkOf(paintOf(element, style.role), context.colour);
  if (style.dash === 'solid') return { ink, width, dash: [], cap: 'butt' };
  const [dash, gap] = style.dash === 'dashed' ? DASHED : DOTTED;
  const asked = [dash * width, gap * width * (style.sparse ?? 1)] as const;
  const [whole] = wholeDashes(path, ...asked);
  return {
    ink,
    width, // A stroke too short for two dots keeps the one it begins with.
    dash: whole && whole.length > 0 ? whole : asked,
    cap: style.dash === 'dotted' ? 'round' : 'butt',
  };
}

/** Of an outline to be traced, as a share of the em. */
export const TRACED_WIDTH = 0.018;

interface SetRun {
  readonly font: string;
  readonly glyphs: readonly PlacedGlyph[];
}

/** Words that were set before, by face, size, language and where they hang: readers keep what they made of them. */
const setBefore = new Map<string, { readonly runs: readonly SetRun[]; readonly missing: string }>();
const MOST_SET = 20_000;

function setWords({ text, size, align }: Words, face: Parameters<typeof shapedWords>[1], language: string) {
  const key = `${face.files[0]?.key ?? ''} ${size} ${align} ${language} ${text}`;
  const before = setBefore.get(key);
  if (before) return before;
  const glyphs = shapedWords(text, face, size, language);
  const width = advanceOf(glyphs);
  let x: Mm = align === 'left' ? 0 : align === 'right' ? -width : -width / 2;
  const runs: { font: string; glyphs: PlacedGlyph[] }[] = [];
  let missing = '';
  for (const glyph of glyphs) {
    const last = runs.at(-1);
    const placed = { gid: glyph.gid, x: x + glyph.dx, y: -glyph.dy, text: glyph.text };
    if (last?.font === glyph.font) last.glyphs.push(placed);
    else runs.push({ font: glyph.font, glyphs: [placed] });
    if (glyph.gid === 0) missing += glyph.text;
    x += glyph.advance;
  }
  const made = { runs, missing };
  if (setBefore.size > MOST_SET) setBefore.clear();
  setBefore.set(key, made);
  return made;
}

function wordItems(
  element: PrintableElement,
  mark: Words,
  base: { readonly from: string; readonly opacity: number; readonly matrix: Matrix },
  rect: Rect,
  context: ElementContext,
  notes: Map<string, Note>,
): readonly Item[] {
  if (mark.text === '') return [];
  const { face, isFound } = faceOfWords(element, mark.face, mark.bold, context);
  const { family } = element.type[mark.face];
  if (!isFound) notes.set(`font ${family}`, { kind: 'missing-font', element: element.id, family });
  if (!face) return [];
  const { runs, missing } = setWords(mark, face, element.language ?? context.language);
  if (missing !== '') {
    const before = notes.get('glyphs');
    const known = before?.kind === 'missing-glyphs' ? before.characters : '';
    const fresh = Array.from(missing).filter((c) => !known.includes(c));
    notes.set('glyphs', {
      kind: 'missing-glyphs',
      element: element.id,
      characters: known + [...new Set(fresh)].join(''),
    });
  }
  const ink = fineInkOf(paintOf(element, mark.role), context.colour);
  const there = translation(rect.x + mark.at.x, rect.y + mark.at.y);
  const turned = mark.turn === undefined ? there : multiply(there, rotation(mark.turn, { x: 0, y: 0 }));
  const matrix = multiply(base.matrix, turned);
  return runs.map(({ font, glyphs }): GlyphItem => ({
    kind: 'glyphs',
    ...base,
    matrix,
    font,
    size: mark.size,
    glyphs,
    ink,
    ...(mark.form !== 'solid' && { stroke: tracedStroke(mark, ink), hollow: true as const }),
  }));
}

function tracedStroke({ form, size, sparse = 1 }: Words, ink: StrokeStyle['ink']): StrokeStyle {
  const width = size * TRACED_WIDTH;
  return {
    ink,
    width,
    dash: form === 'dotted' ? [0, width * 2.4 * sparse] : [width * 3.5, width * 2.5 * sparse],
    cap: 'round',
    join: 'round',
  };
}
