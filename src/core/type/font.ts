import type { Path } from '../drawing';

/** A glyph as the shaper left it, in font units. */
export interface ShapedGlyph {
  readonly gid: number;
  /** UTF-16 index of the first character of its cluster. */
  readonly cluster: number;
  readonly advance: number;
  readonly dx: number;
  readonly dy: number;
}

export interface GlyphBox {
  readonly xMin: number;
  readonly yMin: number;
  readonly xMax: number;
  readonly yMax: number;
}

/** What a font descriptor in a file says about a font, font units. */
export interface FontFacts {
  readonly bounds: readonly [xMin: number, yMin: number, xMax: number, yMax: number];
  readonly capHeight: number;
  readonly italicAngle: number;
  /** PostScript outlines rather than TrueType ones. */
  readonly postscriptOutlines: boolean;
}

/** One font file, opened: what layout and readers need of it, in font units. */
export interface ShapingFont {
  /** Names the file: shipped file name or SHA-256. */
  readonly key: string;
  readonly unitsPerEm: number;
  readonly ascender: number;
  /** Negative below the baseline. */
  readonly descender: number;
  readonly has: (codePoint: number) => boolean;
  /** OpenType features that it carries, by their tags. */
  readonly features: ReadonlySet<string>;
  /** @param features tags turned on (`onum`) or off (`-kern`) beside what is usual */
  readonly shape: (text: string, language: string, features: readonly string[]) => readonly ShapedGlyph[];
  /** Advance width of a glyph, font units. */
  readonly advance: (gid: number) => number;
  readonly facts: FontFacts;
  /** Box around a glyph’s outline, font units, y up; undefined for a space. */
  readonly extents: (gid: number) => GlyphBox | undefined;
  /** Outline of a glyph in font units, y up. */
  readonly outline: (gid: number) => Path;
}

/** A weight of a family: one or several files that share the characters between them. */
export interface Face {
  readonly family: string;
  readonly weight: number;
  readonly italic: boolean;
  readonly postscript: string;
  readonly files: readonly ShapingFont[];
}

/** The fonts at hand when a surface is composed. */
export interface FontSet {
  /** The loaded face nearest in weight, or undefined when the family is not at hand. */
  readonly find: (family: string, weight: number, italic: boolean) => Face | undefined;
  /** The font file of a key that `find` gave out. */
  readonly file: (key: string) => ShapingFont | undefined;
  /** What stands in for a missing family. */
  readonly fallback: () => Face | undefined;
}

/** The entry whose slope fits and whose weight is nearest; the heavier one of two equally near. */
export function nearestFace<F extends { readonly weight: number; readonly italic: boolean }>(
  faces: readonly F[],
  weight: number,
  italic: boolean,
): F | undefined {
  const far = (face: F) => Math.abs(face.weight - weight) * 2 + (face.italic === italic ? 0 : 10_000);
  return [...faces].sort((a, b) => far(a) - far(b) || b.weight - a.weight)[0];
}
