import type { Rect } from '../core/geometry';

/** What is laid down with, as the file says it. */
export interface Colour {
  readonly space: 'grey' | 'rgb' | 'cmyk' | 'lab' | 'spot' | 'pattern' | 'unknown';
  /** Whether the numbers have a meaning of their own: a profile, or a calibrated space. */
  readonly isTagged: boolean;
  /** 0 to 1, in the order of the space. */
  readonly values: readonly number[];
  /** Inks by name, where it is laid down by them. */
  readonly inks: readonly string[];
}

interface Common {
  /** From 1. */
  readonly page: number;
  /** Where it lies, points on the page, y up. */
  readonly box: Rect;
  readonly overprint: boolean;
  /** By a mask, an opacity or a blend mode. */
  readonly isTransparent: boolean;
}

/** Something that a page lays on paper. */
export type Painted =
  | (Common & { readonly kind: 'fill' | 'shading'; readonly colour: Colour })
  | (Common & { readonly kind: 'stroke'; readonly colour: Colour; readonly widthPt: number })
  | (Common & {
      readonly kind: 'text';
      readonly colour: Colour;
      readonly sizePt: number;
      readonly font: string;
      readonly glyphs: number;
      /** Those that the font does not have, as far as its numbers say. */
      readonly missing: number;
    })
  | (Common & {
      readonly kind: 'picture';
      readonly colour: Colour;
      readonly width: number;
      readonly height: number;
      /** The lower of both ways. */
      readonly ppi: number;
      readonly isMask: boolean;
    });

/** A font that words are set in. */
export interface UsedFont {
  readonly name: string;
  readonly isEmbedded: boolean;
  readonly pages: readonly number[];
}

/** A page as its boxes say it, points, y up. */
export interface PageFacts {
  readonly media: Rect;
  readonly bleed: Rect | undefined;
  readonly trim: Rect | undefined;
  readonly rotate: number;
  readonly annotations: readonly { readonly kind: string; readonly box: Rect }[];
}

/** A file as a whole, beside its pages. */
export interface FileFrame {
  /** The standard that it says it follows: “PDF/X-4”; undefined where it says none. */
  readonly claims: string | undefined;
  /** It has an identifier in its trailer. */
  readonly hasId: boolean;
  /** Its output intent brings the profile, or names one that is registered. */
  readonly hasProfile: boolean;
  /** It says whether traps are in it. */
  readonly saysTrapped: boolean;
  /** Files lie in it. */
  readonly hasFiles: boolean;
}

/** All that is known of a file, from its bytes alone. */
export interface ReadFile {
  readonly version: string;
  readonly pages: readonly PageFacts[];
  readonly painted: readonly Painted[];
  /** What is set down without being painted: words to be searched, on a scan. */
  readonly unseen: readonly Painted[];
  readonly fonts: readonly UsedFont[];
  /** What its output intent is called; undefined where it has none. */
  readonly intent: string | undefined;
  /** What a standard for printing asks of the file as a whole. */
  readonly frame: FileFrame;
  readonly hasScripts: boolean;
  readonly hasForms: boolean;
  readonly layers: readonly { readonly name: string; readonly isOn: boolean }[];
  /** What of its content could not be read, and why. */
  readonly unreadable: readonly { readonly page: number; readonly why: string }[];
}
