import {
  UNKNOWN_FIELDS,
  extentOf,
  fieldOf,
  hasFields,
  mmOf,
  styleBook,
  type CharacterLook,
  type FieldValues,
  type Measures,
  type Paragraph,
  type ParagraphLook,
  type StyleBook,
} from '../element';
import { ptToMm } from '../measure';
import { opportunities } from './breaks';
import { featuresOf } from './features';
import type { Face, FontSet } from './font';
import type { Hyphenator } from './hyphenation';
import { applyCase } from './letter-case';
import type { Piece, Prepared } from './prepared';
import { shapeText, type ShapeStyle } from './shape-runs';
import { stopsOf } from './tabs';

/** 120 % of the size, where no leading is given [cp]. */
export const AUTO_LEADING = 1.2;

export const leadingOf = (look: Pick<ParagraphLook, 'leadingPt' | 'sizePt'>): number =>
  look.leadingPt ?? look.sizePt * AUTO_LEADING;

/** Height of made-up small capitals, where the font has none of its own, as a share of the size [cp]. */
const SMALL_CAPS = 0.78;

/** What setting type needs beside the words. */
export interface TypeContext {
  readonly book: StyleBook;
  readonly fonts: FontSet;
  readonly measures: Measures;
  readonly hyphenator: (language: string) => Hyphenator | undefined;
  /** What the page of a text fills in; left out where none is known. */
  readonly fields?: FieldValues;
}

/** The face of a look, or the one that stands in for it. */
function faceFor(look: CharacterLook, fonts: FontSet): { readonly face: Face | undefined; readonly isFound: boolean } {
  const found = fonts.find(look.family, look.weight, look.italic);
  return { face: found ?? fonts.fallback(), isFound: found !== undefined };
}

export const shapeOf = (
  look: CharacterLook,
  face: Face,
  language: string,
  smallCaps: boolean,
  share = 1,
): ShapeStyle => {
  const size = ptToMm(look.sizePt) * share;
  return { face, size, tracking: (look.tracking / 1000) * size, language, features: featuresOf(look, smallCaps) };
};

/** Measures a paragraph. @returns undefined when not even a stand-in font is there */
export function prepare(
  paragraph: Paragraph,
  look: ParagraphLook,
  language: string,
  context: TypeContext,
): Prepared | undefined {
  const { fonts, measures } = context;
  const missing = new Set<string>();
  const pieces: Piece[] = [];
  const source: number[] = [];
  let text = '';
  let typed = 0;
  const { face: own } = faceFor(look, fonts);
  if (!own) return undefined;
  for (const run of paragraph.runs) {
    const of = context.book.run(look, run);
    const { face = own, isFound } = faceFor(of, fonts);
    if (!isFound) missing.add(of.family);
    const hasSmall = of.case === 'small-caps' && face.files.some((f) => f.features.has('smcp'));
    const filled = filledIn(run.text, context.fields);
    const cased = applyCase(filled.text, hasSmall ? 'typed' : of.case, language);
    for (const { from, to, isSmall } of stretches(cased.small, cased.text.length)) {
      const shape = shapeOf(of, face, language, hasSmall, isSmall ? SMALL_CAPS : 1);
      pieces.push({ from: text.length + from, to: text.length + to, look: of, shape, shift: ptToMm(of.shiftPt) });
    }
    for (const at of cased.source.slice(0, -1)) source.push(typed + (filled.source?.[at] ?? at));
    text += cased.text;
    typed += run.text.length;
  }
  source.push(typed);
  if (pieces.length === 0) {
    if (!faceFor(look, fonts).isFound) missing.add(look.family);
    pieces.push({ from: 0, to: 0, look, shape: shapeOf(look, own, language, false), shift: 0 });
  }
  const last = pieces.at(-1)?.shape ?? shapeOf(look, own, language, false);
  const heights = pieces.map(({ shape, shift }) => ({
    up: Math.max(...shape.face.files.map((f) => (f.ascender / f.unitsPerEm) * shape.size)) + shift,
    down: Math.max(...shape.face.files.map((f) => (-f.descender / f.unitsPerEm) * shape.size)) - shift,
  }));
  const largest = Math.max(...pieces.map((p) => p.look.sizePt));
  const hyphenator = look.hyphenate ? context.hyphenator(language) : undefined;
  return {
    look,
    language,
    text,
    source,
    typed,
    pieces,
    sums: advanceSums(text, pieces),
    places: opportunities(text, hyphenator),
    hasTabs: text.includes('\t'),
    hyphen: shapeText('-', last).reduce((sum, g) => sum + g.advance, 0) - last.tracking,
    tracking: last.tracking,
    ascent: Math.max(...heights.map((h) => h.up)),
    descent: Math.max(...heights.map((h) => h.down)),
    leading: ptToMm(look.leadingPt ?? largest * AUTO_LEADING),
    before: extentOf(look.before, measures),
    after: extentOf(look.after, measures),
    indent: extentOf(look.indent, measures),
    indentRight: extentOf(look.indentRight, measures),
    firstIndent: mmOf(look.firstIndent, measures),
    stops: stopsOf(look.tabs, measures),
    missing: [...missing],
  };
}

/** A text with what its page fills in, and where each unit of that was typed; without a map where nothing is. */
function filledIn(
  text: string,
  fields: FieldValues = UNKNOWN_FIELDS,
): { readonly text: string; readonly source?: readonly number[] } {
  if (!hasFields(text)) return { text };
  let out = '';
  const source: number[] = [];
  for (let i = 0; i < text.length; i += 1) {
    const sign = text.charAt(i);
    const field = fieldOf(sign);
    const value = field ? fields[field] : sign;
    for (let j = 0; j < value.length; j += 1) source.push(i);
    out += value;
  }
  return { text: out, source: [...source, text.length] };
}

/** Stretches of letters that are all small capitals, or none of them. */
function stretches(
  small: readonly boolean[],
  length: number,
): readonly { from: number; to: number; isSmall: boolean }[] {
  const found: { from: number; to: number; isSmall: boolean }[] = [];
  for (let i = 0; i < length; i += 1) {
    const isSmall = small[i] ?? false;
    const last = found.at(-1);
    if (last?.isSmall === isSmall) last.to = i + 1;
    else found.push({ from: i, to: i + 1, isSmall });
  }
  return found;
}

/** Advance from the start up to each UTF-16 index; a tab has none of its own. */
function advanceSums(text: string, pieces: readonly Piece[]): Float64Array {
  const sums = new Float64Array(text.length + 1);
  for (const piece of pieces) {
    for (const glyph of shapeText(text.slice(piece.from, piece.to), piece.shape)) {
      const at = piece.from + glyph.at + 1;
      if (glyph.text !== '\t') sums[at] = (sums[at] ?? 0) + glyph.advance;
    }
  }
  for (let i = 1; i <= text.length; i += 1) sums[i] = (sums[i] ?? 0) + (sums[i - 1] ?? 0);
  return sums;
}

/** All that setting plain words in one face needs. */
export const faceContext = (face: Face, hyphenator?: Hyphenator): TypeContext => ({
  book: styleBook({ styles: [] }),
  fonts: {
    find: () => face,
    file: (key) => face.files.find((f) => f.key === key),
    fallback: () => face,
  },
  measures: {},
  hyphenator: () => hyphenator,
});
