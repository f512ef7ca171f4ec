import { cellId, elementsOn, withSide, withoutElements, type Axis, type Element } from '@/core/job';
import { toStep } from '@/core/layout';
import { isCalibrated, useBenchView } from '../bench/view';
import { moveBy } from '../bench/gestures';
import { alignSelection, distributeSelection } from '../job/arrange';
import { artElement, plainName } from '@/core/compose';
import { copyOf, duplicates, freshId, newElement, type Addable } from '../job/add-element';
import { outlined } from '../job/outlines';
import { withPlaceholder } from '../job/placeholder';
import { groupSelection, ungroupSelection } from '../job/groups';
import { STATIONS, pieceOf, type JobStore, type Station } from '../job/store';
import { tableCommands } from './table-commands';
import type { Desk } from '../job/use-desk';

/** Something a person can do, by name, by key, or both. */
export interface Command {
  readonly id: string;
  readonly title: string;
  readonly group: 'Go' | 'Add' | 'Table' | 'Edit' | 'Arrange' | 'Look';
  /** As `keyOf` writes it: `Ctrl+Z`, `Shift+ArrowUp`. */
  readonly keys: readonly string[];
  readonly enabled: boolean;
  readonly run: () => void;
}

export const STATION_WORDS: Readonly<Record<Station, string>> = {
  brief: 'Brief',
  size: 'Size',
  'lay-out': 'Lay out',
  finish: 'Finish',
  inspect: 'Inspect',
  output: 'Output',
};

/** Forms that are wanted less often, with the key of each. */
const MORE_FORMS: readonly (readonly [form: Addable, words: string, key?: string])[] = [
  ['polygon', 'a polygon'],
  ['star', 'a star'],
  ['arc', 'an arc'],
  ['arrow', 'an arrow', 'A'],
  ['ribbon', 'a ribbon', 'R'],
  ['bubble', 'a speech bubble'],
];

/** How a key press is written: modifiers in a fixed order, then the key. */
export function keyOf(event: {
  key: string;
  ctrlKey: boolean;
  metaKey: boolean;
  shiftKey: boolean;
  altKey: boolean;
}): string {
  const named = event.key.length === 1 ? event.key.toUpperCase() : event.key;
  // A sign that needs Shift to be typed is its own key.
  const shift = event.shiftKey && (event.key.length > 1 || /[A-Za-z]/.test(event.key));
  return [
    event.ctrlKey || event.metaKey ? 'Ctrl' : '',
    event.altKey ? 'Alt' : '',
    shift ? 'Shift' : '',
    named === ' ' ? 'Space' : named,
  ]
    .filter(Boolean)
    .join('+');
}

interface Surroundings {
  readonly store: JobStore;
  readonly desk: Desk;
  readonly openPalette: () => void;
  readonly choosePicture: () => void;
  readonly calibrate: () => void;
  readonly compare: () => void;
  readonly lookBeside: () => void;
  readonly copyTo: () => void;
  readonly addPrintable: () => void;
}

/** Commands that add a drawing of the client’s kit. */
export const ADD_LOGO = 'add-logo-';

