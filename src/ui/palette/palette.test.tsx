/** Commands: found by name, run by key, and every change that they make can be undone exactly. */
import { onPage, type OnPage } from '@/testing/page';
import { act, screen, waitFor } from '@testing-library/react';
import fc from 'fast-check';
import { useEffect, useState } from 'react';
import { elementsOn, tableOfWords, type Element, type Job } from '@/core/job';
import { box, element, makeJob, shape, words } from '@/testing/jobs';
import { useDesk, type Desk } from '../open-job/use-desk';
import { useJobStore } from '../open-job/context';
import type { Command } from '../open-job/command';
import { AddBar } from './AddBar';
import { commandsFor } from './commands';
import { Palette } from './Palette';

/** What commands open beside the job is noted, not opened. */
const opened: string[] = [];
const note = (name: string) => () => void opened.push(name);

function commandsOf(store: OnPage['store'], desk: Desk): readonly Command[] {
  return commandsFor({
    store,
    desk,
    openPalette: note('palette'),
    choosePicture: note('picture'),
    calibrate: note('ruler'),
    compare: note('versions'),
    lookBeside: note('beside'),
    copyTo: note('copy'),
    search: note('search'),
    addPrintable: note('printable'),
  });
}

/** What is drawn by now. */
const seen: { desk?: Desk } = {};

/** Keeps it for the commands. */
function Drawn() {
  const desk = useDesk();
  useEffect(() => {
    seen.desk = desk;
  }, [desk]);
  return null;
}

/** The commands that there are by now. */
function commandsNow(store: OnPage['store']): readonly Command[] {
  if (!seen.desk) throw new Error('nothing is drawn');
  return commandsOf(store, seen.desk);
}

const FRONT: readonly Element[] = [
  box('low', [10, 10, 30, 20]),
  shape('star', [60, 40, 20, 20], { form: 'star' }),
  words('title', 'Clear skies', [10, 100, 100, 20]),
  element<'table'>({
    kind: 'table',
    id: 'times',
    ...tableOfWords([
      ['20:30', 'Gates'],
      ['21:00', 'Talk'],
    ]),
    placement: { against: { box: 'trim' }, x: { start: 10, size: 80 }, y: { start: 140, size: 30 } },
  }),
];

const page = (selection: readonly string[] = []) => onPage(<Drawn />, makeJob(FRONT), { selection });

test.each([[[]], [['low']], [['title']], [['low', 'star']]])(
  'with %j selected, a key leads to one command that is possible, and no two are called the same',
  async (selection) => {
    const { store } = await page(selection);
    const commands = commandsNow(store).filter((c) => c.enabled);
    const keys = commands.flatMap((c) => c.keys);
    expect(keys.filter((key, i) => keys.indexOf(key) !== i)).toEqual([]);
    const titles = commands.map((c) => c.title);
    expect(titles.filter((title, i) => titles.indexOf(title) !== i)).toEqual([]);
  },
);

/** Commands that change the job, or what is chosen of it. */
const CHANGING = new RegExp(
  '^(add-|group|ungroup|duplicate|delete|nudge|align|gaps|forward|backward|front|bottom|fill-box|select|' +
    'outlines|placeholder|row-|column-)',
);

test('any sequence of commands, undone, gives back the very job', async () => {
  const { store, job } = await page();
  const start = JSON.stringify(job());
  const picks = fc.array(fc.tuple(fc.nat(200), fc.subarray(['low', 'star', 'title', 'times'])), { maxLength: 8 });
  await fc.assert(
    fc.asyncProperty(picks, async (sequence) => {
      for (const [pick, selection] of sequence) {
        const there = new Set(store.getState().job.pieces.flatMap((p) => elementsOn(p, 'front').map((e) => e.id)));
        act(() => store.getState().select(selection.filter((id) => there.has(id))));
        const possible = commandsNow(store).filter((c) => c.enabled && CHANGING.test(c.id));
        const command = possible[pick % possible.length];
        act(() => command?.run());
        act(() => {
          store.getState().type(undefined);
          store.getState().editPath(undefined);
        });
      }
      await act(async () => {
        while (store.getState().undoStack.length > 0) await store.getState().undo();
      });
      expect(JSON.stringify(store.getState().job)).toBe(start);
    }),
    { numRuns: 25 },
  );
}, 120_000);

