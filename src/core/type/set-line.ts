import type { CharacterLook } from '../element';
import type { Mm } from '../measure';
import type { BrokenLine } from './break-lines';
import type { Prepared } from './prepared';
import type { Piece } from './prepared';
import { shapeText } from './shape-runs';
import { layTabs, type Measure } from './tabs';

/** Where a glyph stands that nobody typed: the sign of a list, a leader. */
export const NOT_TYPED = -1;

/** A glyph in its place: origin mm from where the line begins and from its baseline, y down. */
export interface LineGlyph {
  readonly font: string;
  readonly gid: number;
  /** Size of the em, mm. */
  readonly size: Mm;
  readonly look: CharacterLook;
  readonly x: Mm;
  readonly y: Mm;
  readonly text: string;
  /** Index in the typed paragraph; `NOT_TYPED` for what was set without being typed. */
  readonly at: number;
  readonly advance: Mm;
}

/** A rule under or through words. */
export interface TextRule {
  readonly from: Mm;
  readonly to: Mm;
  readonly y: Mm;
  readonly width: Mm;
  readonly look: CharacterLook;
}

/** Glyphs of a line from its left end on its baseline. */
export interface SetLine {
  readonly glyphs: readonly LineGlyph[];
  readonly rules: readonly TextRule[];
  /** Where its words begin, from the left of its measure. */
  readonly x: Mm;
  readonly width: Mm;
}

/** Share of a sign that hangs past the edge with an optical margin [cp]. */
const HANGS: Readonly<Record<string, number>> = {
  '-': 0.6,
  '‐': 0.6,
  '–': 0.35,
  '—': 0.2,
  '.': 0.7,
  ',': 0.7,
  ':': 0.4,
  ';': 0.4,
  '’': 0.6,
  '‘': 0.6,
  '“': 0.5,
  '”': 0.5,
  '"': 0.5,
  "'": 0.6,
  '«': 0.3,
  '»': 0.3,
  '„': 0.5,
  '‚': 0.6,
  '(': 0.1,
  ')': 0.1,
  '!': 0.2,
  '?': 0.2,
};

/** Underlines stand this far below the baseline and are this thick, of the size [cp]. */
const UNDERLINE = { below: 0.12, thick: 0.05 };
const STRIKE_ABOVE = 0.28;

interface Loose {
  readonly piece: Piece;
  readonly font: string;
  readonly gid: number;
  readonly at: number;
  readonly text: string;
  advance: Mm;
  readonly dx: Mm;
  readonly dy: Mm;
}

/** Glyphs of a stretch of the paragraph, piece by piece, each with its index in the text as set. */
function shaped(p: Prepared, from: number, to: number, hyphen: boolean): Loose[] {
  const out: Loose[] = [];
  for (const piece of p.pieces) {
    const [a, b] = [Math.max(from, piece.from), Math.min(to, piece.to)];
    const endsHere = b === to && b > a;
    if (b <= a) continue;
    const text = p.text.slice(a, b) + (hyphen && endsHere ? '-' : '');
    for (const g of shapeText(text, piece.shape)) {
      out.push({ piece, font: g.font, gid: g.gid, at: a + g.at, text: g.text, advance: g.advance, dx: g.dx, dy: g.dy });
    }
  }
  return out;
}

const hangOf = (glyph: Loose | undefined): Mm => (glyph ? (HANGS[glyph.text] ?? 0) * glyph.advance : 0);

const isSpace = (glyph: Loose): boolean => glyph.text === ' ' || glyph.text === '\u00a0';

/**
 * Sets a broken line into its measure.
 * @returns its glyphs from where its words begin, on the baseline
 */
export function setLine(p: Prepared, line: BrokenLine, measure: Measure): SetLine {
  const end = trimmedEnd(p.text, line.from, line.to);
  const parts = p.hasTabs
    ? layTabs(p, line.from, line.to, measure).parts
    : [{ from: line.from, to: end, x: 0, leader: undefined }];
  const loose: { glyphs: Loose[]; x: Mm }[] = parts.map((part, i) => ({
    glyphs: shaped(p, part.from, part.to, line.hyphen && i === parts.length - 1),
    x: part.x,
  }));
  const only = loose.length === 1 ? loose[0] : undefined;
  const { align, opticalMargin } = p.look;
  const hang =
    opticalMargin && only ? { left: hangOf(only.glyphs[0]), right: hangOf(only.glyphs.at(-1)) } : { left: 0, right: 0 };
  const room = measure.width + hang.left + hang.right;
  if (align === 'justified' && only) justify(p, only.glyphs, room, line.ends);
  const tracking = only?.glyphs.at(-1)?.piece.shape.tracking ?? p.tracking;
  const last = loose.at(-1);
  const width = last
    ? last.x + last.glyphs.reduce((sum, g) => sum + g.advance, 0) - (last.glyphs.length > 0 ? tracking : 0)
    : 0;
  const slack = room - width;
  const shift = (align === 'centre' ? slack / 2 : align === 'right' ? slack : 0) - hang.left;
  const glyphs = loose.flatMap(({ glyphs: list, x }) => placed(p, list, shift + x));
  const leaders = parts.flatMap((part) => (part.leader ? leaderGlyphs(p, part.leader, shift, part.from) : []));
  const all = leaders.length > 0 ? [...glyphs, ...leaders] : glyphs;
  return { glyphs: all, rules: rulesOf(glyphs), x: shift, width };
}

