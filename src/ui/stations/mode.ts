/** Something that can be drawn on the bench beside the artwork. */
export type Layer =
  /** The whole sheet of the printer, with marks and boxes. */
  | 'press-sheet'
  /** Separations instead of the artwork, where that is asked for. */
  | 'plates'
  | 'finish'
  | 'gamut'
  /** What no plate prints. */
  | 'unprinted'
  | 'line-code'
  /** Lines and coatings that were drawn, in line code and not in the colours of their plates. */
  | 'drawn-lines'
  | 'panel-names'
  /** Distances of folds and parts. */
  | 'chains'
  | 'baselines'
  | 'empty-frames'
  | 'slots'
  | 'cells'
  | 'findings'
  | 'selection'
  /** What a selected element is turned, stretched and faded by. */
  | 'handles'
  | 'gradients';

/** How a station uses the bench, and what can be done there. */
export interface StationMode {
  readonly title: string;
  /** What a press on the bench does: change things, choose things, or look around. */
  readonly takes: 'edit' | 'select' | 'look';
  readonly shows: ReadonlySet<Layer>;
  /** A click too many opens what is clicked: words, cells, points, the content of a frame. */
  readonly opens: boolean;
  /** Tab goes from element to element. */
  readonly steps: boolean;
  /** The piece can be shown cut to its trim. */
  readonly trims: boolean;
  /** The piece can be shown folded. */
  readonly folds: boolean;
  /** Pages stand in a strip instead of a list. */
  readonly hasStrip: boolean;
  /** How many findings there are stands beside its name. */
  readonly countsFindings: boolean;
}

const NOTHING: StationMode = {
  title: '',
  takes: 'look',
  shows: new Set(),
  opens: false,
  steps: false,
  trims: false,
  folds: false,
  hasStrip: false,
  countsFindings: false,
};

/** A station: what it says of itself, over one that shows and takes nothing. */
export const defineMode = (
  mode: Partial<Omit<StationMode, 'shows'>> & { readonly title: string; readonly shows?: readonly Layer[] },
): StationMode => ({ ...NOTHING, ...mode, shows: new Set(mode.shows) });