describe('what a command does', () => {
  const run = async (id: string, selection: readonly string[]): Promise<Job> => {
    const { store, job } = await page(selection);
    const command = commandsNow(store).find((c) => c.id === id);
    if (!command) throw new Error(`no ${id}`);
    expect(command.enabled).toBe(true);
    act(() => command.run());
    return job();
  };
  const order = (job: Job) => job.pieces.flatMap((p) => elementsOn(p, 'front').map((e) => e.id));

  test.each([
    ['forward', ['low'], ['star', 'low', 'title', 'times']],
    ['front', ['low'], ['star', 'title', 'times', 'low']],
    ['backward', ['title'], ['low', 'title', 'star', 'times']],
    ['bottom', ['times'], ['times', 'low', 'star', 'title']],
    ['delete', ['low', 'title'], ['star', 'times']],
  ] as const)('%s', async (id, selection, after) => {
    expect(order(await run(id, selection))).toEqual(after);
  });

  test('a nudge goes by the step of the job, a far one by ten', async () => {
    const at = (job: Job) => job.pieces[0] && elementsOn(job.pieces[0], 'front')[0]?.placement.x.start;
    expect(at(await run('nudge-Right', ['low']))).toBe(10.5);
    expect(at(await run('nudge-far-Right', ['low']))).toBe(15);
  });

  test('with nothing selected, what needs something cannot be run', async () => {
    const { store } = await page();
    const commands = commandsNow(store);
    for (const id of ['delete', 'duplicate', 'group', 'align-left', 'front'])
      expect(commands.find((c) => c.id === id)?.enabled).toBe(false);
  });
});

describe('the palette', () => {
  function Opened() {
    const store = useJobStore();
    const drawn = useDesk();
    const [open, setOpen] = useState(true);
    return <Palette open={open} commands={() => commandsOf(store, drawn)} onClose={() => setOpen(false)} />;
  }

  test('finds by a part of a name, and Enter runs what is lit', async () => {
    const { user, job } = await onPage(<Opened />, makeJob(FRONT), { selection: ['star'] });
    await user.click(screen.getByRole('combobox'));
    await user.paste('very back');
    expect(screen.getAllByRole('option').map((o) => o.textContent)).toEqual(['To the very back{']);
    await user.keyboard('{Enter}');
    await waitFor(() => expect(order(job())[0]).toBe('star'));
    expect(screen.queryByRole('option')).toBeNull();
  });

  test('says that there is no such command', async () => {
    const { user } = await onPage(<Opened />, makeJob(FRONT));
    await user.click(screen.getByRole('combobox'));
    await user.paste('make coffee');
    expect(screen.getByText('No command of that name')).toBeTruthy();
  });

  const order = (job: Job) => job.pieces.flatMap((p) => elementsOn(p, 'front').map((e) => e.id));
});

test('the bar adds every form of shape, and each lies above the others and is selected', async () => {
  function Bar() {
    const store = useJobStore();
    const drawn = useDesk();
    return <AddBar commands={() => commandsOf(store, drawn)} />;
  }
  const { user, store, job } = await onPage(<Bar />, makeJob(FRONT));
  for (const name of ['Arrow', 'Ribbon', 'Star', 'Polygon', 'Ring', 'Arc', 'Speech bubble']) {
    await user.click(screen.getByRole('button', { name: 'More' }));
    await user.click(screen.getByRole('menuitem', { name }));
    const [piece] = job().pieces;
    const last = piece && elementsOn(piece, 'front').at(-1);
    expect(last).toMatchObject({ kind: 'shape' });
    expect(store.getState().selection).toEqual([last?.id]);
  }
});
