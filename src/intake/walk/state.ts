import { PDFDict, PDFName, type PDFStream } from '@cantoo/pdf-lib';
import { IDENTITY, type Matrix, type Rect } from '../../core/geometry';
import { GREY, type Space } from '../colour-of';
import { entry, listOf, nameText, type Opened } from '../pdf';

/** What areas or lines are laid down with. */
export interface Using {
  readonly space: Space;
  readonly values: readonly number[];
  /** A pattern of its own colours, laid like tiles. */
  readonly tile?: PDFStream;
}

/** The graphics state, as far as it says what is laid down (ISO 32000-1, 8.4). */
export interface State {
  readonly ctm: Matrix;
  readonly clip: Rect;
  readonly fill: Using;
  readonly stroke: Using;
  readonly width: number;
  readonly font: PDFDict | undefined;
  readonly size: number;
  readonly stretch: number;
  readonly invisible: boolean;
  readonly overprintsFill: boolean;
  readonly overprintsStroke: boolean;
  readonly transparent: { readonly fill: boolean; readonly stroke: boolean; readonly all: boolean };
}

export const BLACK: Using = { space: GREY, values: [0] };

/** The state that a page begins with. @param clip the page’s own box */
export const firstState = (clip: Rect): State => ({
  ctm: IDENTITY,
  clip,
  fill: BLACK,
  stroke: BLACK,
  width: 1,
  font: undefined,
  size: 0,
  stretch: 1,
  invisible: false,
  overprintsFill: false,
  overprintsStroke: false,
  transparent: { fill: false, stroke: false, all: false },
});

/** The state after a dictionary of it (ISO 32000-1, 8.4.5). */
export function withState(file: Opened, state: State, dict: PDFDict): State {
  const value = (key: string) => entry(file, dict, key);
  const flag = (key: string): boolean | undefined => {
    const said = value(key);
    return said === undefined ? undefined : String(said) === 'true';
  };
  const opacity = (key: string, was: boolean): boolean => {
    const said = value(key);
    return said === undefined ? was : Number(String(said)) < 1;
  };
  const stroke = flag('OP') ?? state.overprintsStroke;
  const blend = value('BM');
  const modes = blend instanceof PDFName ? [blend] : listOf(file, blend);
  const [mode] = modes.map(nameText);
  const mask = value('SMask');
  const mixes = mode === undefined ? undefined : mode !== 'Normal' && mode !== 'Compatible';
  const masks = mask === undefined ? undefined : mask instanceof PDFDict;
  const size = value('LW');
  return {
    ...state,
    width: size === undefined ? state.width : Number(String(size)),
    overprintsStroke: stroke,
    overprintsFill: flag('op') ?? flag('OP') ?? state.overprintsFill,
    transparent: {
      fill: opacity('ca', state.transparent.fill),
      stroke: opacity('CA', state.transparent.stroke),
      all: mixes === undefined && masks === undefined ? state.transparent.all : Boolean(mixes) || Boolean(masks),
    },
  };
}
