import type { ORDERS } from '@/core/edit';
import { alignSelection, changeSide, distributeSelection, filling, inOrder, withJob } from '@/core/edit';
import { inGroup, type Command, type Entry } from '../open-job/command';
import type { CommandContext, Present } from './context';

/** What lies above what, and where things stand beside each other. */
export const arrangeCommands = (context: CommandContext, present: Present): readonly Command[] =>
  inGroup('Arrange', [...orderEntries(present), fillEntry(present), ...alignEntries(context, present)]);

function orderEntries({ state, isAnyChosen: enabled }: Present): readonly Entry[] {
  const { side, selection } = state;
  const order = (label: string, to: (typeof ORDERS)[number]) => () =>
    state.change(label, (now) => changeSide(now, side, (list) => inOrder(list, selection, to)));
  return [
    { id: 'forward', title: 'One forward', keys: [']'], enabled, run: order('Forward', 'forward') },
    { id: 'backward', title: 'One back', keys: ['['], enabled, run: order('Back', 'backward') },
    { id: 'front', title: 'To the front', keys: ['}'], enabled, run: order('To the front', 'front') },
    { id: 'bottom', title: 'To the very back', keys: ['{'], enabled, run: order('To the back', 'back') },
  ];
}

const fillEntry = ({ state, isChosen, isAnyChosen }: Present): Entry => ({
  id: 'fill-box',
  title: 'Fill the box it stands in',
  keys: ['W'],
  enabled: isAnyChosen,
  run: () =>
    state.change('Fill its box', (now) =>
      changeSide(now, state.side, (list) => list.map((e) => (isChosen(e) ? filling(e) : e))),
    ),
});

const EDGES = ['left', 'centre', 'right', 'top', 'middle', 'bottom'] as const;

const alignEntries = ({ desk }: CommandContext, { state, isAnyChosen }: Present): readonly Entry[] => [
  ...EDGES.map((edge) => ({
    id: `align-${edge}`,
    title: `Align ${edge} on the trim`,
    enabled: isAnyChosen,
    run: () =>
      state.change(`Align ${edge}`, (now) =>
        alignSelection(withJob(desk, now), state.selection, { box: 'trim' }, edge),
      ),
  })),
  {
    id: 'gaps-across',
    title: 'Equal gaps across',
    enabled: state.selection.length > 2,
    run: () =>
      state.change('Equal gaps across', (now) =>
        distributeSelection(withJob(desk, now), state.selection, 'x', undefined),
      ),
  },
  {
    id: 'gaps-down',
    title: 'Equal gaps down',
    enabled: state.selection.length > 2,
    run: () =>
      state.change('Equal gaps down', (now) =>
        distributeSelection(withJob(desk, now), state.selection, 'y', undefined),
      ),
  },
];
