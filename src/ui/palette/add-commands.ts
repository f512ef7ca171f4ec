import { artElement, plainName } from '@/core/compose';
import { cellId, FORM_KINDS, formKind } from '@/core/job';
import { added, changeSide, freshId, newElement, type Addable } from '@/core/edit';
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
    { id: 'add-font', title: 'Bring in a font (TTF, OTF, WOFF2)', run: choosePicture },
    { id: 'add-line', title: 'Add a line', keys: ['L'], run: add('line') },
    ...FORM_KINDS.map((form) => {
      const { words, key } = formKind(form);
      return { id: `add-${form}`, title: `Add ${words}`, keys: key === undefined ? [] : [key], run: add(form) };
    }),
    ...logoEntries(context, present),
  ]);
}

function addTo({ desk }: CommandContext, { state }: Present, kind: Addable): void {
  state.goWhere('opens');
  const element = newElement(kind, desk.surface.boxes);
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
const logoEntries = ({ desk }: CommandContext, { state }: Present): readonly Entry[] =>
  Object.entries(state.job.kit?.logos ?? {}).flatMap(([sha, asset]) => {
    if (asset.kind !== 'drawing') return [];
    const run = () => {
      state.goWhere('opens');
      const element = artElement(freshId(), sha, asset, asset, desk.surface.boxes);
      state.change(`Add ${element.name}`, (job) => ({
        ...changeSide(job, state.side, (list) => [...list, element]),
        assets: { ...job.assets, [sha]: asset },
      }));
      state.select([element.id]);
    };
    return { id: `${ADD_LOGO}${sha}`, title: `Add ${plainName(asset.name)} of the kit`, run };
  });
