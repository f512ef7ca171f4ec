import type { Paragraph, ParagraphLook } from '../element';
import { wordsOf } from '../element';
import type { Mm } from '../measure';
import { HAIR } from './break-lines';
import { dropCapOf, type DropCap } from './drop-cap';
import { fill, type FilledLine, type Flowing } from './fill';
import { listMarks } from './list-mark';
import { prepare, type TypeContext } from './prepare';
import { type Prepared } from './prepared';
import { NOT_TYPED, setLine, type LineGlyph, type SetLine, type TextRule } from './set-line';
import { shapeText } from './shape-runs';
import { columnsOf, type Column, type TextBox } from './slots';

export interface Line {
  /** Typed text from `from` up to `to` stands on this line. */
  readonly from: number;
  readonly to: number;
  readonly paragraph: number;
  /** Where its paragraph starts in the typed text: glyphs count from there. */
  readonly start: number;
  /** The frame it stands in, of those that the text flows through. */
  readonly frame: number;
  /** Where its measure begins, mm from the frame’s inner left edge: glyphs count from there. */
  readonly left: Mm;
  /** Where its words begin, mm from the frame’s inner left edge. */
  readonly x: Mm;
  /** mm from the frame’s inner top edge; glyphs count from there. */
  readonly baseline: Mm;
  readonly width: Mm;
  readonly ascent: Mm;
  readonly descent: Mm;
  readonly glyphs: readonly LineGlyph[];
  readonly rules: readonly TextRule[];
  /** Spaced out or tightened beyond what its look allows. */
  readonly ends: boolean;
}

/** Text set into the frames that it flows through. */
export interface ComposedText {
  readonly lines: readonly Line[];
  /** Lines that found no room; they stand where they would if the last frame went on. */
  readonly hidden: readonly Line[];
  /** Height that all lines need in the last frame, mm. */
  readonly needs: Mm;
  /** Families that something else stands in for. */
  readonly missing: readonly string[];
}

/** A paragraph and its whole look. */
export interface LookedParagraph {
  readonly paragraph: Paragraph;
  readonly look: ParagraphLook;
}

interface Made {
  readonly look: ParagraphLook;
  readonly language: string;
  readonly context: TypeContext;
  readonly prepared: Prepared | undefined;
}

const prepared = new WeakMap<Paragraph, Made>();

function prepareOnce(
  { paragraph, look }: LookedParagraph,
  language: string,
  context: TypeContext,
): Prepared | undefined {
  const before = prepared.get(paragraph);
  if (before?.look === look && before.language === language && before.context === context) return before.prepared;
  const made = prepare(paragraph, look, language, context);
  prepared.set(paragraph, { look, language, context, prepared: made });
  return made;
}

/**
 * Sets paragraphs into the frames that they flow through.
 *
 * The first baseline stands one ascender below a column’s head; further ones follow by the leading and by the room
 * that paragraphs want between them.
 * @param boxes at least one frame, in the order of the flow
 */
export function composeText(
  paragraphs: readonly LookedParagraph[],
  boxes: readonly TextBox[],
  language: string,
  context: TypeContext,
): ComposedText {
  const marks = listMarks(paragraphs.map(({ look }) => look.list));
  const flowing: Flowing[] = [];
  const heads: (readonly LineGlyph[])[] = [];
  const starts: number[] = [];
  let start = 0;
  for (const [i, looked] of paragraphs.entries()) {
    const p = prepareOnce(looked, language, context);
    if (!p) return { lines: [], hidden: [], needs: 0, missing: [looked.look.family] };
    const head = headOf(p, marks[i]);
    const { sign, drop } = head;
    heads.push(head.glyphs);
    flowing.push({ p, drop, firstBegin: sign?.begin ?? p.indent + p.firstIndent });
    starts.push(start);
    start += wordsOf(looked.paragraph).length + 1;
  }
  const columns = balancedColumns(flowing, boxes);
  const filled = fill(flowing, columns);
  const down = shifts(filled, columns, flowing);
  const lines = filled.map((f, i) => lineOf(f, flowing, columns, starts, heads, down[i] ?? 0));
  const shown = lines.filter((_, i) => (filled[i]?.slot.column ?? 0) < columns.length);
  const last = lines.at(-1);
  const missing = new Set(flowing.flatMap(({ p }) => p.missing));
  return {
    lines: shown,
    hidden: lines.slice(shown.length),
    needs: needsOf(lines, shown.length, boxes, last),
    missing: [...missing],
  };
}

