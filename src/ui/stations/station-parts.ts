import type { ComponentType } from 'react';
import type { Command } from '../palette/command';

export interface StationProps {
  readonly commands: () => readonly Command[];
  readonly onCopy: () => void;
}

/** What a station puts on the page. */
export interface StationParts {
  /** Instead of the bench. */
  readonly Page?: ComponentType;
  /** Beside the names of the sides. */
  readonly Bar?: ComponentType<StationProps>;
  /** Above the bench. */
  readonly Strip?: ComponentType;
  /** Beneath it. */
  readonly Slip?: ComponentType<StationProps>;
  /** On the yellow sheet, between the checks and the figures. */
  readonly Sheet?: ComponentType;
}
