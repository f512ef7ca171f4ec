import type { ComponentType } from 'react';
import type { FigureGroup } from '@/core/figure';
import type { Command } from './command';

/** Something that can be drawn on the bench beside the artwork. */
export type Layer =
  /** The whole sheet of the printer, with marks and boxes. */
  | 'press-sheet'
  /** Copies as the machines make them instead of the artwork, where that is asked for. */
  | 'pile'
  /** The piece on the sheets of the press instead of the artwork, where that is asked for. */
  | 'imposed'
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

/** What parts of the page are given. */
export interface StationProps {
  readonly commands: () => readonly Command[];
  readonly onCopy: () => void;
}

/** A station: how it uses the bench, what can be done there, and what it puts on the page. */
export interface Station {
  readonly id: string;
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
  /** Findings are gone through; how many there are stands beside its name. */
  readonly inspects: boolean;
  /** Instead of the bench. */
  readonly Page?: ComponentType;
  /** Beside the names of the sides. */
  readonly Bar?: ComponentType<StationProps>;
  /** Clipped onto the sheet, for what is selected. */
  readonly Slip?: ComponentType<StationProps>;
  /** On the yellow sheet, between the checks and the figures. */
  readonly Sheet?: ComponentType;
  /** Decisions, in the part of the sheet whose figures follow from them. */
  readonly decides: Partial<Readonly<Record<FigureGroup, ComponentType<StationProps>>>>;
}

/** What can be done at some stations only. */
export type Ability = 'opens' | 'trims' | 'folds' | 'inspects';

const NOTHING = {
  takes: 'look',
  opens: false,
  steps: false,
  trims: false,
  folds: false,
  inspects: false,
  decides: {},
} as const;

/** A station: what it says of itself, over one that shows and takes nothing. */
export const defineStation = (
  station: Partial<Omit<Station, 'shows'>> & Pick<Station, 'id' | 'title'> & { readonly shows?: readonly Layer[] },
): Station => ({ ...NOTHING, ...station, shows: new Set(station.shows) });
