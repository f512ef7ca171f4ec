import type { Axis, Element } from '@/core/job';
import { alignSelection, changeSide, distributeSelection, withJob } from '@/core/edit';
import { inGroup, type Command, type Entry } from './command';
import type { CommandContext, Present } from './context';

/** What lies above what, and where things stand beside each other. */
export const arrangeCommands = (context: CommandContext, present: Present): readonly Command[] =>
  inGroup('Arrange', [...orderEntries(present), fillEntry(present), ...alignEntries(context, present)]);

function orderEntries({ state, isChosen, isAnyChosen: enabled }: Present): readonly Entry[] {
  const isOther = (e: Element) => !isChosen(e);
  const order = (label: string, move: (list: readonly Element[]) => readonly Element[]) => () =>
    state.change(label, (now) => changeSide(now, state.side, move));
  return [
    {
      id: 'forward',
      title: 'One forward',
      keys: [']'],
      enabled,
      run: order('Forward', (list) => shift(list, isChosen, 1)),
    },
    {
      id: 'backward',
      title: 'One back',
      keys: ['['],
      enabled,
      run: order('Back', (list) => shift(list, isChosen, -1)),
    },
    {
      id: 'front',
      title: 'To the front',
      keys: ['}'],
      enabled,
      run: order('To the front', (list) => [...list.filter(isOther), ...list.filter(isChosen)]),
    },
    {
      id: 'bottom',
      title: 'To the very back',
      keys: ['{'],
      enabled,
      run: order('To the back', (list) => [...list.filter(isChosen), ...list.filter(isOther)]),
    },
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

/** The element from edge to edge of its box, or of a box for each axis. */
function filling(element: Element): Element {
  const whole = ({ of }: Axis): Axis => ({ start: 0, end: 0, ...(of && { of }) });
  const { x, y } = element.placement;
  return { ...element, placement: { ...element.placement, x: whole(x), y: whole(y) } };
}

/** Each chosen element one place further in a direction, past elements that are not chosen. */
function shift(list: readonly Element[], isChosen: (e: Element) => boolean, by: 1 | -1): readonly Element[] {
  const out = [...list];
  const indices = out.map((_, i) => i);
  for (const i of by === 1 ? indices.reverse() : indices) {
    const [here, there] = [out[i], out[i + by]];
    if (here && there && isChosen(here) && !isChosen(there)) [out[i], out[i + by]] = [there, here];
  }
  return out;
}