/** Every command of the job page, in the order of the palette. */
export function commandsFor({
  store,
  desk,
  openPalette,
  choosePicture,
  calibrate,
  compare,
  lookBeside,
  copyTo,
  addPrintable,
}: Surroundings): readonly Command[] {
  const state = store.getState();
  const { selection, side, job, replace, select, type, show, go } = state;
  const view = useBenchView.getState();
  const { boxes } = desk.surface;
  const elements = elementsOn(pieceOf(job), side);
  const some = selection.length > 0;
  const one = selection.length === 1;
  const laysOut = state.station === 'lay-out';

  const withSideChanged = (change: (list: readonly Element[]) => readonly Element[]) => ({
    ...job,
    pieces: job.pieces.map((p, i) => (i === 0 ? withSide(p, side, change(elementsOn(p, side))) : p)),
  });
  const changeSide = (label: string, change: (list: readonly Element[]) => readonly Element[]) =>
    replace(label, withSideChanged(change));
  const add = (kind: Addable) => () => {
    go('lay-out');
    const element = newElement(kind, boxes);
    state.editSide(`Add ${kind}`, side, (list) => [...list, element]);
    select([element.id]);
    if (kind === 'text') type(element.id);
    if (kind === 'table') {
      const first = { row: 0, column: 0 };
      state.chooseCells({ from: first, to: first });
      type(cellId(element.id, first));
    }
  };
  const nudge = (dx: number, dy: number) => () =>
    replace('Nudge', moveBy(job, side, boxes, selection, toStep(dx * job.step, 1e-6), toStep(dy * job.step, 1e-6)));
  const order = (label: string, move: (list: readonly Element[]) => readonly Element[]) => () =>
    changeSide(label, move);
  const isChosen = (e: Element) => selection.includes(e.id);
  const next = (by: 1 | -1) => () => {
    if (elements.length === 0) return;
    const at = elements.findIndex((e) => e.id === selection.at(-1));
    const to = elements[(at + by + elements.length) % elements.length];
    if (to) select([to.id]);
  };
  const turn = (by: 1 | -1) => {
    const { surfaces } = desk.blank;
    const at = surfaces.findIndex((s) => s.name === side);
    const to = surfaces[(at + by + surfaces.length) % surfaces.length];
    if (to) show(to.name);
  };
  const chosen = elements.find((e) => one && isChosen(e));
  const zoomCentre = { x: view.width / 2, y: view.height / 2 };

  const command = (
    group: Command['group'],
    id: string,
    title: string,
    keys: readonly string[],
    run: () => void,
    enabled = true,
  ): Command => ({ group, id, title, keys, run, enabled });

  return [
    ...STATIONS.map((station, i) =>
      command('Go', `go-${station}`, STATION_WORDS[station], [`Alt+${i + 1}`], () => go(station)),
    ),
    ...desk.blank.surfaces.map(({ name }, i) =>
      command(
        'Go',
        `show-${name}`,
        `Show ${name.startsWith('page') || name.startsWith('month') ? name : `the ${name}`}`,
        i === 0 ? ['F'] : i === 1 ? ['B'] : [],
        () => show(name),
      ),
    ),
    command('Go', 'side-next', 'Next side or page', ['PageDown'], () => turn(1), desk.blank.surfaces.length > 1),
    command('Go', 'side-previous', 'Previous side or page', ['PageUp'], () => turn(-1), desk.blank.surfaces.length > 1),
    command('Go', 'compare', 'Compare with the version before', ['Shift+V'], compare, job.previous !== null),
    command('Go', 'beside', 'Versions kept beside this job', [], lookBeside),
    command('Go', 'copy-to', 'Copy the piece to another format', ['Shift+C'], copyTo),
    command('Go', 'palette', 'Find a command', ['/', 'Ctrl+K'], openPalette),

    command('Add', 'add-text', 'Add text', ['T'], add('text')),
    command('Add', 'add-table', 'Add a table', ['Shift+T'], add('table')),
    command('Add', 'add-printable', 'Add a printable: rulings, lists, calendars, tracing', ['N'], addPrintable),
    command('Add', 'add-picture', 'Add a picture, an SVG or a PDF page', ['P'], choosePicture),
    command('Add', 'add-frame', 'Add an empty picture frame', ['Shift+P'], add('picture')),
    command('Add', 'add-font', 'Bring in a font (TTF, OTF, WOFF2)', [], choosePicture),
    command('Add', 'add-rectangle', 'Add a box', ['X'], add('rectangle')),
    command('Add', 'add-ellipse', 'Add an oval', ['O'], add('ellipse')),
    command('Add', 'add-line', 'Add a line', ['L'], add('line')),
    command('Add', 'add-path', 'Add a path', ['Q'], () => {
      add('path')();
      state.editPath(store.getState().selection[0]);
    }),
    ...Object.entries(job.kit?.logos ?? {}).flatMap(([sha, asset]) =>
      asset.kind !== 'drawing'
        ? []
        : command('Add', `${ADD_LOGO}${sha}`, `Add ${plainName(asset.name)} of the kit`, [], () => {
            go('lay-out');
            const element = artElement(freshId(), sha, asset, asset, boxes);
            replace(`Add ${element.name}`, {
              ...withSideChanged((list) => [...list, element]),
              assets: { ...job.assets, [sha]: asset },
            });
            select([element.id]);
          }),
    ),
    ...MORE_FORMS.map(([form, words, key]) =>
      command('Add', `add-${form}`, `Add ${words}`, key ? [key] : [], add(form)),
    ),

    ...tableCommands(store, (id, title, keys, run, enabled) => command('Table', id, title, keys, run, enabled)),
    command('Edit', 'undo', 'Undo', ['Ctrl+Z'], () => void state.undo(), state.undoStack.length > 0),
    command('Edit', 'redo', 'Redo', ['Ctrl+Shift+Z', 'Ctrl+Y'], () => void state.redo(), state.redoStack.length > 0),
    command(
      'Edit',
      'placeholder',
      'Fill the selected text with placeholder words',
      [],
      () => chosen?.kind === 'text' && replace('Placeholder words', withPlaceholder(desk, chosen)),
      laysOut && chosen?.kind === 'text',
    ),
    command(
      'Edit',
      'outlines',
      'Turn the selected text into outlines',
      [],
      () => {
        if (chosen?.kind !== 'text') return;
        const { job: next, ids } = outlined(desk, chosen);
        replace('Outlines', next);
        select(ids);
      },
      laysOut && chosen?.kind === 'text',
    ),
    command(
      'Edit',
      'type',
      'Type in the selected text',
      ['Enter'],
      () => chosen && type(chosen.id),
      laysOut && chosen?.kind === 'text',
    ),
    command(
      'Edit',
      'select-all',
      'Select everything on this side',
      ['Ctrl+A'],
      () => select(elements.map((e) => e.id)),
      laysOut,
    ),
    command('Edit', 'select-next', 'Select the next element', ['Tab'], next(1), laysOut || state.station === 'finish'),
    command(
      'Edit',
      'select-previous',
      'Select the previous element',
      ['Shift+Tab'],
      next(-1),
      laysOut || state.station === 'finish',
    ),
    command(
      'Edit',
      'select-none',
      'Select nothing',
      ['Escape'],
      () => {
        state.pick(undefined);
        select([]);
      },
      some || state.picking !== undefined,
    ),
    command(
      'Edit',
      'group',
      'Group',
      ['Ctrl+G'],
      () => replace('Group', groupSelection(job, side, selection)),
      selection.length > 1,
    ),
    command(
      'Edit',
      'ungroup',
      'Ungroup',
      ['Ctrl+Shift+G'],
      () => replace('Ungroup', ungroupSelection(job, side, selection)),
      elements.some((e) => isChosen(e) && e.group !== null),
    ),
    command(
      'Edit',
      'edit-points',
      'Edit the points of a path',
      ['Shift+Enter'],
      () => chosen && state.editPath(chosen.id),
      laysOut && chosen?.kind === 'shape' && chosen.shape.form === 'path',
    ),
    command(
      'Edit',
      'move-content',
      'Move a picture’s content within its frame',
      ['Shift+F'],
      () => chosen && state.frame(chosen.id),
      laysOut && chosen?.kind === 'picture',
    ),
    command(
      'Edit',
      'duplicate',
      'Duplicate',
      ['Ctrl+D'],
      () => {
        const copies = duplicates(job, side, selection, desk.drawing.boxes);
        changeSide('Duplicate', (list) => [...list, ...copies]);
        select(copies.map((c) => c.id));
      },
      some,
    ),
    command(
      'Edit',
      'duplicate-here',
      'Duplicate in the same place',
      ['Ctrl+Shift+D'],
      () => {
        const copies = elements.filter(isChosen).map(copyOf);
        changeSide('Duplicate', (list) => [...list, ...copies]);
        select(copies.map((c) => c.id));
      },
      some,
    ),
    command(
      'Edit',
      'delete',
      'Delete',
      ['Delete', 'Backspace'],
      () => {
        replace('Delete', { ...job, pieces: job.pieces.map((p, i) => (i === 0 ? withoutElements(p, selection) : p)) });
        select([]);
      },
      some,
    ),
    ...(
      [
        ['Left', -1, 0],
        ['Right', 1, 0],
        ['Up', 0, -1],
        ['Down', 0, 1],
      ] as const
    ).flatMap(([name, dx, dy]) => [
      command(
        'Edit',
        `nudge-${name}`,
        `Nudge ${name.toLowerCase()} by a step`,
        [`Arrow${name}`],
        nudge(dx, dy),
        laysOut && some,
      ),
      command(
        'Edit',
        `nudge-far-${name}`,
        `Nudge ${name.toLowerCase()} by ten steps`,
        [`Shift+Arrow${name}`],
        nudge(dx * 10, dy * 10),
        laysOut && some,
      ),
    ]),

    command(
      'Arrange',
      'forward',
      'One forward',
      [']'],
      order('Forward', (list) => shift(list, isChosen, 1)),
      some,
    ),
    command(
      'Arrange',
      'backward',
      'One back',
      ['['],
      order('Back', (list) => shift(list, isChosen, -1)),
      some,
    ),
    command(
      'Arrange',
      'front',
      'To the front',
      ['}'],
      order('To the front', (list) => [...list.filter((e) => !isChosen(e)), ...list.filter(isChosen)]),
      some,
    ),
    command(
      'Arrange',
      'bottom',
      'To the very back',
      ['{'],
      order('To the back', (list) => [...list.filter(isChosen), ...list.filter((e) => !isChosen(e))]),
      some,
    ),
    command(
      'Arrange',
      'fill-box',
      'Fill the box it stands in',
      ['W'],
      () => changeSide('Fill its box', (list) => list.map((e) => (isChosen(e) ? filling(e) : e))),
      some,
    ),
    ...(['left', 'centre', 'right', 'top', 'middle', 'bottom'] as const).map((edge) =>
      command(
        'Arrange',
        `align-${edge}`,
        `Align ${edge} on the trim`,
        [],
        () => replace(`Align ${edge}`, alignSelection(desk, selection, { box: 'trim' }, edge)),
        some,
      ),
    ),
    command(
      'Arrange',
      'gaps-across',
      'Equal gaps across',
      [],
      () => replace('Equal gaps across', distributeSelection(desk, selection, 'x', undefined)),
      selection.length > 2,
    ),
    command(
      'Arrange',
      'gaps-down',
      'Equal gaps down',
      [],
      () => replace('Equal gaps down', distributeSelection(desk, selection, 'y', undefined)),
      selection.length > 2,
    ),

    command('Look', 'zoom-in', 'Closer', ['+', '='], () => view.zoomAt(1.25, zoomCentre)),
    command('Look', 'zoom-out', 'Further', ['-'], () => view.zoomAt(0.8, zoomCentre)),
    command('Look', 'fit', 'Whole piece', ['0'], () => view.fit(boxes.bleed)),
    // The first time, a ruler says how large this screen’s pixels are.
    command('Look', 'true-size', 'True size', ['1'], () =>
      isCalibrated() ? view.atTrueSize(boxes.trim) : calibrate(),
    ),
    command('Look', 'calibrate', 'Measure the screen with a ruler', [], calibrate),
    command(
      'Look',
      'folded',
      state.folded ? 'Show it flat' : 'Show it folded (Size)',
      ['D'],
      () => {
        if (state.station !== 'size') go('size');
        state.setFolded(!state.folded);
      },
      desk.blank.folding !== undefined,
    ),
    command('Look', 'guides', view.guides ? 'Hide all guides' : 'Show the guides', ['G'], () => view.toggle('guides')),
    command(
      'Look',
      'trimmed',
      view.trimmed ? 'Show edges and bleed (Inspect)' : 'Hide edges and bleed (Inspect)',
      ['H'],
      () => {
        if (state.station !== 'inspect') go('inspect');
        view.toggle('trimmed');
      },
    ),
  ];
}

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
