import type { CharacterLook, ParagraphLook, TabStop } from '../element';
import type { Mm } from '../measure';
import type { Opportunity } from './breaks';
import type { ShapeStyle } from './shape-runs';

/** A stretch of a paragraph in one face, size and look. */
export interface Piece {
  /** Within the text as it is set. */
  readonly from: number;
  readonly to: number;
  readonly look: CharacterLook;
  readonly shape: ShapeStyle;
  /** Raised above the baseline, mm. */
  readonly shift: Mm;
}

/** A stop with its place in mm from the left of the text. */
export type SetStop = Omit<TabStop, 'at'> & { readonly at: Mm };

/** A paragraph ready to be broken into lines: measured once, whatever the width. */
export interface Prepared {
  readonly look: ParagraphLook;
  readonly language: string;
  /** As it is set, its case changed. */
  readonly text: string;
  /** Index in the typed paragraph of each UTF-16 unit; one longer than the text. */
  readonly source: readonly number[];
  /** How many UTF-16 units were typed. */
  readonly typed: number;
  readonly pieces: readonly Piece[];
  /** Advance from the start up to each UTF-16 index, mm. */
  readonly sums: Float64Array;
  readonly places: readonly Opportunity[];
  /** Holds tabs, whose width depends on where they stand. */
  readonly hasTabs: boolean;
  readonly hyphen: Mm;
  /** Added after the last letter of a line, where it does not count, mm. */
  readonly tracking: Mm;
  readonly ascent: Mm;
  readonly descent: Mm;
  readonly leading: Mm;
  readonly before: Mm;
  readonly after: Mm;
  readonly indent: Mm;
  readonly indentRight: Mm;
  readonly firstIndent: Mm;
  readonly stops: readonly SetStop[];
  readonly missing: readonly string[];
}
