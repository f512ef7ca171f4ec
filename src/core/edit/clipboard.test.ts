import { box, makeJob, words } from '../../testing/jobs';
import { blankOf, elementsOn, plainText, readJob, type Element, type Job } from '../job';
import { solveLayout, type SurfaceBoxes } from '../layout';
import { Copied, copied, pasted, pastedText, rowsIn } from './clipboard';
import { pieceOf } from './on-side';

/** The boxes of the front, with everything on it placed. */
function boxesOf(job: Job): SurfaceBoxes {
  const surface = blankOf(job, pieceOf(job)).surfaces[0];
  if (!surface) throw new Error('no surface');
  const layout = { side: 'front', elements: onFront(job), grids: [], groups: [], guides: [] };
  return solveLayout(surface.boxes, layout, { name: (e) => e.name, size: () => 10, tracks: () => undefined });
}

const onFront = (job: Job) => elementsOn(pieceOf(job), 'front');

function copiedFrom(job: Job, ...ids: string[]): Copied {
  const what = copied(job, 'front', ids, boxesOf(job));
  if (!what) throw new Error('nothing was chosen');
  // On the clipboard it is text.
  return Copied.parse(JSON.parse(JSON.stringify(what)));
}

const INK = { name: 'Moon silver', finish: 'metallic' as const, c: 0, m: 0, y: 0, k: 30 };
const SMALL = { id: 'small', name: 'Small', of: 'paragraph' as const, basedOn: null, next: null, look: { sizePt: 7 } };
const band = box('band', [10, 20, 60, 30], {
  fill: { kind: 'spot', c: 0, m: 0, y: 0, k: 0, spots: [{ ink: 'Moon silver', tint: 100 }] },
});
const label: Element = {
  ...words('label', 'Bring a blanket.', [0, 0, 40, 8]),
  style: 'small',
  placement: {
    ...band.placement,
    against: { box: 'element', element: 'band', part: 'whole' },
    x: { start: 2, size: { measure: 'gap', times: 5 } },
    y: { start: 1, size: 8 },
  },
};
const SOURCE = makeJob([band, label], {
  inks: [INK],
  styles: [SMALL],
  measures: [{ id: 'gap', name: 'gap', value: 4 }],
});

test('in another job they stand where they stood, held by each other, with what they need', () => {
  const target = makeJob([]);
  const { job, ids } = pasted(target, 'front', copiedFrom(SOURCE, 'band', 'label'), boxesOf(target));
  const [a, b] = onFront(job);
  expect(ids).toEqual([a?.id, b?.id]);
  expect(ids).not.toContain('band');
  expect(a?.placement).toEqual(band.placement);
  expect(b?.placement).toMatchObject({
    against: { box: 'element', element: a?.id, part: 'whole' },
    // The measure is not here: the length that it was.
    x: { start: 2, size: 20 },
  });
  expect(job.inks).toEqual([INK]);
  expect(job.styles).toEqual([SMALL]);
  expect(readJob(JSON.parse(JSON.stringify(job))).ok).toBe(true);
});

test('what the job has under the same name is used', () => {
  const mine = { ...SMALL, id: 'mine', name: 'small', look: { sizePt: 8 } };
  const target = makeJob([], { styles: [mine], inks: [{ ...INK, k: 50 }], measures: SOURCE.measures });
  const { job } = pasted(target, 'front', copiedFrom(SOURCE, 'band', 'label'), boxesOf(target));
  expect(job.styles).toEqual([mine]);
  expect(job.inks).toEqual([{ ...INK, k: 50 }]);
  const text = onFront(job)[1];
  expect(text).toMatchObject({ style: 'mine', placement: { x: { size: { measure: 'gap', times: 5 } } } });
});

test('what it stood against and is not here: it stands where it stood, against the trim', () => {
  const target = makeJob([], { styles: [SMALL] });
  const what = copiedFrom(SOURCE, 'label');
  const { job } = pasted(target, 'front', what, boxesOf(target));
  expect(onFront(job)[0]?.placement).toMatchObject({
    against: { box: 'trim' },
    x: { start: 12, size: 20 },
    y: { start: 21, size: 8 },
  });
});

test('on its own side a copy lies a little further down, and again where its original was taken away', () => {
  const what = copiedFrom(SOURCE, 'band');
  const { job } = pasted(SOURCE, 'front', what, boxesOf(SOURCE));
  expect(onFront(job)[2]?.placement).toMatchObject({ x: { start: 15 }, y: { start: 25 } });
  const emptied = { ...SOURCE, pieces: makeJob([]).pieces };
  expect(onFront(pasted(emptied, 'front', what, boxesOf(emptied)).job)[0]?.placement).toEqual(band.placement);
});

