import type { SeenCell, TextElement } from '../element';
import type { Rect } from '../geometry';
import type { SideName } from '../job';
import type { Mm } from '../measure';
import type { NamedTracks } from '../layout';
import type { FittedText } from '../type';

/** Text set through all of its frames. */
export interface Story extends FittedText {
  /** Ids of its frames, in the order of the flow. */
  readonly chain: readonly string[];
}

/** A cell where it stands, and its words as a text of their own. */
export interface PlacedCell extends SeenCell {
  readonly rect: Rect;
  readonly text: TextElement;
  readonly story: Story;
}

/** A table laid out in its box. */
export interface SetTable {
  readonly tracks: NamedTracks;
  readonly cells: readonly PlacedCell[];
  /** What its rows take at this width, mm. */
  readonly needs: Mm;
}

/** A text, and where it stands. */
export interface TextOnSide {
  readonly side: SideName;
  readonly text: TextElement;
}

/** The texts of a piece. */
export interface Words {
  /** By id. */
  readonly texts: ReadonlyMap<string, TextOnSide>;
  /** Texts that flow from frame to frame, in that order; one that stands alone is a chain of its own. */
  readonly chains: readonly (readonly TextElement[])[];
}
