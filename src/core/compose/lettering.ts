import type { FaceName, Lettering, Words } from '../printable';
import type { Rect } from '../layout';
import { shapeText, type Face, type SetGlyph } from '../type';
import type { Mm } from '../measure';
import type { PrintableElement } from '../element';
import type { ComposeContext } from './context';

/** Weight that a bold word is asked for in. */
export const BOLD = 700;

/** The face that words of a printable are set in, or the one that stands in for it. */
export function faceOfWords(
  element: PrintableElement,
  name: FaceName,
  bold: boolean,
  { fonts }: Pick<ComposeContext, 'fonts'>,
): { readonly face: Face | undefined; readonly isFound: boolean } {
  const { family, weight } = element.type[name];
  const found = fonts.find(family, bold ? Math.max(BOLD, weight) : weight, false);
  return { face: found ?? fonts.fallback(), isFound: found !== undefined };
}

/** Words on one line, shaped at a size. */
export const shapedWords = (text: string, face: Face, size: Mm, language: string): readonly SetGlyph[] =>
  shapeText(text, { face, size, tracking: 0, language, features: [] });

export const advanceOf = (glyphs: readonly SetGlyph[]): Mm => glyphs.reduce((sum, g) => sum + g.advance, 0);

/** Heights of letters stand in their outlines: those of a flat-footed letter, not of one that overshoots. */
function heights(face: Face): Omit<Lettering, 'width'> {
  const box = (letter: string) => {
    const font = face.files.find((f) => f.has(letter.codePointAt(0) ?? 0)) ?? face.files[0];
    const gid = font?.shape(letter, 'en', [])[0]?.gid;
    const extents = gid === undefined ? undefined : font?.extents(gid);
    return {
      yMax: (extents?.yMax ?? 0) / (font?.unitsPerEm ?? 1),
      yMin: (extents?.yMin ?? 0) / (font?.unitsPerEm ?? 1),
    };
  };
  return { xHeight: box('x').yMax, capHeight: box('H').yMax, ascender: box('l').yMax, descender: -box('p').yMin };
}

const known = new WeakMap<Face, Omit<Lettering, 'width'>>();

const NOTHING: Lettering = {
  xHeight: 0.5,
  capHeight: 0.7,
  ascender: 0.75,
  descender: 0.2,
  width: (text) => text.length * 0.5,
};

/** A typeface as a printable lays out with it. */
export function letteringOf(face: Face | undefined, language: string): Lettering {
  if (!face) return NOTHING;
  const made = known.get(face) ?? heights(face);
  known.set(face, made);
  return { ...made, width: (text) => advanceOf(shapedWords(text, face, 1, language)) };
}

/**
 * The box of a text frame, from where its words hang, in which one line stands on the baseline: as frames are filled.
 */
export function frameOfLine(
  { text, size, align }: Pick<Words, 'text' | 'size' | 'align'>,
  face: Face,
  language: string,
): Rect {
  const width = advanceOf(shapedWords(text, face, size, language));
  const share = (of: (font: Face['files'][number]) => number) =>
    Math.max(...face.files.map((f) => of(f) / f.unitsPerEm)) * size;
  const [up, down] = [share((f) => f.ascender), share((f) => -f.descender)];
  const left = align === 'left' ? 0 : align === 'right' ? -width : -width / 2;
  // A hundredth wider than its words, or rounding breaks the line.
  const spare = 0.01;
  return {
    x: left - (align === 'left' ? 0 : align === 'right' ? spare : spare / 2),
    y: -up,
    width: width + spare,
    height: up + down + spare,
  };
}