function placed(p: Prepared, list: readonly Loose[], from: Mm): LineGlyph[] {
  let pen = from;
  return list.map((g) => {
    const glyph = {
      font: g.font,
      gid: g.gid,
      size: g.piece.shape.size,
      look: g.piece.look,
      x: pen + g.dx,
      y: 0 - g.dy - g.piece.shift,
      text: g.text,
      at: p.source[Math.min(g.at, p.text.length)] ?? 0,
      advance: g.advance,
    };
    pen += g.advance;
    return glyph;
  });
}

/** Repeats a leader from the right, so that those of one column stand under each other. */
function leaderGlyphs(p: Prepared, leader: { text: string; from: Mm; to: Mm }, shift: Mm, at: number): LineGlyph[] {
  const piece = p.pieces.find((q) => q.from <= at && at < q.to) ?? p.pieces[0];
  if (!piece) return [];
  const signs = shapeText(leader.text, piece.shape);
  const wide = signs.reduce((sum, g) => sum + g.advance, 0);
  if (wide <= 0) return [];
  const out: LineGlyph[] = [];
  for (let x = leader.to - wide * 1.5; x >= leader.from + wide / 2; x -= wide) {
    const list = signs.map((g): Loose => ({
      piece,
      font: g.font,
      gid: g.gid,
      at: 0,
      text: '',
      advance: g.advance,
      dx: g.dx,
      dy: g.dy,
    }));
    out.push(...placed(p, list, shift + x).map((g) => ({ ...g, at: NOT_TYPED })));
  }
  return out;
}

/** Spreads or tightens spaces, and letters as far as they may, until the line fills its measure. */
function justify(p: Prepared, glyphs: Loose[], measure: Mm, ends: boolean): void {
  const last = glyphs.at(-1);
  if (!last) return;
  const natural = glyphs.reduce((sum, g) => sum + g.advance, 0) - last.piece.shape.tracking;
  const room = measure - natural;
  if (ends && room >= 0) return;
  const spaces = glyphs.filter(isSpace);
  const { wordLeast, wordMost, letterLeast, letterMost } = p.look.justify;
  const wide = spaces.reduce((sum, g) => sum + g.advance, 0);
  const give = room > 0 ? (wide * Math.max(0, wordMost - 100)) / 100 : (wide * Math.max(0, 100 - wordLeast)) / 100;
  const gaps = glyphs.length - 1;
  const beyond = Math.max(0, Math.abs(room) - give);
  const size = last.piece.shape.size;
  const letter = gaps > 0 ? Math.min(beyond / gaps, (size * Math.abs(room > 0 ? letterMost : letterLeast)) / 100) : 0;
  const perLetter = room > 0 ? letter : -letter;
  if (perLetter !== 0) for (const g of glyphs.slice(0, -1)) g.advance += perLetter;
  const rest = room - perLetter * gaps;
  // A line that is too wide even so is left too wide: words must not run into each other.
  const each = spaces.length > 0 ? Math.max(rest / spaces.length, room < 0 ? -wide / spaces.length : -Infinity) : 0;
  for (const g of spaces) g.advance += each;
}

function rulesOf(glyphs: readonly LineGlyph[]): TextRule[] {
  const out: TextRule[] = [];
  const run = (has: (look: CharacterLook) => boolean, y: (g: LineGlyph) => Mm) => {
    let open: { from: Mm; to: Mm; y: Mm; width: Mm; look: CharacterLook } | undefined;
    for (const g of glyphs) {
      if (!has(g.look)) {
        open = undefined;
        continue;
      }
      const to = g.x + g.advance;
      if (open?.look === g.look) open.to = to;
      else {
        open = { from: g.x, to, y: y(g), width: g.size * UNDERLINE.thick, look: g.look };
        out.push(open);
      }
    }
  };
  run(
    (look) => look.underline,
    (g) => g.y + g.size * UNDERLINE.below,
  );
  run(
    (look) => look.strike,
    (g) => g.y - g.size * STRIKE_ABOVE,
  );
  return out;
}

function trimmedEnd(text: string, from: number, to: number): number {
  let end = to;
  while (end > from && /\s/.test(text[end - 1] ?? '') && text[end - 1] !== '\u00a0') end -= 1;
  return end;
}
