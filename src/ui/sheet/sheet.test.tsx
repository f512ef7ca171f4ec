/** The yellow sheet: it lists what is in the job, what is changed there is changed in the job, and undo undoes it. */
import { onPage, type OnPage } from '@/testing/page';
import { act, screen, within } from '@testing-library/react';
import type { Finding } from '@/core/check';
import { elementsOn, type Element, type Job } from '@/core/job';
import { handOf } from '@/testing/hand';
import { begin, box, makeJob, words } from '@/testing/jobs';
import { Checks } from './Checks';
import { GridList } from './GridList';
import { GuideList } from './GuideList';
import { MeasureList } from './MeasureList';
import { SheetLine } from './SheetLine';
import { SideContents } from './SideContents';
import { StyleList } from './StyleList';
import { useDesk } from '../open-job/use-desk';

/** A part of the sheet, opened where it has a fold. */
async function sheetOf(part: React.ReactNode, job: Job, at: Parameters<typeof onPage>[2] = {}, fold?: RegExp) {
  const page = await onPage(part, job, at);
  const hand = handOf();
  if (fold) await hand.press(fold);
  return { ...page, ...hand };
}

async function undone({ store }: Pick<OnPage, 'store'>, before: Job): Promise<void> {
  await act(async () => {
    while (store.getState().undoStack.length > 0) await store.getState().undo();
  });
  expect(JSON.stringify(store.getState().job)).toBe(JSON.stringify(before));
}

const labels = ({ store }: Pick<OnPage, 'store'>) =>
  store.getState().undoStack.flatMap((step) => ('job' in step ? [step.label] : []));

describe('measures', () => {
  const job = makeJob(
    [
      box('b', [0, 0, 5, 5], {
        placement: { against: { box: 'trim' }, x: { start: { measure: 'm' }, size: 5 }, y: { start: 0, size: 5 } },
      }),
    ],
    {
      measures: [
        { id: 'm', name: 'edge', value: 14 },
        { id: 'n', name: 'gap', value: 3 },
      ],
    },
  );

  test('a measure has a name of its own with a letter in it, and a value that everything follows', async () => {
    const sheet = await sheetOf(<MeasureList />, job, {}, /^Measures/);
    expect(sheet.field('name').value).toBe('edge');
    await sheet.write('name', 'gap');
    expect(sheet.refusal('name')).toContain('Another measure is called so.');
    await sheet.write('name', '12');
    expect(sheet.refusal('name')).toContain('A name has letters in it.');
    await sheet.write('name', 'edge distance');
    expect(sheet.job().measures.map((m) => m.name)).toEqual(['edge distance', 'gap']);
    // The one that nothing uses says so.
    expect(sheet.field('name (not used)').value).toBe('gap');
    await undone(sheet, job);
  });

  test('one that is taken off leaves its length behind; a new one has a free name', async () => {
    const sheet = await sheetOf(<MeasureList />, job, {}, /^Measures/);
    await sheet.press('Remove edge; what uses it keeps its length');
    const [piece] = sheet.job().pieces;
    expect(piece && elementsOn(piece, 'front')[0]?.placement.x.start).toBe(14);
    await sheet.press('Add a measure');
    expect(new Set(sheet.job().measures.map((m) => m.name)).size).toBe(2);
    await undone(sheet, job);
  });
});