/** What stands at the head of a paragraph without being of its lines: the sign of a list, or a dropped letter. */
interface Head {
  readonly mark: string | undefined;
  readonly sign: ReturnType<typeof signOf> | undefined;
  readonly drop: DropCap | undefined;
  readonly glyphs: readonly LineGlyph[];
}

const heads = new WeakMap<Prepared, Head>();

function headOf(p: Prepared, mark: string | undefined): Head {
  const before = heads.get(p);
  if (before && before.mark === mark) return before;
  const sign = mark === undefined ? undefined : signOf(p, mark);
  const drop = sign ? undefined : dropCapOf(p);
  const made = { mark, sign, drop, glyphs: sign?.glyphs ?? drop?.glyphs ?? [] };
  heads.set(p, made);
  return made;
}

/** The sign of a list, before the words. */
function signOf(p: Prepared, mark: string): { readonly glyphs: readonly LineGlyph[]; readonly begin: Mm } {
  const [piece] = p.pieces;
  if (!piece) return { glyphs: [], begin: p.indent };
  const shape = { ...piece.shape, tracking: 0 };
  const x = Math.max(0, p.indent + p.firstIndent);
  let pen = x;
  const glyphs = shapeText(mark, shape).map((g): LineGlyph => {
    const glyph = {
      font: g.font,
      gid: g.gid,
      size: shape.size,
      look: piece.look,
      x: pen + g.dx,
      y: 0 - g.dy,
      text: g.text,
      at: NOT_TYPED,
      advance: g.advance,
    };
    pen += g.advance;
    return glyph;
  });
  const beside = pen + shape.size * SIGN_GAP;
  return { glyphs, begin: Math.max(p.indent + Math.max(0, p.firstIndent), beside) };
}

/** Least room between the sign of a list and its words, as a share of the size [cp]. */
const SIGN_GAP = 0.3;

/** Lines as they were set, with what stands before them; as long as they are the same, so are their glyphs. */
const setOnce = new WeakMap<
  object,
  { readonly begin: Mm; readonly width: Mm; readonly own: readonly LineGlyph[]; readonly set: SetLine }
>();

const NONE: readonly LineGlyph[] = [];

/** Signs and dropped letters count from the column, words from where their measure begins. */
const withHead = (set: SetLine, own: readonly LineGlyph[], begin: Mm): SetLine =>
  own.length === 0 ? set : { ...set, glyphs: [...own.map((g) => ({ ...g, x: g.x - begin })), ...set.glyphs] };

function lineOf(
  { paragraph, index, line, slot, measure }: FilledLine,
  flowing: readonly Flowing[],
  columns: readonly Column[],
  starts: readonly number[],
  heads: readonly (readonly LineGlyph[])[],
  down: Mm,
): Line {
  const flow = flowing[paragraph];
  const column = columns[Math.min(slot.column, columns.length - 1)];
  if (!flow || !column) throw new RangeError('A line of no paragraph.');
  const { p } = flow;
  const own = index === 0 ? (heads[paragraph] ?? NONE) : NONE;
  const before = setOnce.get(line);
  const isSame = before?.begin === measure.begin && before.width === measure.width && before.own === own;
  const set = isSame ? before.set : withHead(setLine(p, line, measure), own, measure.begin);
  if (!isSame) setOnce.set(line, { ...measure, own, set });
  const start = starts[paragraph] ?? 0;
  const left = slot.x + measure.begin;
  return {
    from: start + (index === 0 ? 0 : (p.source[line.from] ?? 0)),
    to: start + (p.source[line.to] ?? p.typed),
    paragraph,
    start,
    frame: column.frame,
    left,
    x: left + set.x,
    baseline: slot.baseline + down,
    width: set.width,
    ascent: p.ascent,
    descent: p.descent,
    glyphs: set.glyphs,
    rules: set.rules,
    ends: line.ends,
  };
}

