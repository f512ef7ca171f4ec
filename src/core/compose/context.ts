import type { Encoder } from '../code';
import type { ColourEngine } from '../colour';
import type { Frame, Item, Note } from '../drawing';
import { styleBook, type ElementOf, type StyleBook } from '../element';
import type { Occasion } from '../dates';
import type { Asset, Job } from '../job';
import type { Matrix, Rect, SurfaceBoxes } from '../layout';
import type { JobUnit } from '../measure';
import type { Finding, Turn } from '../printable';
import type { VectorArt } from '../shape';
import type { FontSet, Hyphenator, TypeContext } from '../type';
import { paintBook, type PaintBook } from './ink';
import type { HolidayNeed } from './holidays-needed';
import type { InkNeed } from './picture-inks';
import type { SetTable } from './set-words';
import type { Story } from './set-words';

/** What has to be fetched before a job can be drawn. */
export type Resources = Pick<ComposeContext, 'fonts' | 'hyphenator' | 'art' | 'holidays' | 'inkMost' | 'encode'> & {
  readonly colour: ColourEngine;
};

/** What composing a piece of a job needs. @param ppi that its pictures need */
export const composeContextOf = (job: ContextOfJob, ppi: number, resources: Resources): ComposeContext => {
  const { assets, language, unit } = job;
  return { ...resources, colour: paintBook(resources.colour, job), assets, language, unit, ppi, book: styleBook(job) };
};

type ContextOfJob = Pick<Job, 'assets' | 'language' | 'unit' | 'styles' | 'cellStyles' | 'inks' | 'swatches'>;

/** What composing a piece needs beside the piece. */
export interface ComposeContext {
  readonly assets: Readonly<Record<string, Asset>>;
  readonly language: string;
  readonly ppi: number;
  /** The output profile, and the inks and colours of the job. */
  readonly colour: PaintBook;
  readonly fonts: FontSet;
  readonly hyphenator: (language: string) => Hyphenator | undefined;
  /** Drawings that were brought in, by hash. */
  readonly art: (sha: string) => VectorArt | undefined;
  /** The job’s type styles. */
  readonly book: StyleBook;
  /** In which lengths are written into workings. */
  readonly unit: JobUnit;
  /** Holidays of a country or region in a year; none while they are not at hand. */
  readonly holidays: (need: HolidayNeed) => readonly Occasion[];
  /** Makes codes; undefined while that is not at hand. */
  readonly encode?: Encoder | undefined;
  /** The most ink in a picture, percent; undefined while it is not at hand. */
  readonly inkMost?: (need: InkNeed) => number | undefined;
}

/** What composing an element needs beside the element. */
export interface ElementContext extends ComposeContext {
  readonly boxes: SurfaceBoxes;
  readonly type: TypeContext;
  /** A shape of the same side. */
  readonly shape: (id: string) => ElementOf<'shape'> | undefined;
  /** A text of the piece. */
  readonly text: (id: string) => ElementOf<'text'> | undefined;
  /** A table of the same side, laid out in its box. */
  readonly table: (id: string) => SetTable | undefined;
  /** The page of a sequence on which a printable stands. */
  readonly turn: Turn;
  /** The story that a text is part of. */
  readonly story: (id: string) => Story | undefined;
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
  /** Numbers that a printable found. */
  readonly findings?: readonly Finding[];
}

export interface Composed {
  readonly frame: Frame;
  readonly notes: readonly Note[];
}