describe('grids and guides', () => {
  test('a box is divided, its columns counted, its frames laid, and the grid taken off again', async () => {
    const job = makeJob();
    const sheet = await sheetOf(<GridList />, job, {}, /^Grids/);
    await sheet.press('Divide a box');
    expect(sheet.job().pieces[0]?.grids).toMatchObject([{ name: 'grid 1', columns: 3, in: { box: 'safe' } }]);
    await sheet.write('columns', '2', 'grid 1');
    await sheet.write('columns', '0', 'grid 1');
    expect(sheet.refusal('columns', 'grid 1')).toContain('A whole number from 1 to 100 is wanted.');
    await sheet.press('Frame in each cell');
    const [piece] = sheet.job().pieces;
    expect(piece && elementsOn(piece, 'front').map((e) => e.kind)).toEqual(['picture', 'picture']);
    expect(sheet.store.getState().selection).toHaveLength(2);
    await sheet.press('Remove', 'grid 1');
    expect(sheet.job().pieces[0]?.grids).toEqual([]);
    expect(labels(sheet)).toEqual(['Divide a box', 'Grid', 'Frames in every cell', 'Remove grid']);
    await undone(sheet, job);
  });

  test('a guide stands at a distance, in the middle or at every part', async () => {
    const job = makeJob();
    const sheet = await sheetOf(<GuideList />, job, {}, /^Guides/);
    await sheet.press('Add a guide');
    expect(sheet.job().pieces[0]?.guides).toMatchObject([{ axis: 'x', at: { how: 'from-start', distance: 10 } }]);
    await sheet.choose('stands', 'at every part');
    expect(sheet.job().pieces[0]?.guides).toMatchObject([{ at: { how: 'parts', parts: 4 } }]);
    await undone(sheet, job);
  });

  test('a baseline grid is there or not', async () => {
    const sheet = await sheetOf(<GridList />, makeJob(), {}, /^Grids/);
    await sheet.tick('baseline grid');
    expect(sheet.job().pieces[0]?.baselineGrid).toEqual({ first: 10, stepPt: 12 });
    await sheet.tick('baseline grid');
    expect(sheet.job().pieces[0]?.baselineGrid).toBeNull();
  });
});

describe('what lies on a side', () => {
  const front: readonly Element[] = [
    box('low', [0, 0, 20, 20]),
    words('title', 'Clear skies over the moor', [0, 30, 80, 20]),
  ];
  const names = () => screen.getAllByRole('button', { pressed: false }).map((b) => b.textContent);

  test('the uppermost is the first; found by a word in it, and chosen by Enter', async () => {
    const sheet = await sheetOf(<SideContents />, makeJob(front), {}, /^On this side/);
    expect(names().slice(0, 2)).toEqual(['title', 'low']);
    const find = screen.getByRole('textbox', { name: 'Find an element' });
    await sheet.user.click(find);
    await sheet.user.paste('SKIES');
    expect(names()).toEqual(['title']);
    await sheet.user.keyboard('{Enter}');
    expect(sheet.store.getState().selection).toEqual(['title']);
    await sheet.user.clear(find);
    await sheet.user.paste('nobody');
    expect(screen.getByText('Nothing here is called so or says so.')).toBeTruthy();
  });

  test('layers are added, named, hidden, locked, moved and taken off; the last one stays', async () => {
    const job = makeJob(front);
    const sheet = await sheetOf(<SideContents />, job, {}, /^On this side/);
    const layers = () => sheet.job().pieces[0]?.layers.map((l) => l.name);
    expect(screen.queryByRole('button', { name: /^Remove/ })).toBeNull();
    await sheet.press('Add a layer');
    await sheet.write('layer', 'Notes', 'Layer 2');
    expect(layers()).toEqual(['Artwork', 'Notes']);
    await sheet.tick('locked', 'Notes');
    await sheet.tick('shown', 'Notes');
    expect(sheet.job().pieces[0]?.layers[1]).toMatchObject({ locked: true, hidden: true });
    await sheet.press('Move Artwork up');
    expect(layers()).toEqual(['Notes', 'Artwork']);
    await sheet.press('Remove Artwork; what is on it goes to the layer below');
    expect(layers()).toEqual(['Notes']);
    const [piece] = sheet.job().pieces;
    expect(new Set(piece && elementsOn(piece, 'front').map((e) => e.layer))).toEqual(new Set([piece?.layers[0]?.id]));
    await undone(sheet, job);
  });
});

