import type { Action } from './action';
import { committed, settled, travelled } from './history';
import { WITHIN_NOTHING, type OpenJob } from './state';
import type { Station } from './station';

/** An open job after something was done with it. */
export function reduce(state: OpenJob, action: Action): OpenJob {
  switch (action.do) {
    case 'change':
      return committed(state, action.recipe(state.job), action);
    case 'make': {
      const { job, ids } = action.recipe(state.job);
      return selected(committed(state, job, action), ids);
    }
    case 'preview':
      return { ...state, live: action.recipe?.(state.job) };
    case 'propose':
      // While it waits, the bench shows what it would be.
      return { ...state, proposal: action.proposal, live: action.proposal?.recipe(state.job) };
    case 'travel':
      return travelled(state, action);
    case 'settle':
      return settled(state, action);
    case 'keep':
      return { ...state, saving: action.change(state.saving) };
    case 'select':
      return selected(state, action.ids);
    case 'enter':
      return { ...state, ...action.within };
    case 'show':
      return { ...state, ...WITHIN_NOTHING, side: action.side, selection: [] };
    case 'show-record':
      return { ...state, record: action.record };
    case 'go':
      return at(state, action.station);
    case 'go-where': {
      const { station: here, stations } = state;
      const to = here[action.ability] ? here : stations.find((other) => other[action.ability]);
      return to ? at(state, to) : state;
    }
    case 'point':
      return { ...state, pointed: action.measured };
    case 'fold':
      return { ...state, folded: action.folded };
  }
}

/** Something else is selected; what is no longer, is no longer worked within. */
function selected(state: OpenJob, ids: readonly string[]): OpenJob {
  const isSameOne = state.selection.length === 1 && ids.length === 1 && state.selection[0] === ids[0];
  return {
    ...state,
    selection: ids,
    cells: isSameOne ? state.cells : undefined,
    editing: state.editing && ids.includes(state.editing) ? state.editing : undefined,
    framing: state.framing && ids.includes(state.framing) ? state.framing : undefined,
  };
}

const at = (state: OpenJob, station: Station): OpenJob => ({
  ...state,
  ...WITHIN_NOTHING,
  station,
  proposal: undefined,
  live: undefined,
  folded: false,
});