/** Room between a paragraph and the one before it. */
const roomBefore = (paragraph: number, flowing: readonly Flowing[]): Mm =>
  (flowing[paragraph]?.p.before ?? 0) + (flowing[paragraph - 1]?.p.after ?? 0);

/** How far the lines of each column are let down, so that they stand where their frame wants them. */
function shifts(filled: readonly FilledLine[], columns: readonly Column[], flowing: readonly Flowing[]): readonly Mm[] {
  const out = filled.map(() => 0);
  columns.forEach((column, c) => {
    const { vertical, avoid } = column.box;
    if (vertical === 'top' || avoid) return;
    const mine = filled.flatMap((f, i) => (f.slot.column === c ? [i] : []));
    const lastLine = filled[mine.at(-1) ?? -1];
    if (!lastLine) return;
    const foot = lastLine.slot.baseline + (flowing[lastLine.paragraph]?.p.descent ?? 0);
    const free = column.box.height - foot;
    if (free <= 0) return;
    const rooms = mine.map((i, k) => {
      const line = filled[i];
      return k > 0 && line?.index === 0 ? roomBefore(line.paragraph, flowing) : undefined;
    });
    const gaps = rooms.filter((room) => room !== undefined);
    const total = gaps.reduce((sum, room) => sum + room, 0);
    let passed = 0;
    mine.forEach((i, k) => {
      // Paragraphs part where they are parted already, by so much more; all alike where none of them is.
      const room = rooms[k];
      if (room !== undefined) passed += total > 0 ? room / total : 1 / gaps.length;
      out[i] = vertical === 'middle' ? free / 2 : vertical === 'bottom' ? free : free * passed;
    });
  });
  return out;
}

/**
 * Columns of a frame that wants them level are as low as they can be with all of the text in them: first all alike,
 * then what is left after each again.
 */
function balancedColumns(flowing: readonly Flowing[], boxes: readonly TextBox[]): readonly Column[] {
  const whole = columnsOf(boxes, (frame) => boxes[frame]?.height ?? 0);
  const last = boxes.length - 1;
  const box = boxes[last];
  if (!box?.balance || box.columns < 2) return whole;
  const holds = (columns: readonly Column[]) => fill(flowing, columns).every((f) => f.slot.column < columns.length);
  if (!holds(whole)) return whole;
  const heights: Mm[] = [];
  const at = (height: Mm) =>
    columnsOf(boxes, (frame, column) => (frame === last ? (heights[column] ?? height) : (boxes[frame]?.height ?? 0)));
  for (let column = 0; column < box.columns; column += 1) {
    let [least, most] = [0, heights.at(-1) ?? box.height];
    for (let i = 0; i < 14; i += 1) {
      const height = (least + most) / 2;
      if (holds(at(height))) most = height;
      else least = height;
    }
    heights.push(most + HAIR);
  }
  return at(box.height);
}

function needsOf(lines: readonly Line[], shown: number, boxes: readonly TextBox[], last: Line | undefined): Mm {
  if (!last) return 0;
  const box = boxes.at(-1);
  const height = box?.height ?? 0;
  if (shown === lines.length) return last.frame === boxes.length - 1 ? last.baseline + last.descent : 0;
  const beyond = last.baseline + last.descent - height;
  return height + Math.max(0, beyond) / (box?.columns ?? 1);
}

/** Glyphs of one line in their places in the frame, mm from its inner top-left corner. */
export const glyphsIn = (line: Line): readonly LineGlyph[] =>
  line.glyphs.map((g) => ({ ...g, x: line.left + g.x, y: line.baseline + g.y }));

/** Neighbouring values that are alike, in runs. */
export function runsOf<T>(list: readonly T[], isAlike: (a: T, b: T) => boolean): readonly (readonly [T, ...T[]])[] {
  const runs: [T, ...T[]][] = [];
  for (const item of list) {
    const last = runs.at(-1);
    if (last && isAlike(last[0], item)) last.push(item);
    else runs.push([item]);
  }
  return runs;
}

/** Words in the lines that found no room. */
export function hiddenText(typed: string, composed: ComposedText): { readonly text: string; readonly words: number } {
  const first = composed.hidden[0];
  if (!first) return { text: '', words: 0 };
  const text = typed.slice(first.from).trim();
  return { text, words: text === '' ? 0 : text.split(/\s+/).length };
}
