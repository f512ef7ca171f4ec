import { artElement, plainName } from '@/core/compose';
import { cellId, elementsOn, FORM_KINDS, formKind } from '@/core/job';
import {
  added,
  boundsOf,
  changeSide,
  freshId,
  landingOn,
  newElement,
  pieceOf,
  styleUsedIn,
  type Addable,
} from '@/core/edit';
import { centreOf, type Landing } from '@/core/layout';
import { lookedAt } from '../view/bench-view';
import { inGroup, type Command, type Entry } from '../open-job/command';
import type { CommandContext, Present } from './context';

/** Commands that add a drawing of the client’s kit. */
export const ADD_LOGO = 'add-logo-';

/** What can be laid on the side that is shown. */
export function addCommands(context: CommandContext, present: Present): readonly Command[] {
  const { choosePicture, addPrintable } = context;
  const add = (kind: Addable) => () => addTo(context, present, kind);
  return inGroup('Add', [
    { id: 'add-text', title: 'Add text', keys: ['T'], run: add('text') },
    { id: 'add-table', title: 'Add a table', keys: ['Shift+T'], run: add('table') },
    {
      id: 'add-printable',
      title: 'Add a printable: rulings, lists, calendars, tracing',
      keys: ['N'],
      run: addPrintable,
    },
    { id: 'add-picture', title: 'Add a picture, an SVG or a PDF page', keys: ['P'], run: choosePicture },
    { id: 'add-frame', title: 'Add an empty picture frame', keys: ['Shift+P'], run: add('picture') },
    { id: 'add-code', title: 'Add a code: QR, EAN, UPC, ITF, Code 128, Data Matrix', run: add('code') },
    { id: 'add-font', title: 'Bring in a font (TTF, OTF, WOFF2)', run: choosePicture },
    { id: 'add-line', title: 'Add a line', keys: ['L'], run: add('line') },
    ...FORM_KINDS.map((form) => {
      const { words, key } = formKind(form);
      return { id: `add-${form}`, title: `Add ${words}`, keys: key === undefined ? [] : [key], run: add(form) };
    }),
    ...logoEntries(context, present),
  ]);
}

/** Where what is added lands: in the panel that is looked at, or that the selection is on. */
const landing = ({ desk }: CommandContext, { state }: Present): Landing => {
  const chosen = desk.drawing.frames.filter((f) => state.selection.includes(f.element));
  return landingOn(
    desk.drawing,
    lookedAt() ?? (isFolded(desk) && chosen.length > 0 ? centreOf(boundsOf(chosen)) : undefined),
  );
};

const isFolded = ({ drawing }: CommandContext['desk']): boolean => drawing.boxes.panels.length > 1;

function addTo(context: CommandContext, present: Present, kind: Addable): void {
  const { state } = present;
  const there = landing(context, present);
  state.goWhere('opens');
  const { drawing } = context.desk;
  const style = styleUsedIn(there, drawing, elementsOn(pieceOf(state.job), state.side));
  const element = newElement(kind, drawing.boxes, there, style);
  state.make(`Add ${kind}`, (now) => added(now, state.side, [element]));
  if (kind === 'text') state.type(element.id);
  if (kind === 'path') state.editPath(element.id);
  if (kind === 'table') {
    const first = { row: 0, column: 0 };
    state.chooseCells({ from: first, to: first });
    state.type(cellId(element.id, first));
  }
}

/** The drawings of the client’s kit. */
const logoEntries = (context: CommandContext, present: Present): readonly Entry[] =>
  Object.entries(present.state.job.kit?.logos ?? {}).flatMap(([sha, asset]) => {
    if (asset.kind !== 'drawing') return [];
    const run = () => {
      const { state } = present;
      const there = landing(context, present);
      state.goWhere('opens');
      const element = artElement(freshId(), sha, asset, asset, context.desk.drawing.boxes, there);
      state.change(`Add ${element.name}`, (job) => ({
        ...changeSide(job, state.side, (list) => [...list, element]),
        assets: { ...job.assets, [sha]: asset },
      }));
      state.select([element.id]);
    };
    return { id: `${ADD_LOGO}${sha}`, title: `Add ${plainName(asset.name)} of the kit`, run };
  });
