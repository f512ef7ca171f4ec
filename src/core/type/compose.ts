import type { TextStyle } from '../element';
import { ptToMm, type Mm } from '../measure';
import { opportunities, type Opportunity } from './breaks';
import type { Face } from './font';
import type { Hyphenator } from './hyphenation';
import { applyCase } from './letter-case';
import { shapeText, widthOf, type SetGlyph, type ShapeStyle } from './shape-runs';

/** A glyph in its place: origin on the baseline, mm from the frame’s inner top-left corner. */
export interface LineGlyph {
  readonly font: string;
  readonly gid: number;
  readonly x: Mm;
  readonly y: Mm;
  readonly text: string;
  /** Index in the typed text. */
  readonly at: number;
  readonly advance: Mm;
}

export interface Line {
  /** Typed text from `from` up to `to` stands on this line. */
  readonly from: number;
  readonly to: number;
  readonly x: Mm;
  readonly baseline: Mm;
  readonly width: Mm;
  readonly glyphs: readonly LineGlyph[];
}

/** Text set into a box. */
export interface ComposedText {
  readonly lines: readonly Line[];
  /** Lines that found no room. */
  readonly hidden: readonly Line[];
  /** Height that all lines need, mm. */
  readonly needs: Mm;
  readonly ascent: Mm;
  readonly descent: Mm;
  readonly leading: Mm;
}

export interface TextBox {
  readonly width: Mm;
  readonly height: Mm;
}

/** 120 % of the size, where no leading is given [cp]. */
export const AUTO_LEADING = 1.2;

export const leadingOf = (style: Pick<TextStyle, 'leadingPt' | 'sizePt'>): number =>
  style.leadingPt ?? style.sizePt * AUTO_LEADING;

/** Room for rounding, so that a frame made to fit its text still fits it, mm. */
const HAIR = 1e-4;

/**
 * Sets text into a box, line by line: each line takes what fits (greedy), breaking where Unicode and the language allow.
 *
 * The first baseline stands one ascender below the top; further ones follow by the leading.
 * @param typed  paragraphs parted by line feeds
 * @param box    inner width and height, mm
 */
export function composeText(
  typed: string,
  style: TextStyle,
  vertical: 'top' | 'middle' | 'bottom',
  box: TextBox,
  face: Face,
  language: string,
  hyphenator: Hyphenator | undefined,
): ComposedText {
  const size = ptToMm(style.sizePt);
  const leading = ptToMm(leadingOf(style));
  const shape: ShapeStyle = { face, size, tracking: (style.tracking / 1000) * size, language };
  const ascent = Math.max(...face.files.map((f) => (f.ascender / f.unitsPerEm) * size));
  const descent = Math.max(...face.files.map((f) => (-f.descender / f.unitsPerEm) * size));

  const broken: BrokenLine[] = [];
  let start = 0;
  for (const paragraph of typed.split('\n')) {
    broken.push(...breakParagraph(paragraph, start, style, shape, box.width, hyphenator));
    start += paragraph.length + 1;
  }

  const heightOf = (count: number) => (count === 0 ? 0 : ascent + (count - 1) * leading + descent);
  const room = broken.filter((_, i) => heightOf(i + 1) <= box.height + HAIR).length;
  const free = box.height - heightOf(room);
  const top = vertical === 'top' ? 0 : vertical === 'middle' ? free / 2 : free;
  const lines = broken.map((line, i) => placeLine(line, style, shape, box.width, top + ascent + i * leading));
  return {
    lines: lines.slice(0, room),
    hidden: lines.slice(room),
    needs: heightOf(broken.length),
    ascent,
    descent,
    leading,
  };
}

interface BrokenLine {
  readonly from: number;
  readonly to: number;
  readonly glyphs: readonly SetGlyph[];
  /** Index in the typed text of each glyph. */
  readonly source: readonly number[];
  readonly last: boolean;
}

