import type { Build } from '../colour';
import type { Matrix, Path, Rect, SurfaceBoxes } from '../layout';
import type { Mm } from '../measure';

/** What a paint lays on the paper. */
export type Ink =
  | {
      readonly kind: 'process';
      readonly build: Build;
      /** Laid over what is beneath instead of knocking it out. */
      readonly overprint: boolean;
      /** The sRGB the designer gave, when the build was converted from one. */
      readonly from?: { readonly r: number; readonly g: number; readonly b: number };
    }
  /** Every plate of the job, for marks. */
  | { readonly kind: 'registration'; readonly tint: number }
  /** An ink or a line of its own plate; `shown` is how a screen and a proof show it. Lines always overprint. */
  | { readonly kind: 'spot'; readonly name: string; readonly shown: Build };

export interface StrokeStyle {
  readonly ink: Ink;
  readonly width: Mm;
  /** Lengths of dash and gap, mm; empty for a solid line. */
  readonly dash: readonly Mm[];
  readonly cap: 'butt' | 'round';
}

interface Common {
  /** The element or the mark it came from. */
  readonly from: string;
  readonly opacity: number;
  readonly matrix: Matrix;
}

export interface PathItem extends Common {
  readonly kind: 'path';
  readonly path: Path;
  readonly fill: Ink | null;
  readonly stroke: StrokeStyle | null;
}

/** Glyph id and the place of its origin on the baseline, mm. */
export interface PlacedGlyph {
  readonly gid: number;
  readonly x: Mm;
  readonly y: Mm;
  /** The text this glyph stands for; empty for the later glyphs of a cluster. */
  readonly text: string;
}

export interface GlyphItem extends Common {
  readonly kind: 'glyphs';
  /** Key of the font file, as the font set knows it. */
  readonly font: string;
  /** Size of the em, mm. */
  readonly size: Mm;
  readonly glyphs: readonly PlacedGlyph[];
  readonly ink: Ink;
}

export interface PictureItem extends Common {
  readonly kind: 'picture';
  /** SHA-256 of the picture. */
  readonly picture: string;
  /** The whole picture on the sheet, before the frame crops it. */
  readonly image: Rect;
  /** The frame it shows through. */
  readonly clip: Rect;
}

export type Item = PathItem | GlyphItem | PictureItem;

/** What a machine follows, on a layer of its own above the artwork. */
export interface ProcessLayer {
  /** As a reader of the file sees it in the list of layers. */
  readonly name: string;
  /** Processing step: its group and type by ISO 19593-1 (from memory). */
  readonly step: { readonly group: string; readonly type: string };
  readonly items: readonly Item[];
}

/** What composing an element found out beyond its marks on paper. */
export type Note =
  | {
      readonly kind: 'overflow';
      readonly element: string;
      readonly words: number;
      readonly text: string;
      /** Height that would show everything at this width, mm. */
      readonly needs: Mm;
    }
  | { readonly kind: 'missing-font'; readonly element: string; readonly family: string }
  | { readonly kind: 'missing-picture'; readonly element: string; readonly empty: boolean }
  | { readonly kind: 'missing-glyphs'; readonly element: string; readonly characters: string };

/** Where an element ended up. */
export interface Frame {
  readonly element: string;
  readonly name: string;
  readonly kind: 'rectangle' | 'ellipse' | 'line' | 'picture' | 'text';
  /** As placed, before turning and without bleed. */
  readonly rect: Rect;
  readonly rotate: number;
  /** Upright box around what is laid on paper, with bleed. */
  readonly bounds: Rect;
  readonly items: readonly Item[];
}

/** The display list of one surface, in paint order, mm from the trimmed top-left corner, y down. */
export interface Drawing {
  readonly surface: string;
  readonly boxes: SurfaceBoxes;
  readonly frames: readonly Frame[];
  /** Artwork of another surface that stands here too, below this one’s own. */
  readonly repeated: readonly Item[];
  /** Bare paper above everything: where no ink may lie. */
  readonly reserved: readonly Item[];
  readonly notes: readonly Note[];
}

export const itemsOf = (drawing: Drawing): readonly Item[] => [
  ...drawing.repeated,
  ...drawing.frames.flatMap((f) => f.items),
  ...drawing.reserved,
];
