import { type Job, type Element } from '@/core/job';
import { toStep } from '@/core/layout';
import {
  added,
  againFrom,
  changePiece,
  chosenOf,
  copyOf,
  duplicates,
  groupSelection,
  moveBy,
  outlined,
  ungroupSelection,
  withAgain,
  withJob,
  withPlaceholder,
  withoutElements,
} from '@/core/edit';
import { inGroup, type Command, type Entry } from '../open-job/command';
import { WAYS } from './ways';
import type { CommandContext, Present } from './context';

/** Undo, select, group, copy, delete and nudge. */
export const editCommands = (context: CommandContext, present: Present): readonly Command[] =>
  inGroup('Edit', [
    ...undoEntries(present),
    againEntry(present),
    ...textEntries(context, present),
    ...selectEntries(present),
    ...groupEntries(present),
    ...contentEntries(present),
    ...copyEntries(context, present),
    ...nudgeEntries(context, present),
  ]);

const undoEntries = ({ state }: Present): readonly Entry[] => [
  {
    id: 'undo',
    title: 'Undo',
    keys: ['Ctrl+Z'],
    enabled: state.undoStack.length > 0,
    run: () => void state.undo(),
  },
  {
    id: 'redo',
    title: 'Redo',
    keys: ['Ctrl+Shift+Z', 'Ctrl+Y'],
    enabled: state.redoStack.length > 0,
    run: () => void state.redo(),
  },
];

/** Does to what is selected what the last act did to something else. */
function againEntry({ state, isAnyChosen, isLayingOut }: Present): Entry {
  const last = state.undoStack.at(-1);
  const again = last && 'job' in last && isAnyChosen && isLayingOut && againFrom(last.job, state.job, state.side);
  const label = last && 'job' in last ? last.label : '';
  return {
    id: 'again',
    title: again ? `Again: ${label}` : 'Again: the last change, to what is selected',
    keys: ['.'],
    enabled: Boolean(again),
    run: () => again && state.change(label, (now) => withAgain(now, state.side, state.selection, again)),
  };
}

/** What can be done with the text that is selected. */
function textEntries({ desk }: CommandContext, { state, only, isLayingOut }: Present): readonly Entry[] {
  const text = only?.kind === 'text' && isLayingOut ? only : undefined;
  const enabled = text !== undefined;
  return [
    {
      id: 'placeholder',
      title: 'Fill the selected text with placeholder words',
      enabled,
      run: () => text && state.change('Placeholder words', (now) => withPlaceholder(withJob(desk, now), text)),
    },
    {
      id: 'outlines',
      title: 'Turn the selected text into outlines',
      enabled,
      run: () => text && state.make('Outlines', (now) => outlined(withJob(desk, now), text)),
    },
    {
      id: 'type',
      title: 'Type in the selected text',
      keys: ['Enter'],
      enabled,
      run: () => text && state.type(text.id),
    },
  ];
}

function selectEntries({ state, elements, isAnyChosen, isLayingOut }: Present): readonly Entry[] {
  const { select, selection, station, picking } = state;
  const step = (by: 1 | -1) => () => {
    if (elements.length === 0) return;
    const at = elements.findIndex((e) => e.id === selection.at(-1));
    const to = elements[(at + by + elements.length) % elements.length];
    if (to) select([to.id]);
  };
  const { steps } = station;
  return [
    {
      id: 'select-all',
      title: 'Select everything on this side',
      keys: ['Ctrl+A'],
      enabled: isLayingOut,
      run: () => select(elements.map((e) => e.id)),
    },
    { id: 'select-next', title: 'Select the next element', keys: ['Tab'], enabled: steps, run: step(1) },
    { id: 'select-previous', title: 'Select the previous element', keys: ['Shift+Tab'], enabled: steps, run: step(-1) },
    {
      id: 'select-none',
      title: 'Select nothing',
      keys: ['Escape'],
      enabled: isAnyChosen || picking !== undefined,
      run: () => {
        state.pick(undefined);
        select([]);
      },
    },
  ];
}

function groupEntries({ state, elements, isChosen }: Present): readonly Entry[] {
  const { side, selection, change } = state;
  return [
    {
      id: 'group',
      title: 'Group',
      keys: ['Ctrl+G'],
      enabled: selection.length > 1,
      run: () => change('Group', (now) => groupSelection(now, side, selection)),
    },
    {
      id: 'ungroup',
      title: 'Ungroup',
      keys: ['Ctrl+Shift+G'],
      enabled: elements.some((e) => isChosen(e) && e.group !== null),
      run: () => change('Ungroup', (now) => ungroupSelection(now, side, selection)),
    },
  ];
}

/** Into what is selected: its points, or what its frame shows. */
const contentEntries = ({ state, only, isLayingOut }: Present): readonly Entry[] => [
  {
    id: 'edit-points',
    title: 'Edit the points of a path',
    keys: ['Shift+Enter'],
    enabled: isLayingOut && only?.kind === 'shape' && only.shape.form === 'path',
    run: () => only && state.editPath(only.id),
  },
  {
    id: 'move-content',
    title: 'Move a picture’s content within its frame',
    keys: ['Shift+F'],
    enabled: isLayingOut && only?.kind === 'picture',
    run: () => only && state.frame(only.id),
  },
];

function copyEntries({ desk }: CommandContext, present: Present): readonly Entry[] {
  const { state, isAnyChosen } = present;
  const { side, selection, select } = state;
  const lay = (copies: (now: Job) => readonly Element[]) => () =>
    state.make('Duplicate', (now) => added(now, side, copies(now)));
  return [
    {
      id: 'duplicate',
      title: 'Duplicate',
      keys: ['Ctrl+D'],
      enabled: isAnyChosen,
      run: lay((now) => duplicates(now, side, selection, desk.drawing.boxes)),
    },
    {
      id: 'duplicate-here',
      title: 'Duplicate in the same place',
      keys: ['Ctrl+Shift+D'],
      enabled: isAnyChosen,
      run: lay((now) => chosenOf(now, side, selection).map(copyOf)),
    },
    {
      id: 'delete',
      title: 'Delete',
      keys: ['Delete', 'Backspace'],
      enabled: isAnyChosen,
      run: () => {
        state.change('Delete', (now) => changePiece(now, (piece) => withoutElements(piece, selection)));
        select([]);
      },
    },
  ];
}

function nudgeEntries({ desk }: CommandContext, present: Present): readonly Entry[] {
  const { side, selection, change } = present.state;
  const enabled = present.isLayingOut && present.isAnyChosen;
  const nudge = (dx: number, dy: number) => () => {
    change('Nudge', (now) => {
      const length = (steps: number) => toStep(steps * now.step, 1e-6);
      return moveBy(now, side, desk.surface.boxes, selection, length(dx), length(dy));
    });
  };
  return WAYS.flatMap(([name, dx, dy]) => [
    {
      id: `nudge-${name}`,
      title: `Nudge ${name.toLowerCase()} by a step`,
      keys: [`Arrow${name}`],
      enabled,
      run: nudge(dx, dy),
    },
    {
      id: `nudge-far-${name}`,
      title: `Nudge ${name.toLowerCase()} by ten steps`,
      keys: [`Shift+Arrow${name}`],
      enabled,
      run: nudge(dx * 10, dy * 10),
    },
  ]);
}
