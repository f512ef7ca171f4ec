import { elementsOn, type Element } from '@/core/job';
import { type JobState, type JobStore } from '../open-job/store';
import { pieceOf } from '@/core/edit';
import type { Desk } from '../open-job/use-desk';

/** What commands act on, and what of the page they open. */
export interface CommandContext {
  readonly store: JobStore;
  readonly desk: Desk;
  readonly openPalette: () => void;
  readonly choosePicture: () => void;
  readonly calibrate: () => void;
  readonly compare: () => void;
  readonly lookBeside: () => void;
  readonly copyTo: () => void;
  readonly search: () => void;
  readonly addPrintable: () => void;
}

/** What is true when the commands are offered. */
export interface Present {
  readonly state: JobState;
  /** Elements of the side shown, from the lowest up. */
  readonly elements: readonly Element[];
  readonly isChosen: (element: Element) => boolean;
  /** The element that is selected by itself. */
  readonly only: Element | undefined;
  readonly isAnyChosen: boolean;
  readonly isLayingOut: boolean;
}

export function presentOf(store: JobStore): Present {
  const state = store.getState();
  const { selection, side, job, station } = state;
  const elements = elementsOn(pieceOf(job), side);
  return {
    state,
    elements,
    isChosen: ({ id }) => selection.includes(id),
    only: selection.length === 1 ? elements.find(({ id }) => id === selection[0]) : undefined,
    isAnyChosen: selection.length > 0,
    isLayingOut: station.opens,
  };
}