function breakParagraph(
  paragraph: string,
  start: number,
  style: TextStyle,
  shape: ShapeStyle,
  width: Mm,
  hyphenator: Hyphenator | undefined,
): BrokenLine[] {
  const cased = applyCase(paragraph, style.case, shape.language);
  const lineOf = (from: number, to: number, hyphen: boolean, last: boolean): BrokenLine => {
    const text = cased.text.slice(from, to).replace(/\s+$/, '');
    const glyphs = shapeText(hyphen ? `${text}-` : text, shape);
    const sourceAt = (i: number) => start + (cased.source[Math.min(from + i, cased.text.length)] ?? 0);
    return {
      from: sourceAt(0),
      to: start + (cased.source[to] ?? paragraph.length),
      glyphs,
      source: glyphs.map((g) => sourceAt(g.at)),
      last,
    };
  };
  const whole = shapeText(cased.text, shape);
  const sums = advanceSums(whole, cased.text.length);
  if (trimmedWidth(cased.text, sums, 0, cased.text.length) - shape.tracking <= width + HAIR) {
    return [lineOf(0, cased.text.length, false, true)];
  }

  const hyphenWidth = widthOf(shapeText('-', shape), shape.tracking);
  const places = opportunities(cased.text, style.hyphenate ? hyphenator : undefined);
  const fits = (from: number, place: Opportunity) =>
    trimmedWidth(cased.text, sums, from, place.at) - shape.tracking + (place.hyphen ? hyphenWidth : 0) <= width + HAIR;

  const lines: BrokenLine[] = [];
  let from = 0;
  let next = 0;
  while (from < cased.text.length) {
    let best: Opportunity | undefined;
    let i = next;
    for (let place = places[i]; place && (fits(from, place) || place.at <= from); i += 1, place = places[i]) {
      if (place.at > from) {
        best = place;
        next = i + 1;
      }
    }
    best ??= { at: emergencyBreak(cased.text, sums, from, width + shape.tracking + HAIR), hyphen: false };
    lines.push(lineOf(from, best.at, best.hyphen, best.at >= cased.text.length));
    from = best.at;
  }
  return lines;
}

/** Advance from the paragraph’s start up to each UTF-16 index. */
function advanceSums(glyphs: readonly SetGlyph[], length: number): Float64Array {
  const sums = new Float64Array(length + 1);
  for (const glyph of glyphs) {
    const at = glyph.at + 1;
    sums[at] = (sums[at] ?? 0) + glyph.advance;
  }
  for (let i = 1; i <= length; i += 1) sums[i] = (sums[i] ?? 0) + (sums[i - 1] ?? 0);
  return sums;
}

/** Width between two indices without the spaces at the end, which hang past the line. */
function trimmedWidth(text: string, sums: Float64Array, from: number, to: number): Mm {
  let end = to;
  while (end > from && /\s/.test(text[end - 1] ?? '')) end -= 1;
  return (sums[end] ?? 0) - (sums[from] ?? 0);
}

/** A word wider than the line is broken where the line is full, but never inside a surrogate pair and never at once. */
function emergencyBreak(text: string, sums: Float64Array, from: number, width: Mm): number {
  let at = from + 1;
  while (at < text.length && (sums[at + 1] ?? 0) - (sums[from] ?? 0) <= width) at += 1;
  return /[\udc00-\udfff]/.test(text[at] ?? '') ? at + 1 : at;
}

function placeLine(line: BrokenLine, style: TextStyle, shape: ShapeStyle, width: Mm, baseline: Mm): Line {
  const natural = widthOf(line.glyphs, shape.tracking);
  const spaces = line.glyphs.filter((g) => g.text === ' ').length;
  const stretch = style.align === 'justified' && !line.last && spaces > 0 ? (width - natural) / spaces : 0;
  const slack = width - natural;
  const x = style.align === 'centre' ? slack / 2 : style.align === 'right' ? slack : 0;
  let pen = x;
  const glyphs = line.glyphs.map((g, i): LineGlyph => {
    const advance = g.advance + (g.text === ' ' ? stretch : 0);
    const placed = {
      font: g.font,
      gid: g.gid,
      x: pen + g.dx,
      y: baseline - g.dy,
      text: g.text,
      at: line.source[i] ?? line.from,
      advance,
    };
    pen += advance;
    return placed;
  });
  return { from: line.from, to: line.to, x, baseline, width: natural + stretch * spaces, glyphs };
}

/** Glyphs parted into stretches of one font file each, in reading order, so that text copies as it was typed. */
export function fontRuns<G extends { readonly font: string }>(glyphs: readonly G[]): readonly (readonly [G, ...G[]])[] {
  const runs: [G, ...G[]][] = [];
  for (const glyph of glyphs) {
    const last = runs.at(-1);
    if (last?.[0].font === glyph.font) last.push(glyph);
    else runs.push([glyph]);
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
