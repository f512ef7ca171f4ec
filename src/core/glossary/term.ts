import type { Sketch } from './sketch';

/** A word of the trade: what it is, why it matters, and what is usual. */
export interface Term {
  readonly id: string;
  readonly word: string;
  /** What it is, in a sentence. */
  readonly what: string;
  /** What goes wrong without it. */
  readonly why: string;
  /** Figures that are usual. They are common practice: the printer’s own go first. */
  readonly usual: string;
  readonly sketch?: Sketch;
  /** Figures of the sheet that it explains, by id. */
  readonly figures?: readonly string[];
  /** Words that go with it. */
  readonly see?: readonly string[];
}
