import type { Build, Laid } from '../colour';
import type { Adjust, Blend, ElementKind } from '../element';
import type { EdgeLengths, Matrix, Path, Point, Rect, SurfaceBoxes } from '../layout';
import type { Mm } from '../measure';
import type { Coating, ProcessLine } from '../shop';
import type { Finding as PrintableFinding } from '../printable';

/** What a paint lays on the paper. */
export type Ink =
  | ({
      readonly kind: 'process';
      /** Laid over what is beneath instead of knocking it out. */
      readonly overprint: boolean;
      /** The sRGB the designer gave, when the build was converted from one. */
      readonly from?: { readonly r: number; readonly g: number; readonly b: number };
      /** CIEDE2000 by which that sRGB moves, where the paper cannot show it. */
      readonly lost?: number;
    } & Laid)
  /** Builds mixed along a line or outward from a point; beyond its ends the first and the last go on. */
  | {
      readonly kind: 'gradient';
      readonly run: GradientRun;
      readonly stops: readonly InkStop[];
      /** Laid over what is beneath on the plates that it does not use. */
      readonly overprint?: true;
    }
  /** Every plate of the job, for marks. */
  | { readonly kind: 'registration'; readonly tint: number }
  /** A plate that a machine or a coating unit follows; `shown` is how a screen and a proof show it. */
  | {
      readonly kind: 'technical';
      readonly name: string;
      readonly shown: Build;
      /** Percent, where it is not solid. */
      readonly tint?: number;
      /** Cuts away what is beneath, as it should never do. */
      readonly knocksOut?: true;
    };

/** Where a gradient runs, in the coordinates of its item. */
export type GradientRun =
  | { readonly kind: 'linear'; readonly from: Point; readonly to: Point }
  | { readonly kind: 'radial'; readonly centre: Point; readonly radius: Mm };

export interface InkStop extends Laid {
  /** 0 to 1. */
  readonly at: number;
  readonly opacity: number;
}

export interface StrokeStyle {
  readonly ink: Ink;
  readonly width: Mm;
  /** Lengths of dash and gap, mm; empty for a solid line. */
  readonly dash: readonly Mm[];
  readonly cap: 'butt' | 'round' | 'square';
  /** Left out, sharp corners. */
  readonly join?: 'miter' | 'round' | 'bevel';
  /** On which side of the closed path it lies; left out, on both. */
  readonly align?: 'in' | 'out';
}

export type FillRule = 'nonzero' | 'evenodd';

/** Outside this nothing is seen; in the coordinates in which the item’s matrix sets it down. */
export interface Clip {
  readonly path: Path;
  readonly rule: FillRule;
}

interface Common {
  /** The element or the mark it came from. */
  readonly from: string;
  readonly opacity: number;
  /** Left out, laid on plainly. */
  readonly blend?: Exclude<Blend, 'normal'>;
  readonly clip?: Clip;
  readonly matrix: Matrix;
}

export interface PathItem extends Common {
  readonly kind: 'path';
  readonly path: Path;
  readonly fill: Ink | null;
  readonly stroke: StrokeStyle | null;
  /** Left out, nonzero. */
  readonly rule?: FillRule;
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
  /** Drawn around every glyph, half of it outside. */
  readonly stroke?: StrokeStyle;
  /** Only its stroke is drawn. */
  readonly hollow?: true;
}

export interface PictureItem extends Common {
  readonly kind: 'picture';
  /** SHA-256 of the picture. */
  readonly picture: string;
  /** The whole picture on the sheet, before the frame crops it. */
  readonly image: Rect;
  /** The frame it shows through. */
  readonly frame: Rect;
  /** Turning and mirroring of the picture behind its frame. */
  readonly content?: Matrix;
  /** What is done to its colours. */
  readonly adjust?: Adjust;
  /** The most ink that lies on each other in it, percent; left out while it is not known. */
  readonly inkMost?: number;
  /** Partly transparent: its silhouette is not its frame. */
  readonly isClear?: true;
  /** Shown as its silhouette in this ink, for masks. */
  readonly flat?: Ink;
  /** Standard deviation of a Gaussian that its pixels are blurred by, mm. */
  readonly blur?: Mm;
}

/** A page of somebody else’s document, kept as it is. */
export interface PageItem extends Common {
  readonly kind: 'page';
  /** SHA-256 of the document. */
  readonly document: string;
  readonly page: number;
  /** Where its trim box lies, or what is seen of it beyond that. */
  readonly image: Rect;
  /** How far the page is seen beyond its trim box, mm of the page as it is shown; left out, not at all. */
  readonly beyond?: EdgeLengths;
}

/** How much of a group is seen at each point: the silhouette of some items, grown (or shrunk) and blurred. */
export interface SoftMask {
  readonly of: readonly Item[];
  readonly grow: Mm;
  /** Standard deviation of the Gaussian, mm. */
  readonly blur: Mm;
  /** Outside this it is nothing. */
  readonly region: Rect;
}

/** Items that are laid on as one. */
export interface GroupItem extends Common {
  readonly kind: 'group';
  readonly items: readonly Item[];
  /** Box around all of it, in the group’s own coordinates. */
  readonly region: Rect;
  readonly mask?: SoftMask;
}

