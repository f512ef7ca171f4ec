import type { CharacterLook } from '../../element';
import type { NamedTracks, Rect } from '../../layout';
import type { Mm } from '../../measure';
import type { Body, ElementContext, Setting } from '../context';

/** What drawing asks of an element, whichever kind it is. */
export interface ComposedKindOf<E> {
  /** What lies on paper, before effects, copies and clipping. */
  readonly compose: (element: E, setting: Setting, context: ElementContext) => Body;
  /**
   * What its content takes along an axis, mm.
   * @param other its size along the other axis; undefined where that is asked for too
   */
  readonly size: (element: E, axis: 'x' | 'y', other: Mm | undefined, context: ElementContext) => Mm;
  /** Columns and rows that it lays into its own box, for others to stand in. */
  readonly tracks: (element: E, rect: Rect, context: ElementContext) => NamedTracks | undefined;
  /** What its drawing depends on besides itself and its place. */
  readonly dependsOn: (element: E, context: Pick<ElementContext, Dependency>) => readonly unknown[];
  /** Looks that it sets words in beside those of its texts. */
  readonly looks: (element: E) => readonly CharacterLook[];
}

/** Facts of a side that a drawing may depend on. */
export type Dependency = 'boxes' | 'turn' | 'story' | 'table';

export const defineComposedKind = <E>(kind: ComposedKindOf<E>): ComposedKindOf<E> => kind;

/** A square inch, for what has no size of its own yet. */
const ASSUMED = { width: 25.4, height: 25.4 };

/** The size of content that keeps its proportion. @param natural what it has by itself, mm */
export function inProportion(
  natural: { readonly width: Mm; readonly height: Mm } | undefined,
  axis: 'x' | 'y',
  other: Mm | undefined,
): Mm {
  const { width, height } = natural ?? ASSUMED;
  const [own, beside] = axis === 'x' ? [width, height] : [height, width];
  return other === undefined ? own : (other * own) / beside;
}

/** Members of kinds that stand for themselves: nothing stands in them, and their drawing follows from them alone. */
export const plain = {
  size: (_: unknown, axis: 'x' | 'y', other: Mm | undefined) => inProportion(undefined, axis, other),
  tracks: () => undefined,
  dependsOn: () => [],
  looks: () => [],
};

/** Nothing: what is to be drawn is not at hand. */
export const emptyBody = ({ rect }: Setting): Body => ({ items: [], ink: rect, notes: [] });