test('styles are made, based on each other, set in one line, and taken off; what they said stays', async () => {
  const job = makeJob();
  const sheet = await sheetOf(<StyleList />, job, {}, /^Styles/);
  await sheet.press('Add a paragraph style');
  await sheet.write('set in', 'Lora 10/13');
  const [first] = sheet.job().styles;
  expect(first?.look).toMatchObject({ family: 'Lora', sizePt: 10, leadingPt: 13 });
  await sheet.press('Add a paragraph style');
  expect(sheet.job().styles[1]).toMatchObject({ basedOn: first?.id, look: {} });
  const [, second] = screen.getAllByRole('group', { name: /^style / });
  if (!second) throw new Error('no second style');
  await sheet.press(`Remove ${first?.name ?? ''}; what is in it keeps its look`);
  expect(sheet.job().styles).toHaveLength(1);
  expect(sheet.job().styles[0]?.look).toMatchObject({ family: 'Lora', sizePt: 10 });
  await undone(sheet, job);
});

describe('a figure', () => {
  function Bleed() {
    const { blank, job } = useDesk();
    const figure = blank.figures.find((f) => f.id === 'bleed');
    return figure ? <SheetLine figure={figure} unit={job.unit} /> : null;
  }

  test('shows its working, takes a value by hand in any unit, and gives it back', async () => {
    const job = begin('flyer');
    const sheet = await sheetOf(<Bleed />, job);
    const line = screen.getByRole('button', { name: /^Bleed/ });
    expect(line.textContent).toContain('3 mm');
    await sheet.user.click(line);
    expect(line.getAttribute('aria-expanded')).toBe('true');
    await sheet.write('Set by hand instead', '1/4 in');
    expect(sheet.job().pieces[0]?.bleed).toMatchObject({ top: 6.35, left: 6.35 });
    expect(screen.getByText('set by hand')).toBeTruthy();
    await sheet.press('Take back');
    expect(sheet.job().pieces[0]?.bleed).toBeUndefined();
    await undone(sheet, job);
  });
});

describe('checks', () => {
  const finding = (i: number, more: Partial<Finding> = {}): Finding => ({
    rule: 'type-small',
    severity: 'warning',
    piece: 'flyer',
    surface: 'front',
    element: 'title',
    where: { x: 0, y: 0, width: 1, height: 1 },
    message: `Too small, ${i}.`,
    why: 'It cannot be read.',
    fixes: [],
    ...more,
  });
  const front = [words('title', 'Clear skies', [0, 30, 80, 20], { sizePt: 4 })];

  test('with nothing found the piece is ready', async () => {
    await sheetOf(<Checks />, makeJob(front));
    expect(screen.getByRole('status').textContent).toContain('Ready for the press.');
  });

  test('three kinds are shown, each with how many more there are of it; the others lead to Inspect', async () => {
    const findings = ['type-small', 'rgb-left', 'line-thin', 'trap'].flatMap((rule, kind) =>
      [1, 2].map((n) => finding(kind * 10 + n, { rule })),
    );
    const sheet = await sheetOf(<Checks />, makeJob(front), { findings });
    const section = screen.getByRole('region', { name: 'Checks' });
    expect(within(section).getAllByText(/Too small/)).toHaveLength(3);
    expect(within(section).getAllByRole('button', { name: 'and 1 more' })).toHaveLength(3);
    await sheet.press('2 more under Inspect');
    expect(sheet.store.getState().station.id).toBe('inspect');
  });

  test('a press leads to the thing, and its fix mends it', async () => {
    const [title] = front;
    if (!title) throw new Error('no title');
    const mended = { ...title, look: { ...title.look, sizePt: 8 } };
    const fixes = [{ label: 'Set it in 8 pt', change: { kind: 'element', element: mended } as const }];
    const sheet = await sheetOf(<Checks />, makeJob(front), { findings: [finding(1, { fixes })] });
    await sheet.press(/title/);
    expect(sheet.store.getState().selection).toEqual(['title']);
    await sheet.press('Set it in 8 pt');
    const [piece] = sheet.job().pieces;
    expect(piece && elementsOn(piece, 'front')[0]).toMatchObject({ look: { sizePt: 8 } });
    expect(labels(sheet)).toEqual(['Set it in 8 pt']);
  });
});