export type Item = PathItem | GlyphItem | PictureItem | PageItem | GroupItem;
/** An item that is no group. */
export type Leaf = Exclude<Item, GroupItem>;

/** A process line that was drawn beyond those of the format. */
export interface DrawnLine extends ProcessLine {
  /** The finishing it came from. */
  readonly id: string;
}

/** An area that is coated, foiled, embossed or printed white beneath the artwork. */
export interface Coat {
  /** The finishing it came from. */
  readonly id: string;
  readonly coating: Coating;
  readonly path: Path;
  readonly rule: FillRule;
  /** Cuts away what is beneath, as it should never do. */
  readonly knocksOut?: true;
  /** Percent, where it is not solid. */
  readonly tint?: number;
  /** A line around it, as it should not have, mm. */
  readonly stroke?: Mm;
}

/** What a machine follows, on a layer of its own above the artwork. */
export interface ProcessLayer {
  /** As a reader of the file sees it in the list of layers. */
  readonly name: string;
  /** Processing step: its group and type by ISO 19593-1 (from memory). */
  readonly step: { readonly group: string; readonly type?: string };
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
  /** A clip names a shape that is not there. */
  | { readonly kind: 'missing-clip'; readonly element: string }
  /** Type runs along a shape that is not there. */
  | { readonly kind: 'missing-outline'; readonly element: string }
  /** What the rows and columns of a table take, mm, where that is more than its box. */
  | { readonly kind: 'table-past-box'; readonly element: string; readonly width: Mm; readonly height: Mm }
  /** OpenType features that the font does not have. */
  | { readonly kind: 'missing-feature'; readonly element: string; readonly features: readonly string[] }
  /** Copies beyond what can be drawn. */
  | { readonly kind: 'copies-left'; readonly element: string; readonly asked: number; readonly drawn: number }
  /** What a printable found no place for. */
  | { readonly kind: 'printable-left'; readonly element: string; readonly message: string }
  /** A line or coating follows something that is not there, or nothing is left of it. */
  | { readonly kind: 'finish-lost'; readonly element: string; readonly finishing: string; readonly why: string }
  /** A decision of a printable that cannot be in its box. */
  | {
      readonly kind: 'printable-impossible';
      readonly element: string;
      readonly decision: string;
      readonly message: string;
    }
  /** What a code is to say cannot be encoded. */
  | { readonly kind: 'code-wrong'; readonly element: string; readonly problem: string }
  /** How a code came out: the side of its modules, and its box with its quiet zone, both before turning, mm. */
  | { readonly kind: 'code'; readonly element: string; readonly module: Mm; readonly whole: Rect }
  | { readonly kind: 'missing-glyphs'; readonly element: string; readonly characters: string };

/** Where an element ended up. */
export interface Frame {
  readonly element: string;
  readonly name: string;
  readonly kind: ElementKind;
  /** As placed, before turning and without bleed. */
  readonly rect: Rect;
  readonly rotate: number;
  readonly shear: number;
  /** Maps from where it stands to each copy; the first is itself. */
  readonly copies: readonly Matrix[];
  /** Lies on a locked layer. */
  readonly locked: boolean;
  /** Upright box around the thing itself, with bleed, without its shadow, glow or blur. */
  readonly ink: Rect;
  /** Upright box around everything that is laid on paper. */
  readonly bounds: Rect;
  readonly items: readonly Item[];
  /** What it would lay down if it were printed: it is only there for lines and coatings to follow. */
  readonly unprinted?: readonly Item[];
  /** Numbers that a printable found. */
  readonly findings?: readonly PrintableFinding[];
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
  /** Process lines drawn beyond those of the format. */
  readonly lines: readonly DrawnLine[];
  /** Coated areas, in the order in which they are laid on. */
  readonly coats: readonly Coat[];
  readonly notes: readonly Note[];
}

export const itemsOf = (drawing: Drawing): readonly Item[] => [
  ...drawing.repeated,
  ...drawing.frames.flatMap((f) => f.items),
  ...drawing.reserved,
];

/**
 * What the pixels of a picture depend on: two items of one key show the same, whoever holds them. Readers make copies
 * of items.
 */
export const pictureKey = ({ picture, image, adjust, blur }: PictureItem): string =>
  JSON.stringify([picture, image.width, image.height, adjust, blur]);

/** Pictures and pages of documents, those of soft masks too. */
export const imagesIn = (items: readonly Item[]): readonly (PictureItem | PageItem)[] =>
  items.flatMap((item) => {
    switch (item.kind) {
      case 'group':
        return [...imagesIn(item.items), ...(item.mask ? imagesIn(item.mask.of) : [])];
      case 'picture':
      case 'page':
        return [item];
      case 'path':
      case 'glyphs':
        return [];
    }
  });

/** All that is drawn, without the groups it is gathered in. */
export const leavesOf = (items: readonly Item[]): readonly Leaf[] =>
  items.flatMap((item) => (item.kind === 'group' ? leavesOf(item.items) : [item]));