test('groups and threads are those of the copies, and of nothing that was left behind', () => {
  const chain = [
    { ...words('one', 'A long story', [0, 0, 9, 9]), group: 'g' },
    { ...words('two', '', [0, 20, 9, 9], {}, { after: 'one' }), group: 'g' },
  ] as readonly Element[];
  const row = { axis: 'x' as const, in: { box: 'safe' as const }, gap: 'equal' as const, from: 'start' as const };
  const source = makeJob(chain, {}, { groups: [{ id: 'g', name: 'Story', row }] });
  const target = makeJob([]);
  const after = pasted(target, 'front', copiedFrom(source, 'one', 'two'), boxesOf(target)).job;
  const whole = onFront(after);
  expect(pieceOf(after).groups).toEqual([{ id: whole[0]?.group, name: 'Story', row }]);
  expect(whole[0]?.group).toBe(whole[1]?.group);
  expect(whole[0]?.group).not.toBe('g');
  expect(whole[1]).toMatchObject({ after: whole[0]?.id });
  const half = onFront(pasted(target, 'front', copiedFrom(source, 'two'), boxesOf(target)).job);
  expect(half[0]).toMatchObject({ after: null });
});

test('what clips a thing and was left behind clips it no more', () => {
  const clipped = { ...box('b', [0, 0, 9, 9]), clipTo: 'star' } as Element;
  const source = makeJob([box('star', [0, 0, 20, 20]), clipped]);
  const target = makeJob([]);
  const alone = pasted(target, 'front', copiedFrom(source, 'b'), boxesOf(target)).job;
  expect(onFront(alone)[0]).toMatchObject({ clipTo: null });
  const both = onFront(pasted(target, 'front', copiedFrom(source, 'star', 'b'), boxesOf(target)).job);
  expect(both[1]).toMatchObject({ clipTo: both[0]?.id });
});

test('what a page has from its base layout is copied as its own', () => {
  const inherited = { ...band, id: 'band@page-2' };
  const held = {
    ...label,
    id: 'label@page-2',
    placement: { ...label.placement, against: { box: 'element', element: 'band@page-2', part: 'whole' } },
  } as Element;
  const source = { ...SOURCE, pieces: SOURCE.pieces.map((p) => ({ ...p, surfaces: { front: [inherited, held] } })) };
  const what = copiedFrom(source, 'band@page-2', 'label@page-2');
  const target = makeJob([]);
  const { job } = pasted(target, 'front', what, boxesOf(target));
  const [a, b] = onFront(job);
  expect(b?.placement.against).toEqual({ box: 'element', element: a?.id, part: 'whole' });
  expect(readJob(JSON.parse(JSON.stringify(job))).ok).toBe(true);
  // And on its own page it does not lie on its original.
  expect(onFront(pasted(source, 'front', what, boxesOf(source)).job)[2]?.placement).toMatchObject({ x: { start: 15 } });
});

describe('text from elsewhere', () => {
  const paste = (job: Job, text: string, ...selection: string[]) =>
    pastedText(job, 'front', text, selection, boxesOf(job));

  test('is a text, a paragraph a line', () => {
    const { job, ids } = paste(makeJob([]), 'Gates open\r\nat dusk\n');
    const [made] = onFront(job);
    expect([made?.id]).toEqual(ids);
    expect(made?.kind === 'text' && plainText(made.paragraphs)).toBe('Gates open\nat dusk');
  });

  test('rows with tabs are a table, and fill the one that is selected', () => {
    const first = paste(makeJob([]), '20:30\tGates\n21:00\tTalk\n');
    const cells = (job: Job) =>
      onFront(job).map((e) => e.kind === 'table' && e.rows.map((r) => r.content.map((c) => plainText(c.paragraphs))));
    expect(cells(first.job)).toEqual([
      [
        ['20:30', 'Gates'],
        ['21:00', 'Talk'],
      ],
    ]);
    const second = paste(first.job, 'a\tb\tc', ...first.ids);
    expect(cells(second.job)).toEqual([[['a', 'b', 'c']]]);
    expect(second.ids).toEqual(first.ids);
  });

  test.each([
    [
      'a\tb\r\nc\td\r\n',
      [
        ['a', 'b'],
        ['c', 'd'],
      ],
    ],
    ['one line', undefined],
    ['two\nlines', undefined],
  ])('%j', (text, rows) => expect(rowsIn(text)).toEqual(rows));
});
