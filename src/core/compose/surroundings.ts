import type { ColourEngine } from '../colour';
import type { Frame, Item, Note } from '../drawing';
import type { Asset } from '../job';
import type { Matrix, Rect, SurfaceBoxes } from '../layout';
import type { VectorArt } from '../shape';
import type { ComposedText, FontSet, Hyphenator } from '../type';

/** What composing needs beside the element. */
export interface Surroundings {
  readonly boxes: SurfaceBoxes;
  readonly assets: Readonly<Record<string, Asset>>;
  readonly language: string;
  readonly ppi: number;
  readonly colour: ColourEngine;
  readonly fonts: FontSet;
  readonly hyphenator: (language: string) => Hyphenator | undefined;
  /** Drawings that were brought in, by hash. */
  readonly art: (sha: string) => VectorArt | undefined;
}

/** Where an element is laid. */
export interface Setting {
  /** As placed. */
  readonly rect: Rect;
  /** With what it bleeds; the same as `rect` where it does not. */
  readonly reach: Rect;
  /** How it is turned and sheared. */
  readonly matrix: Matrix;
}

/** What lies on paper, before effects, copies and clipping. */
export interface Body {
  readonly items: readonly Item[];
  /** Box around the ink, before turning. */
  readonly ink: Rect;
  readonly notes: readonly Note[];
  readonly text?: ComposedText;
}

export interface Composed {
  readonly frame: Frame;
  readonly notes: readonly Note[];
  /** Set for text: the lines, for the caret and for measuring. */
  readonly text?: ComposedText;
}
